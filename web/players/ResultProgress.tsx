import { useQuery } from '@tanstack/react-query';
import type { RoundHead } from '../../core/records/round.ts';
import type { KindProgress } from '../../core/records/progress.ts';
import { benchmarkReplyQuery } from '../api/benchmarks.ts';
import { TrendCard } from '../charts/TrendCard.tsx';

interface ResultProgressProps {
  readonly title: string;
  readonly kind: KindProgress;
  /** Complete rounds, oldest first. */
  readonly rounds: readonly RoundHead[];
  readonly early: number;
  readonly unlike: number;
}

/** How a drill has gone that is counted otherwise than by points of a window, with the benchmark the server keeps. */
export function ResultProgress({ kind, ...shared }: ResultProgressProps) {
  const { drill: slug, revision, stage, ladderStart, table: ref } = kind;
  const reply = useQuery(benchmarkReplyQuery({ slug, revision, stage, ladderStart, ref }));
  return <TrendCard {...shared} benchmark={reply.isError ? null : reply.data?.benchmark} />;
}
