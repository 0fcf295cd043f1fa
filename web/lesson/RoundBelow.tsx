import { Button, Stack, Text } from '@mantine/core';
import { Link } from 'react-router';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { Against } from './Against.tsx';
import { RoundReview } from './review/RoundReview.tsx';
import { NextInGroup } from './NextInGroup.tsx';
import { Proposals } from './Proposals.tsx';
import type { ScoringProps } from './ScoringLayout.tsx';

/** Below the buttons: the round against others while it runs; what it says and what is next when it is over. */
export function RoundBelow(props: ScoringProps) {
  const { open, course, actions } = props;
  const { round, document } = open;
  const { scoring } = actions;
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
          </Stack>
        </>
      )}
    </>
  );
}
