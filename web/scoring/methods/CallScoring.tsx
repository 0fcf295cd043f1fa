import { LineKey } from '../../table/LineKey.tsx';
import { Button, Text, Title } from '@mantine/core';
import { skipToken, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { countedCall } from '../../../core/judgement/countCall.ts';
import {
  BREAK_KIND,
  CALL_KINDS,
  DIFFICULTIES,
  type CallKind,
  type Difficulty,
} from '../../../core/judgement/kinds.ts';
import { pathAfterHit } from '../../../core/judgement/pose/path.ts';
import {
  answerKindOf,
  drawnOf,
  isTapped,
  picksOf,
  shownOf,
  sidesToPick,
  type CallAnswer,
  type CallQuestion,
} from '../../../core/judgement/question.ts';
import type { Verdict } from '../../../core/planning/foresee.ts';
import { simulate } from '../../../core/motion/simulate.ts';
import type { Point } from '../../../core/math/point.ts';
import type { CallAttempt } from '../../../core/counting/callIt.ts';
import { logOf } from '../../../core/records/attempt.ts';
import { NOTHING_ENTERED } from '../../../core/records/entered.ts';
import type { Table } from '../../../core/table/table.ts';
import { AnswerForm } from '../../planner/AnswerForm.tsx';
import { CallTable } from '../../planner/CallTable.tsx';
import { useReplay } from '../../table/replay.ts';
import { tipWords } from '../../words/tipWords.ts';
import { TableDrawing } from '../../table/TableDrawing.tsx';
import { answerWords, explainCall, pickWords, questionWords } from '../../words/callWords.ts';
import { useWords } from '../../words/useWords.ts';
import { capital, type Vocabulary } from '../../words/vocabulary.ts';
import { searchPlanner } from '../../workers/planner.ts';
import { PadButton } from '../pads/PadButton.tsx';
import type { PadAction } from '../../controls/padAction.ts';
import { ScoringLayout, type ScoringProps } from '../ScoringLayout.tsx';
import { speedWords } from '../../words/lengths.ts';

interface CallScoringProps extends ScoringProps {
  readonly table: Table;
  /** What is to be foretold. */
  readonly question: string;
}

/** Scoring of calls: the position is set, the player commits, the table shows. */
export function CallScoring(props: CallScoringProps) {
  const kind = CALL_KINDS.find((each) => each === props.question);
  // There are no suits at snooker, and a break-off is to leave nothing: whatever is meant there the coach judges.
  const isOfPool = kind === 'which suit' || kind === BREAK_KIND;
  const isStrange = isOfPool && props.table.preset.game !== 'pool';
  return kind === undefined || isStrange ? (
    <JudgedCalls {...props} />
  ) : (
    <ComputedCalls {...props} kind={kind} />
  );
}

/** So many seeds are tried for a position before none is found. */
const TRIES = 5;

function ComputedCalls(props: CallScoringProps & { readonly kind: CallKind }) {
  const { open, course, actions, table, kind } = props;
  const { task } = course.counting.drill;
  const { vocabulary } = useWords();
  const hard = (task.kind === 'call' ? task.difficulty : 0) + 0.25 * (open.round.stage - 1);
  const difficulty =
    DIFFICULTIES[Math.min(DIFFICULTIES.length - 1, Math.floor(hard * DIFFICULTIES.length))] ?? 'plain';
  const [shown, setShown] = useState<{ readonly question: CallQuestion; readonly answer: CallAnswer }>();
  const [points, setPoints] = useState<readonly Point[]>([]);
  const over = actions.scoring.ended !== null;
  const seed = open.round.seed + actions.scoring.attempts.length * TRIES;
  const posed = useQuery({
    queryKey: ['posed', kind, difficulty, table.preset.id, table.parameters, seed],
    queryFn: over
      ? skipToken
      : async () => {
          const text = { preset: table.preset, parameters: table.parameters };
          for (let k = 0; k < TRIES; k++) {
            const question = await searchPlanner().pose(text, kind, difficulty, seed + k);
            if (question !== undefined) return question;
          }
          throw new Error('no position of this kind was found');
        },
    staleTime: Infinity,
    networkMode: 'always',
    retry: false,
  });
  const question = shown?.question ?? posed.data;
  const replay = useReplay(question === undefined ? 0 : simulate(question.shot).duration);
  const way = question?.kind === 'draw the path' ? pathAfterHit(question.shot).slice(0, 1) : [];
  const drawn = [...way, ...points];

  function commit(answer: CallAnswer) {
    if (question === undefined) return;
    enterCall(props, countedCall(question, answer), seed);
    setShown({ question, answer });
    setPoints([]);
    replay.play();
  }
  const next: PadAction = {
    key: 'n',
    label: 'Next position',
    run: () => {
      setShown(undefined);
      replay.reset();
    },
    main: true,
  };

  const choices =
    question === undefined || shown !== undefined ? [] : choicesFor(question, difficulty, commit, vocabulary);

  return (
    <ScoringLayout
      {...props}
      word="position"
      pad={shown === undefined ? choices : [next]}
      table={
        question === undefined ? (
          <TableDrawing table={table} label="The table, without a position yet" />
        ) : (
          <CallTable
            key={JSON.stringify(question.shot.strike)}
            question={question}
            drawn={shown === undefined ? (isTapped(question.kind) ? [drawn] : []) : drawnOf(shown.answer)}
            onPoint={
              isTapped(question.kind) && shown === undefined && !over
                ? (place) =>
                    setPoints((before) =>
                      answerKindOf(question.kind) === 'place' ? [place] : [...before, place],
                    )
                : undefined
            }
            revealed={shown !== undefined}
            replay={replay}
          />
        )
      }
      aside={shown === undefined ? null : <LineKey cueBall objectBall aim />}
      below={
        <>
          {shown !== undefined && (
            <section className="card" aria-live="polite">
              <Text fw={700}>Called: {answerWords(shown.answer, shown.question.kind, vocabulary)}</Text>
              <Text data-testid="call-truth">{explainCall(shown.question, vocabulary)}</Text>
            </section>
          )}
        </>
      }
    >
      <div className="scoring-rows">
        {question === undefined ? (
          <Text>{posed.isError ? posed.error.message : 'A position is being set.'}</Text>
        ) : (
          <>
            <Title order={2} size="h4">
              {questionWords(question, vocabulary)}
            </Title>
            {shownOf(question) !== 'nothing' && (
              <Text size="sm">
                The stroke: {speedWords(question.shot.strike.speed)}; tip {tipWords(question.shot.strike.tip)}
                .
              </Text>
            )}
          </>
        )}
        {choices.map((action) => (
          <PadButton key={action.label} action={action} />
        ))}
        {shown === undefined && question !== undefined && choices.length === 0 && (
          <AnswerForm
            key={seed}
            question={question}
            tooClose={false}
            points={drawn}
            onUndoPoint={() => setPoints((before) => before.slice(0, -1))}
            verb="Commit"
            onAnswer={commit}
          />
        )}
        {shown !== undefined && <PadButton action={next} />}
      </div>
    </ScoringLayout>
  );
}

/** Answers in a word: one key commits. Ways and lengths have their form. */
function choicesFor(
  question: CallQuestion,
  difficulty: Difficulty,
  commit: (answer: CallAnswer) => void,
  vocabulary: Vocabulary,
): readonly PadAction[] {
  const verdict = (key: string, label: string, answer: Verdict): PadAction => ({
    key,
    label,
    run: () => commit({ kind: 'verdict', verdict: answer }),
  });
  switch (answerKindOf(question.kind)) {
    case 'verdict':
      return [
        verdict('y', 'Yes', 'yes'),
        verdict('n', 'No', 'no'),
        ...(difficulty === 'hair-fine' ? [verdict('t', 'Too close to call', 'too close')] : []),
      ];
    case 'side':
      return sidesToPick(question).map((side, i) => ({
        key: String(i + 1),
        label: capital(side),
        run: () => commit({ kind: 'side', side }),
      }));
    case 'pick':
      return picksOf(question).map((pick, i) => ({
        key: String(i + 1),
        label: capital(pickWords(pick, question.kind, vocabulary)),
        run: () => commit({ kind: 'pick', pick }),
      }));
    case 'path':
    case 'length':
    case 'order':
    case 'place':
      return [];
  }
}

function enterCall({ actions }: CallScoringProps, call: CallAttempt, seed: number | null) {
  actions.enter(
    logOf({
      entered: {
        ...NOTHING_ENTERED,
        done: call.called === call.computed,
        call: { called: call.called, computed: call.computed, played: call.played, seed },
      },
    }),
  );
}

/** What the coach's own answer is called where the application has none. */
const AS_THE_COACH = 'as the coach';

/** Questions that the application does not answer itself: the coach's answer counts, locked before the player's. */
function JudgedCalls(props: CallScoringProps) {
  const { table, question } = props;
  const [locked, setLocked] = useState(false);
  const pad: readonly PadAction[] = locked
    ? [
        {
          key: ' ',
          label: 'Called as the coach',
          main: true,
          run: () => {
            enterCall(props, { called: AS_THE_COACH, computed: AS_THE_COACH, played: null }, null);
            setLocked(false);
          },
        },
        {
          key: 'x',
          label: 'Called something else',
          run: () => {
            enterCall(props, { called: 'otherwise', computed: AS_THE_COACH, played: null }, null);
            setLocked(false);
          },
        },
      ]
    : [{ key: ' ', label: 'The coach has decided', main: true, run: () => setLocked(true) }];
  return (
    <ScoringLayout
      {...props}
      word="position"
      pad={pad}
      hint={`Spread the balls on the table. The coach decides ${question} first and keeps it; then the player calls.`}
      table={<TableDrawing table={table} label="The table" />}
      below={null}
    >
      <div className="scoring-buttons">
        {pad.map((action) => (
          <PadButton key={action.label} action={action} />
        ))}
        {locked && (
          <Button variant="subtle" onClick={() => setLocked(false)}>
            Decide again
          </Button>
        )}
      </div>
    </ScoringLayout>
  );
}
