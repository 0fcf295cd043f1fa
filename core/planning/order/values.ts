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
 */
export function valuesOf(nodes: readonly OrderNode[], shots: ShotTable): Values {
  const values: Float32Array[] = [];
  for (const node of nodes) {
    values.push(
      node.cleared ? new Float32Array(shots.grid.chances.length).fill(1) : valuesOfNode(node, shots, values),
    );
  }
  return values;
}

function valuesOfNode({ present, legal, next }: OrderNode, shots: ShotTable, values: Values): Float32Array {
  const { grid, first, ball, chance, hindered, executions, cell, along, across } = shots;
  const { columns } = grid;
  const places = grid.chances.length;
  const own = new Float32Array(places);
  const after = new Array<Float32Array | undefined>(32);
  legal.forEach((number, k) => {
    after[number] = values[next[k]!];
  });
  for (let g = 0; g < places; g++) {
    let best = 0;
    const end = first[g + 1]!;
    for (let s = first[g]!; s < end; s++) {
      const left = after[ball[s]!];
      if (left === undefined || (hindered[s]! & present) !== 0 || chance[s]! <= best) continue;
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
