import { Select } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { ClubTable } from '../../core/records/clubTable.ts';
import { call } from '../api/client.ts';
import { hallsQuery } from '../api/club.ts';
import { tablesQuery } from '../api/tables.ts';

/** In which hall a table stands; not asked while the club has named none. */
export function HallOfTable({ table }: { readonly table: ClubTable }) {
  const halls = useQuery(hallsQuery);
  const queries = useQueryClient();
  const [refused, setRefused] = useState('');
  const known = (halls.data ?? []).filter(({ id, archived }) => !archived || id === table.hallId);
  if (known.length === 0) return null;
  async function place(hallId: string | null) {
    setRefused('');
    try {
      await call('PUT', `/tables/${table.id}/hall`, { hallId });
      await queries.invalidateQueries({ queryKey: tablesQuery.queryKey });
    } catch (error) {
      setRefused(error instanceof Error ? error.message : 'it was not stored');
    }
  }
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
