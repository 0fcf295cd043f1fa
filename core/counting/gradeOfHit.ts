import type { ContactGrade } from './gradedContact.ts';

/** From these shares of the width on a hit is full, or thick. */
export const FULL_FROM = 0.7;
export const THICK_FROM = 0.4;

/**
 * How a hit on the right ball is graded.
 * @param hit cushions before it, and the share of the ball's width that is covered, 0…1
 * @param wanted cushions before the ball that were asked for; 0 for any
 */
export function gradeOfHit(
  { before, covered }: { readonly before: readonly string[]; readonly covered: number },
  wanted: number,
): ContactGrade {
  if (before.length > wanted && wanted > 0) return 'cushion first';
  return covered >= FULL_FROM ? 'full' : covered >= THICK_FROM ? 'thick' : 'thin';
}
