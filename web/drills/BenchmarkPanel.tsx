import { Progress, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { PositionEntry } from '../../core/drill/positionDrill.ts';
import { mostPoints } from '../../core/counting/bands.ts';
import { expectation } from '../../core/statistics/distribution.ts';
import { benchmarkQuery } from '../api/queries.ts';
import type { TableChoice } from '../hall/tableChoice.ts';
import { LevelScale } from './LevelScale.tsx';

interface BenchmarkPanelProps {
  readonly entry: PositionEntry;
  readonly stage: number;
  readonly table: TableChoice;
}

/** What players of the five levels score here, by virtual players on this table. */
export function BenchmarkPanel({ entry, stage, table }: BenchmarkPanelProps) {
  const [share, setShare] = useState(0);
  const benchmark = useQuery(benchmarkQuery(entry, stage, table, setShare));
  const bands = entry.document.stages[stage - 1]?.bands ?? [];
  const maximum = entry.document.scoring.shots * mostPoints(bands);
  return (
    <section className="card">
      <Title order={2} size="h4">
        Benchmark
      </Title>
      {benchmark.data === undefined ? (
        <>
          <Text size="sm" c="dimmed">
            {benchmark.isError ? 'The benchmark could not be computed.' : 'Virtual players are at the table.'}
          </Text>
          <Progress value={100 * share} aria-label="Benchmark computed" mt={6} />
        </>
      ) : (
        <>
          <LevelScale benchmark={benchmark.data} maximum={maximum} />
          <dl
            style={{
              display: 'grid',
              gridTemplateColumns: '1fr auto auto',
              gap: '1px 14px',
              margin: '8px 0 0',
            }}
          >
            {benchmark.data.levels.map((level) => (
              <div key={level.level} style={{ display: 'contents' }}>
                <dt>{level.level}</dt>
                <dd style={{ margin: 0, textAlign: 'right' }}>{Math.round(100 * level.potted)} % pots</dd>
                <dd style={{ margin: 0, textAlign: 'right', fontWeight: 700 }}>
                  {expectation(level.round).toFixed(1)} points
                </dd>
              </div>
            ))}
          </dl>
          <Text size="xs" c="dimmed" mt={6}>
            Mean of a round, from {benchmark.data.executions.toLocaleString('en')} simulated shots a level.
          </Text>
        </>
      )}
    </section>
  );
}
