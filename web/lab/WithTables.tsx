import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import type { ClubTable } from '../../core/records/clubTable.ts';
import { tablesQuery } from '../api/tables.ts';
import { Loading } from '../controls/Loading.tsx';

/** A bench with the hall's tables: where the address names one, nothing is drawn before they are there. */
export function WithTables({ children }: { readonly children: (tables: readonly ClubTable[]) => ReactNode }) {
  const [params] = useSearchParams();
  const tables = useQuery(tablesQuery);
  if (tables.data === undefined && params.has('table'))
    return <Loading what="the table" error={tables.error} />;
  return children((tables.data ?? []).filter((table) => !table.archived));
}
