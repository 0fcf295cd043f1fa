/** How an attempt is written down at the table: the result alone, or shot by shot. */
/** Why a shot went wrong, in one tap. */
export const CAUSES = [
  'thick',
  'thin',
  'too hard',
  'too soft',
  'too much side',
  'too little side',
  'wrong side of the pocket',
  'left of the line',
  'right of the line',
  'too high',
  'too low',
  'decelerated',
  'moved',
  'cushion first',
  'second ball',
  'in-off',
  'bad contact',
  'wrong choice',
  'straight when an angle was needed',
  'rack fault',
  'set-up fault',
] as const;

export type Cause = (typeof CAUSES)[number];

/** Causes that lie in what was chosen, not in how it was played. */
export const DECISION_CAUSES: readonly Cause[] = ['wrong choice', 'straight when an angle was needed'];
