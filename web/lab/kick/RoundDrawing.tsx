import { useMemo } from 'react';
import { simulate } from '../../../core/motion/simulate.ts';
import type { RoundLine } from '../../../core/shot/kicks/thumb/crib.ts';
import { ROUNDS, roundStroke } from '../../../core/shot/kicks/thumb/threeCushions.ts';
import { thumbSpeed } from '../../../core/shot/kicks/thumb/thumbRules.ts';
import { kickShot } from '../../../core/shot/kicks/way.ts';
import type { Table } from '../../../core/table/table.ts';
import { CUE } from '../../table/labShot.ts';
import { AimMark, BallMark, PathMark } from '../../table/marks.tsx';
import { TableDrawing } from '../../table/TableDrawing.tsx';

/** The firm lines round to the corner, every second one, so that they can be told apart. */
export function RoundDrawing({
  table,
  lines,
}: {
  readonly table: Table;
  readonly lines: readonly RoundLine[];
}) {
  const ways = useMemo(() => {
    const [round] = ROUNDS;
    const { ballRadius: r, ballMass: mass } = table.preset;
    return lines.flatMap(({ start, firm }, i) => {
      if (firm === undefined || round === undefined || i % 2 === 1) return [];
      const from = { id: CUE, x: Math.max(2 * r, start), y: 2 * r, radius: r, mass };
      const direction = Math.atan2(table.width - from.y, firm - from.x);
      const stroke = roundStroke(round, thumbSpeed(table, 'far mark', 'firm'));
      const { paths, events, duration } = simulate(
        kickShot({ table, balls: [from], cue: CUE }, stroke, direction),
        { paths: true },
      );
      const stops = events.filter(({ kind }) => kind === 'ball-cushion' || kind === 'pocket');
      const [path] = paths ?? [];
      return path === undefined
        ? []
        : [{ from, aim: { x: firm, y: table.width }, path, end: stops[3]?.t ?? duration }];
    });
  }, [table, lines]);
  return (
    <TableDrawing table={table} label="Lines round by three cushions to the corner">
      {ways.map(({ from, aim, path, end }, i) => (
        <g key={from.x}>
          <PathMark path={path} duration={end} kind="cue" kept={i > 0} />
          <AimMark from={from} to={aim} />
          <BallMark id={CUE} at={from} />
        </g>
      ))}
    </TableDrawing>
  );
}
