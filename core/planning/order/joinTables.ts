import type { ShotTable } from './shotTable.ts';

/**
 * The shot table that its shares make, each worked out by itself from the same balls, detail and rules.
 * @param shares all of them, in any order @throws RangeError for none
 */
export function joinShotTables(shares: readonly ShotTable[]): ShotTable {
  const [any] = shares;
  if (any === undefined) throw new RangeError('joinShotTables: there is no share');
  const strokes = shares.reduce((sum, { ball }) => sum + ball.length, 0);
  const { grid, executions } = any;
  const joined = {
    first: new Int32Array(any.first.length),
    ball: new Int8Array(strokes),
    pocket: new Int8Array(strokes),
    chance: new Float32Array(strokes),
    hindered: new Int32Array(strokes),
    cell: new Int32Array(strokes * executions),
    along: new Float32Array(strokes * executions),
    across: new Float32Array(strokes * executions),
  };
  let end = 0;
  for (let g = 0; g + 1 < any.first.length; g++) {
    joined.first[g] = end;
    // A place belongs to one share; the others have no strokes there.
    for (const share of shares) {
      const [from, to] = [share.first[g]!, share.first[g + 1]!];
      if (from === to) continue;
      for (const column of ['ball', 'pocket', 'chance', 'hindered'] as const)
        joined[column].set(share[column].subarray(from, to), end);
      for (const column of ['cell', 'along', 'across'] as const)
        joined[column].set(share[column].subarray(from * executions, to * executions), end * executions);
      end += to - from;
    }
  }
  joined.first[any.first.length - 1] = end;
  return { grid, executions, ...joined };
}
