import { Button, Stack, Text } from '@mantine/core';
import { Link } from 'react-router';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { Against } from './Against.tsx';
import { RoundCare } from './RoundCare.tsx';
import { RoundReview } from './RoundReview.tsx';
import { useViewer } from '../api/viewer.ts';
import { NextInGroup } from './NextInGroup.tsx';
import { ProposalsNotice } from '../controls/ProposalsNotice.tsx';
import { Proposals } from './Proposals.tsx';
import type { OpenRound } from '../../core/records/openRound.ts';
import type { Course, ScoredSoFar } from '../../core/scoring/course.ts';

interface RoundBelowProps {
  readonly open: OpenRound;
  readonly course: Course;
  readonly scoring: ScoredSoFar;
}

/** Below the buttons: the round against others while it runs; what it says and what is next when it is over. */
export function RoundBelow({ open, course, scoring }: RoundBelowProps) {
  const viewer = useViewer();
  const { round, document } = open;
  const { drill } = course.counting;
  const over = scoring.ended !== null;
  return (
    <>
      <Against
        open={open}
        course={course}
        scoring={scoring}
        drill={isPositionDrill(drill) ? drill : undefined}
      />
      <NextInGroup open={open} scoring={scoring} />
      {over && (
        <>
          <Proposals open={open} course={course} scoring={scoring} />
          <ProposalsNotice playerId={round.player.id} />
          <RoundReview open={open} course={course} scoring={scoring} />
          <Stack gap={8}>
            {round.lesson === null ? (
              <Button
                component={Link}
                size="lg"
                to={`/lesson/round?drill=${document.slug}&stage=${round.stage}&player=${round.player.id}`}
              >
                Another round
              </Button>
            ) : (
              <Button component={Link} size="lg" to={`/lesson/${round.lesson.id}`}>
                Back to the lesson
              </Button>
            )}
            <Button
              component={Link}
              size="lg"
              variant="default"
              to={`/players/${round.player.id}?drill=${document.slug}`}
            >
              See the progress
            </Button>
            {scoring.attempts.length === 0 && <Text size="sm">Nothing was scored.</Text>}
            {viewer.role === 'coach' && <RoundCare round={round} />}
          </Stack>
        </>
      )}
    </>
  );
}
