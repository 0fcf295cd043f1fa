import { queryOptions } from '@tanstack/react-query';
import { callsSchema } from '../../core/records/call.ts';
import { callRoundsSchema } from '../../core/records/callRounds.ts';
import { get } from './client.ts';

export const playerCallsQuery = (id: string) =>
  queryOptions({
    queryKey: ['players', id, 'calls'],
    queryFn: () => get(`/players/${id}/calls`, callsSchema),
  });

/** What was called in rounds, by question. */
export const callRoundsQuery = (id: string) =>
  queryOptions({
    queryKey: ['players', id, 'call rounds'],
    queryFn: () => get(`/players/${id}/call-rounds`, callRoundsSchema),
  });
