import { queryOptions } from '@tanstack/react-query';
import { benchmarkReplySchema } from '../../core/records/benchmarkReply.ts';
import type { TableRef } from '../../core/records/clubTable.ts';
import { get } from './client.ts';
import { addressOf } from './tables.ts';

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
