import { Select } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { ClubTable } from '../../core/records/clubTable.ts';
import { call } from '../api/client.ts';
import { hallsQuery } from '../api/club.ts';
import { tablesQuery } from '../api/tables.ts';
import { useDoing } from '../controls/useDoing.ts';

/** In which hall a table stands; not asked while the club has named none. */
export function HallOfTable({ table }: { readonly table: ClubTable }) {
  const halls = useQuery(hallsQuery);
  const queries = useQueryClient();
  const { refused, perform } = useDoing();
  const known = (halls.data ?? []).filter(({ id, archived }) => !archived || id === table.hallId);
  if (known.length === 0) return null;
  const place = (hallId: string | null) =>
    perform(async () => {
      await call('PUT', `/tables/${table.id}/hall`, { hallId });
      await queries.invalidateQueries({ queryKey: tablesQuery.queryKey });
    });
  return (
    <Select
      aria-label="The hall in which it stands"
      placeholder="Which hall"
      clearable
      w={180}
      value={table.hallId}
      error={refused === '' ? undefined : refused}
      data={known.map(({ id, name }) => ({ value: id, label: name }))}
      onChange={(value) => void place(value)}
    />
  );
}
