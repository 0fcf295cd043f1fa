import { Text } from '@mantine/core';
import { FIELDS_ACROSS, FIELDS_ALONG } from '../../core/records/roundSums.ts';
import { colour, TEXT_FONT } from '../theme.ts';
import { percent } from '../words/units.ts';

const SIDE = 40;
const WIDTH = SIDE * FIELDS_ALONG;
const HEIGHT = SIDE * FIELDS_ACROSS;

/** Where the cue ball of breaks stops, field by field of the table, the head end on the left. */
export function BreakRests({ rests }: { readonly rests: readonly number[] }) {
  const all = rests.reduce((sum, each) => sum + each, 0);
  const most = Math.max(...rests);
  if (all === 0) return null;
  return (
    <>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width="100%"
        style={{ maxWidth: 420, marginTop: 6 }}
        role="img"
        aria-label={`Where the cue ball stopped after ${all} ${all === 1 ? 'break' : 'breaks'}; most often, ${percent(most / all)}, in one field`}
      >
        {rests.map((count, k) => {
          const x = SIDE * Math.floor(k / FIELDS_ACROSS);
          // Across the table is counted from the right-hand side, drawn below.
          const y = HEIGHT - SIDE * ((k % FIELDS_ACROSS) + 1);
          return (
            <g key={k}>
              <rect
                x={x}
                y={y}
                width={SIDE}
                height={SIDE}
                fill={colour('indigo')}
                fillOpacity={(0.55 * count) / most}
                stroke={colour('line')}
              />
              {count > 0 && (
                <text
                  x={x + SIDE / 2}
                  y={y + SIDE / 2 + 5}
                  textAnchor="middle"
                  fontSize={14}
                  fontFamily={TEXT_FONT}
                  fill={colour('ink')}
                >
                  {count}
                </text>
              )}
            </g>
          );
        })}
      </svg>
      <Text size="xs" c="dimmed">
        Where the cue ball stopped, of {all} {all === 1 ? 'break' : 'breaks'} of which it was tapped; the head
        end is on the left.
      </Text>
    </>
  );
}
