import { Text } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { compareResults, resultText } from '../../core/counting/result.ts';
import { mostPoints } from '../../core/counting/bands.ts';
import type { PositionDrill } from '../../core/drill/positionDrill.ts';
import type { OpenRound } from '../../core/records/openRound.ts';
import type { Round, RoundHead } from '../../core/records/round.ts';
import { benchmarkScore, placeRound } from '../../core/scoring/benchmark.ts';
import { benchmarkQuery } from '../planner/solved.ts';
import { benchmarkReplyQuery } from '../api/benchmarks.ts';
import { playerResultsQuery } from '../api/players.ts';
import { asPlayed } from '../table/tableChoice.ts';
import { LevelScale, type ScaleMark } from '../charts/LevelScale.tsx';
import { comparableRounds, otherVariants, roundsOnUnlikeTables } from '../charts/rounds.ts';
import { placingWords } from '../words/placingWords.ts';
import { marksInWords } from '../words/drillWords.ts';
import { attemptsIn, progressOf, type Course } from '../../core/scoring/course.ts';
import type { ScoredSoFar } from '../../core/scoring/course.ts';

interface AgainstProps {
  readonly open: OpenRound;
  readonly course: Course;
  readonly scoring: ScoredSoFar;
  /** The drill where virtual players set levels for it. */
  readonly drill: PositionDrill | undefined;
}

/** The round against the player's best and last, and the levels: on course while it runs, placed when done. */
export function Against({ open, course, scoring, drill }: AgainstProps) {
  const { round, document } = open;
  const rounds = useQuery(playerResultsQuery(round.player.id, { drill: round.drill }));
  const { result } = progressOf(course, scoring.attempts);
  const others = (rounds.data ?? []).filter((other) => other.id !== round.id);
  const before = comparableRounds(others, round);
  const best = before.map((each) => each.result).sort(compareResults)[0];
  const last = before.at(-1)?.result;
  const complete = result.complete;
  const marks = marksInWords(document.stages[round.stage - 1]?.marks ?? []);
  return (
    <section className={complete ? 'card' : 'card scoring-aside'}>
      <Text fw={700}>{drill === undefined ? 'Against the rounds before' : 'Against the levels'}</Text>
      {drill === undefined ? (
        <Text size="sm" data-testid="against">
          {best === undefined || last === undefined
            ? 'The first complete round of this kind: the next ones are compared with it.'
            : `Best ${resultText(best)}, last ${resultText(last)} ${last.unit}.`}
        </Text>
      ) : (
        <Levels
          open={open}
          drill={drill}
          value={result.value}
          played={scoring.attempts.length}
          planned={attemptsIn(course) ?? 0}
          before={before}
        />
      )}
      {marks !== undefined && <Text size="sm">{marks}</Text>}
      <NotCompared others={others} round={round} />
      {drill === undefined && scoring.ended !== null && (
        <>
          <Text data-testid="placing">{verdict(result, best, complete)}</Text>
          {complete && <AmongLevels round={round} result={result} />}
        </>
      )}
      {drill !== undefined && scoring.ended !== null && !complete && (
        <Text data-testid="placing">Ended early: a round that is not complete is not placed.</Text>
      )}
    </section>
  );
}

/** Where the round stands among the levels, if virtual players have played this drill on this table. */
function AmongLevels({ round, result }: { readonly round: Round; readonly result: Round['result'] }) {
  const { drill: slug, revision, stage, ladderStart, table: ref } = round;
  const reply = useQuery(benchmarkReplyQuery({ slug, revision, stage, ladderStart, ref }));
  const benchmark = reply.data?.benchmark;
  if (benchmark === null || benchmark === undefined) return null;
  return (
    <Text data-testid="levels-placing">{placingWords(placeRound(benchmarkScore(result), benchmark))}</Text>
  );
}

function verdict(result: Round['result'], best: Round['result'] | undefined, complete: boolean): string {
  if (!complete) return 'Ended early: a round that is not complete is not placed.';
  if (best === undefined) return `${resultText(result)} ${result.unit}: the mark for the next round.`;
  const order = compareResults(result, best);
  if (order < 0) return 'The best so far.';
  return order === 0 ? 'As good as the best so far.' : `The best so far is ${resultText(best)}.`;
}

/** Rounds that were left out of the comparison, and why. */
function NotCompared({ others, round }: { readonly others: readonly RoundHead[]; readonly round: Round }) {
  const unlike = roundsOnUnlikeTables(others, round).length;
  const variants = otherVariants(others, round).length;
  const count = (n: number) => (n === 1 ? '1 round' : `${n} rounds`);
  return (
    <>
      {unlike > 0 && (
        <Text size="xs" c="dimmed">
          {count(unlike)} on tables that played otherwise not compared.
        </Text>
      )}
      {variants > 0 && (
        <Text size="xs" c="dimmed">
          {count(variants)} at another stage or by another text not compared.
        </Text>
      )}
    </>
  );
}

interface LevelsProps {
  readonly open: OpenRound;
  readonly drill: PositionDrill;
  readonly value: number;
  readonly played: number;
  readonly planned: number;
  readonly before: readonly RoundHead[];
}

function Levels({ open, drill, value, played, planned, before }: LevelsProps) {
  const { round } = open;
  const benchmark = useQuery(
    benchmarkQuery(
      { revision: round.revision, document: drill },
      round.stage,
      { ref: round.table, on: asPlayed(open.tableState) },
      () => undefined,
    ),
  );
  if (benchmark.data === undefined) return null;
  const maximum = planned * mostPoints(drill.stages[round.stage - 1]?.bands ?? []);
  const complete = played >= planned;
  const scores = before.map((each) => each.result.value);
  const onCourse = played === 0 ? undefined : Math.round((value / played) * planned);
  const marks: ScaleMark[] = [
    ...(onCourse === undefined
      ? []
      : [
          {
            kind: 'now' as const,
            value: onCourse,
            text: complete ? `this round ${value}` : `on course for ${onCourse}`,
          },
        ]),
    ...(scores.length > 0
      ? [
          { kind: 'best' as const, value: Math.max(...scores), text: `best ${Math.max(...scores)}` },
          { kind: 'last' as const, value: scores.at(-1) ?? 0, text: `last ${scores.at(-1) ?? 0}` },
        ]
      : []),
  ];
  return (
    <>
      <LevelScale benchmark={benchmark.data} maximum={maximum} marks={marks} />
      {complete && <Text data-testid="placing">{placingWords(placeRound(value, benchmark.data))}</Text>}
    </>
  );
}
