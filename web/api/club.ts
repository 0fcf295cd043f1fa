import { queryOptions } from '@tanstack/react-query';
import { roundHeadsSchema } from '../../core/records/round.ts';
import { clubOverviewSchema } from '../../core/records/clubOverview.ts';
import { addressed } from './address.ts';
import { get } from './client.ts';

/** All players at a glance. @param today the day of this device's calendar */
export const clubOverviewQuery = (today: string) =>
  queryOptions({
    queryKey: ['players', 'overview', today],
    queryFn: () => get(`/club/overview?${addressed({ today })}`, clubOverviewSchema),
  });

/** The rounds of an evening. @param from, to ISO 8601 */
export const eveningQuery = (from: string, to: string) =>
  queryOptions({
    queryKey: ['rounds', 'evening', from, to],
    queryFn: () => get(`/club/evening?${addressed({ from, to })}`, roundHeadsSchema),
  });
