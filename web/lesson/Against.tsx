import { Text } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { Benchmark } from '../../core/records/benchmark.ts';
import type { PositionDrill } from '../../core/drill/positionDrill.ts';
import type { OpenRound } from '../../core/records/club.ts';
import { placeRound } from '../../core/scoring/benchmark.ts';
import { mostPoints } from '../../core/counting/bands.ts';
import { benchmarkQuery, playerRoundsQuery } from '../api/queries.ts';
import { asPlayed } from '../hall/tableChoice.ts';
import { LevelScale, type ScaleMark } from '../drills/LevelScale.tsx';
import { comparableRounds, pointsOf, roundsOnUnlikeTables } from '../players/rounds.ts';
import { placingWords } from '../players/placingWords.ts';
import type { Scoring } from './scoring.ts';

interface AgainstProps {
  readonly open: OpenRound;
  readonly drill: PositionDrill;
  readonly scoring: Scoring;
}

/** The round against the levels, the player's best and the last one: on course while it runs, placed when done. */
export function Against({ open, drill, scoring }: AgainstProps) {
  const { round } = open;
  const benchmark = useQuery(
    benchmarkQuery(
      { revision: round.revision, document: drill },
      round.stage,
      { ref: round.table, on: asPlayed(open.tableState) },
      () => undefined,
    ),
  );
  const rounds = useQuery(playerRoundsQuery(round.player.id));
  const maximum = scoring.shots * mostPoints(drill.stages[round.stage - 1]?.bands ?? []);
  if (benchmark.data === undefined) return null;

  const points = pointsOf(scoring.attempts);
  const played = scoring.attempts.length;
  const others = (rounds.data ?? []).filter((other) => other.id !== round.id);
  const before = comparableRounds(others, round).map((r) => pointsOf(r.attempts));
  const unlike = roundsOnUnlikeTables(others, round).length;
  const onCourse = played === 0 ? undefined : Math.round((points / played) * scoring.shots);
  const complete = played >= scoring.shots;
  const marks: ScaleMark[] = [
    ...(onCourse === undefined
      ? []
      : [
          {
            kind: 'now' as const,
            value: onCourse,
            text: complete ? `this round ${points}` : `on course for ${onCourse}`,
          },
        ]),
    ...(before.length > 0
      ? [
          { kind: 'best' as const, value: Math.max(...before), text: `best ${Math.max(...before)}` },
          { kind: 'last' as const, value: before.at(-1) ?? 0, text: `last ${before.at(-1) ?? 0}` },
        ]
      : []),
  ];
  return (
    <section className={complete ? 'card' : 'card scoring-aside'}>
      <Text fw={700}>Against the levels</Text>
      <LevelScale benchmark={benchmark.data} maximum={maximum} marks={marks} />
      {unlike > 0 && (
        <Text size="xs" c="dimmed">
          {unlike === 1 ? '1 round' : `${unlike} rounds`} on tables that played otherwise not compared.
        </Text>
      )}
      <Verdict
        benchmark={benchmark.data}
        points={points}
        complete={complete}
        ended={scoring.ended !== null}
      />
    </section>
  );
}

interface VerdictProps {
  readonly benchmark: Benchmark;
  readonly points: number;
  readonly complete: boolean;
  readonly ended: boolean;
}

function Verdict({ benchmark, points, complete, ended }: VerdictProps) {
  if (complete) return <Text data-testid="placing">{placingWords(placeRound(points, benchmark))}</Text>;
  if (ended)
    return <Text data-testid="placing">Ended early: a round that is not complete is not placed.</Text>;
  return null;
}
