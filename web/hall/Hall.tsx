import { Button, Group, Select, SimpleGrid, Stack, Text, TextInput, Title } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { newTableSchema } from '../../core/records/clubTable.ts';
import type { ClubTable } from '../../core/records/clubTable.ts';
import { tableOfCard } from '../../core/table/card.ts';
import { PRESET_IDS, type PresetId } from '../../core/table/preset.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { call } from '../api/client.ts';
import type { Hall as HallRecord } from '../../core/records/hall.ts';
import { hallsQuery } from '../api/club.ts';
import { tablesQuery } from '../api/tables.ts';
import { Loading } from '../controls/Loading.tsx';
import { useViewer } from '../api/viewer.ts';
import { checkedBy, errorsOf } from '../controls/yupForm.ts';
import { TableDrawing } from '../table/TableDrawing.tsx';
import { useWords } from '../words/useWords.ts';
import { CuesPart } from './CuesPart.tsx';
import { cardInWords, roomInWords } from './cardWords.ts';
import { conditionsInWords } from '../words/conditionWords.ts';
import { currentState } from '../table/tableChoice.ts';

/** The club's tables, each drawn to scale, with how it plays. */
export function Hall() {
  const viewer = useViewer();
  const tables = useQuery(tablesQuery);
  const halls = useQuery(hallsQuery);
  if (tables.data === undefined) return <Loading what="the tables" error={tables.error} />;
  const used = tables.data.filter((table) => !table.archived);
  const archived = tables.data.filter((table) => table.archived);
  return (
    <Stack>
      <Title order={1}>The hall</Title>
      {used.length === 0 && <Text>The club has no table in use. Add the first one below.</Text>}
      {placesOf(used, halls.data ?? []).map(({ id, name, tables: here }) => (
        <section key={id} aria-label={name}>
          {name !== '' && (
            <Title order={2} size="h3" mb="xs">
              {name}
            </Title>
          )}
          <SimpleGrid
            cols={{ base: 1, sm: 2, md: here.length % 3 === 0 || here.length > 4 ? 3 : 2 }}
            spacing="lg"
          >
            {here.map((table) => (
              <TableTile key={table.id} table={table} />
            ))}
          </SimpleGrid>
        </section>
      ))}
      {archived.length > 0 && (
        <Text c="dimmed">
          Put away:{' '}
          {archived.map(({ id, name }, i) => (
            <span key={id}>
              {i > 0 && ', '}
              <Link to={`/hall/${id}`}>{name}</Link>
            </span>
          ))}
        </Text>
      )}
      {viewer.role === 'coach' && <AddTable />}
      <CuesPart />
    </Stack>
  );
}

interface Place {
  readonly id: string;
  /** Empty for tables of which nobody has said where they stand, while no hall has a name. */
  readonly name: string;
  readonly tables: readonly ClubTable[];
}

/** Tables by the hall in which they stand; a hall without tables is not shown. */
function placesOf(tables: readonly ClubTable[], halls: readonly HallRecord[]): readonly Place[] {
  const places = halls.map(({ id, name }) => ({
    id,
    name,
    tables: tables.filter(({ hallId }) => hallId === id),
  }));
  const rest = tables.filter(({ hallId }) => !halls.some(({ id }) => id === hallId));
  const named = places.filter((place) => place.tables.length > 0);
  return [...named, { id: 'rest', name: named.length === 0 ? '' : 'Elsewhere', tables: rest }].filter(
    (place) => place.tables.length > 0,
  );
}

function TableTile({ table }: { readonly table: ClubTable }) {
  const { vocabulary } = useWords();
  const [now] = useState(() => Date.now());
  const { card, conditions } = currentState(table, now);
  const built = tableOfCard(card, conditions?.conditions ?? null);
  const room = roomInWords(card.room, vocabulary);
  return (
    <Link to={`/hall/${table.id}`} className="card card-link">
      <TableDrawing table={built} label={`${table.name}, a ${built.preset.name} table`} />
      <Text fw={700} size="lg" mt="xs">
        {table.name}
      </Text>
      <Text size="sm">{cardInWords(card, vocabulary)}</Text>
      {conditions !== null && (
        <Text size="sm" fw={700}>
          Tonight: {conditionsInWords(conditions.conditions)}.
        </Text>
      )}
      {room !== undefined && (
        <Text size="sm" c="dimmed">
          {room}
        </Text>
      )}
    </Link>
  );
}

function AddTable() {
  const queries = useQueryClient();
  const [busy, setBusy] = useState(false);
  const form = useForm<{ name: string; preset: PresetId }>({
    initialValues: { name: '', preset: 'pool-9ft' },
    validate: checkedBy(newTableSchema),
  });

  async function add(values: typeof form.values) {
    setBusy(true);
    try {
      await call('POST', '/tables', values);
      await queries.invalidateQueries({ queryKey: tablesQuery.queryKey });
      form.reset();
    } catch (error) {
      form.setErrors(errorsOf(error, 'name'));
    } finally {
      setBusy(false);
    }
  }

  return (
    <form className="card" onSubmit={form.onSubmit((values) => void add(values))}>
      <Group align="start">
        <TextInput label="Another table" placeholder="Pool room, table 3" {...form.getInputProps('name')} />
        <Select
          label="Kind"
          allowDeselect={false}
          data={PRESET_IDS.map((id) => ({ value: id, label: TABLE_PRESETS[id].name }))}
          {...form.getInputProps('preset')}
        />
        <Button type="submit" loading={busy} mt={25}>
          Add the table
        </Button>
      </Group>
    </form>
  );
}
