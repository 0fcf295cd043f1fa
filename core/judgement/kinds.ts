/** Questions about kicks and safeties. */
export const KICK_KINDS = ['which line', 'where on the cushion', 'which way to miss', 'pot or safe'] as const;
export type KickKind = (typeof KICK_KINDS)[number];

/** The question about a break. */
export const BREAK_KIND = 'what will be on';
export type BreakKind = typeof BREAK_KIND;

/** What a player is asked to foretell in the trainers. */
export const CALL_KINDS = [
  'in-off or not',
  'does it pass',
  'draw the path',
  'how long is the window',
  'which side of the plant',
  'which ball first',
  'which suit',
  'key ball',
  'whole order',
  'where to be',
  ...KICK_KINDS,
  BREAK_KIND,
] as const;
export type CallKind = (typeof CALL_KINDS)[number];

/** How near the positions lie to the border, from plain to see to too close to call. */
export const DIFFICULTIES = ['plain', 'fair', 'close', 'hair-fine'] as const;
export type Difficulty = (typeof DIFFICULTIES)[number];

/** From the least to the most of something that makes a position as hard as that, both of them included. */
export type DifficultyRanges = Readonly<Record<Difficulty, readonly [least: number, most: number]>>;

/** Whether a value lies in the range of a difficulty. */
export function isAsHard(ranges: DifficultyRanges, difficulty: Difficulty, value: number): boolean {
  const [least, most] = ranges[difficulty];
  return value >= least && value <= most;
}
