import { atStage, tablesOf } from '../../../core/drill/stage.ts';
import { ballsOfSetUp, setUp } from '../../../core/drill/setUp.ts';
import { throwBalls } from '../../../core/drill/throwBalls.ts';
import type { Shot } from '../../../core/motion/shot.ts';
import { rackIds, type RackKind } from '../../../core/rack/rack.ts';
import type { Drill } from '../../../core/records/drill.ts';
import type { Table } from '../../../core/table/table.ts';
import { tableOfCard } from '../../../core/table/card.ts';
import { tableAfterBreak } from '../../../core/virtual/afterBreak.ts';
import { CUE, shotWith } from '../../table/labShot.ts';
import { chooseTable } from '../LabHead.tsx';
import type { LabPosition } from '../labState.ts';
import type { OrderName } from './orderSetting.ts';

/** Thrown balls lie at least so far apart, in balls. */
const APART = 0.5;
const ALL = { from: { along: 0, across: 0 }, to: { along: 1, across: 1 } };
/** Who breaks. */
const BREAKER = 'match';
/** So many object balls and the cue ball anywhere. @throws RangeError when they do not fit */
export function thrownOn(table: Table, count: number, seed: number): Shot {
  const { preset } = table;
  const ids =
    preset.game === 'snooker' ? rackIds('reds') : Array.from({ length: 15 }, (_, i) => String(i + 1));
  const thrown = { balls: [CUE, ...ids.slice(0, count)], area: ALL, apart: APART };
  const balls = throwBalls({ thrown }, preset, [], seed).map((ball) =>
    ball.id === CUE ? { ...ball, radius: preset.cueBallRadius, mass: preset.cueBallMass } : ball,
  );
  return shotWith(table, balls);
}

/** The racks that are broken on a kind of table, and the order in which what is left is cleared. */
export function racksOf({
  preset,
}: Table): readonly { readonly kind: RackKind; readonly order: OrderName }[] {
  if (preset.game === 'snooker')
    return preset.markings === 'colours' ? [{ kind: 'reds', order: 'red and colour' }] : [];
  if (preset.markings === 'baulk') return [{ kind: 'eight on the spot', order: 'suits' }];
  return [
    { kind: 'eight', order: 'suits' },
    { kind: 'nine', order: 'rotation' },
  ];
}

/** What a break leaves. @throws RangeError where no break leaves a table to be cleared */
export function brokenOn(table: Table, kind: RackKind, seed: number): Shot {
  return shotWith(table, tableAfterBreak(table, kind, BREAKER, seed));
}

/** A drill's balls at a stage, on the table that is chosen where the drill may be played on it, else on its own. */
export function laidDrill(now: LabPosition, drill: Drill, stage: number, seed: number): LabPosition {
  const fits = tablesOf(drill).includes(now.shot.table.preset.id);
  const chosen = fits ? now.chosen : chooseTable(drill.table, []);
  const table = fits || chosen === undefined ? now.shot.table : tableOfCard(chosen.card, chosen.conditions);
  const balls = ballsOfSetUp(setUp(atStage(drill, stage), table.preset, seed));
  return { shot: shotWith(table, balls), chosen };
}
