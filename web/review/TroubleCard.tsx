import { Button, Text } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { executionErrorOf, ratingOf } from '../../core/player/levels.ts';
import type { OpenRound } from '../../core/records/openRound.ts';
import { layoutOfAttempt } from '../../core/scoring/layoutOfAttempt.ts';
import { planMoments } from '../../core/scoring/planMoments.ts';
import { drillFromTrouble, troubleShot, type PositionBefore } from '../../core/scoring/troubleShot.ts';
import { tableOfCard } from '../../core/table/card.ts';
import type { LedgerEntry } from '../../core/virtual/ledger.ts';
import { originOfTrouble } from '../../core/virtual/troubleOrigin.ts';
import { useViewer } from '../api/viewer.ts';
import { useDraftDrill } from '../controls/useDraftDrill.ts';
import { asPlayed } from '../table/tableChoice.ts';
import { originWords } from '../words/troubleWords.ts';
import { pocketWords } from '../words/places.ts';
import { percent } from '../words/units.ts';
import { useWords } from '../words/useWords.ts';
import { ledgerOfAttempt } from '../workers/solver.ts';
import type { Course } from '../../core/scoring/course.ts';
import type { ScoredSoFar } from '../../core/scoring/course.ts';

/** The level whose chances the trouble is judged by, where the player's own are not fitted. */
const JUDGED_BY = 'team';

interface TroubleCardProps {
  readonly open: OpenRound;
  readonly course: Course;
  readonly scoring: ScoredSoFar;
}

/** The shot that began the trouble of the last failed attempt, offered as a drill with the position filled in. */
export function TroubleCard({ open, course, scoring }: TroubleCardProps) {
  const { drill, preset } = course.counting;
  const viewer = useViewer();
  const openDraft = useDraftDrill();
  const { vocabulary } = useWords();
  const { tableState, round } = open;
  const found = useMemo(() => {
    if (drill.task.kind !== 'clear') return undefined;
    const table = tableOfCard(tableState.card, tableState.conditions?.conditions ?? null);
    const error = executionErrorOf(JUDGED_BY, preset.game);
    const troubles = scoring.attempts.flatMap(({ counted, log, ordinal }) => {
      if (counted.done || log.shots.length === 0) return [];
      const layout = layoutOfAttempt(drill, preset, log, round.seed);
      const trouble = troubleShot(table, layout, log.shots, error);
      return trouble === undefined ? [] : [{ table, trouble, ordinal, log, layout }];
    });
    // What an earlier shot has caused teaches more than an easy ball that was missed.
    return troubles.findLast(({ trouble }) => trouble.shot < trouble.failed) ?? troubles.at(-1);
  }, [scoring.attempts, drill, preset, tableState, round.seed]);
  const { data: entries = [] } = useQuery({
    queryKey: ['ledger of trouble', round.id, found?.ordinal, found?.log.shots],
    queryFn: () => ledgerOfTrouble(),
    enabled: found !== undefined && drill.task.kind === 'clear',
    staleTime: Infinity,
    networkMode: 'always',
  });
  if (found === undefined) return null;
  const { trouble, table, ordinal, log } = found;
  // By the plan, where it follows the attempt to the shot that failed; else by the chances of the pots alone.
  const origin = entries.at(-1)?.shot === log.shots.length ? originOfTrouble(entries) : undefined;

  return (
    <section aria-label="Where the trouble began" data-testid="trouble">
      <Text fw={700} mt={8}>
        Where the trouble began
      </Text>
      <Text size="sm">
        Attempt {ordinal}, {origin === undefined ? chanceWords() : originWords(origin)} Chances of a{' '}
        {JUDGED_BY} player.
      </Text>
      {viewer.role === 'coach' && (
        <Button
          mt={6}
          variant="default"
          onClick={() => void openDraft(`trouble ${round.id}`, drillFromTrouble(table, position(), drill))}
        >
          Make a drill of it
        </Button>
      )}
    </section>
  );

  function ledgerOfTrouble(): Promise<readonly LedgerEntry[]> {
    if (found === undefined) return Promise.resolve([]);
    const { layout, log: asked } = found;
    const question = { drill, on: asPlayed(tableState), rating: ratingOf(JUDGED_BY) };
    return ledgerOfAttempt(
      { ...question, objects: layout.balls, cue: layout.cue, shots: asked.shots },
      () => undefined,
    );
  }

  function chanceWords(): string {
    const shot = `shot ${trouble.shot}: the ${trouble.ball} into the ${pocketWords(trouble.pocket, vocabulary)} pocket`;
    return trouble.shot === trouble.failed
      ? `${shot}, a ${percent(trouble.chance)} pot, was missed.`
      : `${shot}, a ${percent(trouble.chance)} pot, left one of ${percent(trouble.chanceFailed)} at shot ${trouble.failed}.`;
  }

  /** The position before the shot that began it. */
  function position(): PositionBefore {
    if (origin === undefined) return trouble;
    const { shot, ball, pocket } = origin.entry;
    const moment = planMoments(drill, table, log, round.seed)[shot - 1];
    if (moment?.cue === undefined || moment.cue === 'in hand' || pocket === undefined) return trouble;
    const after = entries.find((each) => each.shot === shot + 1);
    const next = after?.pocket === undefined ? undefined : { ball: after.ball, pocket: after.pocket };
    return { cue: moment.cue, balls: moment.balls, ball, pocket, next };
  }
}
