import { SimpleGrid, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { Round } from '../../core/records/round.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import type { PositionDrill } from '../../core/drill/positionDrill.ts';
import { landingBias } from '../../core/scoring/bias.ts';
import { planQuery } from '../planner/solved.ts';
import { Loading } from '../controls/Loading.tsx';
import { DrillDrawing } from '../table/DrillDrawing.tsx';
import { ErrorArrow, LandingMark } from '../table/marks.tsx';
import { alongAndAcross } from '../words/units.ts';
import { shortLength } from '../words/lengths.ts';
import { capital } from '../words/vocabulary.ts';
import type { TableAsPlayed } from '../workers/protocol.ts';
import { LineKey } from '../table/LineKey.tsx';

/** About what the landings take on the page, pixels. */
export const LANDINGS_HEIGHT = 338;

/** Rounds whose landings are shown: what somebody does these days, not what they did at first. */
const SHOWN_ROUNDS = 5;

/** The attempts of a round that was set in a mirror, as if it had been set as it is written. */
function turnedBack({ attempts, table }: Round): Round['attempts'] {
  const { width } = TABLE_PRESETS[table.preset];
  return attempts.map((attempt) => ({
    ...attempt,
    landing: attempt.landing && { x: attempt.landing.x, y: width - attempt.landing.y },
    across: attempt.across === null ? null : -attempt.across,
  }));
}

interface LandingScatterProps {
  readonly document: PositionDrill;
  readonly on: TableAsPlayed;
  readonly stage: number;
  readonly rounds: readonly Round[];
}

/** Where the cue ball stopped in the last rounds, and by how much it misses the plan on average. */
export function LandingScatter({ document, on, stage, rounds }: LandingScatterProps) {
  const plan = useQuery(planQuery(document, on));
  // What was played in a mirror is turned back, so that all landings lie on one picture.
  const recent = rounds
    .slice(-SHOWN_ROUNDS)
    .flatMap((round) => (round.mirrored ? turnedBack(round) : round.attempts));
  const landed = recent.flatMap((attempt) =>
    attempt.landing === null || attempt.along === null || attempt.across === null
      ? []
      : [{ id: attempt.id, landing: attempt.landing, along: attempt.along, across: attempt.across }],
  );
  if (plan.data === undefined)
    return <Loading what="the planned stroke" error={plan.error} height={LANDINGS_HEIGHT} />;
  if (landed.length === 0)
    return <Text>No ball was potted in the last rounds, so there is no landing to show.</Text>;
  const bias = landingBias(landed);
  const { landing, arrival } = plan.data;
  const middle = {
    x: landing.x + bias.along * arrival.x - bias.across * arrival.y,
    y: landing.y + bias.along * arrival.y + bias.across * arrival.x,
  };
  return (
    <SimpleGrid cols={{ base: 1, md: 2 }} spacing="lg">
      <div>
        <DrillDrawing drill={document} stage={stage} plan={plan.data}>
          {landed.map((each) => (
            <LandingMark key={each.id} at={each.landing} />
          ))}
          <ErrorArrow from={landing} to={middle} />
        </DrillDrawing>
        <LineKey cueBall="planned" wanted landings="landings" error />
      </div>
      <section className="card" aria-labelledby="landings-title">
        <Title order={2} size="h4" id="landings-title">
          Where the cue ball stops
        </Title>
        <Text className="big" mt={6} data-testid="bias">
          {capital(alongAndAcross(bias.along, bias.across))}
        </Text>
        <Text mt={4}>
          on average over {landed.length} {landed.length === 1 ? 'pot' : 'pots'} of the last{' '}
          {Math.min(SHOWN_ROUNDS, rounds.length)} {rounds.length === 1 ? 'round' : 'rounds'}, seen along the
          cue ball&apos;s way.
        </Text>
        <Text mt="sm">
          Half of the landings lie within <b>{shortLength(bias.medianDistance)}</b> of the planned one.
        </Text>
        <Text mt={4} c="dimmed">
          Potted {landed.length} of {recent.length}.
        </Text>
      </section>
    </SimpleGrid>
  );
}
