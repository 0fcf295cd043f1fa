import { POCKET_NAMES } from '../../table/pockets.ts';
import type { OrderNode } from './nodes.ts';
import type { ShotTable } from './shotTable.ts';

/** The chance of clearing from each place of the grid, for each node of an order. */
export type Values = readonly Float32Array[];

/** A value between the grid's places, bilinear. @param cell as in a shot table */
function valueIn(columns: number, values: Float32Array, cell: number, along: number, across: number): number {
  const a = values[cell]!;
  const b = values[cell + 1]!;
  const c = values[cell + columns]!;
  const d = values[cell + columns + 1]!;
  const low = a + along * (b - a);
  const high = c + along * (d - c);
  return low + across * (high - low);
}

/**
 * Values backwards from the cleared table: V(S, x) is the best, over the strokes of which nothing is in the way, of the
 * pot's chance times the mean of V of what is left at the landings (R. Bellman, Dynamic Programming, 1957).
 * @param nodes each after those that it leads to
 * @param ahead for a player who looks so many pots ahead and no farther, ≥ 0: beyond them counts how open each ball lies
 */
export function valuesOf(nodes: readonly OrderNode[], shots: ShotTable, ahead = Infinity): Values {
  const certain = new Float32Array(shots.grid.chances.length).fill(1);
  const valueOf = (node: OrderNode, after: Values) =>
    node.cleared ? certain : valuesOfNode(node, shots, after);
  if (ahead === Infinity) {
    const values: Float32Array[] = [];
    for (const node of nodes) values.push(valueOf(node, values));
    return values;
  }
  let values: Values = nodes.map((node) =>
    node.cleared ? certain : new Float32Array(certain.length).fill(openness(node, shots)),
  );
  for (let pots = 0; pots < ahead; pots++) {
    const after = values;
    values = nodes.map((node) => valueOf(node, after));
  }
  return values;
}

/** What a ball counts that cannot be potted from anywhere as the others lie. */
const LOCKED = 0.1;

/** What is left of a table at a glance: the best pots of its balls, one with another, as the others lie. */
function openness({ present }: OrderNode, { ball, chance, hindered }: ShotTable): number {
  const best = new Float32Array(32).fill(LOCKED);
  for (let s = 0; s < ball.length; s++) {
    if ((hindered[s]! & present) === 0) best[ball[s]!] = Math.max(best[ball[s]!]!, chance[s]!);
  }
  return best.reduce((product, each, k) => (((present >> k) & 1) === 1 ? product * each : product), 1);
}

const POCKETS = POCKET_NAMES.length;

function valuesOfNode(node: OrderNode, shots: ShotTable, values: Values): Float32Array {
  const { present, legal, next, barred } = node;
  const { grid, first, ball, pocket, chance, hindered, executions, cell, along, across } = shots;
  const { columns } = grid;
  const places = grid.chances.length;
  const own = new Float32Array(places);
  /** What is left after each ball in each pocket. */
  const after = new Array<Float32Array | undefined>(32 * POCKETS);
  const ways = next.length / Math.max(1, legal.length);
  for (const [k, number] of legal.entries()) {
    for (let p = 0; p < POCKETS; p++) {
      if (p !== barred) after[number * POCKETS + p] = values[next[k * ways + (ways === 1 ? 0 : p)]!];
    }
  }
  for (let g = 0; g < places; g++) {
    let best = 0;
    const end = first[g + 1]!;
    for (let s = first[g]!; s < end; s++) {
      // Those that follow are less likely still.
      if (chance[s]! <= best) break;
      const left = after[ball[s]! * POCKETS + pocket[s]!];
      if (left === undefined || (hindered[s]! & present) !== 0) continue;
      let sum = 0;
      for (let e = s * executions; e < (s + 1) * executions; e++) {
        const at = cell[e]!;
        if (at >= 0) sum += valueIn(columns, left, at, along[e]!, across[e]!);
      }
      const value = (chance[s]! * sum) / executions;
      if (value > best) best = value;
    }
    own[g] = best;
  }
  return own;
}
