import type { Table } from '../table/table.ts';

/** A side of the table: cushions along one line, seen from the ball's coordinate across it. */
export interface Side {
  /** The coordinate that the side bounds: 0 for x, 1 for y. */
  readonly axis: 0 | 1;
  /** True for the sides at x = L and y = W. */
  readonly far: boolean;
  /** Stretches of straight nose along the side: from, to, and the piece's index. */
  readonly spans: readonly { readonly from: number; readonly to: number; readonly piece: number }[];
}

/** A table as the simulator reads it, worked out once. */
export interface Ground {
  readonly table: Table;
  readonly sides: readonly Side[];
  /** Boxes round the pieces, four numbers each: low x, high x, low y, high y, metres. */
  readonly boxes: Float64Array;
}

/** Beyond the noses lie the rails; a flying ball that is this far behind a nose's line is off the table, metres. */
export const RAIL_DEPTH = 0.12;

const kept = new WeakMap<Table, Ground>();

export function groundOf(table: Table): Ground {
  const known = kept.get(table);
  if (known !== undefined) return known;
  const ground = build(table);
  kept.set(table, ground);
  return ground;
}

function build(table: Table): Ground {
  const boxes = new Float64Array(4 * table.pieces.length);
  const sides = ([0, 1] as const).flatMap((axis) =>
    [false, true].map((far): Side => ({ axis, far, spans: spansOf(table, axis, far) })),
  );
  table.pieces.forEach((piece, k) => {
    const box =
      piece.kind === 'arc'
        ? [
            piece.centre.x - piece.radius,
            piece.centre.x + piece.radius,
            piece.centre.y - piece.radius,
            piece.centre.y + piece.radius,
          ]
        : [
            Math.min(piece.from.x, piece.to.x),
            Math.max(piece.from.x, piece.to.x),
            Math.min(piece.from.y, piece.to.y),
            Math.max(piece.from.y, piece.to.y),
          ];
    boxes.set(box, 4 * k);
  });
  return { table, sides, boxes };
}

function spansOf(table: Table, axis: 0 | 1, far: boolean): Side['spans'] {
  const bound = far ? (axis === 0 ? table.length : table.width) : 0;
  return table.pieces.flatMap((piece, k) => {
    if (piece.kind !== 'line') return [];
    const { from, to } = piece;
    const onSide = axis === 0 ? from.x === bound && to.x === bound : from.y === bound && to.y === bound;
    if (!onSide) return [];
    const [a, b] = axis === 0 ? [from.y, to.y] : [from.x, to.x];
    return [{ from: Math.min(a, b), to: Math.max(a, b), piece: k }];
  });
}
