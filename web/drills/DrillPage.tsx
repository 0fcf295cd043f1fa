import { familyWords } from '../words/said.ts';
import { Button, Group, SegmentedControl, Select, Stack, Table, Text, Title } from '@mantine/core';
import { IconPlayerPlay } from '@tabler/icons-react';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import type { PlannedShot } from '../../core/drill/plannedShot.ts';
import { isPositionDrill, onRoute, type PositionDrill } from '../../core/drill/positionDrill.ts';
import { atStation } from '../../core/drill/station.ts';
import { atStage } from '../../core/drill/stage.ts';
import { CUE_BALL, layOut } from '../../core/drill/layout.ts';
import type { ListedDrill } from '../../core/records/listedDrill.ts';
import type { ClubTable } from '../../core/records/clubTable.ts';
import type { Drill } from '../../core/records/drill.ts';
import { gameOf } from '../../core/drill/gameOf.ts';
import { reviewLanding } from '../../core/scoring/landing.ts';
import { measurePlace } from '../../core/table/place.ts';
import { tableOfCard } from '../../core/table/card.ts';
import type { TablePreset } from '../../core/table/preset.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { drillQuery } from '../api/drills.ts';
import { planQuery } from '../planner/solved.ts';
import { tablesQuery } from '../api/tables.ts';
import { Loading } from '../controls/Loading.tsx';
import { LineKey } from '../table/LineKey.tsx';
import { labAddress } from '../planner/positionSetting.ts';
import { placeInDiamonds, placeByTape } from '../words/places.ts';
import { percent } from '../words/units.ts';
import { tipWords } from '../words/tipWords.ts';
import { useWords } from '../words/useWords.ts';
import { BenchmarkPanel } from './BenchmarkPanel.tsx';
import { DrillRules, SchoolCards } from './DrillRules.tsx';
import { DrillActions } from './DrillActions.tsx';
import { DrillDrawing } from '../table/DrillDrawing.tsx';
import { RevisionList } from './RevisionList.tsx';
import { RulesCard } from './RulesCard.tsx';
import { useClearancePlan } from './useClearancePlan.tsx';
import { useKickLines } from './useKickLines.tsx';
import { useLandingPlan } from './useLandingPlan.tsx';
import { useSafetyAnswers } from './useSafetyAnswers.tsx';
import { usePlayback } from '../table/usePlayback.ts';
import { useSetting } from '../controls/useSetting.ts';
import { numberIn, speedUnit, speedWords } from '../words/lengths.ts';

/** A drill: how to set it, what to do, what it is worth, how others do. */
export function DrillPage() {
  const { slug = '' } = useParams();
  const entry = useQuery(drillQuery(slug));
  const tables = useQuery(tablesQuery);
  if (entry.data === undefined) return <Loading what="the drill" error={entry.error} />;
  if (tables.data === undefined) return <Loading what="the tables" error={tables.error} />;
  return <DrillSheet entry={entry.data} tables={tables.data} />;
}

interface DrillSheetProps {
  readonly entry: ListedDrill;
  readonly tables: readonly ClubTable[];
}

function DrillSheet({ entry, tables }: DrillSheetProps) {
  const drill = entry.document;
  const { stage, fitting, table, choice, params, set } = useSetting(drill, tables);
  const built = tableOfCard(choice.on.card, choice.on.conditions);
  const staged = atStage(drill, stage);
  const game = gameOf(staged);
  const planned = isPositionDrill(staged) ? staged : undefined;
  const wanted = Number(params.get('route') ?? 0);
  const route = planned?.routes[wanted - 1] === undefined ? 0 : wanted;
  const position = planned && onRoute(planned, route);
  const plan = useQuery(planQuery(position, choice.on));
  const { term, vocabulary } = useWords();
  const playback = usePlayback(plan.data);
  const clearance = useClearancePlan(staged, stage, built);
  const kick = useKickLines(staged, built);
  const safety = useSafetyAnswers(staged, built);
  const landing = useLandingPlan(staged, choice.on);
  return (
    <div
      style={{
        display: 'grid',
        gridTemplateColumns: 'repeat(auto-fit, minmax(min(100%, 330px), 1fr))',
        gap: 20,
      }}
    >
      <div style={{ gridColumn: 'span 2', minWidth: 0 }}>
        <Group justify="space-between" align="end" mb="xs">
          <div>
            <Title order={1}>{drill.title}</Title>
            <Text c="dimmed">
              {TABLE_PRESETS[drill.table].name},{' '}
              {drill.technique === null ? familyWords(drill.family, vocabulary) : term(drill.technique)},
              about {drill.minutes} minutes
              {entry.own ? `, the club’s own, revision ${entry.revision}` : ''}
              {entry.archived ? ', put away' : ''}
            </Text>
          </div>
          <Group>
            <DrillActions entry={entry} />
            <Button
              component={Link}
              to={`/drills/${drill.slug}/sheet?stage=${stage}${table === undefined ? '' : `&table=${table.id}`}`}
              variant="default"
              className="no-print"
            >
              Set-up sheet
            </Button>
            {position !== undefined && (
              <Button
                className="no-print"
                variant="default"
                leftSection={<IconPlayerPlay size={18} />}
                onClick={playback.play}
                disabled={plan.data === undefined}
              >
                Play the stroke
              </Button>
            )}
            {fitting.length > 1 && (
              <Select
                aria-label="Table"
                w={210}
                allowDeselect={false}
                data={fitting.map(({ id, name }) => ({ value: id, label: name }))}
                value={table?.id ?? null}
                onChange={(id) => set({ table: id })}
              />
            )}
            {planned !== undefined && planned.routes.length > 0 && (
              <SegmentedControl
                aria-label="Route"
                value={String(route)}
                onChange={(value) => set({ route: value === '0' ? null : value })}
                data={[
                  { value: '0', label: 'As planned' },
                  ...planned.routes.map(({ title }, i) => ({ value: String(i + 1), label: title })),
                ]}
              />
            )}
            <SegmentedControl
              aria-label="Stage"
              value={String(stage)}
              onChange={(value) => set({ stage: value })}
              data={drill.stages.map((each, i) => ({ value: String(i + 1), label: each.title }))}
            />
          </Group>
        </Group>
        {clearance?.drawing ?? kick?.drawing ?? safety?.drawing ?? landing?.drawing ?? (
          <DrillDrawing
            drill={staged}
            stage={stage}
            table={built}
            plan={plan.data}
            positions={playback.positions}
          />
        )}
        {plan.isError && <Loading what="the planned stroke" error={plan.error} />}
        {position !== undefined && (
          <Group justify="space-between" mt="xs" align="start">
            <LineKey
              cueBall="cue ball, planned"
              objectBall
              window={`on the ${position.task.next.ball}: chance of the pot`}
              wanted
            />
          </Group>
        )}
        {staged.balls.length > 0 && <SetUpTable drill={staged} preset={built.preset} />}
      </div>
      <Stack>
        <Button
          component={Link}
          to={`/lesson/round?drill=${drill.slug}&stage=${stage}${table === undefined ? '' : `&table=${table.id}`}`}
          size="lg"
          className="no-print"
        >
          Score a round
        </Button>
        {position !== undefined && plan.data !== undefined && (
          <Button
            component={Link}
            to={labAddress(plan.data.shot, position.task)}
            variant="default"
            className="no-print"
          >
            Think it through in the lab
          </Button>
        )}
        <DrillRules drill={staged} stage={stage} />
        {position !== undefined && (
          <>
            {plan.data !== undefined && <Stroke drill={position} plan={plan.data} />}
            <Points drill={position} stage={stage} />
          </>
        )}
        {clearance?.card}
        {kick?.card}
        {landing?.card}
        {safety?.card}
        <BenchmarkPanel entry={entry} stage={stage} table={choice} />
        {game !== undefined && <RulesCard game={game} />}
        <SchoolCards schools={drill.schools} />
        {entry.own && <RevisionList slug={drill.slug} />}
      </Stack>
    </div>
  );
}

function SetUpTable({ drill, preset }: { readonly drill: Drill; readonly preset: TablePreset }) {
  const { vocabulary } = useWords();
  return (
    <section aria-labelledby="set-up-title" className="card" style={{ marginTop: 14 }}>
      <Title order={2} size="h4" id="set-up-title">
        Set up
      </Title>
      <Text size="sm" c="dimmed">
        Measured from the nose to the middle of the ball.
        {preset.sights
          ? ' Diamonds count from the head end and from the right-hand side seen from there.'
          : ''}
      </Text>
      <Table mt={4} verticalSpacing={4}>
        <Table.Thead>
          <Table.Tr>
            <Table.Th>Ball</Table.Th>
            <Table.Th>Place</Table.Th>
            {preset.sights && <Table.Th>Diamonds</Table.Th>}
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {layOut(atStation(drill, 1), preset).map((ball) => {
            const place = measurePlace(preset, ball);
            return (
              <Table.Tr key={ball.id}>
                <Table.Td>
                  <b>{ball.id === CUE_BALL ? 'cue ball' : ball.id}</b>
                </Table.Td>
                <Table.Td>{placeByTape(place, vocabulary)}</Table.Td>
                {preset.sights && <Table.Td>{placeInDiamonds(place)}</Table.Td>}
              </Table.Tr>
            );
          })}
        </Table.Tbody>
      </Table>
    </section>
  );
}

/** The pace on this table, and what it would be on the one that the drill was made for. */
function paceWords({ plan: written }: PositionDrill, { shot }: PlannedShot): string {
  const { speed } = shot.strike;
  return speed === written.speed
    ? speedWords(speed, 2)
    : `${speedWords(speed, 2)} on this cloth (${numberIn(speedUnit(2), written.speed)} on its own)`;
}

function Stroke({ drill, plan }: { readonly drill: PositionDrill; readonly plan: PlannedShot }) {
  const { angle } = reviewLanding(plan, plan.landing);
  const facts = [
    ['Pace', paceWords(drill, plan)],
    ['Tip', tipWords(drill.plan.tip)],
    [
      `Angle left on the ${drill.task.next.ball}`,
      `${Math.abs(Math.round(angle.degrees))}°, ${angle.thickness}`,
    ],
  ] as const;
  return (
    <section className="card">
      <Title order={2} size="h4">
        Planned stroke
      </Title>
      <dl style={{ display: 'grid', gridTemplateColumns: '1fr auto', gap: '2px 12px', margin: '6px 0 0' }}>
        {facts.map(([name, value]) => (
          <div key={name} style={{ display: 'contents' }}>
            <dt className="muted">{name}</dt>
            <dd style={{ margin: 0, fontWeight: 700 }}>{value}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

function Points({ drill, stage }: { readonly drill: PositionDrill; readonly stage: number }) {
  const bands = drill.stages[stage - 1]?.bands ?? [];
  const { term } = useWords();
  return (
    <section className="card">
      <Title order={2} size="h4">
        Points
      </Title>
      <Text size="sm" mt={4}>
        By the chance that a {drill.scoring.windowLevel} player pots the {drill.task.next.ball} from where the
        cue ball stopped. A miss or {term('inOff')} scores 0.
      </Text>
      <Group mt={6} gap="lg">
        {bands.map((band) => (
          <Text key={band.chance}>
            <b>{band.points}</b> from {percent(band.chance)}
          </Text>
        ))}
      </Group>
    </section>
  );
}
