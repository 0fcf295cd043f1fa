import { LineKey } from '../table/LineKey.tsx';
import { Anchor, Button, Group, Switch, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { CUE_BALL } from '../../core/drill/layout.ts';
import { mirrorDrill } from '../../core/drill/mirror.ts';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { setOrder } from '../../core/drill/setOrder.ts';
import { atStage } from '../../core/drill/stage.ts';
import { stationsOf } from '../../core/drill/station.ts';
import type { Drill } from '../../core/records/drill.ts';
import type { ClubTable } from '../../core/records/clubTable.ts';
import { tableOfCard } from '../../core/table/card.ts';
import { measurePlace } from '../../core/table/place.ts';
import { drillQuery } from '../api/drills.ts';
import { planQuery, toleranceQuery } from '../planner/solved.ts';
import { tablesQuery } from '../api/tables.ts';
import { Loading } from '../controls/Loading.tsx';
import { rulesInWords, scoringInWords, taskInWords } from '../words/drillWords.ts';
import { placeInDiamonds, placeByTape } from '../words/places.ts';
import { useWords } from '../words/useWords.ts';
import { DrillDrawing } from '../table/DrillDrawing.tsx';
import { ScoreBoxes } from './ScoreBoxes.tsx';
import { useSetting } from '../controls/useSetting.ts';
import { StationList } from './StationList.tsx';
import { useSheetSafety } from './useSheetSafety.tsx';
import { useSheetLine } from './useSheetLine.tsx';
import { tapeLength } from '../words/lengths.ts';

/** A drill to set up by: on paper, on a tablet at the table, or large on a television. */
export function SheetPage() {
  const { slug = '' } = useParams();
  const entry = useQuery(drillQuery(slug));
  const tables = useQuery(tablesQuery);
  if (entry.data === undefined) return <Loading what="the drill" error={entry.error} />;
  if (tables.data === undefined) return <Loading what="the tables" error={tables.error} />;
  return <Sheet document={entry.data.document} tables={tables.data} />;
}

interface SheetProps {
  readonly document: Drill;
  readonly tables: readonly ClubTable[];
}

function Sheet({ document, tables }: SheetProps) {
  const { stage, table: chosen, choice, params, set } = useSetting(document, tables);
  const { vocabulary, say } = useWords();
  const [share, setShare] = useState(0);
  const { on } = choice;
  const table = tableOfCard(on.card, on.conditions);
  const mirrored = params.get('mirror') === '1';
  const seed = Math.max(1, Math.trunc(Number(params.get('seed') ?? 1)) || 1);
  const staged = atStage(document, stage);
  const drill = mirrored ? mirrorDrill(staged, table.width) : staged;
  const position = isPositionDrill(drill) ? drill : undefined;
  const plan = useQuery(planQuery(position, on));
  const ofKick = useSheetLine(drill, table, seed);
  const ofSafety = useSheetSafety(drill, table, seed);
  const line = ofKick ?? ofSafety;
  const tolerance = useQuery(toleranceQuery(position, on, setShare));
  return (
    <main className="sheet">
      <Group className="sheet-head" justify="space-between" align="end">
        <div>
          <Anchor
            component={Link}
            to={`/drills/${document.slug}`}
            size="sm"
            underline="always"
            className="no-print"
          >
            Back to the drill
          </Anchor>
          <Title order={1}>{document.title}</Title>
          <Text c="dimmed">
            {drill.stages[stage - 1]?.title}, {chosen?.name ?? table.preset.name}
            {mirrored ? ', mirrored' : ''}
          </Text>
        </div>
        <Group className="no-print">
          {drill.thrown !== null && (
            <Button variant="default" onClick={() => set({ seed: String(seed + 1) })}>
              Throw again
            </Button>
          )}
          <Switch
            label="Mirrored, for the other hand"
            checked={mirrored}
            onChange={(event) => set({ mirror: event.currentTarget.checked ? '1' : null })}
          />
          <Button onClick={() => window.print()}>Print</Button>
        </Group>
      </Group>
      <div>
        <DrillDrawing drill={drill} stage={stage} table={table} plan={plan.data} seed={seed}>
          {line?.marks}
        </DrillDrawing>
        {plan.data !== undefined && position !== undefined && (
          <LineKey
            cueBall="cue ball, planned"
            objectBall
            window={`on the ${position.task.next.ball}: chance of the pot`}
            wanted
          />
        )}
        <Text fw={700} mt="sm">
          {taskInWords(drill, vocabulary)}
        </Text>
        {[...rulesInWords(drill), ...document.advice].map((line) => (
          <Text key={line}>{say(line)}</Text>
        ))}
        <Text mt={4}>{say(scoringInWords(drill))}</Text>
        <ScoreBoxes drill={drill} stage={stage} entry={position} choice={choice} />
      </div>
      <section aria-labelledby="places-title">
        <Title order={2} size="h3" id="places-title">
          Set in this order
        </Title>
        <Text size="sm" c="dimmed">
          From the nose to the middle of the ball
          {position === undefined ? '.' : '; the last figure is how far it may be off.'}
          {tolerance.isFetching ? ` Tolerances are computed: ${Math.round(100 * share)} %.` : ''}
        </Text>
        <ol className="sheet-places">
          {setOrder(drill, table.preset, seed).map((ball) => {
            const place = measurePlace(table.preset, ball);
            const within = tolerance.data?.find((each) => each.id === ball.id);
            return (
              <li key={ball.id}>
                <b>{ball.id === CUE_BALL ? 'cue ball' : ball.id}</b>
                <span>
                  {placeByTape(place, vocabulary)}
                  {table.preset.sights && (
                    <Text span inherit c="dimmed">
                      {' '}
                      ({placeInDiamonds(place)})
                    </Text>
                  )}
                </span>
                <span>
                  {within !== undefined &&
                    `± ${tapeLength(Math.floor(1_000 * within.within) / 1_000)}${within.atLeast ? ' or more' : ''}`}
                </span>
              </li>
            );
          })}
        </ol>
        {stationsOf(drill) > 1 && <StationList drill={drill} table={table} />}
        {stationsOf(drill) === 1 && line?.facts}
      </section>
    </main>
  );
}
