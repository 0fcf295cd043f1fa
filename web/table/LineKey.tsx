import { Group, Text } from '@mantine/core';
import type { ReactNode } from 'react';
import { colour } from '../theme.ts';

const ink = colour('ink');
const indigo = colour('indigo');
const coral = colour('coral');

/** What may be drawn on a table: how it looks, and what it is called where nothing else is said. */
const MARKS = {
  cueBall: ['cue ball', <path key="" d="M1 8H33" stroke={indigo} strokeWidth={3} />],
  objectBall: [
    'object ball',
    <path key="" d="M2 8H33" stroke={ink} strokeWidth={3} strokeDasharray="0.1 6" strokeLinecap="round" />,
  ],
  kept: ['kept to compare', <path key="" d="M1 8H33" stroke={indigo} strokeWidth={1.8} opacity={0.55} />],
  window: [
    'chance of the next pot',
    <rect
      key=""
      x={1}
      y={2}
      width={32}
      height={12}
      rx={3}
      fill={colour('gold')}
      fillOpacity={0.45}
      stroke={colour('rail-ink')}
    />,
  ],
  wanted: [
    'wanted landing',
    <path key="" d="M17 1L22 8L17 15L12 8Z" fill="none" stroke={indigo} strokeWidth={2} />,
  ],
  landings: ['landings, in order', <path key="" d="M10 8H24M17 1V15" stroke={ink} strokeWidth={2} />],
  here: ['the one looked at', <path key="" d="M10 8H24M17 1V15" stroke={coral} strokeWidth={3} />],
  aim: [
    'line of aim',
    <g key="" stroke={coral} fill={colour('surface')}>
      <path d="M1 8H24" strokeWidth={1.8} strokeDasharray="5 3" />
      <circle cx={28} cy={8} r={4.5} strokeWidth={1.8} />
    </g>,
  ],
  contact: [
    'meets a ball or cushion',
    <circle key="" cx={17} cy={8} r={4} fill="none" stroke={coral} strokeWidth={1.6} />,
  ],
  ghost: [
    'comes to lie here',
    <circle key="" cx={17} cy={8} r={6} fill="none" stroke={ink} strokeWidth={1.6} strokeDasharray="4 2" />,
  ],
  dots: [
    'where it stopped, break by break',
    <circle key="" cx={17} cy={8} r={3} fill={indigo} opacity={0.5} />,
  ],
  next: [
    'next ball',
    <g key="" fill="none" stroke={coral}>
      <circle cx={17} cy={8} r={4.5} strokeWidth={2} />
      <circle cx={17} cy={8} r={7} strokeWidth={1} />
    </g>,
  ],
  natural: [
    'left alone: rolling, stunned',
    <path key="" d="M1 8H33" stroke={colour('teal')} strokeWidth={1.8} strokeDasharray="6 5" />,
  ],
  half: [
    'half of the landings',
    <ellipse
      key=""
      cx={17}
      cy={8}
      rx={14}
      ry={6}
      fill={indigo}
      fillOpacity={0.1}
      stroke={indigo}
      strokeWidth={1.6}
      strokeDasharray="4 3"
    />,
  ],
  error: [
    'mean error',
    <g key="" stroke={coral} fill={coral}>
      <path d="M4 8H28" strokeWidth={3} />
      <circle cx={28} cy={8} r={4} stroke="none" />
    </g>,
  ],
  pocket: [
    'pocket that is named',
    <circle key="" cx={17} cy={8} r={6} fill={colour('pocket')} stroke={colour('gold')} strokeWidth={2.6} />,
  ],
} as const satisfies Readonly<Record<string, readonly [string, ReactNode]>>;

type MarkName = keyof typeof MARKS;

/** The marks of a drawing, by name: true for the word that they usually have. */
type LineKeyProps = Readonly<Partial<Record<MarkName, string | boolean>>>;

const NAMES = Object.keys(MARKS) as MarkName[];

/** The key to the lines on the table. */
export function LineKey(marks: LineKeyProps) {
  return (
    <Group gap="md" role="group" aria-label="Key to the lines">
      {NAMES.map((name) => {
        const told = marks[name];
        if (told === undefined || told === false) return null;
        const [word, drawing] = MARKS[name];
        return (
          <Group gap={8} wrap="nowrap" key={name}>
            <svg width={34} height={16} viewBox="0 0 34 16" aria-hidden>
              {drawing}
            </svg>
            <Text size="sm">{told === true ? word : told}</Text>
          </Group>
        );
      })}
    </Group>
  );
}
