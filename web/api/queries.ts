import { queryOptions } from '@tanstack/react-query';
import {
  benchmarkReplySchema,
  clubTablesSchema,
  drillEntriesSchema,
  drillEntrySchema,
  playerSchema,
  playersSchema,
  roundsSchema,
  todaySchema,
  viewerSchema,
  welcomeSchema,
  type DrillEntry,
  type Viewer,
} from '../../core/records/club.ts';
import type { Drill } from '../../core/records/drill.ts';
import { computeBenchmark, solvePlan } from '../workers/solver.ts';
import { ApiError, call, get } from './client.ts';

/** What the server has, one entry a resource; and what the worker computes, kept the same way. */

export const welcomeQuery = queryOptions({
  queryKey: ['welcome'],
  queryFn: () => get('/welcome', welcomeSchema),
});

export const viewerQuery = queryOptions({
  queryKey: ['me'],
  queryFn: async (): Promise<Viewer | null> => {
    try {
      return await get('/me', viewerSchema);
    } catch (error) {
      if (error instanceof ApiError && error.status === 401) return null;
      throw error;
    }
  },
});

export const todayQuery = queryOptions({ queryKey: ['today'], queryFn: () => get('/today', todaySchema) });
export const playersQuery = queryOptions({
  queryKey: ['players'],
  queryFn: () => get('/players', playersSchema),
});
export const tablesQuery = queryOptions({
  queryKey: ['tables'],
  queryFn: () => get('/tables', clubTablesSchema),
});
export const drillsQuery = queryOptions({
  queryKey: ['drills'],
  queryFn: () => get('/drills', drillEntriesSchema),
});

export const drillQuery = (slug: string) =>
  queryOptions({ queryKey: ['drills', slug], queryFn: () => get(`/drills/${slug}`, drillEntrySchema) });

export const playerQuery = (id: string) =>
  queryOptions({ queryKey: ['players', id], queryFn: () => get(`/players/${id}`, playerSchema) });

export const playerRoundsQuery = (id: string) =>
  queryOptions({
    queryKey: ['players', id, 'rounds'],
    queryFn: () => get(`/players/${id}/rounds`, roundsSchema),
  });

export const planQuery = (drill: Drill) =>
  queryOptions({
    queryKey: ['plan', drill],
    queryFn: () => solvePlan(drill),
    staleTime: Infinity,
    networkMode: 'always',
  });

/** The kept benchmark, or one computed here and now and then kept by the server if the viewer is a coach. */
export const benchmarkQuery = (entry: DrillEntry, stage: number, onProgress: (share: number) => void) =>
  queryOptions({
    queryKey: ['benchmark', entry.document.slug, entry.revision, stage],
    staleTime: Infinity,
    queryFn: async () => {
      const path = `/drills/${entry.document.slug}/revisions/${entry.revision}/stages/${stage}/benchmark`;
      const kept = await get(path, benchmarkReplySchema);
      if (kept.benchmark !== null) return kept.benchmark;
      const computed = await computeBenchmark(entry.document, stage, onProgress);
      // A player's is not kept, and a benchmark is shown even when it cannot be kept.
      await call('PUT', path, computed).catch(() => undefined);
      return computed;
    },
  });
