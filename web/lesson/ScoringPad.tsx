import { Button, Group, Stack, Text } from '@mantine/core';
import type { PositionDrill } from '../../core/drill/positionDrill.ts';
import type { MouseEvent } from 'react';
import { Link } from 'react-router';
import type { PlannedShot } from '../../core/drill/plannedShot.ts';
import type { OpenRound, StoredAttempt } from '../../core/records/club.ts';
import { reviewLanding } from '../../core/scoring/landing.ts';
import { KeyCap } from '../app/KeyCap.tsx';
import { alongAndAcross } from '../words/units.ts';
import { capital } from '../words/vocabulary.ts';
import { useWords } from '../words/useWords.ts';
import { Against } from './Against.tsx';
import { angleWords, paceWords } from './landingWords.ts';
import type { ScoringActions } from './useScoring.ts';

interface ScoringPadProps {
  readonly open: OpenRound;
  readonly drill: PositionDrill;
  readonly plan: PlannedShot;
  readonly actions: ScoringActions;
  readonly onEnd: () => void;
  readonly onKeys: () => void;
}

/** Does what a button says and gives the keyboard back to the screen when it was a finger or a mouse. */
function pressed(action: () => void) {
  return (event: MouseEvent<HTMLButtonElement>) => {
    if (event.detail > 0) event.currentTarget.blur();
    action();
  };
}

/** Everything to press: what happened, undo, end; and what the last shot says. */
export function ScoringPad({ open, drill, plan, actions, onEnd, onKeys }: ScoringPadProps) {
  const { scoring } = actions;
  const { term } = useWords();
  const over = scoring.ended !== null;
  const last = scoring.attempts.at(-1);
  return (
    <div className="scoring-pad">
      {!over && (
        <Stack gap={10} className="scoring-buttons">
          {scoring.waitsFor === 'landing' ? (
            <button type="button" className="scoring-button main" onClick={pressed(actions.confirm)}>
              It stopped here <KeyCap>Enter</KeyCap>
            </button>
          ) : (
            <button type="button" className="scoring-button main" onClick={pressed(actions.potted)}>
              Potted <KeyCap>Space</KeyCap>
            </button>
          )}
          <button type="button" className="scoring-button" onClick={pressed(() => actions.failed('missed'))}>
            Missed <KeyCap>X</KeyCap>
          </button>
          <button type="button" className="scoring-button" onClick={pressed(() => actions.failed('in-off'))}>
            {capital(term('inOff'))} <KeyCap>F</KeyCap>
          </button>
        </Stack>
      )}
      <Text size="sm" aria-live="polite" className="scoring-hint">
        {over
          ? ''
          : scoring.waitsFor === 'landing'
            ? 'Potted. Tap where the cue ball stopped, or move the cross with the arrow keys.'
            : 'A tap on the cloth says: potted, and the cue ball stopped there.'}
      </Text>
      {last !== undefined && <LastShot attempt={last} plan={plan} />}
      <Against open={open} drill={drill} scoring={scoring} />
      {over && <RoundOver open={open} />}
      <Group justify="space-between" mt="auto" gap={6}>
        <Button
          variant="default"
          size="sm"
          px={10}
          onClick={pressed(actions.undo)}
          disabled={scoring.attempts.length === 0 && scoring.waitsFor === 'outcome'}
        >
          Undo&nbsp;<KeyCap>U</KeyCap>
        </Button>
        <Button
          variant="default"
          size="sm"
          px={10}
          onClick={pressed(actions.redo)}
          disabled={scoring.undone.length === 0 || over}
        >
          Redo&nbsp;<KeyCap>R</KeyCap>
        </Button>
        <Button variant="default" size="sm" px={10} onClick={pressed(onEnd)} disabled={over}>
          End&nbsp;<KeyCap>E</KeyCap>
        </Button>
        <Button
          variant="default"
          size="sm"
          px={10}
          onClick={pressed(onKeys)}
          aria-label="Keys of this screen"
        >
          <KeyCap>?</KeyCap>
        </Button>
      </Group>
    </div>
  );
}

function LastShot({ attempt, plan }: { readonly attempt: StoredAttempt; readonly plan: PlannedShot }) {
  const { term } = useWords();
  const review = attempt.landing === null ? undefined : reviewLanding(plan, attempt.landing);
  return (
    <section className="card" aria-live="polite" data-testid="last-shot">
      <Group justify="space-between">
        <Text fw={700}>Shot {attempt.ordinal}</Text>
        <Text c="dimmed">{attempt.points === 1 ? '1 point' : `${attempt.points} points`}</Text>
      </Group>
      {review === undefined ? (
        <Text className="big">{attempt.outcome === 'missed' ? 'Missed' : capital(term('inOff'))}</Text>
      ) : (
        <>
          <Text className="big">{capital(alongAndAcross(review.along, review.across))}</Text>
          <Text>{capital(paceWords(review))}</Text>
          <Text c="dimmed">Angle left {angleWords(review)}</Text>
        </>
      )}
    </section>
  );
}

function RoundOver({ open }: { readonly open: OpenRound }) {
  const { round, document } = open;
  return (
    <Stack gap={8}>
      <Button
        component={Link}
        size="lg"
        to={`/lesson?drill=${document.slug}&stage=${round.stage}&player=${round.player.id}`}
      >
        Another round
      </Button>
      <Button
        component={Link}
        size="lg"
        variant="default"
        to={`/players/${round.player.id}?drill=${document.slug}`}
      >
        See the progress
      </Button>
    </Stack>
  );
}
