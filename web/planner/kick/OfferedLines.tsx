import { memo } from 'react';
import type { OfferedLine } from '../../../core/judgement/kickQuestion.ts';
import { simulate } from '../../../core/motion/simulate.ts';
import type { Shot } from '../../../core/motion/shot.ts';
import { aimPointOf } from '../../../core/shot/kicks/aimPoint.ts';
import { PathMark } from '../../table/marks.tsx';
import { useProjection } from '../../table/context.ts';
import { colour } from '../../theme.ts';

interface OfferedLinesProps {
  readonly shot: Shot;
  readonly lines: readonly OfferedLine[];
}

/** Lines as far as the ball; those that can be picked have their letter where they come to the first cushion. */
export const OfferedLines = memo(function OfferedLines({ shot, lines }: OfferedLinesProps) {
  const { table, balls, strike } = shot;
  const projection = useProjection();
  const unit = Math.max(projection.width, projection.height) / 1000;
  return (
    <>
      {lines.map(({ pick, direction }) => {
        const way = simulate(
          { ...shot, strike: { ...strike, direction } },
          { paths: true, untilMeeting: true },
        );
        const path = way.paths?.find(({ id }) => id === strike.ball);
        const aim = aimPointOf({ table, balls, cue: strike.ball }, direction);
        const [x, y] = projection.toDrawing(aim.at);
        return (
          <g key={pick}>
            {path !== undefined && <PathMark path={path} duration={way.duration} kind="cue" kept />}
            {pick !== '' && (
              <g fill={colour('surface')} stroke={colour('ink')} strokeWidth={1.4 * unit}>
                <circle cx={x} cy={y} r={15 * unit} />
                <text
                  x={x}
                  y={y}
                  fill={colour('ink')}
                  stroke="none"
                  fontSize={20 * unit}
                  fontWeight={700}
                  textAnchor="middle"
                  dominantBaseline="central"
                >
                  {pick}
                </text>
              </g>
            )}
          </g>
        );
      })}
    </>
  );
});
