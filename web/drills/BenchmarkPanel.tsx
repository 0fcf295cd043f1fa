import { Progress, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Drill } from '../../core/records/drill.ts';
import type { Benchmark } from '../../core/records/benchmark.ts';
import type { ListedDrill } from '../../core/records/listedDrill.ts';
import { atStage } from '../../core/drill/stage.ts';
import { isPositionDrill, type PositionEntry } from '../../core/drill/positionDrill.ts';
import { mostPoints } from '../../core/counting/bands.ts';
import { meanMargin } from '../../core/scoring/benchmark.ts';
import { fitnessOf } from '../../core/scoring/fitness.ts';
import { expectation } from '../../core/statistics/distribution.ts';
import { benchmarkQuery } from '../planner/solved.ts';
import { benchmarkReplyQuery } from '../api/benchmarks.ts';
import type { TableChoice } from '../table/tableChoice.ts';
import { BenchmarkJobPart } from './BenchmarkJobPart.tsx';
import { ClubResultsPart } from './ClubResultsPart.tsx';
import { FixedBandsPart } from './FixedBandsPart.tsx';
import { LevelScale } from '../charts/LevelScale.tsx';
import { fitnessWords } from '../words/fitnessWords.ts';

interface BenchmarkPanelProps {
  readonly entry: ListedDrill;
  readonly stage: number;
  readonly table: TableChoice;
}

/** What players of the five levels score here: by virtual players, by the coach's own marks, by the club's rounds. */
export function BenchmarkPanel({ entry, stage, table }: BenchmarkPanelProps) {
  const { slug } = entry.document;
  const drill = atStage(entry.document, stage);
  const position = isPositionDrill(drill) ? { revision: entry.revision, document: drill } : undefined;
  const subject = { slug, revision: entry.revision, stage, ref: table.ref };
  const reply = useQuery(benchmarkReplyQuery(subject));
  return (
    <section className="card" aria-labelledby="benchmark-title">
      <Title order={2} size="h4" id="benchmark-title">
        Benchmark
      </Title>
      {position !== undefined ? (
        <SingleShots entry={position} stage={stage} table={table} />
      ) : reply.data?.benchmark ? (
        <Levels drill={drill} benchmark={reply.data.benchmark} shots={1} />
      ) : (
        reply.data !== undefined && <BenchmarkJobPart reply={reply.data} subject={subject} />
      )}
      {reply.data !== undefined && (
        <>
          <FixedBandsPart fixed={reply.data.fixed} subject={subject} />
          <ClubResultsPart club={reply.data.club} />
        </>
      )}
    </section>
  );
}

interface SingleShotsProps {
  readonly entry: PositionEntry;
  readonly stage: number;
  readonly table: TableChoice;
}

/** Of single shots the benchmark is there at once: this device computes it. */
function SingleShots({ entry, stage, table }: SingleShotsProps) {
  const [share, setShare] = useState(0);
  const benchmark = useQuery(benchmarkQuery(entry, stage, table, setShare));
  const bands = entry.document.stages[stage - 1]?.bands ?? [];
  const { shots } = entry.document.scoring;
  if (benchmark.data === undefined) {
    return (
      <>
        <Text size="sm" c="dimmed">
          {benchmark.isError ? 'The benchmark could not be computed.' : 'Virtual players are at the table.'}
        </Text>
        <Progress value={100 * share} aria-label="Benchmark computed" mt={6} />
      </>
    );
  }
  return (
    <Levels
      drill={entry.document}
      benchmark={benchmark.data}
      shots={shots}
      maximum={shots * mostPoints(bands)}
    />
  );
}

interface LevelsProps {
  readonly drill: Pick<Drill, 'task' | 'scoring'>;
  readonly benchmark: Benchmark;
  readonly shots: number;
  readonly maximum?: number;
}

function Levels({ drill, benchmark, shots, maximum }: LevelsProps) {
  const most = maximum ?? Math.max(...benchmark.levels.map(({ round }) => round.length - 1));
  return (
    <>
      <LevelScale benchmark={benchmark} maximum={most} />
      <dl className="level-table">
        {benchmark.levels.map(({ level, potted, round }) => (
          <div key={level} style={{ display: 'contents' }}>
            <dt>{level}</dt>
            <dd>{potted === null ? '' : `${Math.round(100 * potted)} % pots`}</dd>
            <dd style={{ fontWeight: 700 }}>
              {expectation(round).toFixed(1)} {benchmark.unit}
            </dd>
            <dd>± {meanMargin(benchmark, round, shots).toFixed(1)}</dd>
          </div>
        ))}
      </dl>
      <Text size="sm" mt={6}>
        {fitnessWords(fitnessOf(drill, benchmark))}
      </Text>
      <Text size="xs" c="dimmed" mt={6}>
        {benchmark.wholeRounds
          ? `Mean of ${benchmark.executions} whole rounds a level, each played on the simulator by a virtual player that chooses ball, pocket and stroke for itself.`
          : `Mean of a round, from ${benchmark.executions.toLocaleString('en')} simulated shots a level.`}{' '}
        {benchmark.better === 'low' ? 'Fewer is better. ' : ''}± is the 90 % interval of the mean; what a
        level is stands in the table of execution errors.
      </Text>
    </>
  );
}
