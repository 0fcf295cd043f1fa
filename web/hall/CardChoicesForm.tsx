import { Group, NumberInput, Text, Title } from '@mantine/core';
import type { TableCard } from '../../core/table/card.ts';
import {
  ballSetsOf,
  CLOTH_AGES,
  CLOTH_SPEEDS,
  CUSHION_KINDS,
  POCKET_KINDS,
} from '../../core/table/cardChoices.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { capital } from '../words/vocabulary.ts';
import { useWords } from '../words/useWords.ts';
import { ChoiceControl } from '../controls/ChoiceControl.tsx';

interface CardChoicesFormProps {
  readonly card: TableCard;
  readonly readOnly: boolean;
  readonly onChange: (card: TableCard) => void;
}

/** What can be said of a table without measuring. */
export function CardChoicesForm({ card, readOnly, onChange }: CardChoicesFormProps) {
  const { term } = useWords();
  const row = <T extends string>(
    title: string,
    value: T,
    values: readonly T[],
    change: (value: T) => Partial<TableCard>,
  ) => (
    <div>
      <Text size="sm" fw={700} mb={2}>
        {title}
      </Text>
      <ChoiceControl
        label={title}
        readOnly={readOnly}
        value={value}
        values={values}
        onChange={(chosen) => onChange({ ...card, ...change(chosen) })}
      />
    </div>
  );
  return (
    <section className="card card-choices" aria-labelledby="choices-title">
      <Title order={2} size="h4" id="choices-title">
        How it plays
      </Title>
      {row('Cloth', card.clothSpeed, CLOTH_SPEEDS, (clothSpeed) => ({ clothSpeed }))}
      {row('Age of the cloth', card.clothAge, CLOTH_AGES, (clothAge) => ({ clothAge }))}
      {row(`${capital(term('cushion'))}s`, card.cushions, CUSHION_KINDS, (cushions) => ({ cushions }))}
      {row('Pockets', card.pockets, POCKET_KINDS, (pockets) => ({ pockets }))}
      {row('Balls', card.ballSet, ballSetsOf(TABLE_PRESETS[card.preset]), (ballSet) => ({ ballSet }))}
      <div>
        <Text size="sm" fw={700}>
          Room for the cue
        </Text>
        <Text size="xs" c="dimmed" mb={4}>
          Metres from the {term('cushion')} to a wall or pillar; empty where there is room for any cue.
        </Text>
        <Group gap={8} grow wrap="nowrap">
          {(['head', 'foot', 'right', 'left'] as const).map((side) => (
            <NumberInput
              key={side}
              size="xs"
              label={side}
              aria-label={`Room behind the ${side} ${term('cushion')}, metres`}
              readOnly={readOnly}
              value={card.room[side] ?? ''}
              decimalScale={2}
              step={0.1}
              min={0}
              onChange={(value) =>
                onChange({
                  ...card,
                  room: { ...card.room, [side]: typeof value === 'number' ? value : null },
                })
              }
            />
          ))}
        </Group>
      </div>
    </section>
  );
}
