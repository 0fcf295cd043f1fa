/**
 * How far in plan a ball's centre is from the nose when they touch: √(R² − (h − R)²), metres; 0 when the ball is so
 * small that it passes under the nose.
 * @param radius R, metres; @param noseHeight h above the cloth, metres
 */
export function noseDistance(radius: number, noseHeight: number): number {
  const above = noseHeight - radius;
  return Math.sqrt(Math.max(0, radius * radius - above * above));
}
