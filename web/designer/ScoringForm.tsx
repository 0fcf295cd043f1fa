import { Group } from '@mantine/core';
import { NumberEntry } from '../controls/NumberEntry.tsx';
import { firstScoring } from '../../core/drill/draft.ts';
import { methodsOf } from '../../core/drill/methodsOf.ts';
import type { Drill } from '../../core/records/drill.ts';
import { scoringSchema } from '../../core/records/drillText/counting.ts';
import { LEVEL_NAMES } from '../../core/player/levels.ts';
import { capital } from '../words/vocabulary.ts';
import { ListField, OneOf } from '../controls/fields.tsx';

type Scoring = Drill['scoring'];

/** What a setting is called where its name in the file does not say it. */
const NAMES: Readonly<Record<string, string>> = {
  giveUpAfter: 'Given up after',
  windowLevel: 'Window of a player of',
  wins: 'Racks to win',
  of: 'of',
  onMiss: 'A miss goes',
  mostBalls: 'Balls that count',
  dryBelow: 'Dry below',
  afterInOff: 'Share after an in-off',
  leaveCosts: 'A leave costs',
};

/** Words that a setting can be. */
const WORDS: Readonly<Record<string, readonly string[]>> = {
  windowLevel: LEVEL_NAMES,
  onMiss: ['down one', 'back to start'],
};

const nameOf = (key: string) => NAMES[key] ?? capital(key);

interface ScoringFormProps {
  readonly drill: Drill;
  readonly onChange: (scoring: Scoring) => void;
}

/** How the round is counted: the method, then its settings, each by what it is. */
export function ScoringForm({ drill, onChange }: ScoringFormProps) {
  const { scoring } = drill;
  const methods = methodsOf(drill);
  const offered = methods.includes(scoring.method) ? methods : [...methods, scoring.method];
  // The settings of fourteen methods are of four kinds; the schema takes only what fits the method.
  const put = (change: Readonly<Record<string, unknown>>) => {
    const next = { ...scoring, ...change };
    if (scoringSchema.isValidSync(next)) onChange(scoringSchema.validateSync(next));
  };
  const number = (key: string, value: number, change: (value: number) => void) => (
    <NumberEntry
      whole
      key={key}
      label={nameOf(key)}
      size="xs"
      w={130}
      min={0}
      value={value}
      onEnter={change}
    />
  );
  return (
    <>
      <OneOf
        label="Counted by"
        value={scoring.method}
        values={offered}
        onChange={(method) => onChange(firstScoring(method, drill))}
      />
      <Group gap={8} align="end">
        {Object.entries(scoring).map(([key, value]: [string, unknown]) => {
          if (key === 'method') return null;
          if (typeof value === 'number') return number(key, value, (next) => put({ [key]: next }));
          if (typeof value === 'string') {
            return (
              <OneOf
                key={key}
                label={nameOf(key)}
                value={value}
                values={WORDS[key] ?? [value]}
                onChange={(next) => put({ [key]: next })}
              />
            );
          }
          if (Array.isArray(value)) {
            return (
              <ListField
                key={key}
                label={nameOf(key)}
                value={value.map(String)}
                onChange={(list) => put({ [key]: list.map(Number) })}
              />
            );
          }
          if (typeof value !== 'object' || value === null) return null;
          return Object.entries(value).map(
            ([part, each]: [string, unknown]) =>
              typeof each === 'number' &&
              number(part, each, (next) => put({ [key]: { ...value, [part]: next } })),
          );
        })}
      </Group>
    </>
  );
}
