import { Button, Group, Text, TextInput, Title } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { ClubTable } from '../../core/records/clubTable.ts';
import type { NotedConditions } from '../../core/records/conditions.ts';
import { ORDINARY_CONDITIONS } from '../../core/table/card.ts';
import type { Conditions } from '../../core/table/cardChoices.ts';
import { call } from '../api/client.ts';
import { tablesQuery } from '../api/tables.ts';
import { clock } from '../words/dates.ts';
import { useViewer } from '../api/viewer.ts';
import { errorsOf } from '../controls/yupForm.ts';
import { capital } from '../words/vocabulary.ts';
import { ConditionsChoices } from '../controls/ConditionsChoices.tsx';
import { conditionsInWords } from '../words/conditionWords.ts';

interface ConditionsPanelProps {
  readonly table: ClubTable;
  /** What holds now. */
  readonly current: NotedConditions | null;
}

/** How the table plays tonight, and noting it. */
export function ConditionsPanel({ table, current }: ConditionsPanelProps) {
  const viewer = useViewer();
  return (
    <section className="card" aria-labelledby="tonight-title">
      <Title order={2} size="h4" id="tonight-title">
        Tonight
      </Title>
      <Text data-testid="tonight">
        {current === null
          ? 'Nothing noted: the card holds as it is.'
          : `${capital(conditionsInWords(current.conditions))}, noted ${clock(current.notedAt)} by ${current.by}. Holds until ${clock(current.holdsUntil)}.`}
      </Text>
      {current !== null && current.note !== '' && <Text c="dimmed">{current.note}</Text>}
      {viewer.role === 'coach' && <NoteForm table={table} current={current} />}
    </section>
  );
}

function NoteForm({ table, current }: ConditionsPanelProps) {
  const queries = useQueryClient();
  const [conditions, setConditions] = useState<Conditions>(current?.conditions ?? ORDINARY_CONDITIONS);
  const [note, setNote] = useState('');
  const [error, setError] = useState<string>();
  const [busy, setBusy] = useState(false);

  async function send(method: 'PUT' | 'DELETE', id: string, body?: unknown) {
    setBusy(true);
    try {
      await call(method, `/tables/${table.id}/conditions/${id}`, body);
      await queries.invalidateQueries({ queryKey: tablesQuery.queryKey });
      setError(undefined);
      if (method === 'PUT') setNote('');
    } catch (cause) {
      setError(Object.values(errorsOf(cause, 'note'))[0]);
    } finally {
      setBusy(false);
    }
  }

  return (
    <div className="conditions-form">
      <ConditionsChoices conditions={conditions} onChange={setConditions} />
      <Group gap={8} wrap="nowrap" align="start">
        <TextInput
          aria-label="Note on the conditions"
          placeholder="a note, if it helps"
          size="xs"
          maxLength={300}
          style={{ flex: 1 }}
          value={note}
          error={error}
          onChange={(event) => setNote(event.currentTarget.value)}
        />
        <Button
          size="xs"
          loading={busy}
          onClick={() =>
            void send('PUT', crypto.randomUUID(), { conditions, note, notedAt: new Date().toISOString() })
          }
        >
          Note for tonight
        </Button>
        {current !== null && (
          <Button size="xs" variant="default" disabled={busy} onClick={() => void send('DELETE', current.id)}>
            Withdraw
          </Button>
        )}
      </Group>
    </div>
  );
}
