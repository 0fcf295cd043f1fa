export const DEGREES_PER_RADIAN = 180 / Math.PI;

/** An angle in radians brought into [−π, π). */
export function wrapAngle(angle: number): number {
  const turns = Math.floor((angle + Math.PI) / (2 * Math.PI));
  return angle - turns * 2 * Math.PI;
}

export function toDegrees(radians: number): number {
  return radians * DEGREES_PER_RADIAN;
}

export function toRadians(degrees: number): number {
  return degrees / DEGREES_PER_RADIAN;
}
