import { Alert, Button, Group, Select, Stack, Text, Title } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useReducer, useState } from 'react';
import { useSearchParams } from 'react-router';
import { atStage } from '../../../core/drill/stage.ts';
import { isPositionDrill, type PositionDrill } from '../../../core/drill/positionDrill.ts';
import { CALL_KINDS, DIFFICULTIES, type CallKind, type Difficulty } from '../../../core/judgement/kinds.ts';
import { pathAfterHit } from '../../../core/judgement/pose.ts';
import type { CallAnswer, CallQuestion, CallSource } from '../../../core/judgement/question.ts';
import type { Point } from '../../../core/math/point.ts';
import { simulate } from '../../../core/motion/simulate.ts';
import type { NewCall } from '../../../core/records/call.ts';
import { PRESET_IDS, type PresetId } from '../../../core/table/preset.ts';
import { TABLE_PRESETS } from '../../../core/table/presets.ts';
import { call } from '../../api/client.ts';
import { drillsQuery, playerCallsQuery, playersQuery } from '../../api/queries.ts';
import { useViewer } from '../../app/viewer.ts';
import {
  answerWords,
  DIFFICULTY_WORDS,
  explainCall,
  kindWords,
  questionWords,
} from '../../words/callWords.ts';
import { paceWord } from '../eventWords.ts';
import { percent } from '../../words/units.ts';
import { useWords } from '../../words/useWords.ts';
import { searchPlanner } from '../../workers/planner.ts';
import { LabTabs } from '../LabTabs.tsx';
import { useReplay } from '../replay.ts';
import { tipWords } from '../TipPicker.tsx';
import { AnswerForm } from './AnswerForm.tsx';
import { CallRecord } from './CallRecord.tsx';
import { callReducer, type CallState } from './callState.ts';
import { CallTable } from './CallTable.tsx';

/** What is asked for: all of it stands in the address. */
interface Asking {
  readonly kind: CallKind;
  readonly difficulty: Difficulty | 'library';
  readonly preset: PresetId;
}

function askingFrom(params: URLSearchParams): Asking {
  return {
    kind: CALL_KINDS.find((kind) => kind === params.get('kind')) ?? 'in-off or not',
    difficulty: [...DIFFICULTIES, 'library' as const].find((each) => each === params.get('level')) ?? 'plain',
    preset: PRESET_IDS.find((id) => id === params.get('table')) ?? 'pool-9ft',
  };
}

interface PositionOfDrill {
  readonly drill: PositionDrill;
  readonly stage: number;
}

/** Makes up the next position; seeds go on from a random one, a drill is drawn at random. */
async function pose(
  { kind, difficulty, preset }: Asking,
  seed: number,
  drills: readonly PositionOfDrill[],
): Promise<{ readonly question: CallQuestion; readonly source: CallSource } | undefined> {
  const { parameters } = TABLE_PRESETS[preset];
  const table = { preset: TABLE_PRESETS[preset], parameters };
  if (difficulty !== 'library') {
    const question = await searchPlanner().pose(table, kind, difficulty, seed);
    return question && { question, source: { kind: 'seed', seed, difficulty } };
  }
  for (let k = 0; k < drills.length; k++) {
    const chosen = drills[(seed + k) % drills.length];
    if (chosen === undefined) continue;
    const question = await searchPlanner().poseDrill(chosen.drill, table, kind);
    if (question !== undefined) {
      return { question, source: { kind: 'drill', slug: chosen.drill.slug, stage: chosen.stage } };
    }
  }
  return undefined;
}

const LARGEST_SEED = 1_000_000;

/** An answer as it crosses the wire. */
function sent(answer: CallAnswer): NewCall['answer'] {
  return answer.kind === 'path' ? { ...answer, points: [...answer.points] } : answer;
}

/** Trainers: the player commits to an answer before the table shows it. */
export function CallPage() {
  const [params, setParams] = useSearchParams();
  const asking = askingFrom(params);
  const viewer = useViewer();
  const { vocabulary } = useWords();
  const queries = useQueryClient();
  const players = useQuery(playersQuery);
  const drills = useQuery(drillsQuery);
  const [playerId, setPlayerId] = useState<string | null>(viewer.role === 'player' ? viewer.id : null);
  const [state, dispatch] = useReducer(callReducer, { step: 'choosing' } satisfies CallState);
  const [seed, setSeed] = useState(() => 1 + Math.floor(Math.random() * LARGEST_SEED));
  const [points, setPoints] = useState<readonly Point[]>([]);
  const question = state.step === 'choosing' ? undefined : state.question;
  const replay = useReplay(question === undefined ? 0 : simulate(question.shot).duration);

  const positions = (drills.data ?? []).flatMap(({ document }): PositionOfDrill[] =>
    document.table !== asking.preset
      ? []
      : document.stages.flatMap((_, i) => {
          const drill = atStage(document, i + 1);
          return isPositionDrill(drill) ? [{ drill, stage: i + 1 }] : [];
        }),
  );
  const posing = useMutation({
    mutationFn: () => pose(asking, seed, positions),
    onSuccess: (posed) => {
      setSeed((before) => (before % LARGEST_SEED) + 1);
      replay.reset();
      if (posed === undefined) {
        dispatch({ kind: 'leave' });
        return;
      }
      setPoints(pathAfterHit(posed.question.shot).slice(0, 1));
      dispatch({ kind: 'ask', ...posed });
    },
    networkMode: 'always',
  });
  const keeping = useMutation({
    mutationFn: ({ id, body }: { readonly id: string; readonly body: NewCall }) =>
      call('PUT', `/calls/${id}`, body),
    retry: 3,
    onSuccess: (_, { body }) =>
      queries.invalidateQueries({ queryKey: playerCallsQuery(body.playerId).queryKey }),
  });

  const revealed = state.step === 'revealed';

  /** Shows the answer and keeps the call, once: the id is made here. */
  function reveal() {
    const next = callReducer(state, { kind: 'reveal' });
    if (next.step !== 'revealed') return;
    dispatch({ kind: 'reveal' });
    replay.play();
    if (playerId === null) return;
    keeping.mutate({
      id: crypto.randomUUID(),
      body: {
        playerId,
        kind: next.question.kind,
        preset: next.question.shot.table.preset.id,
        source: next.source,
        answer: sent(next.answer),
        score: next.score,
        coach: next.coach && { answer: sent(next.coach.answer), score: next.coach.score },
        calledAt: new Date().toISOString(),
      },
    });
  }

  function choose(name: string, value: string | null) {
    if (value === null) return;
    const next = new URLSearchParams(params);
    next.set(name, value);
    setParams(next, { replace: true });
    dispatch({ kind: 'leave' });
  }

  const drawing =
    question?.kind === 'draw the path' &&
    (state.step === 'asked' || (state.step === 'committed' && state.coach === undefined));
  const shown =
    revealed || state.step === 'committed' ? [state.answer, revealed ? state.coach?.answer : undefined] : [];
  const drawnBefore = shown.flatMap((answer) => (answer?.kind === 'path' ? [answer.points] : []));
  // The player's way is not for the coach to see before the coach's own is locked.
  const drawn = revealed ? drawnBefore : question?.kind === 'draw the path' ? [points] : [];

  return (
    <div className="lab">
      <Stack gap={10}>
        <Group gap="lg" align="end">
          <Title order={1}>Lab</Title>
          <LabTabs />
        </Group>
        {question === undefined ? (
          <section className="card">
            <Title order={2} size="h3">
              Say it before you see it
            </Title>
            <Text mt={6}>
              A position is set and a stroke planned. You commit to an answer; then the table shows what
              happens, by how much, and why. Positions too close to call come at the finest level only.
            </Text>
          </section>
        ) : (
          <CallTable
            key={JSON.stringify(question.shot.strike)}
            question={question}
            drawn={drawn}
            onPoint={drawing ? (place) => setPoints((before) => [...before, place]) : undefined}
            revealed={revealed}
            replay={replay}
          />
        )}
        {question !== undefined && (
          <section className="card" aria-labelledby="call-question">
            <Title order={2} size="h3" id="call-question">
              {questionWords(question, vocabulary)}
            </Title>
            {question.kind !== 'which side of the plant' && (
              <Text size="sm" mt={4}>
                The stroke: {question.shot.strike.speed.toFixed(1)} m/s,{' '}
                {paceWord(question.shot.strike.speed)}; tip {tipWords(question.shot.strike.tip)}.
              </Text>
            )}
            <Group mt={10}>
              {state.step === 'asked' && (
                <AnswerForm
                  key="player"
                  question={question}
                  tooClose={asking.difficulty === 'hair-fine' || asking.difficulty === 'library'}
                  points={points}
                  onUndoPoint={() => setPoints((before) => before.slice(0, -1))}
                  verb="Commit"
                  onAnswer={(answer) => {
                    setPoints((before) => before.slice(0, 1));
                    dispatch({ kind: 'commit', answer });
                  }}
                />
              )}
              {state.step === 'committed' && (
                <Stack gap={8}>
                  <Text>
                    {state.coach === undefined
                      ? 'Committed.'
                      : 'Committed, and the coach’s answer is locked.'}
                  </Text>
                  {viewer.role === 'coach' && state.coach === undefined && (
                    <>
                      <Text size="sm">The coach may lock an own answer beside it, or reveal at once.</Text>
                      <AnswerForm
                        key="coach"
                        question={question}
                        tooClose={asking.difficulty === 'hair-fine' || asking.difficulty === 'library'}
                        points={points}
                        onUndoPoint={() => setPoints((before) => before.slice(0, -1))}
                        verb="Lock"
                        onAnswer={(answer) => dispatch({ kind: 'lock coach', answer })}
                      />
                    </>
                  )}
                  <Button size="lg" onClick={reveal}>
                    Reveal
                  </Button>
                </Stack>
              )}
              {revealed && (
                <Stack gap={6}>
                  <Group gap="md">
                    <Text className="big" data-testid="call-score">
                      {percent(state.score)}
                    </Text>
                    <Text>
                      Called: {answerWords(state.answer)}
                      {state.coach === null
                        ? '.'
                        : `; the coach: ${answerWords(state.coach.answer)}, ${percent(state.coach.score)}.`}
                    </Text>
                  </Group>
                  <Text data-testid="call-truth">{explainCall(question, vocabulary)}</Text>
                  <Group>
                    <Button variant="default" onClick={() => replay.play()}>
                      Play it again
                    </Button>
                    <Button onClick={() => posing.mutate()} loading={posing.isPending}>
                      Next position
                    </Button>
                  </Group>
                </Stack>
              )}
            </Group>
          </section>
        )}
      </Stack>
      <div className="lab-side">
        <section className="card" aria-labelledby="call-ask">
          <Title order={2} size="h4" id="call-ask">
            Ask
          </Title>
          <Stack gap={8} mt={4}>
            <Select
              label="What"
              allowDeselect={false}
              data={CALL_KINDS.map((kind) => ({ value: kind, label: kindWords(kind, vocabulary) }))}
              value={asking.kind}
              onChange={(value) => choose('kind', value)}
            />
            <Select
              label="From"
              allowDeselect={false}
              data={[
                ...DIFFICULTIES.map((value) => ({ value, label: DIFFICULTY_WORDS[value] })),
                { value: 'library', label: 'The library’s drills' },
              ]}
              value={asking.difficulty}
              onChange={(value) => choose('level', value)}
            />
            <Select
              label="Table"
              allowDeselect={false}
              data={PRESET_IDS.map((id) => ({ value: id, label: TABLE_PRESETS[id].name }))}
              value={asking.preset}
              onChange={(value) => choose('table', value)}
            />
            {viewer.role === 'coach' && (
              <Select
                label="Who calls"
                clearable
                placeholder="nobody: not kept"
                data={(players.data ?? [])
                  .filter(({ archived }) => !archived)
                  .map(({ id, name }) => ({ value: id, label: name }))}
                value={playerId}
                onChange={setPlayerId}
              />
            )}
            <Button size="lg" loading={posing.isPending} onClick={() => posing.mutate()}>
              {question === undefined ? 'Set a position' : 'Set another'}
            </Button>
            {posing.isSuccess && posing.data === undefined && (
              <Text size="sm" role="status">
                No position of this kind was found here: set another, or choose another level.
              </Text>
            )}
          </Stack>
        </section>
        {keeping.isError && (
          <Alert color="coral" variant="outline" title="The call is not kept yet">
            <Button size="xs" onClick={() => keeping.mutate(keeping.variables)}>
              Try again
            </Button>
          </Alert>
        )}
        {playerId !== null && <CallRecord playerId={playerId} />}
      </div>
    </div>
  );
}
