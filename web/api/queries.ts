import { keepPreviousData, queryOptions, skipToken } from '@tanstack/react-query';
import { benchmarkReplySchema } from '../../core/records/benchmark.ts';
import {
  drillEntrySchema,
  drillRevisionsSchema,
  listedDrillSchema,
  listedDrillsSchema,
  playerSchema,
  playersSchema,
  roundHeadsSchema,
  roundsSchema,
  todaySchema,
  viewerSchema,
  welcomeSchema,
  type Viewer,
} from '../../core/records/club.ts';
import { lessonsSchema, lessonWithRoundsSchema } from '../../core/records/lesson.ts';
import { programmesSchema, programmeWithRoundsSchema } from '../../core/records/programme.ts';
import { clubOverviewSchema, progressSchema, proposalsSchema } from '../../core/records/progress.ts';
import { reportSchema, reportsSchema } from '../../core/records/report.ts';
import { callsSchema } from '../../core/records/call.ts';
import {
  clubTablesSchema,
  tableLogSchema,
  tableStateSchema,
  type TableRef,
} from '../../core/records/tableCard.ts';
import type { LevelName } from '../../core/player/levels.ts';
import type { PositionDrill, PositionEntry } from '../../core/drill/positionDrill.ts';
import type { Drill } from '../../core/records/drill.ts';
import { computeBenchmark, computeTolerance, solvePlan, tryRound } from '../workers/solver.ts';
import type { TableAsPlayed } from '../workers/protocol.ts';
import type { TableChoice } from '../hall/tableChoice.ts';
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

export const playerQuery = (id: string) =>
  queryOptions({ queryKey: ['players', id], queryFn: () => get(`/players/${id}`, playerSchema) });

/** Which of a player's rounds are asked for; all where nothing is said. */
interface RoundChoice {
  readonly drill?: string | undefined;
  readonly revision?: number;
  readonly stage?: number;
  /** The table's fingerprint. */
  readonly table?: string;
}

/** The newest rounds of a player with their attempts. */
export const playerRoundsQuery = (id: string, choice: RoundChoice = {}) =>
  queryOptions({
    queryKey: ['players', id, 'rounds', choice],
    queryFn: () => get(`/players/${id}/rounds?${addressed({ ...choice })}`, roundsSchema),
  });

/** The results of a player's newest rounds, without their attempts. */
export const playerResultsQuery = (id: string, choice: RoundChoice = {}) =>
  queryOptions({
    queryKey: ['players', id, 'results', choice],
    queryFn: () => get(`/players/${id}/results?${addressed({ ...choice })}`, roundHeadsSchema),
  });

/** What of a player's rounds is looked at. */
export interface ProgressFilter {
  readonly days?: number | undefined;
  /** From one instant to another, instead of days, ISO 8601. */
  readonly from?: string | undefined;
  readonly to?: string | undefined;
  readonly table?: string | undefined;
  readonly drill?: string | undefined;
  readonly skill?: string | undefined;
}

/** Ratings, courses and sums of the shots, over a year unless the filter says otherwise. */
export const playerProgressQuery = (id: string, filter: ProgressFilter = {}) =>
  queryOptions({
    queryKey: ['players', id, 'progress', filter],
    queryFn: () => get(`/players/${id}/progress?${addressed({ ...filter })}`, progressSchema),
    placeholderData: keepPreviousData,
  });

function addressed(values: Readonly<Record<string, string | number | undefined>>): string {
  const given = Object.entries(values).filter((entry) => entry[1] !== undefined);
  return new URLSearchParams(given.map(([name, value]) => [name, String(value)])).toString();
}

/** Drills that a player could practise next. */
export const nextDrillsQuery = (id: string) =>
  queryOptions({
    queryKey: ['players', id, 'next'],
    queryFn: () => get(`/players/${id}/next`, proposalsSchema),
  });

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

export const programmesQuery = queryOptions({
  queryKey: ['programmes'],
  queryFn: () => get('/programmes', programmesSchema),
});

/** A programme with the rounds of its weeks. */
export const programmeQuery = (id: string) =>
  queryOptions({
    queryKey: ['programmes', id],
    queryFn: () => get(`/programmes/${id}`, programmeWithRoundsSchema),
  });

export const reportsQuery = (playerId: string) =>
  queryOptions({
    queryKey: ['reports', 'of', playerId],
    queryFn: () => get(`/reports?${addressed({ player: playerId })}`, reportsSchema),
  });

export const reportQuery = (id: string) =>
  queryOptions({ queryKey: ['reports', id], queryFn: () => get(`/reports/${id}`, reportSchema) });

export const lessonsQuery = queryOptions({
  queryKey: ['lessons'],
  queryFn: () => get('/lessons', lessonsSchema),
});

/** A lesson with its rounds. */
export const lessonQuery = (id: string) =>
  queryOptions({
    queryKey: ['lessons', id],
    queryFn: () => get(`/lessons/${id}`, lessonWithRoundsSchema),
  });

export const playerCallsQuery = (id: string) =>
  queryOptions({
    queryKey: ['players', id, 'calls'],
    queryFn: () => get(`/players/${id}/calls`, callsSchema),
  });

export const tableLogQuery = (id: string) =>
  queryOptions({ queryKey: ['tables', id, 'log'], queryFn: () => get(`/tables/${id}/log`, tableLogSchema) });

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

/** Nothing is solved while either is not known. */
export const planQuery = (drill: PositionDrill | undefined, on: TableAsPlayed | undefined) =>
  queryOptions({
    queryKey: ['plan', drill, on],
    queryFn: drill === undefined || on === undefined ? skipToken : () => solvePlan(drill, on),
    // A stroke that does not do its work on a table will not do it at the next try.
    retry: false,
    staleTime: Infinity,
    networkMode: 'always',
  });

/** A round by a virtual player; another seed is another round. Nothing is played while the drill is not ready. */
export const tryQuery = (
  drill: Drill | undefined,
  on: TableAsPlayed,
  stage: number,
  level: LevelName,
  seed: number,
) =>
  queryOptions({
    queryKey: ['try', drill, on, stage, level, seed],
    queryFn: drill === undefined ? skipToken : () => tryRound(drill, on, stage, level, seed),
    staleTime: Infinity,
    networkMode: 'always',
    retry: false,
  });

/** How exactly each ball must be set. Nothing is computed for a drill without a planned stroke. */
export const toleranceQuery = (
  drill: PositionDrill | undefined,
  on: TableAsPlayed,
  onProgress: (share: number) => void,
) =>
  queryOptions({
    queryKey: ['tolerance', drill, on],
    queryFn: drill === undefined ? skipToken : () => computeTolerance(drill, on, onProgress),
    staleTime: Infinity,
    networkMode: 'always',
    retry: false,
  });

/**
 * The kept benchmark, or one computed here and now and then kept by the server if the viewer is a coach.
 * @param ref the club's table whose state `on` is; undefined for a table as it ships
 */
export const benchmarkQuery = (
  entry: PositionEntry,
  stage: number,
  { ref, on }: TableChoice,
  onProgress: (share: number) => void,
) =>
  queryOptions({
    queryKey: ['benchmark', entry.document.slug, entry.revision, stage, on],
    staleTime: Infinity,
    queryFn: async () => {
      const path = benchmarkPath(entry.document.slug, entry.revision, stage, ref);
      const kept = await get(path, benchmarkReplySchema);
      if (kept.benchmark !== null) return kept.benchmark;
      const computed = await computeBenchmark(entry.document, on, stage, onProgress);
      // A player's is not kept, and a benchmark is shown even when it cannot be kept.
      await call('PUT', path, computed).catch(() => undefined);
      return computed;
    },
  });

/** Where the benchmark of a drill's stage on a table is, and what belongs to it. @param part "/job" or nothing */
export function benchmarkPath(
  slug: string,
  revision: number,
  stage: number,
  ref: TableRef | undefined,
  part = '/benchmark',
): string {
  return `/drills/${slug}/revisions/${revision}/stages/${stage}${part}${addressOf(ref)}`;
}

/** How often a job under way is looked at, ms. */
const JOB_LOOK_MS = 1_500;

/** What the server knows of a benchmark, its job, the coach's marks and the club's own results. */
export const benchmarkReplyQuery = (
  slug: string,
  revision: number,
  stage: number,
  ref: TableRef | undefined,
) =>
  queryOptions({
    queryKey: ['benchmark reply', slug, revision, stage, ref],
    queryFn: () => get(benchmarkPath(slug, revision, stage, ref), benchmarkReplySchema),
    refetchInterval: ({ state }) => {
      const job = state.data?.job?.state;
      return job === 'queued' || job === 'running' ? JOB_LOOK_MS : false;
    },
  });

function addressOf(ref: TableRef | undefined): string {
  if (ref === undefined) return '';
  const { id, revision, conditionsId } = ref;
  return `?table=${id}&revision=${revision}${conditionsId === null ? '' : `&conditions=${conditionsId}`}`;
}
