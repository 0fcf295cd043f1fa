import { SimpleGrid, Stack, Text, Title } from '@mantine/core';
import { useCallbackRef, useDebouncedValue } from '@mantine/hooks';
import { useCallback, useMemo, useReducer, useState, type KeyboardEvent } from 'react';
import type { Point } from '../../../core/math/point.ts';
import type { Shot } from '../../../core/motion/shot.ts';
import type { PlanStep } from '../../../core/planning/order/course.ts';
import { listedWishes, NO_WISHES, type OrderWishes } from '../../../core/planning/order/wishes.ts';
import { executionErrorOf, LEVEL_NAMES } from '../../../core/player/levels.ts';
import type { ClubTable } from '../../../core/records/clubTable.ts';
import { tableOfCard } from '../../../core/table/card.ts';
import { OneOf } from '../../controls/fields.tsx';
import { useAddress } from '../../controls/useAddress.ts';
import { OrderTable } from '../../planner/order/OrderTable.tsx';
import { PlanCard } from '../../planner/order/PlanCard.tsx';
import { usePlayedStep } from '../../planner/order/usePlayedStep.ts';
import { STILL_MS } from '../../planner/usePictures.ts';
import { arrowStep } from '../../table/arrowStep.ts';
import { useBallDrag } from '../../table/ballDrag.ts';
import { addBall, CUE, moveBall, onTable, removeBall } from '../../table/labShot.ts';
import { BallPanel } from '../BallPanel.tsx';
import { LabHead } from '../LabHead.tsx';
import { WithTables } from '../WithTables.tsx';
import { firstPosition } from '../labStart.ts';
import type { ChosenTable } from '../labState.ts';
import { startStroke, strokeReducer } from '../stroke/strokeState.ts';
import {
  firstTable,
  nextAfter,
  orderOf,
  ordersFor,
  orderSettingFrom,
  type OrderName,
} from './orderSetting.ts';
import { LevelsCard } from './LevelsCard.tsx';
import { OrdersCard, VIEW_WORDS } from './OrdersCard.tsx';
import { OrderTools } from './OrderTools.tsx';
import { StepTools } from './StepTools.tsx';
import { useDrillRules } from './useDrillRules.ts';
import { planIn, useOrders } from './useOrders.ts';
import { WishesCard } from './WishesCard.tsx';

const NO_STEPS: readonly PlanStep[] = [];

const ORDER_WORDS: Readonly<Record<Exclude<OrderName, 'drill'>, string>> = {
  any: 'any order',
  rotation: 'lowest number first',
  suits: 'one suit, then the 8',
  'red and colour': 'a red and a colour in turn',
};

/** Which ball first, in which order, by which strokes: a table to be cleared, planned. */
export function OrderPage() {
  return <WithTables>{(tables) => <OrderLab tables={tables} />}</WithTables>;
}

function OrderLab({ tables }: { readonly tables: readonly ClubTable[] }) {
  const { params, set } = useAddress();
  const [state, dispatch] = useReducer(strokeReducer, undefined, () => {
    const position = firstPosition(params, tables);
    return startStroke(
      params.has('shot') ? position : { ...position, shot: firstTable(position.shot.table) },
    );
  });
  const { selected } = state;
  const { shot, chosen } = state.steps.present;
  const ids = useMemo(() => shot.balls.flatMap(({ id }) => (id === CUE ? [] : [id])), [shot.balls]);
  const rules = useDrillRules(params);
  const setting = orderSettingFrom(params, ids, rules?.order);
  const [looked, setLooked] = useState(0);
  const [tapped, setTapped] = useState<readonly string[]>();

  const asked = useMemo(() => {
    const { preset, parameters } = shot.table;
    const cue = shot.balls.find(({ id }) => id === CUE);
    return {
      table: { preset, parameters },
      balls: shot.balls.filter((ball) => ball !== cue),
      cue: cue ?? { id: CUE, x: 0, y: 0, radius: preset.cueBallRadius, mass: preset.cueBallMass },
      order: orderOf(setting.order, ids, rules?.order),
      conditions: (setting.order === 'drill' ? rules?.conditions : undefined) ?? [],
      error: executionErrorOf(setting.level, preset.game),
    };
  }, [shot, ids, setting.order, setting.level, rules]);
  const key = JSON.stringify(asked);
  const [settled] = useDebouncedValue(key, STILL_MS);
  const orders = useOrders(settled === key && ids.length > 0 ? key : undefined, asked, ids);
  const { planning, plannings } = orders;
  const planned = planIn(planning)?.steps ?? NO_STEPS;
  const step = Math.min(looked, Math.max(0, planned.length - 1));
  const { positions, play } = usePlayedStep(planned[step]);

  const change = useCallback((next: Shot, sameStep = false) => {
    setLooked(0);
    setTapped(undefined);
    dispatch({ kind: 'change', shot: next, sameStep });
  }, []);
  const select = useCallback((id: string) => dispatch({ kind: 'select', id }), []);
  const move = useCallbackRef((id: string, to: Point, sameStep?: boolean) =>
    change(moveBall(shot, id, to), sameStep),
  );
  const add = useCallbackRef((id: string) => change(addBall(shot, id)));
  const remove = useCallbackRef((id: string) => change(removeBall(shot, id)));
  const wish = (wishes: OrderWishes) => {
    setTapped(undefined);
    orders.wish(wishes);
  };
  /** A ball more of an order that is tapped; the order is there when no ball is left. */
  const tap = useCallbackRef((id: string) => {
    if (tapped === undefined || nextAfter(asked.order, ids, tapped)?.includes(id) !== true) return;
    const balls = [...tapped, id];
    if (nextAfter(asked.order, ids, balls)?.length === 0) wish(listedWishes(balls));
    else setTapped(balls);
  });
  const endTapping = (next: readonly string[] | undefined) => {
    if (next !== undefined) setTapped(next);
    else wish(listedWishes(tapped ?? []));
  };
  const drag = useBallDrag({
    balls: shot.balls,
    onSelect: tapped === undefined ? select : tap,
    onMove: tapped === undefined ? move : () => undefined,
  });
  const chooseTable = useCallbackRef((next: ChosenTable) => {
    const table = tableOfCard(next.card, next.conditions);
    dispatch({ kind: 'set up', position: { shot: onTable(shot, table), chosen: next } });
  });
  const ball = shot.balls.find((each) => each.id === selected);
  const onKey = useCallbackRef((event: KeyboardEvent) => {
    const to = ball && arrowStep(event, ball, shot.table.length);
    if (to !== undefined && ball !== undefined) change(moveBall(shot, ball.id, to));
    else if (event.ctrlKey || event.metaKey) return;
    else if (event.key === 'n') {
      const at = shot.balls.findIndex((each) => each.id === selected);
      select(shot.balls[(at + 1) % shot.balls.length]?.id ?? CUE);
    } else if (event.key === 'p') play();
    else if (planned[Number(event.key) - 1] !== undefined) setLooked(Number(event.key) - 1);
    else return;
    event.preventDefault();
  });
  return (
    <div className="lab">
      <Stack gap={8}>
        <div className="no-print">
          <LabHead tables={tables} table={shot.table} chosen={chosen} onChoose={chooseTable} />
        </div>
        <OrderTools
          state={state}
          asked={asked}
          level={setting.level}
          planned={planned}
          dispatch={dispatch}
          onSet={({ position, order, drill }) => {
            wish(NO_WISHES);
            setLooked(0);
            dispatch({ kind: 'set up', position });
            set({
              order,
              drill: drill?.slug ?? null,
              stage: drill === undefined ? null : String(drill.stage),
            });
          }}
        />
        <OrderTable
          table={shot.table}
          balls={shot.balls}
          steps={tapped === undefined ? planned : NO_STEPS}
          step={step}
          positions={positions}
          selected={selected}
          onDrag={drag}
          onKey={onKey}
        />
        {planned.length > 0 && (
          <Text size="sm" c="dimmed">
            Lines: where the cue ball goes; dots: the balls; a cross with a number: where it stops after that
            shot. The bands show the chance to clear from there before shot {step + 1}.
          </Text>
        )}
      </Stack>
      <div className="lab-side">
        <section className="card no-print" aria-labelledby="asked-title">
          <Title order={2} size="h4" id="asked-title">
            Asked
          </Title>
          <SimpleGrid cols={2} spacing={8}>
            <OneOf
              label="Clear in"
              value={setting.order}
              values={ordersFor(ids, rules?.order)}
              wordOf={(name) => (name === 'drill' ? `as in “${rules?.title ?? ''}”` : ORDER_WORDS[name])}
              onChange={(order) => set({ order: order === 'any' ? null : order })}
            />
            <OneOf
              label="A player of"
              value={setting.level}
              values={LEVEL_NAMES}
              onChange={(level) => set({ level: level === 'team' ? null : level })}
            />
          </SimpleGrid>
        </section>
        {ids.length > 0 && (
          <PlanCard
            title={VIEW_WORDS[orders.view]}
            planning={planning}
            step={step}
            onStep={setLooked}
            tools={({ shot: next }) => (
              <StepTools
                steps={planned}
                step={step}
                wishes={orders.wishes}
                mayGo={(balls) => nextAfter(asked.order, ids, balls) !== undefined}
                onWish={wish}
                onPlay={play}
                onSetUp={() => {
                  // Shots count anew from there.
                  wish(NO_WISHES);
                  change({ ...shot, balls: next.balls });
                }}
              />
            )}
          />
        )}
        {ids.length > 0 && (
          <WishesCard
            wishes={orders.wishes}
            tapped={tapped}
            free={plannings.plan && planIn(plannings.plan)}
            own={plannings.own && planIn(plannings.own)}
            settled={plannings.plan?.running === false && plannings.own?.running === false}
            onTap={endTapping}
            onWish={wish}
            onKeep={orders.keepAs}
          />
        )}
        <OrdersCard
          plannings={plannings}
          view={orders.view}
          step={step}
          onLook={(view, at) => {
            orders.setView(view);
            setLooked(at);
          }}
        />
        {ids.length > 0 && <LevelsCard asked={{ ...asked, wishes: NO_WISHES }} tableKey={key} />}
        <div className="no-print">
          <BallPanel
            shot={shot}
            selected={selected}
            onSelect={select}
            onMove={move}
            onAdd={add}
            onRemove={remove}
          />
        </div>
      </div>
    </div>
  );
}
