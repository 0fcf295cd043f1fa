import { breakPoints } from '../../counting/breakScore.ts';
import type { AttemptOutcome } from '../../drill/round.ts';
import { CUE_BALL } from '../../drill/layout.ts';
import type { Point } from '../../math/point.ts';
import type { Shot } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';
import { leftOnTable } from '../../planning/aftermath.ts';
import { drawnRack, type RackWish } from '../../rack/drawnRack.ts';
import { RACK_QUALITIES } from '../../rack/rackers.ts';
import { createRandom, type Random } from '../../random/random.ts';
import type { AcceptanceSource } from '../../planning/potOptions.ts';
import type { Drill } from '../../records/drill.ts';
import { acceptanceAbout } from '../../shot/acceptanceNear.ts';
import { wayIn } from '../../shot/kicks/way.ts';
import { ballLost } from '../../shot/outcome.ts';
import { clothLinesOf } from '../../table/markings.ts';
import type { Table } from '../../table/table.ts';
import { gradeBreak, type Rack } from '../breakGrades.ts';
import { playedBy, type VirtualPlayer } from '../player.ts';
import { breakShot, type BreakStroke } from './breakShot.ts';
import { isBreakOffFoul } from './breakStudy.ts';

type BreakTask = Extract<Drill['task'], { kind: 'break' }>;

/** Racks of virtual players come from a template. */
const QUALITY = RACK_QUALITIES.template;
/** Breaks by which strokes are compared: all of them, and the best few. */
const ROUGHLY = 48;
const CLOSELY = 200;
const CLOSE = 5;
const SEED = 18;

/** Places across the table, shares of the way from the side cushion to its middle, where a head ball is broken from. */
const ASIDE = [0.15, 0.22, 0.3, 0.55, 1];
const SPEEDS = [5.5, 7, 8.5];
/** A second ball is hit from nearer the side, and thinner. */
const SECOND = { aside: [0.12, 0.3, 0.6], covered: [1, 0.75, 0.5], speeds: [6.5, 8.5] } as const;
/** A break-off leaves from the D, past the outside of the last red, with the side that runs on at the cushions. */
const OFF = {
  aside: [0.45, 0.8],
  covered: [0.3, 0.4, 0.5],
  speeds: [2.6, 2.9, 3.2],
  sides: [-0.2, -0.3],
} as const;
const PLAIN = { side: 0, height: 0 };

/** The strokes that a breaker chooses from, by what the drill asks to be hit; a plan says pace and tip, if there is one. */
function strokesFor(table: Table, { hit }: BreakTask, plan: Drill['plan']): readonly BreakStroke[] {
  const { acrossAt, dRadius } = clothLinesOf(table.preset);
  const middle = table.width / 2;
  const speeds = (usual: readonly number[]) => (plan === null ? usual : [plan.speed]);
  const tip = plan?.tip ?? PLAIN;
  const from = (aside: number) => ({ x: acrossAt, y: aside * middle });
  if (hit === 'edge of the pack') {
    const reach = dRadius ?? 0.3 * table.width;
    return OFF.aside.flatMap((aside) =>
      OFF.covered.flatMap((covered) =>
        speeds(OFF.speeds).flatMap((speed) =>
          OFF.sides.map((side): BreakStroke => ({
            from: { x: acrossAt, y: middle + aside * reach },
            at: LAST_RED,
            covered,
            past: 'left',
            speed,
            tip: plan === null ? { side, height: 0 } : tip,
            elevation: 0,
          })),
        ),
      ),
    );
  }
  const stroke = (aside: number, speed: number, at: number, covered: number): BreakStroke => ({
    from: from(aside),
    at,
    covered,
    past: 'right',
    speed,
    tip,
    elevation: 0,
  });
  return hit === 'head ball'
    ? ASIDE.flatMap((aside) => speeds(SPEEDS).map((speed) => stroke(aside, speed, 0, 1)))
    : SECOND.aside.flatMap((aside) =>
        SECOND.covered.flatMap((covered) =>
          speeds(SECOND.speeds).map((speed) => stroke(aside, speed, NEAR_SECOND, covered)),
        ),
      );
}

/** The place in a rack of the second row's ball on the right-hand side, and of the last row's red on the left. */
const NEAR_SECOND = 1;
const LAST_RED = 14;

/** A break as it was played. */
export interface PlayedBreak extends AttemptOutcome {
  readonly broke: {
    /** Of the cue ball, m/s. */
    readonly speed: number;
    /** Where it stopped; undefined where it fell. */
    readonly cueAt: Point | undefined;
  };
}

/** Plays a break on a rack that is drawn anew and grades it: balls down, and what it leaves (see gradeBreak). */
function played(
  player: VirtualPlayer,
  wish: RackWish,
  stroke: BreakStroke,
  random: Random,
  source?: AcceptanceSource,
): PlayedBreak {
  const { table } = player;
  const racked = drawnRack(wish, table.preset, random);
  const planned = breakShot(table, racked, stroke);
  return outcomeOf(table, wish.kind, playedBy(player, planned, random), source);
}

function outcomeOf(table: Table, rack: Rack, shot: Shot, source?: AcceptanceSource): PlayedBreak {
  const { rest, events } = simulate(shot);
  const left = leftOnTable(shot.balls, rest);
  const cue = left.find(({ id }) => id === CUE_BALL);
  const objects = left.filter((ball) => ball !== cue);
  const balls = rest.filter(({ id, pocket }) => id !== CUE_BALL && pocket !== null).length;
  const { first } = wayIn(events, CUE_BALL, Infinity);
  const foul = cue === undefined || ballLost(rest) || isBreakOffFoul(rack, first, rest);
  const { control, layout } = gradeBreak(table, rack, foul ? undefined : cue, objects, source);
  return {
    done: balls > 0 && !foul,
    balls,
    opening: { balls, control, layout, inOff: foul },
    broke: { speed: shot.strike.speed, cueAt: cue && { x: cue.x, y: cue.y } },
  };
}

/** What a break is worth to a drill. */
function worthOf({ scoring }: Drill, { done, opening }: AttemptOutcome): number {
  if (scoring.method !== 'break-score' || opening === undefined) return done ? 1 : 0;
  return breakPoints(opening, scoring);
}

/**
 * How a virtual player breaks: of some places, aims and paces the break that brings this player most by the drill's own count,
 * on racks from a template; every break has its own.
 * @returns plays one
 */
export function breakPlanner(
  planner: VirtualPlayer,
  drill: Drill,
  task: BreakTask,
): (player: VirtualPlayer) => PlayedBreak {
  const wish: RackWish = { kind: drill.rack?.kind ?? 'eight', quality: QUALITY };
  const meanOf = (stroke: BreakStroke, breaks: number, seed: number) => {
    const root = createRandom(seed);
    let sum = 0;
    // The same racks and errors for every stroke: strokes differ by what they are.
    for (let k = 0; k < breaks; k++)
      sum += worthOf(drill, played(planner, wish, stroke, root.fork(k), acceptanceAbout));
    return sum / breaks;
  };
  const sorted = (strokes: readonly BreakStroke[], breaks: number, seed: number) =>
    strokes
      .map((stroke) => ({ stroke, worth: meanOf(stroke, breaks, seed) }))
      .sort((a, b) => b.worth - a.worth)
      .map(({ stroke }) => stroke);
  const rough = sorted(strokesFor(planner.table, task, drill.plan), ROUGHLY, SEED);
  const [best] = sorted(rough.slice(0, CLOSE), CLOSELY, SEED + 1);
  if (best === undefined) throw new RangeError('breakPlanner: there is no way to break');
  return (player) => played(player, wish, best, player.random);
}
