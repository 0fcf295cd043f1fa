import type { RoundResult } from './result.ts';

export const CONTACT_GRADES = ['full', 'thick', 'thin', 'cushion first', 'miss'] as const;
export type ContactGrade = (typeof CONTACT_GRADES)[number];

export interface ContactAttempt {
  readonly grade: ContactGrade;
}

export interface GradedContactSettings {
  readonly stations: number;
  readonly points: Readonly<Record<ContactGrade, number>>;
}

/** Points by how each station's ball was hit. */
export function countGradedContact(
  attempts: readonly ContactAttempt[],
  { stations, points }: GradedContactSettings,
): RoundResult {
  const counted = attempts.slice(0, stations);
  return {
    value: counted.reduce((sum, { grade }) => sum + points[grade], 0),
    unit: 'points',
    better: 'high',
    maximum: stations * Math.max(...Object.values(points)),
    complete: counted.length >= stations,
    censored: false,
  };
}
