import { queryOptions } from '@tanstack/react-query';
import { benchmarkReplySchema } from '../../core/records/benchmarkReply.ts';
import type { TableRef } from '../../core/records/clubTable.ts';
import { get } from './client.ts';
import { addressOf } from './tables.ts';

/** What a benchmark is of, as addresses name it: a drill's stage on a table, and where a ladder of it begins. */
export interface BenchmarkSubject {
  readonly slug: string;
  readonly revision: number;
  readonly stage: number;
  /** A club's table; undefined for one as it ships. */
  readonly ref: TableRef | undefined;
  /** Rung at which the rounds begin, from 0; left out, the first. */
  readonly ladderStart?: number;
}

/** Where a benchmark is, and what belongs to it. */
export function benchmarkPath(subject: BenchmarkSubject, part = '/benchmark'): string {
  const { slug, revision, stage, ref, ladderStart = 0 } = subject;
  const path = `/drills/${slug}/revisions/${revision}/stages/${stage}${part}${addressOf(ref)}`;
  return ladderStart === 0 ? path : `${path}${path.includes('?') ? '&' : '?'}start=${ladderStart}`;
}

/** How often a job under way is looked at, ms. */
const JOB_LOOK_MS = 1_500;

/** What the server knows of a benchmark, its job, the coach's marks and the club's own results. */
export const benchmarkReplyQuery = (subject: BenchmarkSubject) =>
  queryOptions({
    queryKey: ['benchmark reply', subject],
    queryFn: () => get(benchmarkPath(subject), benchmarkReplySchema),
    refetchInterval: ({ state }) => {
      const job = state.data?.job?.state;
      return job === 'queued' || job === 'running' ? JOB_LOOK_MS : false;
    },
  });
