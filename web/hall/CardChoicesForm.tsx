import { sideWord } from '../words/kickWords.ts';
import { Group, Text, Title } from '@mantine/core';
import { UnitEntry } from '../controls/UnitEntry.tsx';
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
import { longUnit } from '../words/lengths.ts';

interface CardChoicesFormProps {
  readonly card: TableCard;
  readonly readOnly: boolean;
  readonly onChange: (card: TableCard) => void;
}

/** What can be said of a table without measuring. */
export function CardChoicesForm({ card, readOnly, onChange }: CardChoicesFormProps) {
  const { term, vocabulary } = useWords();
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
          From the {term('cushion')} to a wall or pillar, {longUnit().unit}; empty where there is room for any
          cue.
        </Text>
        <Group gap={8} grow wrap="nowrap">
          {(['head', 'foot', 'right', 'left'] as const).map((side) => (
            <UnitEntry
              key={side}
              size="xs"
              label={sideWord(side, vocabulary)}
              in={longUnit(2)}
              aria-label={`Room behind the ${sideWord(side, vocabulary)} ${term('cushion')}, ${longUnit().unit}`}
              readOnly={readOnly}
              value={card.room[side] ?? null}
              step={0.1}
              min={0}
              onEnter={(metres) => onChange({ ...card, room: { ...card.room, [side]: metres } })}
              onClear={() => onChange({ ...card, room: { ...card.room, [side]: null } })}
            />
          ))}
        </Group>
      </div>
    </section>
  );
}
