import type { Drill } from '../records/drill.ts';

/** What a round begins with: the stage that is played and, on a ladder by racks, the rung. */
export interface Beginning {
  /** From 1. */
  readonly stage: number;
  /** Rung, from 0. */
  readonly ladderStart: number;
}

/**
 * The rung at which a round of a drill begins when it is asked to begin at one: 0 in drills that are no ladder by racks,
 * and at most the last.
 * @param drill as it is played at its stage @param asked rung, from 0
 */
export function ladderStartOf({ scoring }: Pick<Drill, 'scoring'>, asked: number): number {
  return scoring.method === 'ladder-by-racks' ? Math.min(asked, scoring.rungs.length - 1) : 0;
}
