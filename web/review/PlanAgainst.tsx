import { Button, Table as Grid, Text } from '@mantine/core';
import { useQueries } from '@tanstack/react-query';
import { useState } from 'react';
import { costOfChoice } from '../../core/planning/order/advice.ts';
import type { AttemptLog } from '../../core/records/attempt.ts';
import type { Drill } from '../../core/records/drill.ts';
import type { OpenRound } from '../../core/records/openRound.ts';
import type { Course, ScoredSoFar } from '../../core/scoring/course.ts';
import { planMoments } from '../../core/scoring/planMoments.ts';
import { tableOfCard } from '../../core/table/card.ts';
import { adviceQuery, PLANNED_FOR } from '../planner/order/moments.ts';

interface PlanAgainstProps {
  readonly open: OpenRound;
  readonly course: Course;
  readonly scoring: ScoredSoFar;
}

/** The plan against what was played in a clearance, shot by shot, once it is asked for. */
export function PlanAgainst({ open, course, scoring }: PlanAgainstProps) {
  const { drill } = course.counting;
  const logged = scoring.attempts.filter(({ log }) => log.shots.length > 0);
  const [wanted, setWanted] = useState<number>();
  const attempt = logged.find(({ ordinal }) => ordinal === wanted);
  if (drill.task.kind !== 'clear' || logged.length === 0) return null;
  return (
    <section aria-label="The plan against what was played" data-testid="plan-against">
      <Text fw={700} mt={8}>
        The plan against what was played
      </Text>
      {logged.map(({ ordinal }) => (
        <Button
          key={ordinal}
          size="compact-sm"
          variant={ordinal === wanted ? 'filled' : 'default'}
          aria-pressed={ordinal === wanted}
          mr={4}
          mt={4}
          onClick={() => setWanted(ordinal === wanted ? undefined : ordinal)}
        >
          Attempt {ordinal}
        </Button>
      ))}
      {attempt !== undefined && <AttemptAgainst drill={drill} open={open} log={attempt.log} />}
    </section>
  );
}

interface AttemptAgainstProps {
  readonly drill: Drill;
  readonly open: OpenRound;
  readonly log: AttemptLog;
}

function AttemptAgainst({ drill, open, log }: AttemptAgainstProps) {
  const { tableState, round } = open;
  const table = tableOfCard(tableState.card, tableState.conditions?.conditions ?? null);
  const moments = planMoments(drill, table, log, round.seed).filter(({ played }) => played !== undefined);
  const asked = useQueries({ queries: moments.map((moment) => adviceQuery(drill, table, moment)) });
  return (
    <>
      <Grid verticalSpacing={2} mt={6}>
        <Grid.Thead>
          <Grid.Tr>
            <Grid.Th>Shot</Grid.Th>
            <Grid.Th>Played</Grid.Th>
            <Grid.Th>Plan</Grid.Th>
            <Grid.Th>Cost, points of a hundred</Grid.Th>
          </Grid.Tr>
        </Grid.Thead>
        <Grid.Tbody>
          {moments.map(({ played, cue }, i) => {
            const advice = asked[i]?.data;
            const cost =
              advice === undefined || played === undefined || cue === 'in hand'
                ? undefined
                : costOfChoice(advice, played);
            const known =
              cue === undefined
                ? 'cue ball not marked'
                : asked[i]?.isError === true
                  ? 'not planned'
                  : advice === undefined
                    ? '…'
                    : 'none';
            return (
              <Grid.Tr key={i}>
                <Grid.Td>{i + 1}</Grid.Td>
                <Grid.Td>{played}</Grid.Td>
                <Grid.Td>{advice?.[0]?.ball ?? known}</Grid.Td>
                <Grid.Td>{cost === undefined ? '' : Math.round(100 * cost)}</Grid.Td>
              </Grid.Tr>
            );
          })}
        </Grid.Tbody>
      </Grid>
      <Text size="xs" c="dimmed">
        By the chance of a {PLANNED_FOR} player to clear from where the cue ball lay; balls that did not fall
        lie where they were set.
      </Text>
    </>
  );
}
