import type { QueryClient } from '@tanstack/react-query';
import { programmeSchema, type Programme } from '../../core/records/programme.ts';
import { call } from '../api/client.ts';
import { programmeQuery } from '../api/programmes.ts';

/** Ticks an entry off, or takes the tick back: shown at once, and taken back when it could not be stored. */
export async function tickItem(
  queries: QueryClient,
  id: string,
  item: string,
  done: boolean,
): Promise<Programme | undefined> {
  const { queryKey } = programmeQuery(id);
  await queries.cancelQueries({ queryKey });
  const before = queries.getQueryData(queryKey);
  if (before !== undefined) {
    const others = before.programme.ticks.filter((tick) => tick.item !== item);
    const ticks = done ? [...others, { item, at: new Date().toISOString() }] : others;
    queries.setQueryData(queryKey, { ...before, programme: { ...before.programme, ticks } });
  }
  try {
    const stored = await programmeSchema.validate(
      await call('PUT', `/programmes/${id}/items/${item}/done`, { done }),
    );
    queries.setQueryData(queryKey, (now) => (now === undefined ? now : { ...now, programme: stored }));
    return stored;
  } catch (error) {
    queries.setQueryData(queryKey, before);
    throw error;
  }
}
