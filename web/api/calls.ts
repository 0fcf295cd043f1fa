import { queryOptions } from '@tanstack/react-query';
import { callsSchema } from '../../core/records/call.ts';
import { get } from './client.ts';

export const playerCallsQuery = (id: string) =>
  queryOptions({
    queryKey: ['players', id, 'calls'],
    queryFn: () => get(`/players/${id}/calls`, callsSchema),
  });
