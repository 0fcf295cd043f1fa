import { Alert, Anchor, Button, Group, Stack, Text, TextInput, Title } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { number, object, string } from 'yup';
import { cardText, tableCardSchema } from '../../core/records/tableCard.ts';
import type { ClubTable } from '../../core/records/clubTable.ts';
import { tableOfCard, type TableCard } from '../../core/table/card.ts';
import { call } from '../api/client.ts';
import { tablesQuery } from '../api/tables.ts';
import { Loading } from '../controls/Loading.tsx';
import { NoSuchPage } from '../app/Failure.tsx';
import { useViewer } from '../api/viewer.ts';
import { useKept } from '../controls/useKept.ts';
import { errorsOf } from '../controls/yupForm.ts';
import { TableDrawing } from '../table/TableDrawing.tsx';
import { useWords } from '../words/useWords.ts';
import { CardChoicesForm } from './CardChoicesForm.tsx';
import { CardHistory } from './CardHistory.tsx';
import { CardNumbers } from './CardNumbers.tsx';
import { cardInWords, roomInWords } from './cardWords.ts';
import { HallOfTable } from './HallOfTable.tsx';
import { ConditionsPanel } from './ConditionsPanel.tsx';
import { WatchPart } from './WatchPart.tsx';
import { currentState } from '../table/tableChoice.ts';

/** One table of the hall: what is known of it, how it plays tonight, and every number that follows. */
export function TablePage() {
  const { id = '' } = useParams();
  const tables = useQuery(tablesQuery);
  if (tables.data === undefined) return <Loading what="the table" error={tables.error} />;
  const table = tables.data.find((each) => each.id === id);
  if (table === undefined) return <NoSuchPage />;
  return <CardEditor key={table.id} table={table} />;
}

/** A card while it is changed, and the revision that it was made from. */
interface CardDraft {
  readonly name: string;
  readonly card: TableCard;
  readonly basedOn: number;
}

const draftSchema = object({
  name: string().strict().defined(),
  card: tableCardSchema,
  basedOn: number().strict().required(),
}).required();

function readDraft(value: unknown): CardDraft | undefined {
  return draftSchema.isValidSync(value) ? value : undefined;
}

function CardEditor({ table }: { readonly table: ClubTable }) {
  const viewer = useViewer();
  const { vocabulary } = useWords();
  const queries = useQueryClient();
  const [now] = useState(() => Date.now());
  const stored = { name: table.name, card: table.state.card, basedOn: table.state.revision };
  // What is not saved stays on this device. It holds the revision that it was made from: a save on top of somebody
  // else's is refused, not mixed.
  const [draft, keepDraft] = useKept(`jolly-card:${viewer.id}:${table.id}`, readDraft);
  const { name, card, basedOn } = draft ?? stored;
  const edit = (change: Partial<CardDraft>) => {
    const next = { ...(draft ?? stored), ...change };
    const same = next.name === stored.name && cardText(next.card) === cardText(stored.card);
    keepDraft(same ? undefined : next);
  };
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const [busy, setBusy] = useState(false);
  const { conditions } = currentState(table, now);
  const isCoach = viewer.role === 'coach';
  const changed = draft !== undefined;
  const built = tableOfCard(card, conditions?.conditions ?? null);
  const outdated = basedOn !== table.state.revision;

  async function save(archived: boolean) {
    setBusy(true);
    setErrors({});
    try {
      await call('PUT', `/tables/${table.id}`, { name, archived, card, basedOn });
      await queries.invalidateQueries({ queryKey: tablesQuery.queryKey });
      keepDraft(undefined);
    } catch (error) {
      setErrors(errorsOf(error, 'save'));
      await queries.invalidateQueries({ queryKey: tablesQuery.queryKey });
    } finally {
      setBusy(false);
    }
  }

  function startOver() {
    keepDraft(undefined);
    setErrors({});
  }

  const { name: nameError, ...others } = errors;
  return (
    <Stack gap="sm">
      <Group justify="space-between" align="end">
        <div>
          <Anchor component={Link} to="/hall" size="sm" underline="always">
            The hall
          </Anchor>
          <Title order={1}>{table.name}</Title>
          <Text c="dimmed">
            {cardInWords(card, vocabulary)} {roomInWords(card.room, vocabulary)}
          </Text>
        </div>
        <Group gap={8}>
          <Button component={Link} to={`/lab?table=${table.id}`} variant="default">
            Try it in the lab
          </Button>
          {isCoach && !table.archived && (
            <Button component={Link} to={`/hall/${table.id}/calibrate`} variant="default">
              Calibrate it
            </Button>
          )}
          {isCoach && <HallOfTable table={table} />}
          {isCoach && (
            <>
              <Button variant="default" loading={busy} onClick={() => void save(!table.archived)}>
                {table.archived ? 'Bring back' : 'Put away'}
              </Button>
              <Button variant="default" disabled={!changed} onClick={startOver}>
                Start over
              </Button>
              <Button
                disabled={!changed || outdated}
                loading={busy}
                onClick={() => void save(table.archived)}
              >
                Save the card
              </Button>
            </>
          )}
        </Group>
      </Group>
      {changed && !outdated && (
        <Text size="sm" c="dimmed" role="status">
          Not saved yet; kept on this device.
        </Text>
      )}
      {outdated && (
        <Alert color="coral" variant="outline" p="xs">
          Somebody has changed this card meanwhile. What you typed is still here; “Start over” shows theirs.
        </Alert>
      )}
      {Object.entries(others).map(([field, message]) => (
        <Alert key={field} color="coral" variant="outline" p="xs" role="alert">
          {message}
        </Alert>
      ))}
      <div className="table-page">
        <Stack gap="sm">
          <TableDrawing table={built} label={`${table.name}, a ${built.preset.name} table`} />
          <ConditionsPanel table={table} current={conditions} />
        </Stack>
        <Stack gap="sm">
          {isCoach && (
            <TextInput
              label="Name"
              value={name}
              maxLength={60}
              error={nameError}
              onChange={(event) => edit({ name: event.currentTarget.value })}
            />
          )}
          <CardChoicesForm card={card} readOnly={!isCoach} onChange={(next) => edit({ card: next })} />
        </Stack>
      </div>
      <CardNumbers
        card={card}
        conditions={conditions?.conditions ?? null}
        readOnly={!isCoach}
        onChange={(next) => edit({ card: next })}
      />
      <WatchPart table={table} />
      <CardHistory table={table} onTake={isCoach ? (taken) => edit({ card: taken }) : undefined} />
    </Stack>
  );
}
