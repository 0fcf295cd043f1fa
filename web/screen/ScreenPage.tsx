import { Button, Group, Text, TextInput, Title } from '@mantine/core';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { CUE_BALL } from '../../core/drill/layout.ts';
import { setOrder } from '../../core/drill/setOrder.ts';
import { SCREEN_CODE, type ScreenPicture } from '../../core/records/screen.ts';
import { tableOfCard } from '../../core/table/card.ts';
import { measurePlace } from '../../core/table/place.ts';
import { atStage } from '../../core/drill/stage.ts';
import { BlockClock } from '../controls/BlockClock.tsx';
import { DrillDrawing } from '../table/DrillDrawing.tsx';
import { BallMark, LandingMark } from '../table/marks.tsx';
import { TableDrawing } from '../table/TableDrawing.tsx';
import { taskInWords } from '../words/drillWords.ts';
import { speedWords } from '../words/lengths.ts';
import { placeByTape } from '../words/places.ts';
import { strokeWords } from '../words/strokeWords.ts';
import { capital } from '../words/vocabulary.ts';
import { useWords } from '../words/useWords.ts';
import { besideWords } from '../words/misplacedWords.ts';
import { CallPicture } from './CallPicture.tsx';
import { useScreen } from './useScreen.ts';
import { useShownPlan } from './useShownPlan.ts';

/** The second screen of a lesson: it is opened by a code and shows what the coach shows. */
export function ScreenPage() {
  const { code = '' } = useParams();
  return SCREEN_CODE.test(code.toUpperCase()) ? <Screen code={code.toUpperCase()} /> : <AskCode />;
}

function AskCode() {
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  const code = typed.trim().toUpperCase();
  return (
    <main className="screen">
      <Title order={1}>Second screen</Title>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (SCREEN_CODE.test(code)) void navigate(`/screen/${code}`);
        }}
      >
        <Group align="end">
          <TextInput
            label="Six letters, from the lesson"
            description="The coach finds them in the lesson under “Second screen”."
            size="lg"
            value={typed}
            autoFocus
            autoCapitalize="characters"
            maxLength={6}
            onChange={(event) => setTyped(event.currentTarget.value)}
          />
          <Button type="submit" size="lg" disabled={!SCREEN_CODE.test(code)}>
            Open
          </Button>
        </Group>
      </form>
    </main>
  );
}

function Screen({ code }: { readonly code: string }) {
  const { picture, isAway, isClosed } = useScreen(code);
  if (isClosed) return <ScreenNotice words="This screen is closed. The lesson has its code." />;
  if (picture === undefined) return <ScreenNotice words={isAway ? 'Looking for the server.' : 'Opening.'} />;
  return (
    <main className="screen">
      {isAway && (
        <Text role="status" c="var(--jr-coral-text)">
          The server is away; this is what it said last.
        </Text>
      )}
      <Picture picture={picture} />
    </main>
  );
}

function ScreenNotice({ words }: { readonly words: string }) {
  return (
    <main className="screen">
      <Title order={1}>Second screen</Title>
      <Text size="xl" role="status">
        {words}
      </Text>
    </main>
  );
}

function Picture({ picture }: { readonly picture: ScreenPicture }) {
  const { block, tableName, card, conditions, shown, callDrill } = picture;
  if (shown.view === 'call' && shown.call !== null && shown.call !== undefined)
    return <CallPicture call={shown.call} drill={callDrill} />;
  const table = tableOfCard(card, conditions?.conditions ?? null);
  if (block === null)
    return (
      <>
        <Title order={1}>{tableName}</Title>
        <TableDrawing table={table} label={`${tableName}, empty`} />
      </>
    );
  return <BlockPicture {...picture} block={block} />;
}

/** The balls, the task, the plan or the landings of the block that is played. */
function BlockPicture(picture: ScreenPicture & { readonly block: NonNullable<ScreenPicture['block']> }) {
  const { vocabulary, say } = useWords();
  const { block, shown, turn, tableName, card, conditions, landings, beside } = picture;
  const table = tableOfCard(card, conditions?.conditions ?? null);
  const drill = atStage(block.drill, block.stage);
  const { drill: planned, plan, hasFailed } = useShownPlan(picture);
  const order = setOrder(drill, table.preset);
  const set = shown.view === 'set up' ? order.slice(0, shown.set) : order;
  const next = shown.view === 'set up' ? order[shown.set] : undefined;
  // What is not to lie there yet does not lie wrong.
  const wrong = beside.filter(({ ball }) => set.some(({ id }) => id === ball));
  return (
    <>
      <Group justify="space-between" align="end">
        <div>
          <Title order={1}>{drill.title}</Title>
          <Text size="xl">
            {drill.stages[block.stage - 1]?.title}, {tableName}
          </Text>
        </div>
        <div className="screen-turn">
          {turn !== null && (
            <Text size="xl" fw={700} data-testid="turn">
              {turn}
            </Text>
          )}
          <BlockClock block={block} />
        </div>
      </Group>
      {shown.view === 'set up' ? (
        <TableDrawing
          table={table}
          label={`The balls that are set: ${String(set.length)} of ${String(order.length)}`}
        >
          {set.map((ball) => (
            <BallMark
              key={ball.id}
              {...markOf(ball)}
              selected={wrong.some((each) => each.ball === ball.id)}
            />
          ))}
          {next !== undefined && (
            <g className="blinking" data-testid="next-ball">
              <BallMark {...markOf(next)} selected />
            </g>
          )}
        </TableDrawing>
      ) : (
        <DrillDrawing drill={drill} stage={block.stage} table={table} plan={plan}>
          {shown.view === 'landings' &&
            landings.map((at, i) => (
              <LandingMark key={i} at={at} ordinal={i + 1} strong={i === landings.length - 1} />
            ))}
        </DrillDrawing>
      )}
      <Text size="xl" fw={700} className="screen-words" data-testid="screen-words">
        {shown.view === 'set up'
          ? next === undefined
            ? 'All balls are set.'
            : `${next.id === CUE_BALL ? 'Cue ball' : `The ${next.id}`}: ${placeByTape(measurePlace(table.preset, next), vocabulary)}`
          : say(taskInWords(drill, vocabulary))}
      </Text>
      {wrong.length > 0 && (
        <Text size="xl" className="screen-words" c="var(--jr-coral-text)" data-testid="beside">
          {besideWords(wrong.map(({ ball, off }) => ({ ball, off: off ?? undefined }))).join(' ')}
        </Text>
      )}
      {shown.view === 'plan' && (
        <Text size="xl" className="screen-words" data-testid="screen-plan">
          {planned === undefined
            ? 'This drill has no planned stroke.'
            : plan === undefined
              ? planNotice(hasFailed)
              : `${capital(strokeWords(planned.plan.tip, undefined, vocabulary))}, ${speedWords(plan.shot.strike.speed)}.`}
        </Text>
      )}
    </>
  );
}

const planNotice = (hasFailed: boolean) =>
  hasFailed ? 'The planned stroke cannot be worked out on this table.' : 'The planned stroke is worked out.';

function markOf(ball: {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly radius: number;
}) {
  const { id, x, y, radius } = ball;
  return { id, at: { x, y }, radius, ...(id === CUE_BALL ? {} : { name: id }) };
}
