import { Group, Text } from '@mantine/core';
import { RIBBON_LOOKS } from '../../table/RibbonMark.tsx';
import { colour } from '../../theme.ts';
import { useWords } from '../../words/useWords.ts';
import { LineKey } from '../../table/LineKey.tsx';

const WORDS = {
  on: 'on',
  'backup ball': 'on another ball',
  rest: 'with the',
  hidden: 'hidden',
  off: 'not on',
} as const;

/** The key to the line of stops by pace and to the dots of the cloud. */
export function PositionKey() {
  const { term } = useWords();
  return (
    <Group gap="sm" role="group" aria-label="Key to the stops">
      <Text size="xs">Stops at other paces:</Text>
      {(Object.keys(WORDS) as (keyof typeof WORDS)[]).map((state) => {
        const look = RIBBON_LOOKS[state];
        return (
          <Group key={state} gap={5} wrap="nowrap">
            <svg width={28} height={12} viewBox="0 0 28 12" aria-hidden>
              <path
                d="M1 6H27"
                stroke={colour(look.ink)}
                strokeWidth={look.width * 0.8}
                strokeDasharray={look.dashes}
              />
            </svg>
            <Text size="xs">{state === 'rest' ? `${WORDS.rest} ${term('rest')}` : WORDS[state]}</Text>
          </Group>
        );
      })}
      <Text size="xs">Dots: full are on next, open not, bars are missed pots</Text>
      <LineKey cueBall objectBall natural window wanted pocket />
    </Group>
  );
}
