import { isOnTable } from '../../shot/outcome.ts';
import type { Shot, ShotResult } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';
import { executed } from '../../player/execute.ts';
import type { ExecutionError } from '../../player/levels.ts';
import type { Random } from '../../random/random.ts';

/** Who calls: what they imagine strays from the plan as their own strokes do. */
export interface Caller {
  readonly error: ExecutionError;
  /** Pots after the next one that they plan for. */
  readonly looksAhead: number;
  readonly random: Random;
}

/** Times that a stroke is gone through in the mind. */
const LOOKS = 3;

/** A stroke as it is imagined once. */
export function imagined({ error, random }: Caller, shot: Shot): Shot {
  return executed(shot, error, random);
}

/** How often something happens when a stroke is gone through a few times in the mind, 0…1. */
export function imaginedShare(
  caller: Caller,
  shot: Shot,
  happens: (result: ShotResult) => boolean,
  looks = LOOKS,
): number {
  let times = 0;
  for (let k = 0; k < looks; k++) {
    if (happens(simulate(imagined(caller, shot)))) times++;
  }
  return times / looks;
}

/** Whether the cue ball meets a ball before any other, as an event list tells. */
export function meetsFirst({ events }: ShotResult, cue: string, target: string): boolean {
  const hit = events.find((event) => event.kind === 'ball-ball' && event.ids.includes(cue));
  return hit?.kind === 'ball-ball' && hit.ids.includes(target);
}

/** Whether the cue ball stays on the table. */
export function staysOn({ rest }: ShotResult, cue: string): boolean {
  const at = rest.find(({ id }) => id === cue);
  return at !== undefined && isOnTable(at);
}
