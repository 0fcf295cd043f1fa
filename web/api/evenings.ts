import { queryOptions } from '@tanstack/react-query';
import { eveningSchema, eveningWantsSchema } from '../../core/records/evening.ts';
import { get } from './client.ts';

/** What each of some players would gain by, and warm up with. */
export const wantsQuery = (players: readonly string[]) =>
  queryOptions({
    queryKey: ['evenings', 'wants', [...players].sort()],
    queryFn: () => get(`/evenings/wants?players=${[...players].sort().join()}`, eveningWantsSchema),
    enabled: players.length > 0,
    // What is planned from it is changed by hand: it must not become another plan under the hand.
    staleTime: Infinity,
    refetchOnReconnect: false,
  });

/** The lessons of an evening. */
export const plannedEveningQuery = (id: string) =>
  queryOptions({
    queryKey: ['lessons', 'evening', id],
    queryFn: () => get(`/evenings/${id}`, eveningSchema),
  });
