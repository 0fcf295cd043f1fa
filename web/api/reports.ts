import { queryOptions } from '@tanstack/react-query';
import { reportSchema, reportsSchema } from '../../core/records/report.ts';
import { addressed } from './address.ts';
import { get } from './client.ts';

export const reportsQuery = (playerId: string) =>
  queryOptions({
    queryKey: ['reports', 'of', playerId],
    queryFn: () => get(`/reports?${addressed({ player: playerId })}`, reportsSchema),
  });

export const reportQuery = (id: string) =>
  queryOptions({ queryKey: ['reports', id], queryFn: () => get(`/reports/${id}`, reportSchema) });
