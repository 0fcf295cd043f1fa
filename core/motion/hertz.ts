import { logarithm } from '../math/elementary.ts';

/** Young's modulus and Poisson's ratio of phenolic balls: 5.8 GPa, 0.34 (published values of the material). */
const YOUNG = 5.8e9;
const POISSON = 0.34;

/**
 * Stiffness of the contact of two balls: force = k·δ^(3/2) at an overlap δ (Hertz), N/m^(3/2).
 * @param r1, r2 radii, metres
 */
export function hertzStiffness(r1: number, r2: number): number {
  const modulus = YOUNG / (2 * (1 - POISSON * POISSON));
  return (4 / 3) * modulus * Math.sqrt((r1 * r2) / (r1 + r2));
}

/**
 * Damping that makes the contact lose speed by the restitution e whatever the speed: the force has the further part
 * α·√(m·k)·δ^(1/4)·δ′ with α = −√5·ln e/√(π² + ln² e). Form: Y. Tsuji, T. Tanaka and T. Ishida, Powder Technology 71
 * (1992); closed form of α: D. Antypov and J. A. Elliott, EPL 94 (2011).
 * @param restitution e, 0 < e ≤ 1; @param mass effective, kg; @param stiffness k, N/m^(3/2)
 */
export function hertzDamping(restitution: number, mass: number, stiffness: number): number {
  const log = logarithm(Math.max(restitution, 1e-6));
  const alpha = (-Math.sqrt(5) * log) / Math.sqrt(Math.PI * Math.PI + log * log);
  return alpha * Math.sqrt(mass * stiffness);
}

/**
 * How long an undamped contact lasts, seconds: T = 2.9433·δmax/v with δmax = (5·m·v²/(4·k))^(2/5).
 * @param speed closing speed, m/s, > 0; @param mass effective, kg; @param stiffness k, N/m^(3/2)
 */
export function contactDuration(speed: number, mass: number, stiffness: number): number {
  const power = (1.25 * mass * speed * speed) / stiffness;
  return (2.9433 * fifthRootSquared(power)) / speed;
}

/** x^(2/5) by Newton's iteration on y⁵ = x², from +, × and ÷ alone. */
function fifthRootSquared(x: number): number {
  const target = x * x;
  let y = Math.sqrt(Math.sqrt(x));
  for (let step = 0; step < 40; step++) {
    const y4 = y * y * y * y;
    const next = y - (y * y4 - target) / (5 * y4);
    if (Math.abs(next - y) <= 1e-12 * y) return next;
    y = next;
  }
  return y;
}
