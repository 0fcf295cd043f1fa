import { Button, Text } from '@mantine/core';
import { useMemo } from 'react';
import { executionErrorOf } from '../../core/player/levels.ts';
import type { OpenRound } from '../../core/records/openRound.ts';
import { layoutOfAttempt } from '../../core/scoring/layoutOfAttempt.ts';
import { drillFromTrouble, troubleShot } from '../../core/scoring/troubleShot.ts';
import { tableOfCard } from '../../core/table/card.ts';
import { useViewer } from '../api/viewer.ts';
import { useDraftDrill } from '../controls/useDraftDrill.ts';
import { pocketWords } from '../words/places.ts';
import { percent } from '../words/units.ts';
import { useWords } from '../words/useWords.ts';
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
      return trouble === undefined ? [] : [{ table, trouble, ordinal }];
    });
    // What an earlier shot has caused teaches more than an easy ball that was missed.
    return troubles.findLast(({ trouble }) => trouble.shot < trouble.failed) ?? troubles.at(-1);
  }, [scoring.attempts, drill, preset, tableState, round.seed]);
  if (found === undefined) return null;
  const { trouble, table, ordinal } = found;

  return (
    <section aria-label="Where the trouble began" data-testid="trouble">
      <Text fw={700} mt={8}>
        Where the trouble began
      </Text>
      <Text size="sm">
        Attempt {ordinal}, shot {trouble.shot}: the {trouble.ball} into the{' '}
        {pocketWords(trouble.pocket, vocabulary)} pocket
        {trouble.shot === trouble.failed
          ? `, a ${percent(trouble.chance)} pot, was missed.`
          : `, a ${percent(trouble.chance)} pot, left one of ${percent(trouble.chanceFailed)} at shot ${trouble.failed}.`}{' '}
        Chances of a {JUDGED_BY} player.
      </Text>
      {viewer.role === 'coach' && (
        <Button
          mt={6}
          variant="default"
          onClick={() => void openDraft(`trouble ${round.id}`, drillFromTrouble(table, trouble, drill))}
        >
          Make a drill of it
        </Button>
      )}
    </section>
  );
}
