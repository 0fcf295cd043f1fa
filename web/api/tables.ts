import { queryOptions } from '@tanstack/react-query';
import { tableWatchSchema } from '../../core/records/calibration.ts';
import { clubTablesSchema, tableStateSchema, type TableRef } from '../../core/records/clubTable.ts';
import { tableLogSchema } from '../../core/records/tableLog.ts';
import { get } from './client.ts';

export const tablesQuery = queryOptions({
  queryKey: ['tables'],
  queryFn: () => get('/tables', clubTablesSchema),
});

export const tableLogQuery = (id: string) =>
  queryOptions({ queryKey: ['tables', id, 'log'], queryFn: () => get(`/tables/${id}/log`, tableLogSchema) });

/** Its calibrations, and how its landings compare with those elsewhere. */
export const tableWatchQuery = (id: string) =>
  queryOptions({
    queryKey: ['tables', id, 'watch'],
    queryFn: () => get(`/tables/${id}/watch`, tableWatchSchema),
  });

/** A table as it was when a round was played on it; it never changes. */
export const tableStateQuery = ({ id, revision, conditionsId }: TableRef) =>
  queryOptions({
    queryKey: ['tables', id, 'states', revision, conditionsId],
    staleTime: Infinity,
    queryFn: () =>
      get(
        `/tables/${id}/states/${revision}${conditionsId === null ? '' : `?conditions=${conditionsId}`}`,
        tableStateSchema,
      ),
  });

export function addressOf(ref: TableRef | undefined): string {
  if (ref === undefined) return '';
  const { id, revision, conditionsId } = ref;
  return `?table=${id}&revision=${revision}${conditionsId === null ? '' : `&conditions=${conditionsId}`}`;
}
