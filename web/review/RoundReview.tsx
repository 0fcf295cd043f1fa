import { Text, Title } from '@mantine/core';
import type { ReactNode } from 'react';
import type { OpenRound } from '../../core/records/openRound.ts';
import { reviewRound } from '../../core/scoring/roundReview.ts';
import { DrillDrawing } from '../table/DrillDrawing.tsx';
import { EllipseMark } from '../table/EllipseMark.tsx';
import { ErrorArrow, LandingMark } from '../table/marks.tsx';
import { alongAndAcross } from '../words/units.ts';
import { shortLength } from '../words/lengths.ts';
import { capital } from '../words/vocabulary.ts';
import type { Course } from '../../core/scoring/course.ts';
import type { ScoredSoFar } from '../../core/scoring/course.ts';
import { PlanAgainst } from './PlanAgainst.tsx';
import { TroubleCard } from './TroubleCard.tsx';
import { LineKey } from '../table/LineKey.tsx';

interface RoundReviewProps {
  readonly open: OpenRound;
  readonly course: Course;
  readonly scoring: ScoredSoFar;
}

/** What the round says: where landings lie, why shots failed, decisions against execution, clean against rescued. */
export function RoundReview({ open, course, scoring }: RoundReviewProps) {
  const { drill, stage, plan } = course.counting;
  const review = reviewRound(scoring.attempts);
  const { landings, causes, decisions, execution, clean, rescued, lucky, withSide, rescues, shots } = review;
  const done = clean + rescued;
  if (scoring.attempts.length === 0) return null;
  return (
    <section className="card" aria-labelledby="review-title" data-testid="review">
      <Title order={2} size="h4" id="review-title">
        What the round says
      </Title>
      {landings !== undefined && plan !== undefined && (
        <>
          <Text className="big">{capital(alongAndAcross(landings.bias.along, landings.bias.across))}</Text>
          <Text size="sm">
            on average, along and across the cue ball’s way; half of the landings lie within{' '}
            {shortLength(landings.bias.medianDistance)} of the plan.
          </Text>
          <DrillDrawing drill={drill} stage={stage} plan={plan}>
            {landings.half !== undefined && <EllipseMark ellipse={landings.half} />}
            {scoring.attempts.map(({ landing, ordinal }) =>
              landing === null ? null : <LandingMark key={ordinal} at={landing} />,
            )}
            {landings.half !== undefined && <ErrorArrow from={plan.landing} to={landings.half.centre} />}
          </DrillDrawing>
          <LineKey
            cueBall="planned"
            wanted
            landings="landings"
            half={landings.half !== undefined}
            error={landings.half !== undefined}
          />
        </>
      )}
      <dl className="facts">
        {causes.length > 0 && (
          <>
            <Fact name="Why">{causes.map(({ cause, count }) => `${cause} ${count}`).join(', ')}</Fact>
            <Fact name="Decisions, execution">
              {decisions}, {execution}
            </Fact>
          </>
        )}
        {done > 0 && (
          <Fact name="Clean, by luck or rescue">
            {clean}, {rescued}
          </Fact>
        )}
        {shots > 0 && (
          <Fact name="Shots with side, lucky, rescues">
            {withSide}, {lucky}, {rescues} of {shots}
          </Fact>
        )}
      </dl>
      <TroubleCard open={open} course={course} scoring={scoring} />
      <PlanAgainst open={open} course={course} scoring={scoring} />
    </section>
  );
}

function Fact({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}
