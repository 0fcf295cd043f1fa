import type { MotionParameters } from '../table/parameters.ts';
import { createSlipSolver, SIZE, type SlipSolver } from './cushionSlips.ts';
import type { BallsState } from './state.ts';

/** Slip on the cloth, as a share of the normal speed, below which a ball comes rolling. */
const ROLLS = 1e-9;
/** Stretches of the table of a rolling ball's rebounds; cubic in between, off by some 1e-8 of the speed, 3e-5 at worst. */
const STRETCHES = 128;

/** Rebounds balls from cushions; owns its scratch and tables, so one a simulation. */
export interface CushionSolver {
  /**
   * Rebounds ball i in place.
   * @param nx, ny unit vector in plan from the ball to the nose
   * @returns false when the ball was not closing, and nothing was changed
   */
  rebound(s: BallsState, i: number, nx: number, ny: number): boolean;
}

/**
 * A rolling ball does not slip on the cloth, so all that its rebound depends on is how its slip at the nose lies: one
 * number. Its rebounds are kept by that number, worked out when first asked for.
 */
interface RollingTable {
  readonly solver: SlipSolver;
  readonly sin: number;
  /** Four slips at each node, for a slip at the nose of size 1; NaN while not worked out. */
  readonly nodes: Float64Array;
}

/** @throws RangeError (from rebound) when the parameters let no rebound end */
export function createCushionSolver(p: MotionParameters): CushionSolver {
  const slips = new Float64Array(SIZE);
  const node = new Float64Array(SIZE);
  const tables = new Map<number, RollingTable>();

  function tableFor(radius: number): RollingTable {
    const known = tables.get(radius);
    if (known !== undefined) return known;
    const sin = (p.noseHeight - radius) / radius;
    const made = {
      solver: createSlipSolver(p, sin),
      sin,
      nodes: new Float64Array(4 * (STRETCHES + 1)).fill(NaN),
    };
    tables.set(radius, made);
    return made;
  }

  /** Works a node out: the half-angle tangent of the slip's direction from the normal is k/STRETCHES. */
  function fill({ solver, nodes }: RollingTable, k: number): void {
    // Exactly along the cushion nothing closes; the last node stands just before.
    const t = Math.min(k / STRETCHES, 1 - 1e-9);
    node[0] = (2 * t) / (1 + t * t);
    node[1] = -(1 - t * t) / (1 + t * t);
    node[2] = 0;
    node[3] = 0;
    solver.solve(node);
    for (let m = 0; m < 4; m++) nodes[4 * k + m] = node[m]!;
  }

  function lookUp(table: RollingTable): void {
    const size = Math.sqrt(slips[0]! * slips[0]! + slips[1]! * slips[1]!);
    const sign = slips[0]! < 0 ? -1 : 1;
    const u = (STRETCHES * Math.abs(slips[0]!)) / (size - slips[1]!);
    // Lagrange's cubic through the four nodes round it, or the outermost four.
    const from = Math.min(STRETCHES - 3, Math.max(0, Math.floor(u) - 1));
    const { nodes } = table;
    const at = 4 * from;
    for (let k = 0; k < 4; k++) if (Number.isNaN(nodes[at + 4 * k]!)) fill(table, from + k);
    const x = u - from;
    const w0 = ((x - 1) * (x - 2) * (x - 3)) / -6;
    const w1 = (x * (x - 2) * (x - 3)) / 2;
    const w2 = (x * (x - 1) * (x - 3)) / -2;
    const w3 = (x * (x - 1) * (x - 2)) / 6;
    for (let m = 0; m < 4; m++) {
      const node = at + m;
      const value =
        size * (w0 * nodes[node]! + w1 * nodes[node + 4]! + w2 * nodes[node + 8]! + w3 * nodes[node + 12]!);
      slips[m] = (m & 1) === 0 ? sign * value : value;
    }
  }

  return {
    rebound(s, i, nx, ny) {
      const radius = s.radius[i]!;
      const vn = s.vx[i]! * nx + s.vy[i]! * ny;
      if (vn <= 0) return false;
      const table = tableFor(radius);
      const { sin } = table;
      const cos = Math.sqrt(1 - sin * sin);
      // e1, n and z are right-handed: e1 = (ny, −nx).
      const vt = s.vx[i]! * ny - s.vy[i]! * nx;
      const a = radius * (s.wx[i]! * ny - s.wy[i]! * nx);
      const b = radius * (s.wx[i]! * nx + s.wy[i]! * ny);
      const z = radius * s.wz[i]!;
      const kept = vt + b / 2.5 + (z * (1 + sin)) / (2.5 * cos);
      slips[0] = vt + b * sin - z * cos;
      slips[1] = -sin * vn + a;
      slips[2] = vt - b;
      slips[3] = vn + a;
      const rolls = Math.abs(slips[2]) + Math.abs(slips[3]) <= ROLLS * vn;
      if (rolls && p.cushionRestitutionFall === 0) lookUp(table);
      else table.solver.solve(slips);
      const s1 = slips[0];
      const c1 = slips[2];
      const out = (slips[3] - slips[1]) / (1 + sin);
      const ratio = (1 + sin) / (2.5 * cos * cos);
      const b2 = (kept - c1 - ratio * (c1 - s1)) / (1.4 + ratio * (1 + sin));
      const vt2 = c1 + b2;
      const z2 = (vt2 + b2 * sin - s1) / cos;
      const a2 = slips[3] - out;
      s.vx[i] = vt2 * ny + out * nx;
      s.vy[i] = out * ny - vt2 * nx;
      s.vz[i] = 0;
      s.wx[i] = (a2 * ny + b2 * nx) / radius;
      s.wy[i] = (b2 * ny - a2 * nx) / radius;
      s.wz[i] = z2 / radius;
      return true;
    },
  };
}
