import { Text, UnstyledButton } from '@mantine/core';
import { useMemo, type ReactNode } from 'react';
import type { Answer, Ranking } from '../../../core/tactics/ranking.ts';
import type { Situation } from '../../../core/tactics/situation.ts';
import {
  answerAimWords,
  answerName,
  attackWords,
  missAdvice,
  outcomesWords,
  replayWords,
  answerWorth,
} from '../../words/answerWords.ts';
import { strokeWords } from '../../words/kickWords.ts';
import { useWords } from '../../words/useWords.ts';
import { capital } from '../../words/vocabulary.ts';
import { answerAim } from './answerAim.ts';
import { RunHead } from '../RunHead.tsx';
import type { OneRun } from '../useOneRun.ts';

interface AnswersCardProps {
  readonly run: OneRun<Ranking>;
  readonly situation: Situation;
  readonly chosen: number;
  readonly onChoose: (answer: number) => void;
  readonly tools: ReactNode;
}

/** What can be done in a position, the best first, and why. */
export function AnswersCard({ run, situation, chosen, onChoose, tools }: AnswersCardProps) {
  const { game } = situation;
  const { vocabulary } = useWords();
  const ranking = run.answer;
  const replays = ranking && replayWords(ranking);
  return (
    <section className="card" aria-labelledby="answers-title" aria-busy={run.isRunning}>
      <RunHead title="What to play" id="answers-title" ask="Weigh it up" counted="Strokes tried" run={run} />
      {!run.isBegun && (
        <Text size="sm">
          Pots, safeties and {vocabulary === 'snooker' ? 'escapes' : 'kicks'}: each as this player plays it,
          against what it leaves this opponent.
        </Text>
      )}
      {ranking?.answers.length === 0 && (
        <Text size="sm">No stroke was found that hits a ball that may be played.</Text>
      )}
      {ranking !== undefined && ranking.answers.length > 0 && (
        <>
          <Text size="sm" fw={600} data-testid="attack">
            {attackWords(ranking, game)}
          </Text>
          {replays !== undefined && <Text size="sm">{replays}</Text>}
        </>
      )}
      <ol className="plan-steps">
        {ranking?.answers.map((answer, i) => (
          <li key={i}>
            <UnstyledButton className="plan-step" aria-pressed={i === chosen} onClick={() => onChoose(i)}>
              <Text fw={600} size="sm">
                {i + 1}. {answerName(answer.kind, vocabulary)}: {answerWorth(answer, game)}
              </Text>
              <Text size="xs" c="dimmed">
                {capital(outcomesWords(answer.outcomes))}
              </Text>
            </UnstyledButton>
            {i === chosen && (
              <div>
                <AnswerFacts answer={answer} situation={situation} />
                {tools}
              </div>
            )}
          </li>
        ))}
      </ol>
      {ranking !== undefined && (
        <Text size="xs" c="dimmed">
          {ranking.answers[0]?.frame !== undefined
            ? 'Your chance of winning the frame from here, as if both of you were equals after this turn.'
            : game === 'snooker'
              ? 'Points that you can expect from here, less those of your opponent.'
              : 'Your chance of the next pot, less your opponent’s, in parts of a hundred.'}
        </Text>
      )}
    </section>
  );
}

interface AnswerFactsProps {
  readonly answer: Answer;
  readonly situation: Situation;
}

function AnswerFacts({ answer, situation }: AnswerFactsProps) {
  const { vocabulary } = useWords();
  const { game, table } = situation;
  const told = useMemo(() => answerAim(situation, answer), [situation, answer]);
  const { speed, tip, elevation } = answer.shot.strike;
  return (
    <Text size="sm" data-testid="answer-facts">
      {capital(strokeWords({ speed, tip, elevation }, vocabulary))}
      {tip.height !== 0 &&
        `, ${vocabulary === 'snooker' ? (tip.height > 0 ? 'top' : 'screw') : tip.height > 0 ? 'follow' : 'draw'}`}
      . {capital(answerAimWords(told, table.preset, vocabulary))} {missAdvice(answer, game).join(' ')}
    </Text>
  );
}
