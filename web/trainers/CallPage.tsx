import { LineKey } from '../table/LineKey.tsx';
import { Group, Stack, Text, Title } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useReducer, useState } from 'react';
import { Link } from 'react-router';
import { useAddress } from '../controls/useAddress.ts';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage } from '../../core/drill/stage.ts';
import { pathAfterHit } from '../../core/judgement/pose/path.ts';
import { answerKindOf, drawnOf, isTapped, type CallQuestion } from '../../core/judgement/question.ts';
import type { Point } from '../../core/math/point.ts';
import { buildTable } from '../../core/table/table.ts';
import { simulate } from '../../core/motion/simulate.ts';
import type { ListedDrill } from '../../core/records/listedDrill.ts';
import { drillsQuery } from '../api/drills.ts';
import { playersQuery } from '../api/players.ts';
import { useViewer } from '../api/viewer.ts';
import { LabTabs } from '../controls/LabTabs.tsx';
import { TableDrawing } from '../table/TableDrawing.tsx';
import { useReplay } from '../table/replay.ts';
import { AskCard } from './AskCard.tsx';
import { askingFrom, pose, type Asking, type PositionOfDrill } from './callAsking.ts';
import { CallCard } from './CallCard.tsx';
import { CallRecord } from '../charts/CallRecord.tsx';
import { callReducer, type CallState } from './callState.ts';
import { CallTable } from '../planner/CallTable.tsx';
import { useCallKept } from './useCallKept.ts';
import { useCallOnScreen } from './useCallOnScreen.ts';

const LARGEST_SEED = 1_000_000;

/** Of a way that is to be tapped the hit is there already. */
function firstPoints({ kind, shot }: CallQuestion): readonly Point[] {
  return kind === 'draw the path' ? pathAfterHit(shot).slice(0, 1) : [];
}

/** The positions of the drills on a kind of table. */
function positionsOf(drills: readonly ListedDrill[], { preset }: Asking): readonly PositionOfDrill[] {
  return drills.flatMap(({ document }): PositionOfDrill[] =>
    document.table !== preset
      ? []
      : document.stages.flatMap((_, i) =>
          isPositionDrill(atStage(document, i + 1)) ? [{ drill: document, stage: i + 1 }] : [],
        ),
  );
}

/** Trainers: the player commits to an answer before the table shows it. */
export function CallPage() {
  const { params, set } = useAddress();
  const asking = askingFrom(params);
  const viewer = useViewer();
  const players = useQuery(playersQuery);
  const queries = useQueryClient();
  const [playerId, setPlayerId] = useState<string | null>(viewer.role === 'player' ? viewer.id : null);
  const [state, dispatch] = useReducer(callReducer, { step: 'choosing' } satisfies CallState);
  const [seed, setSeed] = useState(() => 1 + Math.floor(Math.random() * LARGEST_SEED));
  const [points, setPoints] = useState<readonly Point[]>([]);
  const question = state.step === 'choosing' ? undefined : state.question;
  const replay = useReplay(question === undefined ? 0 : simulate(question.shot).duration);

  const posing = useMutation({
    // Whoever is quicker than the drills waits for them.
    mutationFn: async () =>
      pose(asking, seed, positionsOf(await queries.query({ ...drillsQuery, staleTime: 'static' }), asking)),
    onSuccess: (posed) => {
      setSeed((before) => (before % LARGEST_SEED) + 1);
      replay.reset();
      if (posed === undefined) {
        dispatch({ kind: 'leave' });
        return;
      }
      setPoints(firstPoints(posed.question));
      dispatch({ kind: 'ask', ...posed });
    },
    networkMode: 'always',
  });

  const keep = useCallKept(state, viewer, playerId);
  const revealed = state.step === 'revealed';
  const lessonId = viewer.role === 'coach' && viewer.rules.screens ? params.get('screen') : null;
  const notShown = useCallOnScreen(lessonId, state);

  /** Shows the answer and keeps the call. */
  function reveal() {
    const next = callReducer(state, { kind: 'reveal' });
    if (next.step !== 'revealed') return;
    keep();
    dispatch({ kind: 'reveal' });
    replay.play();
  }

  function choose(name: string, value: string | null) {
    if (value === null) return;
    // What was committed to counts, also when it is left for another kind.
    keep();
    set({ [name]: value });
    dispatch({ kind: 'leave' });
  }

  const drawing =
    question !== undefined &&
    isTapped(question.kind) &&
    (state.step === 'asked' || (state.step === 'committed' && state.coach === undefined));
  const shown =
    revealed || state.step === 'committed' ? [state.answer, revealed ? state.coach?.answer : undefined] : [];
  const drawnBefore = shown.flatMap((answer) => (answer === undefined ? [] : drawnOf(answer)));
  // The player's way is not for the coach to see before the coach's own is locked.
  const drawn = revealed ? drawnBefore : drawing ? [points] : [];

  return (
    <div className="lab">
      <Stack gap={10}>
        <Group gap="lg" align="end">
          <Title order={1}>Lab</Title>
          <LabTabs />
        </Group>
        {question === undefined ? (
          <>
            <TableDrawing table={buildTable(asking.preset)} label="The table, before a position is set" />
            <section className="card">
              <Title order={2} size="h3">
                Say it before you see it
              </Title>
              <Text mt={6}>
                A position is set and a stroke planned. You commit to an answer; then the table shows what
                happens, by how much, and why. Positions too close to call come at the finest level only.
              </Text>
            </section>
          </>
        ) : (
          <CallTable
            key={JSON.stringify(question.shot.strike)}
            question={question}
            drawn={drawn}
            onPoint={
              drawing
                ? (place) =>
                    setPoints((before) =>
                      answerKindOf(question.kind) === 'place' ? [place] : [...before, place],
                    )
                : undefined
            }
            revealed={revealed}
            replay={replay}
          />
        )}
        {revealed && <LineKey cueBall objectBall aim />}
        {state.step !== 'choosing' && (
          <CallCard
            state={state}
            coached={viewer.role === 'coach'}
            tooClose={asking.difficulty === 'hair-fine' || asking.difficulty === 'library'}
            points={points}
            pending={posing.isPending}
            onUndoPoint={() => setPoints((before) => before.slice(0, -1))}
            onCommit={(answer) => {
              setPoints(question === undefined ? [] : firstPoints(question));
              dispatch({ kind: 'commit', answer });
            }}
            onLock={(answer) => dispatch({ kind: 'lock coach', answer })}
            onReveal={reveal}
            onReplay={() => replay.play()}
            onNext={() => posing.mutate()}
          />
        )}
      </Stack>
      <div className="lab-side">
        <AskCard
          asking={asking}
          players={
            viewer.role === 'coach' ? (players.data ?? []).filter(({ archived }) => !archived) : undefined
          }
          playerId={playerId}
          onPlayer={setPlayerId}
          onChoose={choose}
          pending={posing.isPending}
          first={question === undefined}
          nothingFound={posing.isSuccess && posing.data === undefined}
          onSet={() => posing.mutate()}
        />
        {lessonId !== null && (
          <section className="card" aria-label="Second screen">
            <Text size="sm" role="status" data-testid="on-screen">
              {notShown ?? 'Shown on the second screen as well; the answer when you reveal it.'}{' '}
              <Link to={`/lesson/${lessonId}`}>Back to the lesson</Link>
            </Text>
          </section>
        )}
        {playerId !== null && <CallRecord playerId={playerId} />}
      </div>
    </div>
  );
}
