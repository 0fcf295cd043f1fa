import { Button, Group, Stack, Table, Text, Title } from '@mantine/core';
import { proxy } from 'comlink';
import { memo } from 'react';
import type { Shot, ShotResult } from '../../../core/motion/shot.ts';
import { simulate } from '../../../core/motion/simulate.ts';
import type { BreakOut } from '../../../core/planning/breakOut.ts';
import { capital } from '../../words/vocabulary.ts';
import { placeByTape } from '../../words/places.ts';
import { strokeWords } from '../../words/strokeWords.ts';
import { percent } from '../../words/units.ts';
import { useWords } from '../../words/useWords.ts';
import { measurePlace } from '../../../core/table/place.ts';
import { useSearch } from '../../planner/useSearch.ts';
import { searchPlanner } from '../../workers/planner.ts';
import type {
  DoubleAnswer,
  NoPicture,
  PlannedStroke,
  PlantAnswer,
  PositionQuestion,
} from '../../../core/planning/position/question.ts';
import { fineLength, speedWords, tapeLength } from '../../words/lengths.ts';

const DOUBLE_PACES = [1.5, 2.2, 3.2, 4.5];

/** An answer, with what was asked: it is told of that, whatever is set meanwhile. */
type Answer = { readonly question: PositionQuestion; readonly shot: Shot } & (
  | { readonly kind: 'break-outs'; readonly found: readonly BreakOut[] | NoPicture }
  | { readonly kind: 'plant'; readonly found: PlantAnswer | undefined; readonly first: string }
  | { readonly kind: 'double'; readonly found: readonly DoubleAnswer[] }
);

interface MoreAnswersProps {
  readonly question: PositionQuestion;
  readonly stroke: PlannedStroke;
  readonly shot: Shot;
  /** Shows a stroke's ways on the table, beside the one that is set; undefined shows none. */
  readonly onShow: (result: ShotResult | undefined) => void;
}

/** What is asked less often: opening a cluster with the cue ball, a plant, a double. */
export const MoreAnswers = memo(function MoreAnswers({ question, stroke, shot, onShow }: MoreAnswersProps) {
  const { term } = useWords();
  const { state, ask, stop } = useSearch<number, Answer>('break-outs');
  const [first = ''] = question.next;
  const key = JSON.stringify([question, stroke]);
  const answer = state.kind === 'answered' ? state.answer : undefined;
  const outdated = state.kind === 'answered' && state.key !== key;

  function further(run: (tell: (share: number) => void) => Promise<Answer | 'cancelled'>) {
    onShow(undefined);
    ask(key, run);
  }

  return (
    <section className="card" aria-labelledby="more-title">
      <Group justify="space-between">
        <Title order={2} size="h4" id="more-title">
          Ask further
        </Title>
        <Group gap={6}>
          <Button
            size="xs"
            variant="default"
            onClick={() =>
              further(async (tell) => {
                const found = await searchPlanner().breakOuts(question, question.next, proxy(tell));
                return found === 'cancelled' ? found : { kind: 'break-outs', found, question, shot };
              })
            }
          >
            Open the next balls with the cue ball
          </Button>
          <Button
            size="xs"
            variant="default"
            onClick={() =>
              further(async () => ({
                kind: 'plant',
                first,
                found: await searchPlanner().plant(question, first, stroke),
                question,
                shot,
              }))
            }
          >
            {capital(term('plant'))} by way of the {first}
          </Button>
          <Button
            size="xs"
            variant="default"
            onClick={() =>
              further(async () => ({
                kind: 'double',
                found: await searchPlanner().double(question, DOUBLE_PACES),
                question,
                shot,
              }))
            }
          >
            {capital(term('double'))} the {question.pot}
          </Button>
        </Group>
      </Group>
      {state.kind === 'running' && (
        <Group gap={8}>
          <Text size="sm">looking, {percent(state.progress ?? 0)}</Text>
          <Button size="compact-xs" variant="default" onClick={stop}>
            Stop
          </Button>
        </Group>
      )}
      {state.kind === 'failed' && (
        <Text size="sm" role="alert" c="var(--jr-coral-text)">
          No answer came: {state.error.message}.
        </Text>
      )}
      {outdated && (
        <Text size="sm" c="dimmed">
          Of the {answer?.question.pot} as it was asked; balls, stroke or question are others now.
        </Text>
      )}
      {answer?.kind === 'break-outs' && (
        <BreakOuts found={'kind' in answer.found ? [] : answer.found} onShow={onShow} />
      )}
      {answer?.kind === 'plant' && (
        <Plant found={answer.found} first={answer.first} second={answer.question.pot} onShow={onShow} />
      )}
      {answer?.kind === 'double' && <Doubles found={answer.found} shot={answer.shot} onShow={onShow} />}
    </section>
  );
});

interface ShowProps {
  readonly onShow: (result: ShotResult | undefined) => void;
}

function ShowButton({ result, onShow }: ShowProps & { readonly result: () => ShotResult }) {
  return (
    <Button size="compact-xs" variant="default" onClick={() => onShow(result())}>
      Show
    </Button>
  );
}

function BreakOuts({ found, onShow }: ShowProps & { readonly found: readonly BreakOut[] }) {
  const { vocabulary, term } = useWords();
  if (found.length === 0)
    return <Text size="sm">No plain stroke carries the cue ball into these balls after the pot.</Text>;
  const balls = (list: BreakOut['frees']) =>
    list.length === 0 ? 'none' : list.map(({ ball, share }) => `${ball} (${percent(share)})`).join(', ');
  return (
    <Table fz="sm" verticalSpacing={3}>
      <Table.Thead>
        <Table.Tr>
          <Table.Th>Stroke</Table.Th>
          <Table.Th>Meets</Table.Th>
          <Table.Th>Frees</Table.Th>
          <Table.Th>Spoils</Table.Th>
          <Table.Th>{capital(term('inOff'))}</Table.Th>
          <Table.Th>A ball on after</Table.Th>
          <Table.Th aria-label="Show on the table" />
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        {found.slice(0, 6).map((each) => (
          <Table.Tr key={`${each.shot.strike.speed} ${each.shot.strike.tip.height}`}>
            <Table.Td>
              {capital(strokeWords(each.shot.strike.tip, undefined, vocabulary))},{' '}
              {speedWords(each.shot.strike.speed)}
            </Table.Td>
            <Table.Td>
              the {each.hits} at {speedWords(each.arrival)}
            </Table.Td>
            <Table.Td>{balls(each.frees)}</Table.Td>
            <Table.Td>{balls(each.spoils)}</Table.Td>
            <Table.Td>{percent(each.inOff)}</Table.Td>
            <Table.Td>
              <b>{percent(each.onAfter)}</b>
            </Table.Td>
            <Table.Td>
              <ShowButton result={() => simulate(each.shot, { paths: true })} onShow={onShow} />
            </Table.Td>
          </Table.Tr>
        ))}
      </Table.Tbody>
    </Table>
  );
}

interface PlantProps extends ShowProps {
  readonly found: PlantAnswer | undefined;
  readonly first: string;
  readonly second: string;
}

function Plant({ found, first, second, onShow }: PlantProps) {
  if (found === undefined) {
    return (
      <Text size="sm">
        No hit on the {first} pots the {second}.
      </Text>
    );
  }
  const { way, flip, gap, result } = found;
  return (
    <Stack gap={2}>
      <Text size="sm">
        Hit the {first} {way.side === 'full' ? 'full' : `on its ${way.side}`}: the line may be off by ±
        {way.toleranceDeg.toFixed(2)}°.{' '}
        {way.landing === undefined ? 'The cue ball falls.' : 'The cue ball stays on the table.'}{' '}
        <ShowButton result={() => result} onShow={onShow} />
      </Text>
      <Text size="sm">
        The balls lie {fineLength(Math.max(0, gap))} apart.{' '}
        {flip === undefined
          ? `No gap up to ${tapeLength(0.012)} changes the side.`
          : `Touching and up to ${fineLength(flip.until)} one side pots it, from ${fineLength(flip.from)} the other.`}
      </Text>
    </Stack>
  );
}

interface DoublesProps extends ShowProps {
  readonly found: readonly DoubleAnswer[];
  readonly shot: Shot;
}

function Doubles({ found, shot, onShow }: DoublesProps) {
  const { vocabulary } = useWords();
  if (found.every(({ way }) => way === undefined))
    return <Text size="sm">No pace doubles it into this pocket.</Text>;
  return (
    <Table fz="sm" verticalSpacing={3}>
      <Table.Thead>
        <Table.Tr>
          <Table.Th>Pace</Table.Th>
          <Table.Th>Meets the cushion at</Table.Th>
          <Table.Th>Line may be off by</Table.Th>
          <Table.Th>Potted</Table.Th>
          <Table.Th>Second meeting</Table.Th>
          <Table.Th aria-label="Show on the table" />
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        {found.map(({ speed, way, potted, kissed }) => (
          <Table.Tr key={speed}>
            <Table.Td>{speedWords(speed)}</Table.Td>
            <Table.Td>
              {way === undefined
                ? 'no way'
                : placeByTape(measurePlace(shot.table.preset, way.entry), vocabulary)}
            </Table.Td>
            <Table.Td>{way === undefined ? '–' : `±${way.toleranceDeg.toFixed(2)}°`}</Table.Td>
            <Table.Td>{percent(potted)}</Table.Td>
            <Table.Td>{percent(kissed)}</Table.Td>
            <Table.Td>
              {way !== undefined && <ShowButton result={() => way.result} onShow={onShow} />}
            </Table.Td>
          </Table.Tr>
        ))}
      </Table.Tbody>
    </Table>
  );
}
