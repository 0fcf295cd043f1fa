import { queryOptions } from '@tanstack/react-query';
import { array, boolean, number, object, string } from 'yup';
import { clubsSchema, coachesSchema } from '../../core/records/account.ts';
import { auditEntriesSchema } from '../../core/records/audit.ts';
import { removedRoundsSchema } from '../../core/records/corrections.ts';
import { hallsSchema } from '../../core/records/hall.ts';
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

export const coachesQuery = queryOptions({
  queryKey: ['coaches'],
  queryFn: () => get('/coaches', coachesSchema),
});

export const hallsQuery = queryOptions({ queryKey: ['halls'], queryFn: () => get('/halls', hallsSchema) });

/** What was changed in the club, or about one person, round or table. */
export const auditQuery = (about?: string) =>
  queryOptions({
    queryKey: ['audit', about ?? 'all'],
    queryFn: () => get(`/club/audit?${addressed({ about })}`, auditEntriesSchema),
  });

/** The rounds that were put away. */
export const removedRoundsQuery = queryOptions({
  queryKey: ['rounds', 'removed'],
  queryFn: () => get('/rounds/removed', removedRoundsSchema),
});

/** The clubs of the installation, for its keeper. */
export const allClubsQuery = queryOptions({
  queryKey: ['clubs'],
  queryFn: () => get('/club/all', clubsSchema),
});

const keptBackupsSchema = object({
  nightly: boolean().required(),
  kept: array(
    object({ name: string().required(), madeAt: string().required(), bytes: number().required() }).required(),
  ).required(),
}).required();

/** The backups that the server made by itself. */
export const keptBackupsQuery = queryOptions({
  queryKey: ['backups'],
  queryFn: () => get('/export/backups', keptBackupsSchema),
});
