import { queryOptions, skipToken } from '@tanstack/react-query';
import { drillEntrySchema, listedDrillSchema, listedDrillsSchema } from '../../core/records/listedDrill.ts';
import { drillRevisionsSchema } from '../../core/records/drillRevision.ts';
import { get } from './client.ts';

export const drillsQuery = queryOptions({
  queryKey: ['drills'],
  queryFn: () => get('/drills', listedDrillsSchema),
});

export const drillQuery = (slug: string) =>
  queryOptions({ queryKey: ['drills', slug], queryFn: () => get(`/drills/${slug}`, listedDrillSchema) });

/** A drill's text as it was at a revision; it never changes. */
export const revisionQuery = (slug: string | undefined, revision: number) =>
  queryOptions({
    queryKey: ['drills', slug, 'revisions', revision],
    staleTime: Infinity,
    queryFn:
      slug === undefined ? skipToken : () => get(`/drills/${slug}/revisions/${revision}`, drillEntrySchema),
  });

export const revisionsQuery = (slug: string) =>
  queryOptions({
    queryKey: ['drills', slug, 'revisions'],
    queryFn: () => get(`/drills/${slug}/revisions`, drillRevisionsSchema),
  });
