import { Group, SimpleGrid, Slider, Stack, Text, Title } from '@mantine/core';
import { useMemo, useState } from 'react';
import type { Point } from '../../../core/math/point.ts';
import { executionErrorOf, LEVEL_NAMES } from '../../../core/player/levels.ts';
import type { RackGap } from '../../../core/rack/drawnRack.ts';
import { coloursOnSpots } from '../../../core/rack/colours.ts';
import { rackBalls } from '../../../core/rack/rack.ts';
import { RACK_QUALITIES, RACKERS } from '../../../core/rack/rackers.ts';
import type { ClubTable } from '../../../core/records/clubTable.ts';
import { clothLinesOf } from '../../../core/table/markings.ts';
import { tableOfCard } from '../../../core/table/card.ts';
import { wayToRack, type BreakStroke } from '../../../core/virtual/breaks/breakShot.ts';
import type { BreakStudy } from '../../../core/virtual/breaks/breakStudy.ts';
import { OneOf } from '../../controls/fields.tsx';
import { useAddress } from '../../controls/useAddress.ts';
import { StrokePanel } from '../../planner/StrokePanel.tsx';
import { useOneRun } from '../../planner/useOneRun.ts';
import { arrowStep } from '../../table/arrowStep.ts';
import { CUE } from '../../table/labShot.ts';
import { AimMark, BallMark, DotMark } from '../../table/marks.tsx';
import { TableDrawing } from '../../table/TableDrawing.tsx';
import { percent } from '../../words/units.ts';
import { breakStudyOf } from '../../workers/break.ts';
import { LabHead } from '../LabHead.tsx';
import { WithTables } from '../WithTables.tsx';
import { firstPosition } from '../labStart.ts';
import { aimsOf, breakSettingFrom, firstBreak, racksOn } from './breakSetting.ts';
import { CONTACT_GAP, ContactsCard } from './ContactsCard.tsx';
import { MapCard } from './MapCard.tsx';
import { RackPicture } from './RackPicture.tsx';
import { RecordingCard } from '../../planner/RecordingCard.tsx';
import { StudyCard, type KeptStudy } from './StudyCard.tsx';

/** So many breaks are played at a time. */
const BREAKS = 200;
const SEED = 18;
const PAST = ['left', 'right'] as const;

/** Where from, how hard, on which ball, on this rack: a break played many times. */
export function BreakPage() {
  return <WithTables>{(tables) => <BreakLab tables={tables} />}</WithTables>;
}

function BreakLab({ tables }: { readonly tables: readonly ClubTable[] }) {
  const { params, set } = useAddress();
  const [first] = useState(() => firstPosition(params, tables));
  const [chosen, setChosen] = useState(first.chosen);
  const table = useMemo(
    () => (chosen === undefined ? first.shot.table : tableOfCard(chosen.card, chosen.conditions)),
    [chosen, first],
  );
  const { preset } = table;
  const { kind, racker, level } = breakSettingFrom(params, preset);
  const [told, setTold] = useState<{ readonly for: string; readonly stroke: BreakStroke }>();
  const [gapsOf, setGaps] = useState<{ readonly for: string; readonly gaps: readonly RackGap[] }>();
  const [kept, setKept] = useState<KeptStudy>();
  const rackKey = `${preset.id} ${kind}`;
  const stroke = told?.for === rackKey ? told.stroke : firstBreak(preset, kind);
  const gaps = gapsOf?.for === rackKey ? gapsOf.gaps : [];
  const change = (part: Partial<BreakStroke>) => setTold({ for: rackKey, stroke: { ...stroke, ...part } });

  const asked = {
    table: { preset, parameters: table.parameters },
    rack: { kind, quality: RACK_QUALITIES[racker], gaps: gaps.length === 0 ? undefined : gaps },
    stroke,
    error: executionErrorOf(level, preset.game),
    breaks: BREAKS,
    seed: SEED,
  };
  const key = JSON.stringify(asked);
  const run = useOneRun<BreakStudy>(key, (onShare) => breakStudyOf(asked, onShare));
  const racked = rackBalls(kind, preset);
  const target = racked[stroke.at];
  /** From behind the line, on the table. */
  const place = ({ x, y }: Point) => {
    const radius = preset.cueBallRadius;
    const { acrossAt } = clothLinesOf(preset);
    change({
      from: {
        x: Math.min(acrossAt, Math.max(radius, x)),
        y: Math.min(table.width - radius, Math.max(radius, y)),
      },
    });
  };
  const { from, covered, past, speed, tip, elevation } = stroke;
  const keep = (study: BreakStudy | undefined) =>
    setKept(
      study && {
        study,
        name: `${speed.toFixed(1)} m/s, ${Math.round(1000 * from.y)} mm from the right, ${gaps.length > 0 ? 'gaps' : racker}`,
      },
    );

  return (
    <div className="lab">
      <Stack gap={8}>
        <LabHead tables={tables} table={table} chosen={chosen} onChoose={setChosen} />
        <TableDrawing
          table={table}
          label="The table with the break"
          onDrag={(_, at) => place(at)}
          onKey={(event) => {
            const to = arrowStep(event, from, table.length);
            if (to === undefined) return;
            place(to);
            event.preventDefault();
          }}
        >
          {run.answer?.cueRests.map((at, i) => (
            <DotMark key={i} at={at} />
          ))}
          {target !== undefined && <AimMark from={from} to={target} />}
          {[...racked, ...(kind === 'reds' ? coloursOnSpots(preset) : [])].map((ball) => (
            <BallMark key={ball.id} id={ball.id} at={ball} radius={ball.radius} />
          ))}
          <BallMark id={CUE} at={from} radius={preset.cueBallRadius} selected />
        </TableDrawing>
        <Text size="sm" c="dimmed">
          {run.answer === undefined
            ? 'Drag the cue ball along the line, or move it by the arrow keys.'
            : 'Dots: where the cue ball came to rest.'}
        </Text>
        <Text size="sm" c="dimmed">
          Wear glasses near a hard break, and keep the end of the table free: balls leave it.
        </Text>
      </Stack>
      <div className="lab-side">
        <section className="card" aria-labelledby="rack-title">
          <Title order={2} size="h4" id="rack-title">
            Rack
          </Title>
          <SimpleGrid cols={2} spacing={8}>
            <OneOf
              label="Balls"
              value={kind}
              values={racksOn(preset)}
              onChange={(next) => set({ rack: next })}
            />
            <OneOf
              label="Racked by"
              value={racker}
              values={RACKERS}
              wordOf={(each) => (each === 'tight' ? 'nobody: perfect' : each)}
              onChange={(next) => set({ racker: next === 'template' ? null : next })}
            />
          </SimpleGrid>
          <RackPicture
            kind={kind}
            preset={preset}
            gaps={gaps}
            onChange={(next) => setGaps({ for: rackKey, gaps: next })}
          />
          <Text size="xs" c="dimmed">
            {gaps.length === 0
              ? 'Tap between two balls to open a gap there. Without one, gaps are drawn anew for each break.'
              : 'The gaps that you see, in millimetres; all other balls touch, as far as they can.'}
          </Text>
        </section>
        <section className="card" aria-labelledby="aim-title">
          <Title order={2} size="h4" id="aim-title">
            Aim
          </Title>
          <SimpleGrid cols={3} spacing={8}>
            <OneOf
              label="Ball"
              value={String(stroke.at)}
              values={aimsOf(kind).map(String)}
              wordOf={(at) => String(Number(at) + 1)}
              onChange={(at) => change({ at: Number(at) })}
            />
            <OneOf label="Past its" value={past} values={PAST} onChange={(side) => change({ past: side })} />
            <OneOf
              label="A player of"
              value={level}
              values={LEVEL_NAMES}
              onChange={(next) => set({ level: next === 'team' ? null : next })}
            />
          </SimpleGrid>
          <Group justify="space-between" mt={6}>
            <Text size="sm" id="covered-label">
              Covered
            </Text>
            <Text size="sm">{covered === 1 ? 'full' : percent(covered)}</Text>
          </Group>
          <Slider
            aria-labelledby="covered-label"
            thumbLabel="Covered"
            min={0.1}
            max={1}
            step={0.05}
            value={covered}
            label={(value) => percent(value)}
            onChange={(value) => change({ covered: value })}
          />
        </section>
        <StudyCard run={run} breaks={BREAKS} kind={kind} kept={kept} onKeep={keep} />
        <MapCard asked={asked} onTake={({ from: at, speed: pace }) => change({ from: at, speed: pace })} />
        <ContactsCard
          asked={asked}
          onTake={(between) => setGaps({ for: rackKey, gaps: [{ between, gap: CONTACT_GAP }] })}
        />
        <RecordingCard
          setting={{
            distance: wayToRack(table, racked, stroke),
            slowing: table.parameters.slidingFriction * table.parameters.gravity,
          }}
          take="Take this pace"
          onTake={(pace) => change({ speed: pace })}
        />
        <StrokePanel strike={{ speed, tip, elevation }} onChange={(part) => change(part)} />
      </div>
    </div>
  );
}
