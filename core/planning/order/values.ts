import type { OrderNode } from './nodes.ts';
import type { ShotTable } from './shotTable.ts';

/** The chance of clearing from each place of the grid, for each node of an order. */
export type Values = readonly Float32Array[];

/** A value between the grid's places, bilinear. @param cell as in a shot table */
export function valueIn(
  columns: number,
  values: Float32Array,
  cell: number,
  along: number,
  across: number,
): number {
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
 * pot's chance times the mean of V of what is left at the landings (Bellman's principle).
 * @param depth balls that are looked ahead; beyond, all is taken to be well. Infinity for the whole
 */
export function valuesOf(nodes: readonly OrderNode[], shots: ShotTable, depth = Infinity): Values {
  const places = shots.grid.chances.length;
  const ones = () => new Float32Array(places).fill(1);
  if (depth === Infinity) {
    const values: Float32Array[] = [];
    for (const node of nodes) {
      values.push(node.cleared ? ones() : valuesOfNode(node, shots, (next) => values[next] ?? ones()));
    }
    return values;
  }
  let values: Float32Array[] = nodes.map(ones);
  for (let k = 0; k < depth; k++) {
    const before = values;
    values = nodes.map((node) =>
      node.cleared ? ones() : valuesOfNode(node, shots, (next) => before[next] ?? ones()),
    );
  }
  return values;
}

function valuesOfNode(
  { present, legal, next }: OrderNode,
  shots: ShotTable,
  valuesAfter: (node: number) => Float32Array,
): Float32Array {
  const { grid, first, ball, chance, hindered, executions, cell, along, across } = shots;
  const { columns } = grid;
  const places = grid.chances.length;
  const values = new Float32Array(places);
  const after = new Array<Float32Array | undefined>(32);
  legal.forEach((number, k) => {
    after[number] = valuesAfter(next[k]!);
  });
  for (let g = 0; g < places; g++) {
    let best = 0;
    const end = first[g + 1]!;
    for (let s = first[g]!; s < end; s++) {
      const own = after[ball[s]!];
      if (own === undefined || (hindered[s]! & present) !== 0 || chance[s]! <= best) continue;
      let sum = 0;
      for (let e = s * executions; e < (s + 1) * executions; e++) {
        const at = cell[e]!;
        if (at >= 0) sum += valueIn(columns, own, at, along[e]!, across[e]!);
      }
      const value = (chance[s]! * sum) / executions;
      if (value > best) best = value;
    }
    values[g] = best;
  }
  return values;
}
