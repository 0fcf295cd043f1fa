import { Button, Group, Stack, Text, Title } from '@mantine/core';
import { shownOf, type CallAnswer } from '../../core/judgement/question.ts';
import type { Point } from '../../core/math/point.ts';
import { answerWords, explainCall, questionWords } from '../words/callWords.ts';
import { percent } from '../words/units.ts';
import { useWords } from '../words/useWords.ts';
import { paceWord } from '../words/eventWords.ts';
import { tipWords } from '../words/tipWords.ts';
import { AnswerForm } from '../planner/AnswerForm.tsx';
import type { CallState } from './callState.ts';
import { speedWords } from '../words/lengths.ts';

interface CallCardProps {
  readonly state: Exclude<CallState, { readonly step: 'choosing' }>;
  /** A coach is here, who may lock an own answer. */
  readonly coached: boolean;
  /** Too close to call is offered. */
  readonly tooClose: boolean;
  /** The way that was tapped so far. */
  readonly points: readonly Point[];
  readonly pending: boolean;
  readonly onUndoPoint: () => void;
  readonly onCommit: (answer: CallAnswer) => void;
  readonly onLock: (answer: CallAnswer) => void;
  readonly onReveal: () => void;
  readonly onReplay: () => void;
  readonly onNext: () => void;
}

/** The question, its answer, and what is true. */
export function CallCard(props: CallCardProps) {
  const {
    state,
    coached,
    tooClose,
    points,
    pending,
    onUndoPoint,
    onCommit,
    onLock,
    onReveal,
    onReplay,
    onNext,
  } = props;
  const { question } = state;
  const { vocabulary } = useWords();
  return (
    <section className="card" aria-labelledby="call-question">
      <Title order={2} size="h3" id="call-question">
        {questionWords(question, vocabulary)}
      </Title>
      {shownOf(question) !== 'nothing' && (
        <Text size="sm" mt={4}>
          The stroke: {speedWords(question.shot.strike.speed)}, {paceWord(question.shot.strike.speed)}; tip{' '}
          {tipWords(question.shot.strike.tip)}.
        </Text>
      )}
      <Group mt={10}>
        {state.step === 'asked' && (
          <AnswerForm
            key="player"
            question={question}
            tooClose={tooClose}
            points={points}
            onUndoPoint={onUndoPoint}
            verb="Commit"
            onAnswer={onCommit}
          />
        )}
        {state.step === 'committed' && (
          <Stack gap={8}>
            <Text>
              {state.coach === undefined ? 'Committed.' : 'Committed, and the coach’s answer is locked.'}
            </Text>
            {coached && state.coach === undefined && (
              <>
                <Text size="sm">The coach may lock an own answer beside it, or reveal at once.</Text>
                <AnswerForm
                  key="coach"
                  question={question}
                  tooClose={tooClose}
                  points={points}
                  onUndoPoint={onUndoPoint}
                  verb="Lock"
                  onAnswer={onLock}
                />
              </>
            )}
            <Button size="lg" onClick={onReveal}>
              Reveal
            </Button>
          </Stack>
        )}
        {state.step === 'revealed' && (
          <Stack gap={6}>
            <Group gap="md">
              <Text className="big" data-testid="call-score">
                {percent(state.score)}
              </Text>
              <Text>
                Called: {answerWords(state.answer, question.kind, vocabulary)}
                {state.coach === null
                  ? '.'
                  : `; the coach: ${answerWords(state.coach.answer, question.kind, vocabulary)}, ${percent(state.coach.score)}.`}
              </Text>
            </Group>
            <Text data-testid="call-truth">{explainCall(question, vocabulary)}</Text>
            <Group>
              <Button variant="default" onClick={onReplay}>
                Play it again
              </Button>
              <Button onClick={onNext} loading={pending}>
                Next position
              </Button>
            </Group>
          </Stack>
        )}
      </Group>
    </section>
  );
}
