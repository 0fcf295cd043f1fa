import { queryOptions, skipToken } from '@tanstack/react-query';
import type { PositionDrill, PositionEntry } from '../../core/drill/positionDrill.ts';
import type { LevelName } from '../../core/player/levels.ts';
import { benchmarkReplySchema } from '../../core/records/benchmarkReply.ts';
import type { Drill } from '../../core/records/drill.ts';
import { benchmarkPath } from '../api/benchmarks.ts';
import { call, get } from '../api/client.ts';
import type { TableChoice } from '../table/tableChoice.ts';
import type { TableAsPlayed } from '../workers/protocol.ts';
import { computeBenchmark, computeTolerance, solvePlan, tryRound } from '../workers/solver.ts';

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
      const path = benchmarkPath({ slug: entry.document.slug, revision: entry.revision, stage, ref });
      const kept = await get(path, benchmarkReplySchema);
      if (kept.benchmark !== null) return kept.benchmark;
      const computed = await computeBenchmark(entry.document, on, stage, onProgress);
      // A player's is not kept, and a benchmark is shown even when it cannot be kept.
      await call('PUT', path, computed).catch(() => undefined);
      return computed;
    },
  });
