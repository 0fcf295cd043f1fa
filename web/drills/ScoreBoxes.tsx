import { Text } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { PositionDrill } from '../../core/drill/positionDrill.ts';
import type { Drill } from '../../core/records/drill.ts';
import { expectation } from '../../core/statistics/distribution.ts';
import { benchmarkQuery } from '../planner/solved.ts';
import { drillQuery } from '../api/drills.ts';
import { marksInWords } from '../words/drillWords.ts';
import type { TableChoice } from '../table/tableChoice.ts';

/** Boxes for rounds on paper. */
const ROUNDS = 3;
const MOST_BOXES = 20;

function boxesOf({ scoring }: Drill): number {
  const settings: readonly (readonly [string, unknown])[] = Object.entries(scoring);
  const counted = settings.find(([name]) =>
    ['shots', 'attempts', 'trials', 'visits', 'stations', 'positions', 'giveUpAfter'].includes(name),
  )?.[1];
  return typeof counted === 'number' ? Math.min(MOST_BOXES, counted) : 10;
}

interface ScoreBoxesProps {
  readonly drill: Drill;
  readonly stage: number;
  /** The drill, if virtual players can play it. */
  readonly entry: PositionDrill | undefined;
  readonly choice: TableChoice;
}

/** Room for the scores, and what players of the levels score. */
export function ScoreBoxes({ drill, stage, entry, choice }: ScoreBoxesProps) {
  const marks = marksInWords(drill.stages[stage - 1]?.marks ?? []);
  return (
    <>
      {Array.from({ length: ROUNDS }, (_, round) => (
        <div key={round} className="score-boxes" aria-hidden="true">
          {Array.from({ length: boxesOf(drill) }, (__, i) => (
            <div key={i} className="score-box">
              {i + 1}
            </div>
          ))}
          <div className="score-box">sum</div>
        </div>
      ))}
      {marks !== undefined && (
        <Text size="sm" mt={6}>
          {marks}
        </Text>
      )}
      {entry !== undefined && <Levels drill={entry} stage={stage} choice={choice} />}
    </>
  );
}

interface LevelsProps {
  readonly drill: PositionDrill;
  readonly stage: number;
  readonly choice: TableChoice;
}

function Levels({ drill, stage, choice }: LevelsProps) {
  const entry = useQuery(drillQuery(drill.slug));
  const benchmark = useQuery({
    ...benchmarkQuery(
      { revision: entry.data?.revision ?? 0, document: drill },
      stage,
      choice,
      () => undefined,
    ),
    enabled: entry.data !== undefined,
  });
  if (benchmark.data === undefined) return null;
  return (
    <Text size="sm" mt={6} data-testid="levels">
      Mean of a round:{' '}
      {benchmark.data.levels
        .map(({ level, round }) => `${level} ${expectation(round).toFixed(1)}`)
        .join(', ')}
      .
    </Text>
  );
}
