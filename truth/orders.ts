import { orderGameOf } from '../core/drill/orderGame.ts';
import type { BallOnTable } from '../core/motion/shot.ts';
import { simulate } from '../core/motion/simulate.ts';
import { leftOnTable } from '../core/planning/aftermath.ts';
import { OrderPlanner } from '../core/planning/order/planner.ts';
import { playOut } from '../core/planning/order/playOut.ts';
import { FINE } from '../core/planning/order/tableDetail.ts';
import { executionErrorOf, type LevelName } from '../core/player/levels.ts';
import { createRandom, type Random } from '../core/random/random.ts';
import { POOL } from '../core/testing/balls.ts';
import { thrownTable } from '../core/testing/thrownTable.ts';
import { choosePot } from '../core/virtual/choosePot.ts';
import { playedBy } from '../core/virtual/player.ts';
import { atLeast, atMost, told, type Asked, type Figure } from './figure.ts';

const BALLS = 7;
const TABLES = 8;
const PLAYS = 6;

/** Whether the first policy, which looks one ball ahead, clears a table in any order. */
function clearsByFirstPolicy(
  level: LevelName,
  start: { readonly cue: BallOnTable; readonly balls: readonly BallOnTable[] },
  random: Random,
): boolean {
  const player = { table: POOL, error: executionErrorOf(level, 'pool'), random };
  let all = [start.cue, ...start.balls];
  while (all.length > 1) {
    const ids = all.flatMap(({ id }) => (id === start.cue.id ? [] : [id]));
    const cue = all.find(({ id }) => id === start.cue.id);
    if (cue === undefined) return false;
    const chosen = choosePot(player, {
      balls: all,
      cue,
      legal: ids,
      legalAfter: (potted) => ids.filter((id) => id !== potted),
      conditions: [],
      lastPocket: undefined,
    });
    if (chosen === undefined) return false;
    const { rest } = simulate(playedBy(player, chosen.shot, random), { events: false });
    if (rest.find(({ id }) => id === chosen.ball)?.pocket !== chosen.pocket) return false;
    all = [...leftOnTable(all, rest)];
  }
  return all[0]?.id === start.cue.id;
}

/** Seven balls in any order: what a plan claims against fresh play-outs, and how many more it clears than the first policy. */
export function orders({ seed, size }: Asked): readonly Figure[] {
  const tables = Math.max(2, Math.round(TABLES * size));
  return (['team', 'match'] as const).flatMap((level) => {
    const error = executionErrorOf(level, 'pool');
    let [claimed, cleared, before, nothingOn] = [0, 0, 0, 0];
    for (let t = 0; t < tables; t++) {
      const { cue, balls } = thrownTable(BALLS, 1_000 * seed + t);
      const onTable = balls.map(({ id }) => id);
      const game = orderGameOf({ kind: 'any' }, { onTable, last: undefined, suit: undefined });
      const question = { table: POOL, balls, game, error, detail: FINE };
      const planner = OrderPlanner.of(question);
      if (planner === undefined) continue;
      const stroke = planner.choose(game.start, cue, balls);
      claimed += stroke === undefined ? 0 : planner.judged(game.start, stroke).value;
      const random = createRandom(seed + 77 * t);
      for (let k = 0; k < PLAYS; k++) {
        const { end } = playOut(question, planner, { state: game.start, cue, balls }, random.fork(k));
        if (end === 'cleared') cleared++;
        if (end === 'nothing on') nothingOn++;
        if (clearsByFirstPolicy(level, { cue, balls }, random.fork(k))) before++;
      }
    }
    const plays = tables * PLAYS;
    const share = (100 * cleared) / plays;
    const name = (what: string) => `orders.${level}.${what}`;
    return [
      told(name('cleared'), share, '%'),
      told(name('first-policy'), (100 * before) / plays, '%'),
      atLeast(name('gain'), share - (100 * before) / plays, 30, 'points'),
      told(name('claim'), (100 * claimed) / tables - share, 'points too much'),
      atMost(name('nothing-on'), (100 * nothingOn) / plays, 12.5, '%'),
    ];
  });
}
