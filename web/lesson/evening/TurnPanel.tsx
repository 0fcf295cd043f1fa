import { Button, Select, Stack, Text, Title } from '@mantine/core';
import { useEffect, useRef } from 'react';
import type { EveningAsk, Turn } from '../../../core/evening/ask.ts';
import { insteadOf } from '../../../core/evening/instead.ts';
import { clockAt, insteadWords, wantWords } from '../../words/eveningWords.ts';
import type { EveningNames } from './Timetable.tsx';
import type { EditedTurns } from './useTurns.ts';

interface TurnPanelProps {
  readonly ask: EveningAsk;
  readonly edited: EditedTurns;
  readonly begins: string;
  readonly names: EveningNames;
}

const wantKey = ({ drill, stage }: { readonly drill: string; readonly stage: number }) => `${drill} ${stage}`;

/** One turn: why it is there, what it was weighed against, and what can be changed of it. */
export function TurnPanel({ edited, ...props }: TurnPanelProps) {
  const { turns, chosen } = edited;
  const turn = chosen === undefined ? undefined : turns[chosen];
  if (chosen === undefined || turn === undefined) return null;
  return (
    <div className="no-print">
      <ChosenTurn
        {...props}
        turns={turns}
        turn={turn}
        onChange={(next) => edited.change(chosen, next)}
        onRemove={() => edited.remove(chosen)}
      />
      <Button mt={8} variant="subtle" onClick={() => edited.choose(undefined)}>
        Back
      </Button>
    </div>
  );
}

interface ChosenTurnProps extends Omit<TurnPanelProps, 'edited'> {
  readonly turns: readonly Turn[];
  readonly turn: Turn;
  readonly onChange: (turn: Turn) => void;
  readonly onRemove: () => void;
}

function ChosenTurn({ ask, turns, turn, begins, names, onChange, onRemove }: ChosenTurnProps) {
  const student = ask.students.find(({ id }) => id === turn.student);
  const table = ask.tables.find(({ id }) => id === turn.table);
  const wants = (student?.wants ?? []).filter(
    ({ tables }) => table === undefined || tables.includes(table.preset),
  );
  const offered = [...new Map([turn.want, ...wants].map((want) => [wantKey(want), want])).values()];
  const instead = insteadOf(ask, turns, turn);
  const panel = useRef<HTMLElement>(null);
  const which = `${turn.table} ${turn.from}`;
  // On a telephone it stands below the timetable.
  useEffect(() => {
    panel.current?.scrollIntoView({ block: 'nearest' });
  }, [which]);
  return (
    <section className="card" aria-labelledby="turn-title" ref={panel}>
      <Stack gap={8}>
        <div>
          <Title order={2} size="h4" id="turn-title">
            {names.student(turn.student)}, {clockAt(begins, turn.from)}
          </Title>
          <Text size="sm" c="dimmed">
            {names.table(turn.table)}, {turn.minutes} minutes
          </Text>
        </div>
        <Text size="sm">{wantWords(turn.want)}</Text>
        {instead !== undefined && (
          <Text size="sm" c="dimmed">
            {insteadWords(names.student(instead.student), instead.costs)}
          </Text>
        )}
        <Select
          label="Student"
          allowDeselect={false}
          data={ask.students.map(({ id }) => ({ value: id, label: names.student(id) }))}
          value={turn.student}
          onChange={(id) => {
            const other = ask.students.find((each) => each.id === id);
            const want = other?.wants.find(
              ({ kind, tables }) => kind === 'main' && (table === undefined || tables.includes(table.preset)),
            );
            if (other !== undefined) onChange({ ...turn, student: other.id, want: want ?? turn.want });
          }}
        />
        <Select
          label="Drill"
          allowDeselect={false}
          data={offered.map((want) => ({
            value: wantKey(want),
            label: `${names.drill(want.drill)}, stage ${want.stage}`,
          }))}
          value={wantKey(turn.want)}
          onChange={(key) => {
            const want = offered.find((each) => wantKey(each) === key);
            if (want !== undefined) onChange({ ...turn, want });
          }}
        />
        <Select
          label="Coach"
          clearable
          placeholder="on their own"
          data={ask.coaches.map((id) => ({ value: id, label: names.coach(id) }))}
          value={turn.coach ?? null}
          onChange={(id) => onChange({ ...turn, coach: id ?? undefined })}
        />
        <Button variant="default" onClick={onRemove}>
          Take this turn out
        </Button>
      </Stack>
    </section>
  );
}
