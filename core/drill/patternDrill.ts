import type { BallOnTable } from '../motion/shot.ts';
import type { RackKind } from '../rack/rack.ts';
import type { Drill } from '../records/drill.ts';
import type { PresetId } from '../table/preset.ts';
import { blankDrill, nextStage } from './draft.ts';
import { CUE_BALL } from './layout.ts';

/** A table that is to be cleared at a stage of a drill. */
export interface PatternStage {
  readonly title: string;
  /** With the cue ball. */
  readonly balls: readonly BallOnTable[];
}

const LAST = '8';

/** The order in which what a break leaves is cleared by the rules of its game. */
function orderFor(
  kind: RackKind,
  ids: readonly string[],
): Extract<Drill['task'], { kind: 'clear' }>['order'] {
  if (kind === 'nine') return { kind: 'rotation' };
  if (kind === 'reds' || !ids.includes(LAST)) return { kind: 'any' };
  const suits = [ids.filter((id) => Number(id) < 8), ids.filter((id) => Number(id) > 8)];
  return suits.some((suit) => suit.length === 0)
    ? { kind: 'any' }
    : { kind: 'suits', suits, last: LAST, both: false };
}

/**
 * A drill that clears tables as breaks leave them: one stage for each, all of the same rack. Its title and its purpose are
 * the coach's to write anew.
 * @param stages at least one
 * @throws RangeError without a stage
 */
export function patternDrill(table: PresetId, kind: RackKind, stages: readonly PatternStage[]): Drill {
  const [first] = stages;
  if (first === undefined) throw new RangeError('patternDrill: there must be at least one table');
  const blank = blankDrill(table);
  const base = new Map(stages.flatMap(({ balls }) => balls).map((ball) => [ball.id, ball]));
  for (const ball of first.balls) base.set(ball.id, ball);
  const placeOf = ({ x, y }: BallOnTable) => ({ x, y });
  const ids = [...base.keys()].sort(byNumber);
  const stage = nextStage(blank);
  return {
    ...blank,
    title: 'What a break leaves',
    slug: 'what-a-break-leaves',
    purpose: 'Tables as this break tends to leave them: see the whole order before the first shot.',
    family: 'order',
    skills: ['run-out', 'break'],
    plan: null,
    balls: ids.flatMap((id) => {
      const ball = base.get(id);
      return ball === undefined ? [] : [{ id, at: placeOf(ball) }];
    }),
    task: {
      kind: 'clear',
      order: orderFor(
        kind,
        ids.filter((id) => id !== CUE_BALL),
      ),
    },
    scoring: { method: 'balls-made', trials: 5 },
    stages: stages.map(({ title, balls }) => ({
      ...stage,
      title,
      bands: [],
      moved: balls.flatMap((ball) => {
        const there = base.get(ball.id);
        return there !== undefined && there.x === ball.x && there.y === ball.y
          ? []
          : [{ id: ball.id, at: placeOf(ball) }];
      }),
      without: ids.filter((id) => balls.every((ball) => ball.id !== id)),
    })),
  };
}

/** The cue ball first, then by number. */
function byNumber(a: string, b: string): number {
  const numberOf = (id: string) => (/^\d+$/.test(id) ? Number(id) : 0);
  return numberOf(a) - numberOf(b);
}
