import { Group, Stack, Text } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import type { Point } from '../../../core/math/point.ts';
import type { BallOnTable } from '../../../core/motion/shot.ts';
import { executionErrorOf } from '../../../core/player/levels.ts';
import type { RackGap } from '../../../core/rack/drawnRack.ts';
import { coloursOnSpots } from '../../../core/rack/colours.ts';
import { rackBalls } from '../../../core/rack/rack.ts';
import { RACK_QUALITIES } from '../../../core/rack/rackers.ts';
import type { ClubTable } from '../../../core/records/clubTable.ts';
import { clothLinesOf } from '../../../core/table/markings.ts';
import { tableOfCard } from '../../../core/table/card.ts';
import { wayToRack, type BreakStroke } from '../../../core/virtual/breaks/breakShot.ts';
import type { BreakStudy } from '../../../core/virtual/breaks/breakStudy.ts';
import { playersQuery } from '../../api/players.ts';
import { OneOf } from '../../controls/fields.tsx';
import { useAddress } from '../../controls/useAddress.ts';
import { RecordingCard } from '../../planner/RecordingCard.tsx';
import { StrokePanel } from '../../planner/StrokePanel.tsx';
import { useFittedPlayer } from '../../planner/useFittedPlayer.ts';
import { useOneRun } from '../../planner/useOneRun.ts';
import { arrowStep } from '../../table/arrowStep.ts';
import { CUE } from '../../table/labShot.ts';
import { AimMark, BallMark, DotMark } from '../../table/marks.tsx';
import { TableDrawing } from '../../table/TableDrawing.tsx';
import { breakStudyOf } from '../../workers/break.ts';
import { fittedWords } from '../../words/playerWords.ts';
import { LabHead } from '../LabHead.tsx';
import { WithTables } from '../WithTables.tsx';
import { firstPosition } from '../labStart.ts';
import { AimCard } from './AimCard.tsx';
import { BestCard } from './BestCard.tsx';
import { breakSettingFrom, firstBreak, placesToShow, restsOf, type ShownRests } from './breakSetting.ts';
import { CompareCard } from './CompareCard.tsx';
import { CONTACT_GAP, ContactsCard } from './ContactsCard.tsx';
import { MapCard } from './MapCard.tsx';
import { PatternsCard } from './PatternsCard.tsx';
import { RackCard } from './RackCard.tsx';
import { SlowCard } from './SlowCard.tsx';
import { StudyCard, type KeptStudy } from './StudyCard.tsx';
import { useOneBreak } from './useOneBreak.ts';
import { speedWords, tapeLength } from '../../words/lengths.ts';

/** So many breaks are played at a time. */
const BREAKS = 200;
const SEED = 18;

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

  const [player, setPlayer] = useState<string | null>(null);
  const players = useQuery(playersQuery);
  const levelError = executionErrorOf(level, preset.game);
  const { fitted, pending } = useFittedPlayer(player, preset.game, levelError);
  const [shown, setShown] = useState<ShownRests>('cue ball');
  const [laid, setLaid] = useState<{ readonly for: string; readonly balls: readonly BallOnTable[] }>();

  const asked = {
    table: { preset, parameters: table.parameters },
    rack: { kind, quality: RACK_QUALITIES[racker], gaps: gaps.length === 0 ? undefined : gaps },
    stroke,
    error: fitted?.error ?? levelError,
    breaks: BREAKS,
    seed: SEED,
  };
  const key = JSON.stringify(asked);
  const run = useOneRun<BreakStudy>(key, (onShare) => breakStudyOf(asked, onShare));
  const one = useOneBreak(asked);
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
  const { from, speed, tip, elevation } = stroke;
  const left = laid?.for === key ? laid.balls : undefined;
  const moving = one.positions;
  const cueBall = { id: CUE, ...from, radius: preset.cueBallRadius };
  const onTable = left ?? [...racked, ...(kind === 'reds' ? coloursOnSpots(preset) : []), cueBall];
  const keep = (study: BreakStudy | undefined) =>
    setKept(
      study && {
        study,
        name: `${speedWords(speed)}, ${tapeLength(from.y)} from the right, ${gaps.length > 0 ? 'gaps' : racker}`,
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
          {moving === undefined &&
            left === undefined &&
            run.answer !== undefined &&
            restsOf(run.answer, shown, kind, from.y < table.width / 2).map((at, i) => (
              <DotMark key={i} at={at} />
            ))}
          {moving === undefined && left === undefined && target !== undefined && (
            <AimMark from={from} to={target} />
          )}
          {onTable.map((ball) => {
            const at = moving === undefined ? ball : moving.get(ball.id);
            return (
              at !== null &&
              at !== undefined && (
                <BallMark
                  key={ball.id}
                  id={ball.id}
                  at={at}
                  radius={ball.radius}
                  selected={ball.id === CUE && left === undefined && moving === undefined}
                  {...(left !== undefined && ball.id !== CUE ? { name: ball.id } : {})}
                />
              )
            );
          })}
        </TableDrawing>
        <Group justify="space-between" gap={8}>
          <Text size="sm" c="dimmed">
            {left !== undefined
              ? 'A table as this break left it.'
              : run.answer === undefined
                ? 'Drag the cue ball along the line, or move it by the arrow keys.'
                : `Dots: where the ${shown} came to rest.`}
          </Text>
          {run.answer !== undefined && left === undefined && (
            <div style={{ minWidth: 220 }}>
              <OneOf
                label="Show the rests of the"
                value={shown}
                values={placesToShow(kind)}
                onChange={setShown}
              />
            </div>
          )}
        </Group>
        <Text size="sm" c="dimmed">
          Wear glasses near a hard break, and keep the end of the table free: balls leave it.
        </Text>
      </Stack>
      <div className="lab-side">
        <RackCard
          preset={preset}
          kind={kind}
          racker={racker}
          gaps={gaps}
          onSet={set}
          onGaps={(next) => setGaps({ for: rackKey, gaps: next })}
        />
        <AimCard
          kind={kind}
          stroke={stroke}
          onChange={change}
          player={{
            level,
            onLevel: (next) => set({ level: next === 'team' ? null : next }),
            players: players.data,
            player,
            onPlayer: setPlayer,
          }}
          told={player === null ? undefined : fittedWords(fitted, pending)}
        />
        <StrokePanel strike={{ speed, tip, elevation }} onChange={(part) => change(part)} />
        <RecordingCard
          setting={{
            distance: wayToRack(table, racked, stroke),
            slowing: table.parameters.slidingFriction * table.parameters.gravity,
          }}
          take="Take this pace"
          onTake={(pace) => change({ speed: pace })}
        />
      </div>
      <div className="lab-below">
        <Stack gap={10}>
          <StudyCard run={run} breaks={BREAKS} kind={kind} kept={kept} onKeep={keep} />
          <BestCard asked={asked} onTake={change} />
          <ContactsCard
            asked={asked}
            onTake={(between) => setGaps({ for: rackKey, gaps: [{ between, gap: CONTACT_GAP }] })}
          />
        </Stack>
        <Stack gap={10}>
          <PatternsCard asked={asked} onShow={(balls) => setLaid(balls && { for: key, balls })} />
          <SlowCard kind={kind} preset={preset} one={one} />
        </Stack>
        <Stack gap={10} className="lab-wide">
          <CompareCard asked={asked} stroke={stroke} />
          <MapCard asked={asked} onTake={({ from: at, speed: pace }) => change({ from: at, speed: pace })} />
        </Stack>
      </div>
    </div>
  );
}
