import { Button, Group, Select, SimpleGrid, Stack, Text, TextInput, Title } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { newTableSchema, type ClubTable } from '../../core/records/club.ts';
import { PRESET_IDS, type PresetId } from '../../core/table/preset.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { buildTable } from '../../core/table/table.ts';
import { call } from '../api/client.ts';
import { tablesQuery } from '../api/queries.ts';
import { Loading } from '../app/Loading.tsx';
import { useViewer } from '../app/viewer.ts';
import { checkedBy, errorsOf } from '../app/yupForm.ts';
import { TableDrawing } from '../table/TableDrawing.tsx';

/** The club's tables, each drawn to scale with what is known of it. */
export function Hall() {
  const viewer = useViewer();
  const tables = useQuery(tablesQuery);
  if (tables.data === undefined) return <Loading what="the tables" error={tables.error} />;
  return (
    <Stack>
      <Title order={1}>The hall</Title>
      {tables.data.length === 0 && <Text>The club has no table yet. Add the first one below.</Text>}
      <SimpleGrid cols={{ base: 1, md: 2 }} spacing="lg">
        {tables.data.map((table) => (
          <TableCard key={table.id} table={table} />
        ))}
      </SimpleGrid>
      {viewer.role === 'coach' && <AddTable />}
    </Stack>
  );
}

function TableCard({ table }: { readonly table: ClubTable }) {
  const built = buildTable(table.preset);
  const { preset, parameters } = built;
  const facts = [
    ['Size between noses', `${preset.length.toFixed(3)} × ${preset.width.toFixed(3)} m`],
    ['Balls', `${(2000 * preset.ballRadius).toFixed(2)} mm, ${Math.round(1000 * preset.ballMass)} g`],
    [
      'Corner and middle mouths',
      `${Math.round(1000 * preset.corner.mouth)} and ${Math.round(1000 * preset.middle.mouth)} mm`,
    ],
    ['Cloth', `rolling ${parameters.rollingFriction}, sliding ${parameters.slidingFriction}`],
    [
      'Cushions',
      `restitution ${parameters.cushionRestitution}, nose ${(1000 * parameters.noseHeight).toFixed(1)} mm high`,
    ],
  ] as const;
  return (
    <article className="card">
      <Group justify="space-between" mb="xs">
        <Title order={2} size="h3">
          {table.name}
        </Title>
        <Text>{preset.name}</Text>
      </Group>
      <TableDrawing table={built} label={`${table.name}, a ${preset.name} table`} />
      <dl style={{ display: 'grid', gridTemplateColumns: 'auto 1fr', gap: '2px 16px', margin: '12px 0 0' }}>
        {facts.map(([name, value]) => (
          <div key={name} style={{ display: 'contents' }}>
            <dt className="muted">{name}</dt>
            <dd style={{ margin: 0, textAlign: 'right' }}>{value}</dd>
          </div>
        ))}
      </dl>
    </article>
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
