import { isOnTable } from '../shot/outcome.ts';
import { distance, pathLength, type Point } from '../math/point.ts';
import { pathAfterHit } from '../judgement/pose/path.ts';
import type { Shot } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { landingCloud } from '../planning/cloud.ts';
import { cueBallAt } from '../planning/windowAmong.ts';
import { executionErrorAt, type ExecutionError } from '../player/levels.ts';
import { acceptanceOf } from '../shot/acceptance.ts';
import { createAimer } from '../shot/aim.ts';
import { cushionSide } from '../shot/sideSpin.ts';
import { CUE_BALL } from '../drill/layout.ts';
import type { Table } from '../table/table.ts';

/** A question on which practitioners disagree, and for which a player's own figures decide. */
export const THUMB_SCHOOLS = ['side spin', 'draw or follow'] as const;
export type ThumbSchool = (typeof THUMB_SCHOOLS)[number];

/** Two ways to bring the cue ball on after a pot. */
export type ThumbWay = 'plain' | 'running side' | 'draw' | 'follow';

interface Question {
  readonly ways: readonly [ThumbWay, ThumbWay];
  readonly cutsDeg: readonly number[];
}

const QUESTIONS: Readonly<Record<ThumbSchool, Question>> = {
  'side spin': { ways: ['plain', 'running side'], cutsDeg: [20, 40] },
  'draw or follow': { ways: ['draw', 'follow'], cutsDeg: [8, 20] },
};

/** How far the cue ball is brought, metres of its way after the hit. */
const TRAVELS = [0.6, 1.2, 1.8, 2.6, 3.4] as const;
/** Side of the tip, and heights, ball radii. */
const SIDE = 0.45;
const HEIGHTS: Readonly<Record<ThumbWay, number>> = {
  plain: 0,
  'running side': 0,
  draw: -0.4,
  follow: 0.4,
};
/** The cue ball is well placed within this distance of where it was to stop, metres. */
export const WELL_PLACED = 0.25;
const EXECUTIONS = 300;
const SEED = 52;
/** The object ball lies so far from its pocket, the cue ball so far from the ball, metres. */
const FROM_POCKET = 0.5;
const FROM_BALL = 0.8;
const SLOWEST = 0.5;
const FASTEST = 7;
const HALVINGS = 14;
const NEAR_ENOUGH = 0.015;

/** How well a way does at a distance: the share of strokes that pot the ball and place the cue ball. */
export interface ThumbPoint {
  /** Metres. */
  readonly travel: number;
  /** 0…1, by the order of the ways; undefined where the way does not carry the cue ball so far. */
  readonly success: readonly [number | undefined, number | undefined];
}

/** Where the schools cross for a player at one cut. */
export interface RuleOfThumb {
  readonly school: ThumbSchool;
  readonly ways: readonly [ThumbWay, ThumbWay];
  readonly cutDeg: number;
  readonly points: readonly ThumbPoint[];
  /** Which way is better from where on, near to far; empty where they cannot be told apart. */
  readonly stretches: readonly ThumbStretch[];
}

/** A stretch of distances over which one way is better. */
export interface ThumbStretch {
  readonly way: ThumbWay;
  /** Where it ends, metres; undefined for the last one. */
  readonly until: number | undefined;
}

/** The stroke of a way at a pace, aimed at the middle of the pocket; undefined when it does not pot. */
function strokeOf(
  table: Table,
  cutDeg: number,
  way: ThumbWay,
  side: number,
  speed: number,
): Shot | undefined {
  const pocket = table.pockets.find(({ name }) => name === 'foot-left') ?? table.pockets[0];
  if (pocket === undefined) return undefined;
  const centre = { x: table.length / 2, y: table.width / 2 };
  const away = Math.atan2(centre.y - pocket.drop.y, centre.x - pocket.drop.x);
  const at = (from: Point, angle: number, far: number): Point => ({
    x: from.x + far * Math.cos(angle),
    y: from.y + far * Math.sin(angle),
  });
  const { ballRadius, ballMass } = table.preset;
  const place = at(pocket.drop, away, FROM_POCKET);
  const object = { id: 'object', ...place, radius: ballRadius, mass: ballMass };
  const cue = cueBallAt(table, at(place, away + (cutDeg * Math.PI) / 180, FROM_BALL), CUE_BALL);
  const acceptance = acceptanceOf(table, object, pocket.name);
  if (acceptance === undefined) return undefined;
  const stroke = { ball: CUE_BALL, speed, tip: { side, height: HEIGHTS[way] }, elevation: 0 };
  return createAimer(table, cue, object).shot([cue, object], stroke, acceptance.middle, 1e-5);
}

/** The stroke that carries the cue ball so far after the hit, by halving the pace. */
function strokeFor(
  table: Table,
  cutDeg: number,
  way: ThumbWay,
  side: number,
  travel: number,
): Shot | undefined {
  let [slow, fast] = [SLOWEST, FASTEST];
  const farAt = (speed: number) => {
    const shot = strokeOf(table, cutDeg, way, side, speed);
    return shot === undefined ? undefined : pathLength(pathAfterHit(shot));
  };
  if ((farAt(fast) ?? 0) < travel || (farAt(slow) ?? Infinity) > travel) return undefined;
  for (let k = 0; k < HALVINGS; k++) {
    const middle = (slow + fast) / 2;
    if ((farAt(middle) ?? 0) < travel) slow = middle;
    else fast = middle;
  }
  const found = strokeOf(table, cutDeg, way, side, (slow + fast) / 2);
  // Where the way jumps with the pace, as at a jaw, no pace carries the ball just so far.
  const off = found === undefined ? Infinity : Math.abs(pathLength(pathAfterHit(found)) - travel);
  return off <= NEAR_ENOUGH ? found : undefined;
}

/** Which sign of side runs at the cushion that the cue ball meets first; 0 for a way without side. */
function sideOf(table: Table, cutDeg: number, way: ThumbWay): number {
  if (way !== 'running side') return 0;
  const shot = strokeOf(table, cutDeg, way, SIDE, 3);
  if (shot === undefined) return SIDE;
  return cushionSide(shot, simulate(shot, { paths: true })) === 'check' ? -SIDE : SIDE;
}

function successOf(error: ExecutionError, shot: Shot | undefined): number | undefined {
  if (shot === undefined) return undefined;
  const wanted = simulate(shot).rest.find(({ id }) => id === CUE_BALL);
  if (wanted === undefined || !isOnTable(wanted)) return undefined;
  const pocket = shot.table.pockets.find(({ name }) => name === 'foot-left')?.name;
  if (pocket === undefined) return undefined;
  const cloud = landingCloud(shot, { object: 'object', pocket }, error, EXECUTIONS, SEED);
  const good = cloud.filter(
    ({ outcome, landing }) => outcome === 'potted' && distance(landing, wanted) <= WELL_PLACED,
  ).length;
  return good / cloud.length;
}

/** Differences smaller than this, of two shares of 300 each with the same draws, say nothing. */
const TOLD_APART = 0.05;

function stretchesOf(ways: Question['ways'], points: readonly ThumbPoint[]): readonly ThumbStretch[] {
  const clear = points.flatMap(({ travel, success: [a, b] }) =>
    a === undefined || b === undefined || Math.abs(a - b) < TOLD_APART ? [] : [{ travel, by: a - b }],
  );
  return clear.flatMap(({ travel, by }, i): ThumbStretch[] => {
    const way = by > 0 ? ways[0] : ways[1];
    const next = clear[i + 1];
    if (next === undefined) return [{ way, until: undefined }];
    if (next.by > 0 === by > 0) return [];
    // Straight between the last clear point of the one and the first of the other.
    return [{ way, until: travel + ((next.travel - travel) * by) / (by - next.by) }];
  });
}

/** The strokes of a question, which do not depend on the player. */
export interface ThumbStrokes {
  readonly school: ThumbSchool;
  readonly cutDeg: number;
  readonly strokes: readonly { readonly travel: number; readonly shots: readonly (Shot | undefined)[] }[];
}

/**
 * The strokes of every question on a table: two ways each at two cuts and five distances, each with the pace that carries
 * the cue ball so far.
 */
export function* thumbStrokes(table: Table): Generator<ThumbStrokes> {
  for (const school of THUMB_SCHOOLS) {
    const { ways, cutsDeg } = QUESTIONS[school];
    for (const cutDeg of cutsDeg) {
      const sides = ways.map((way) => sideOf(table, cutDeg, way));
      yield {
        school,
        cutDeg,
        strokes: TRAVELS.map((travel) => ({
          travel,
          shots: ways.map((way, i) => strokeFor(table, cutDeg, way, sides[i] ?? 0, travel)),
        })),
      };
    }
  }
}

/**
 * Where two schools cross for a player: at which distance the one way pots the ball and places the cue ball more often than
 * the other, by 300 executions each with the player's errors and the same draws.
 * @param strokes of the question; @param rating of the player, 0…100
 */
export function ruleOfThumb({ school, cutDeg, strokes }: ThumbStrokes, rating: number): RuleOfThumb {
  const { ways } = QUESTIONS[school];
  const points = strokes.map(({ travel, shots }): ThumbPoint => {
    const [a, b] = shots.map((shot) =>
      successOf(executionErrorAt(rating, shot?.table.preset.game ?? 'pool'), shot),
    );
    return { travel, success: [a, b] };
  });
  return { school, ways, cutDeg, points, stretches: stretchesOf(ways, points) };
}

/** The rules of thumb of a table for players of some ratings, 0…100, in their order. */
export function rulesOfThumb(table: Table, ratings: readonly number[]): readonly (readonly RuleOfThumb[])[] {
  const strokes = [...thumbStrokes(table)];
  return ratings.map((rating) => strokes.map((each) => ruleOfThumb(each, rating)));
}
