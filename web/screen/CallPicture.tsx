import { useQuery } from '@tanstack/react-query';
import { Text, Title } from '@mantine/core';
import { useEffect } from 'react';
import { drawnOf, shownOf, type CallQuestion } from '../../core/judgement/question.ts';
import { simulate } from '../../core/motion/simulate.ts';
import type { ScreenPicture, ShownCall } from '../../core/records/screen.ts';
import { CallTable } from '../planner/CallTable.tsx';
import { poseSource } from '../planner/poseSource.ts';
import { useReplay } from '../table/replay.ts';
import { answerWords, explainCall, questionWords } from '../words/callWords.ts';
import { paceWord } from '../words/eventWords.ts';
import { speedWords } from '../words/lengths.ts';
import { tipWords } from '../words/tipWords.ts';
import { useWords } from '../words/useWords.ts';

interface CallPictureProps {
  readonly call: ShownCall;
  readonly drill: ScreenPicture['callDrill'];
}

/** A position that is called: made up here from its source, so that nothing of the answer comes before the reveal. */
export function CallPicture({ call, drill }: CallPictureProps) {
  const { kind, preset, source, revealed } = call;
  const posed = useQuery({
    queryKey: ['call on a screen', kind, preset, source, drill],
    queryFn: async () => (await poseSource(kind, preset, source, drill ?? undefined)) ?? null,
    staleTime: Infinity,
    networkMode: 'always',
    retry: false,
  });
  if (posed.data === undefined || posed.data === null)
    return (
      <>
        <Title order={1}>Call it</Title>
        <Text size="xl" role="status">
          {posed.isPending ? 'The position is set.' : 'This position cannot be set here.'}
        </Text>
      </>
    );
  return <Posed key={JSON.stringify(source)} question={posed.data} revealed={revealed} />;
}

function Posed({
  question,
  revealed,
}: {
  readonly question: CallQuestion;
  readonly revealed: ShownCall['revealed'];
}) {
  const { vocabulary } = useWords();
  const replay = useReplay(simulate(question.shot).duration);
  const isRevealed = revealed !== null;
  useEffect(() => {
    if (isRevealed) replay.play();
  }, [isRevealed, replay]);
  return (
    <>
      <Title order={1}>{questionWords(question, vocabulary)}</Title>
      <CallTable
        question={question}
        drawn={revealed === null ? [] : drawnOf(revealed.answer)}
        onPoint={undefined}
        revealed={isRevealed}
        replay={replay}
      />
      {revealed === null ? (
        <Text size="xl" className="screen-words" data-testid="screen-words">
          {shownOf(question) === 'nothing'
            ? 'Say it before you see it.'
            : `${speedWords(question.shot.strike.speed)}, ${paceWord(question.shot.strike.speed)}; tip ${tipWords(question.shot.strike.tip)}. Say it before you see it.`}
        </Text>
      ) : (
        <Text size="xl" className="screen-words" data-testid="screen-words">
          Called: {answerWords(revealed.answer, question.kind, vocabulary)}.{' '}
          <b>{explainCall(question, vocabulary)}</b>
        </Text>
      )}
    </>
  );
}
