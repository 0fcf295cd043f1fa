import { Text, UnstyledButton } from '@mantine/core';
import type { BreakCell, BreakMap } from '../../../core/virtual/breaks/breakMap.ts';
import { RunHead } from '../../planner/RunHead.tsx';
import { useOneRun } from '../../planner/useOneRun.ts';
import { colour } from '../../theme.ts';
import { bestBreakWords } from '../../words/breakStudyWords.ts';
import { breakMapOf } from '../../workers/break.ts';
import type { BreakAsked } from '../../workers/breakProtocol.ts';
import { numberIn, placeUnit, speedWords } from '../../words/lengths.ts';

/** Breaks in each cell. */
const BREAKS = 100;
/** How strongly the best cell is coloured; the others less, by what they are worth. */
const DEPTH = 60;

interface MapCardProps {
  readonly asked: BreakAsked;
  /** Takes a place and a pace up. */
  readonly onTake: (cell: Pick<BreakCell, 'from' | 'speed'>) => void;
}

/** What the same aim is worth from other places at other paces, and the best of them. */
export function MapCard({ asked, onTake }: MapCardProps) {
  const { kind } = asked.rack;
  // The map covers all paces and places, of the D those on a side: with another of them it is the same one.
  const { from, ...aim } = asked.stroke;
  const { width } = asked.table.preset;
  const key = JSON.stringify({
    ...asked,
    stroke: { ...aim, speed: 0 },
    isLeft: kind === 'reds' && from.y >= width / 2,
  });
  const question: BreakAsked = { ...asked, breaks: BREAKS };
  const run = useOneRun<BreakMap>(key, (onShare) => breakMapOf(question, onShare));
  // After a second each cell is known roughly.
  const map = run.answer ?? run.first;
  const most = Math.max(0.01, ...(map?.cells.map(({ worth }) => worth) ?? []));
  const rows =
    map === undefined
      ? []
      : Array.from({ length: map.cells.length / map.columns }, (_, row) =>
          map.cells.slice(row * map.columns, (row + 1) * map.columns),
        );
  return (
    <section className="card" aria-labelledby="map-title" aria-busy={run.isRunning}>
      <RunHead title="From where, how hard" id="map-title" ask="Map it" counted="Breaks played" run={run} />
      {!run.isBegun && (
        <Text size="sm">
          {kind === 'reds'
            ? 'The same aim from other places in the D and at other paces: which leaves the opponent least?'
            : 'The same aim from other places and at other paces: after which is a ball down and the next one on?'}
        </Text>
      )}
      {map !== undefined && (
        <>
          <table className="break-map" aria-label="Worth by place and pace">
            <thead>
              <tr>
                <th scope="col">{placeUnit().unit} off the right</th>
                {rows[0]?.map(({ speed }) => (
                  <th scope="col" key={speed}>
                    {speedWords(speed)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row, r) => (
                <tr key={row[0]?.from.y}>
                  <th scope="row">{numberIn({ ...placeUnit(), digits: 0 }, row[0]?.from.y ?? 0)}</th>
                  {row.map((cell, c) => (
                    <td key={cell.speed}>
                      <UnstyledButton
                        data-best={r * map.columns + c === map.best}
                        style={{
                          background: `color-mix(in srgb, ${colour('gold')} ${Math.round((DEPTH * cell.worth) / most)}%, transparent)`,
                          textAlign: 'center',
                          fontSize: 'inherit',
                        }}
                        onClick={() => onTake(cell)}
                      >
                        {Math.round(100 * cell.worth)}
                      </UnstyledButton>
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
          <Text size="sm" mt={6} data-testid="best-break">
            {run.answer === undefined ? 'A first picture; it becomes surer.' : bestBreakWords(map, kind)}
          </Text>
          <Text size="xs" c="dimmed">
            {kind === 'reds'
              ? 'Of a hundred: how often nothing is on for the opponent. Tap one to take it up.'
              : 'Of a hundred breaks: a ball down, no foul, and the next pot made. Tap one to take it up.'}
          </Text>
        </>
      )}
    </section>
  );
}
