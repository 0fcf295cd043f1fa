/**
 * The mass of a cue's end from a shot with side that went beside its line: squirtTangent turned round. The shot has to be
 * firm, so that nothing curves back.
 * @param side ball radii, of either sign, within the miscue limit and not 0 @param ballMass kg
 * @param off how far the ball passed beside its mark, metres, > 0 @param away how far that mark was, metres, > 0
 * @returns kg @throws RangeError for a shot that did not squirt, or by more than the heaviest end would make
 */
export function endMassFromTest(side: number, ballMass: number, off: number, away: number): number {
  const rest = 1 - side * side;
  const tangent = off / away;
  const lighter = (2.5 * Math.abs(side) * Math.sqrt(rest)) / tangent - 2.5 * rest - 1;
  if (!(tangent > 0) || !(lighter > 0) || !Number.isFinite(lighter)) {
    throw new RangeError('endMassFromTest: no cue does that');
  }
  return ballMass / lighter;
}
