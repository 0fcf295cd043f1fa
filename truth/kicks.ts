import { simulate } from '../core/motion/simulate.ts';
import { executed } from '../core/player/execute.ts';
import { executionErrorOf, LEVEL_NAMES } from '../core/player/levels.ts';
import { createRandom } from '../core/random/random.ts';
import { middleOf } from '../core/shot/directions.ts';
import { cuedKick, kickChance } from '../core/shot/kicks/kickChance.ts';
import { kickLines, meetsWanted, type KickWish } from '../core/shot/kicks/kickLines.ts';
import { hitOf } from '../core/shot/kicks/hit.ts';
import { kickShot, wayOf, type KickPosition, type KickStroke } from '../core/shot/kicks/way.ts';
import { thrownTable } from '../core/testing/thrownTable.ts';
import { buildTable } from '../core/table/table.ts';
import { atMost, told, within, type Asked, type Figure } from './figure.ts';

const TABLES = 200;
/** Executions that a chance is held to. */
const HELD_TO = 800;
/** Directions by which a width is held to what is met. */
const RAYS = 400;
const WISH: KickWish = { targets: ['1'], mostCushions: 3 };
const SPEEDS = [1.6, 2.4, 3.4];
const SIDES = [0, -0.35, 0.35];
const PRESETS = ['pool-9ft', 'snooker-12ft', 'eight-7ft'] as const;

interface Held {
  /** Claimed and fresh chance of the widest line, 0…1. */
  readonly claimed: number;
  readonly fresh: number;
  /** Share of the directions within its claimed width that meet the ball, and of those as far again beside it. */
  readonly inside: number;
  readonly outside: number;
}

/** The widest line of a table that was thrown, and what fresh play makes of what is claimed of it. */
function heldTo(k: number, seed: number): Held | undefined {
  const preset = PRESETS[k % PRESETS.length] ?? 'pool-9ft';
  const table = buildTable(preset);
  const { cue, balls } = thrownTable(6, seed + k, table);
  const position: KickPosition = { table, balls: [cue, ...balls], cue: cue.id };
  const side = SIDES[k % SIDES.length] ?? 0;
  const stroke: KickStroke = {
    speed: SPEEDS[Math.floor(k / 3) % SPEEDS.length] ?? 2,
    tip: { side, height: 0 },
    elevation: 0,
  };
  const [line] = kickLines(position, stroke, WISH);
  if (line === undefined) return undefined;
  const wanted = meetsWanted(WISH);
  const level = LEVEL_NAMES[k % LEVEL_NAMES.length] ?? 'team';
  const error = executionErrorOf(level, table.preset.game);
  const direction = middleOf(line);
  const cued = cuedKick(position, stroke, direction, error);
  if (cued === undefined) return undefined;
  const random = createRandom(seed + 7 * k);
  let met = 0;
  for (let n = 0; n < HELD_TO; n++) {
    const hit = hitOf(simulate(executed(cued.shot, cued.error, random), { paths: true }), cue.id);
    if (hit.first !== undefined && wanted({ cushions: hit.before, end: 'ball', first: hit.first })) met++;
  }
  const width = line.high - line.low;
  const meets = (at: number) => {
    const way = wayOf(kickShot(position, stroke, at), WISH.mostCushions);
    return way.first === '1' && way.cushions.join() === line.cushions.join();
  };
  const share = (from: number, to: number) => {
    let hits = 0;
    for (let n = 0; n < RAYS; n++) if (meets(from + ((n + 0.5) / RAYS) * (to - from))) hits++;
    return hits / RAYS;
  };
  return {
    claimed: kickChance(position, stroke, direction, error, wanted).met,
    fresh: met / HELD_TO,
    inside: share(line.low, line.high),
    // Right beside it another stretch of the same way may begin: a tenth of the width tells the border.
    outside: (share(line.low - 0.1 * width, line.low) + share(line.high, line.high + 0.1 * width)) / 2,
  };
}

/** Lines of kicks: what their width and chance claim, held to fresh play on tables that were thrown. */
export function kicks({ seed, size }: Asked): readonly Figure[] {
  const held = Array.from({ length: Math.round(size * TABLES) }, (_, k) => heldTo(k, 1000 * seed)).flatMap(
    (each) => each ?? [],
  );
  const mean = (value: (each: Held) => number) =>
    held.reduce((sum, each) => sum + value(each), 0) / held.length;
  return [
    told('kicks.tables', held.length, 'with a line'),
    within(
      'kicks.chance',
      100 * mean(({ claimed, fresh }) => claimed - fresh),
      [-1, 1],
      'of 100, claimed less fresh',
    ),
    atMost(
      'kicks.apart',
      100 * mean(({ claimed, fresh }) => Math.abs(claimed - fresh)),
      3,
      'of 100, either way',
    ),
    within('kicks.inside', 100 * mean(({ inside }) => inside), [99.5, 100], '% of the width meets the ball'),
    atMost('kicks.outside', 100 * mean(({ outside }) => outside), 2, '% right beside it does'),
  ];
}
