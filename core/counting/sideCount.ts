export interface SideAttempt {
  readonly shots: number;
  readonly withSide: number;
  /** Shots that got out of trouble that an earlier one had made. */
  readonly rescues: number;
}

/** Shots, those with side and rescues, beside whatever else is counted. */
export function countSide(attempts: readonly SideAttempt[]): SideAttempt {
  return attempts.reduce<SideAttempt>(
    (sum, { shots, withSide, rescues }) => ({
      shots: sum.shots + shots,
      withSide: sum.withSide + withSide,
      rescues: sum.rescues + rescues,
    }),
    { shots: 0, withSide: 0, rescues: 0 },
  );
}
