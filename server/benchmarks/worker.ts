import { LRUCache } from 'lru-cache';
import type { Beginning } from '../../core/drill/ladderStart.ts';
import type { Drill } from '../../core/records/drill.ts';
import { tableOfCard } from '../../core/table/card.ts';
import { computePart, type BenchmarkPart, type PartResult } from '../../core/virtual/benchmarkRounds.ts';
import { virtualRounds, type VirtualRounds } from '../../core/virtual/playRound.ts';
import type { JobSetting } from '../db/queries/benchmarkJobs.ts';

/** What a worker thread is asked for. */
export interface PartTask {
  readonly document: Drill;
  readonly revision: number;
  readonly begun: Beginning;
  readonly setting: JobSetting;
  /** The short form of the setting. */
  readonly fingerprint: string;
  readonly part: BenchmarkPart;
}

/** Planning a drill for a level may take a second, playing it a thousandth: what is planned is kept. */
const planned = new LRUCache<string, VirtualRounds>({ max: 12 });

/** Computes one part of a benchmark, in a thread of its own. */
export default function runPart(task: PartTask): PartResult {
  const { document, revision, begun, setting, fingerprint, part } = task;
  const { stage, ladderStart } = begun;
  const table = tableOfCard(setting.card, setting.conditions);
  return computePart(document, stage, table, part, () => {
    const key = [document.slug, revision, stage, ladderStart, fingerprint, part.level].join('|');
    const rounds = planned.get(key) ?? virtualRounds(document, begun, table, part.level);
    planned.set(key, rounds);
    return rounds;
  });
}
