import { Button, Group, Table, Text, TextInput, Title } from '@mantine/core';
import { NumberEntry } from '../controls/NumberEntry.tsx';
import { useState } from 'react';
import { cardValues, type CardValue, type TableCard } from '../../core/table/card.ts';
import type { Conditions } from '../../core/table/cardChoices.ts';
import { PRESET_SOURCES } from '../../core/table/cardSources.ts';
import { CARD_VALUES, type CardValueName } from '../../core/table/cardValues.ts';
import { valueInWords, valueWords } from './cardWords.ts';

interface CardNumbersProps {
  readonly card: TableCard;
  readonly conditions: Conditions | null;
  readonly readOnly: boolean;
  readonly onChange: (card: TableCard) => void;
}

/** Every number of the table with the reason it is what it is; each can be replaced by a measured one. */
export function CardNumbers({ card, conditions, readOnly, onChange }: CardNumbersProps) {
  const [editing, setEditing] = useState<CardValueName>();
  const without = (name: CardValueName) => card.measured.filter((each) => each.name !== name);
  return (
    <section className="card" aria-labelledby="numbers-title">
      <Title order={2} size="h4" id="numbers-title">
        The numbers
      </Title>
      <Table verticalSpacing={3} mt={4}>
        <Table.Thead>
          <Table.Tr>
            <Table.Th>Number</Table.Th>
            <Table.Th ta="right">Tonight</Table.Th>
            <Table.Th ta="right">This kind</Table.Th>
            <Table.Th>Why</Table.Th>
            {!readOnly && <Table.Th />}
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {cardValues(card, conditions).map((value) => (
            <NumberRow
              key={value.name}
              value={value}
              card={card}
              readOnly={readOnly}
              editing={editing === value.name}
              onEdit={(open) => setEditing(open ? value.name : undefined)}
              onMeasured={(measured) => {
                onChange({
                  ...card,
                  measured: [
                    ...without(value.name),
                    ...(measured === undefined ? [] : [{ name: value.name, ...measured }]),
                  ],
                });
                setEditing(undefined);
              }}
            />
          ))}
        </Table.Tbody>
      </Table>
    </section>
  );
}

interface Measured {
  readonly value: number;
  readonly source: string;
}

interface NumberRowProps {
  readonly value: CardValue;
  readonly card: TableCard;
  readonly readOnly: boolean;
  readonly editing: boolean;
  readonly onEdit: (open: boolean) => void;
  readonly onMeasured: (measured: Measured | undefined) => void;
}

function NumberRow({ value, card, readOnly, editing, onEdit, onMeasured }: NumberRowProps) {
  const { title } = valueWords(value.name);
  const measured = card.measured.find((each) => each.name === value.name);
  return (
    <Table.Tr>
      <Table.Td>{title}</Table.Td>
      <Table.Td ta="right">
        <b>{valueInWords(value.name, value.value)}</b>
      </Table.Td>
      <Table.Td ta="right" c="dimmed">
        {valueInWords(value.name, value.preset)}
      </Table.Td>
      <Table.Td>
        {editing ? (
          <MeasuredForm
            value={value}
            measured={measured}
            onDone={onMeasured}
            onCancel={() => onEdit(false)}
          />
        ) : (
          <Reasons value={value} />
        )}
      </Table.Td>
      {!readOnly && (
        <Table.Td ta="right">
          {!editing && (
            <Group gap={6} justify="end" wrap="nowrap">
              {measured !== undefined && (
                <Button
                  size="compact-xs"
                  variant="default"
                  aria-label={`Drop the measured ${title}`}
                  onClick={() => onMeasured(undefined)}
                >
                  Drop
                </Button>
              )}
              <Button
                size="compact-xs"
                variant="default"
                aria-label={`Measured: ${title}`}
                onClick={() => onEdit(true)}
              >
                Measured…
              </Button>
            </Group>
          )}
        </Table.Td>
      )}
    </Table.Tr>
  );
}

function Reasons({ value }: { readonly value: CardValue }) {
  if (value.steps.length === 0) {
    return (
      <Text size="sm" c="dimmed">
        {PRESET_SOURCES[value.name]}
      </Text>
    );
  }
  return (
    <>
      {value.steps.map((step) => (
        <Text size="sm" key={step.reason}>
          {valueInWords(value.name, step.to)}: {step.reason}
        </Text>
      ))}
    </>
  );
}

interface MeasuredFormProps {
  readonly value: CardValue;
  readonly measured: Measured | undefined;
  readonly onDone: (measured: Measured) => void;
  readonly onCancel: () => void;
}

function MeasuredForm({ value, measured, onDone, onCancel }: MeasuredFormProps) {
  const words = valueWords(value.name);
  const { least, most } = CARD_VALUES[value.name];
  const [typed, setTyped] = useState<number | null>(
    Number(((measured?.value ?? value.value) * words.scale).toFixed(words.digits)),
  );
  const [source, setSource] = useState(measured?.source ?? '');
  const [tried, setTried] = useState(false);
  const si = typed !== null ? Number((typed / words.scale).toPrecision(8)) : NaN;
  const valueError =
    si >= least && si <= most
      ? undefined
      : `from ${valueInWords(value.name, least)} to ${valueInWords(value.name, most)}`;
  const sourceError = source.trim() === '' ? 'how was it found?' : undefined;

  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (valueError === undefined && sourceError === undefined)
          onDone({ value: si, source: source.trim() });
      }}
    >
      <Group gap={8} align="start">
        <NumberEntry
          size="xs"
          w={130}
          data-autofocus
          aria-label={`${words.title}${words.unit === '' ? '' : `, ${words.unit}`}`}
          unit={words.unit}
          digits={words.digits + 1}
          live
          value={typed}
          error={tried ? valueError : undefined}
          onEnter={setTyped}
          onClear={() => setTyped(null)}
        />
        <TextInput
          size="xs"
          w={300}
          aria-label={`How the ${words.title.toLowerCase()} was found`}
          placeholder="how it was found"
          maxLength={200}
          value={source}
          error={tried ? sourceError : undefined}
          onChange={(event) => setSource(event.currentTarget.value)}
        />
        <Button size="xs" type="submit">
          Use it
        </Button>
        <Button size="xs" variant="default" onClick={onCancel}>
          Cancel
        </Button>
      </Group>
    </form>
  );
}
