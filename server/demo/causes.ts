import { CUE_BALL } from '../../core/drill/layout.ts';
import type { Shot } from '../../core/motion/shot.ts';
import type { Cause } from '../../core/records/cause.ts';

/** An error of pace that a coach sees, as a share. */
const SEEN_PACE = 0.06;

/** How far beside the object ball's middle the cue ball's way goes, metres. */
function offsetFrom(shot: Shot, object: string): number {
  const at = (id: string) => shot.balls.find((ball) => ball.id === id) ?? { x: 0, y: 0 };
  const [cue, ball] = [at(CUE_BALL), at(object)];
  const { direction } = shot.strike;
  return Math.abs((ball.x - cue.x) * Math.sin(direction) - (ball.y - cue.y) * Math.cos(direction));
}

/** What a coach who stands beside the table would note of a virtual player's stroke; null where nothing is to be seen. */
export function causeOf(
  planned: Shot,
  played: Shot,
  { potted, object }: { readonly potted: boolean; readonly object: string },
): Cause | null {
  if (!potted) return offsetFrom(played, object) < offsetFrom(planned, object) ? 'thick' : 'thin';
  const pace = played.strike.speed / planned.strike.speed - 1;
  if (Math.abs(pace) < SEEN_PACE) return null;
  return pace > 0 ? 'too hard' : 'too soft';
}
