/** Two things that are compared: cues, places, racks. */
export const PARTS = ['A', 'B'] as const;
export type Part = (typeof PARTS)[number];

/** Where an attempt stands in blocks that alternate. */
export interface BlockPlace {
  readonly part: Part;
  /** Number within its block, from 1. */
  readonly within: number;
  /** The attempt after it is of the other part. */
  readonly last: boolean;
}

/**
 * Which of two things an attempt is played with, when blocks of the one and of the other alternate: what changes in the
 * course of an evening then meets both.
 * @param attempt number, from 1 @param size attempts in a block, ≥ 1
 */
export function blockAt(attempt: number, size: number): BlockPlace {
  const within = 1 + ((attempt - 1) % size);
  const isSecond = Math.floor((attempt - 1) / size) % 2 === 1;
  return { part: isSecond ? 'B' : 'A', within, last: within === size };
}
