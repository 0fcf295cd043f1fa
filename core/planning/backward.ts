import { isOnTable } from '../shot/outcome.ts';
import { distance, type Point } from '../math/point.ts';
import type { BallOnTable, Shot, ShotResult } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import type { CueingOptions } from '../player/cueing.ts';
import type { ExecutionError } from '../player/levels.ts';
import { createAimer } from '../shot/aim.ts';
import { contactFor } from '../shot/cut.ts';
import { nearestApproach } from '../shot/passing.ts';
import type { Table } from '../table/table.ts';
import { emptyGrid, placeOnGrid } from './grid.ts';
import { viewOf, type PotLine } from './potOptions.ts';
import { chanceAt, type PositionWindow } from './grid.ts';
import { cueBallAt } from './windowAmong.ts';

/** What the cue ball is wanted to do after the pot. */
export type WantedWay =
  /** Pass both points of a line in their order, each within half a ball's width at best and `room` at most (metres). */
  | { readonly kind: 'line'; readonly from: Point; readonly to: Point; readonly room: number }
  /** Stop near a place. */
  | { readonly kind: 'place'; readonly at: Point; readonly room: number }
  /** Stop where another map is lit: the same one shot earlier. */
  | { readonly kind: 'map'; readonly map: PositionWindow };

/** A stroke as it comes by itself: no side, the cue ball rolling or sliding as it hits. */
export interface NaturalStroke {
  readonly roll: 'rolling' | 'stun';
  /** m/s. */
  readonly speed: number;
}

/** From where the wanted way comes by itself. */
export interface BackwardMap {
  /** How well it comes, 0…1, times the chance of the pot. */
  readonly map: PositionWindow;
  /** The stroke that does it, at each point of the map as its chances stand; undefined where nothing does. */
  readonly strokes: readonly (NaturalStroke | undefined)[];
}

const STEP = 0.05;
const SPEEDS = [0.8, 1.05, 1.35, 1.7, 2.1, 2.6, 3.3];
/** Two fifths of a radius above centre the ball rolls from the tip on. */
const ROLLING_HEIGHT = 0.4;
/** Lower than this no stun is tried, ball radii. */
const LOWEST = -0.46;
const LEAST_CHANCE = 0.15;
const ROUGH = 1e-5;
/** A stroke that does this well is not bettered. */
const GOOD_ENOUGH = 0.85;
/** Paces that are tried between two neighbours, and looks between two stops before one is. */
const MOST_BETWEEN = 3;
const LOOKS = 8;
/** Stops of neighbouring paces that are farther apart than this say little of what lies between, metres. */
const FAR_APART = 0.6;
/** Stops do not move on a straight line: what passes within this many rooms of a place may still stop there. */
const HOPE = 2.6;
/** A pace is tried where it promises this much more. */
const GAIN = 0.03;
/** Steps in which a path is looked along, seconds. */
const LOOK = 0.02;

/** The tip's height for a ball that has just lost its back spin when it has gone a way: −μ·g·t / v with t from the way. */
function stunHeight(table: Table, speed: number, way: number): number | undefined {
  const { slidingFriction, gravity } = table.parameters;
  const slowing = slidingFriction * gravity;
  const root = speed * speed - 2 * slowing * way;
  if (root <= 0) return undefined;
  const time = (speed - Math.sqrt(root)) / slowing;
  const height = (-slowing * time) / speed;
  return height < LOWEST ? undefined : height;
}

function nearness(away: number, room: number): number {
  return away >= room ? 0 : 1 - away / room;
}

/** How well a played stroke does what is wanted, 0…1. */
export function fulfils(wanted: WantedWay, result: ShotResult, cueId: string): number {
  const rest = result.rest.find(({ id }) => id === cueId);
  if (rest === undefined || !isOnTable(rest)) return 0;
  switch (wanted.kind) {
    case 'place':
      return nearness(distance(rest, wanted.at), wanted.room);
    case 'map':
      return chanceAt(wanted.map, rest);
    case 'line': {
      const path = result.paths?.find(({ id }) => id === cueId);
      const hit = result.events.find(({ kind }) => kind === 'ball-ball')?.t;
      if (path === undefined || hit === undefined) return 0;
      const first = nearestApproach(path, hit, result.duration, wanted.from, LOOK);
      const second = nearestApproach(path, first.t, result.duration, wanted.to, LOOK);
      return Math.min(nearness(first.metres, wanted.room), nearness(second.metres, wanted.room));
    }
  }
}

/**
 * Lights the table up: for each place of the cue ball, how well a plain pot from there brings the cue ball where it is
 * wanted, by itself. Yields the share done after each row of places.
 * @param line the pot; @param balls the other object balls
 */
export function* backwardMap(
  table: Table,
  line: PotLine,
  balls: readonly BallOnTable[],
  wanted: WantedWay,
  error: ExecutionError,
  options: CueingOptions = {},
): Generator<number, BackwardMap> {
  const map = emptyGrid(table, STEP);
  const strokes = new Array<NaturalStroke | undefined>(map.chances.length).fill(undefined);
  for (let k = 0; k < strokes.length; k++) {
    const cue = cueBallAt(table, placeOnGrid(map, k));
    const { chance } = viewOf(table, cue, line, balls, error, options);
    if (chance >= LEAST_CHANCE) {
      const best = bestNatural(table, cue, line, balls, wanted);
      map.chances[k] = chance * best.value;
      strokes[k] = best.stroke;
    }
    if ((k + 1) % map.columns === 0) yield (k + 1) / strokes.length;
  }
  return { map, strokes };
}

/** A natural stroke that was played: how well it did, and where the cue ball stopped. */
interface PlayedNatural {
  readonly speed: number;
  readonly value: number;
  readonly rest: Point | undefined;
}

/** The natural stroke at a pot from a place that does what is wanted best. */
function bestNatural(
  table: Table,
  cue: BallOnTable,
  line: PotLine,
  balls: readonly BallOnTable[],
  wanted: WantedWay,
): { readonly value: number; readonly stroke: NaturalStroke | undefined } {
  const aimer = createAimer(table, cue, line.object);
  const way = wayToContact(cue, line);
  const play = (roll: NaturalStroke['roll'], speed: number): PlayedNatural | undefined => {
    const stroke = naturalStroke(table, way, roll, speed);
    const shot = stroke && naturalShot(table, cue, line, balls, stroke, aimer);
    if (shot === undefined) return undefined;
    const result = simulate(shot, wanted.kind === 'line' ? { paths: true } : { events: false });
    const at = result.rest[0];
    const rest = at !== undefined && isOnTable(at) ? { x: at.x, y: at.y } : undefined;
    // A ball that is not reached at one pace is at a firmer one: what lies between them is looked at all the same.
    const value = result.rest[1]?.pocket === line.pocket ? fulfils(wanted, result, cue.id) : 0;
    return { speed, value, rest };
  };
  let best: { value: number; stroke: NaturalStroke | undefined } = { value: 0, stroke: undefined };
  const keep = (roll: NaturalStroke['roll'], { value, speed }: PlayedNatural) => {
    if (value > best.value) best = { value, stroke: { roll, speed } };
  };
  for (const roll of ['rolling', 'stun'] as const) {
    const played = playedOften(
      SPEEDS.flatMap((speed) => play(roll, speed) ?? []),
      (speed) => play(roll, speed),
    );
    for (const each of played) keep(roll, each);
    for (const [i, softer] of played.entries()) {
      const firmer = played[i + 1];
      if (firmer === undefined || best.value >= GOOD_ENOUGH) continue;
      for (const between of betweenPaces(softer, firmer, wanted, best.value, (speed) => play(roll, speed))) {
        keep(roll, between);
      }
    }
  }
  return best;
}

/** Strokes by pace, with one more between neighbours that stop so far apart that a cushion lies between them. */
function playedOften(
  played: readonly PlayedNatural[],
  play: (speed: number) => PlayedNatural | undefined,
): readonly PlayedNatural[] {
  return played.flatMap((softer, i) => {
    const firmer = played[i + 1];
    if (firmer === undefined) return [softer];
    const isFar =
      softer.rest === undefined ||
      firmer.rest === undefined ||
      distance(softer.rest, firmer.rest) > FAR_APART;
    const between = isFar ? play(0.5 * (softer.speed + firmer.speed)) : undefined;
    return between === undefined ? [softer] : [softer, between];
  });
}

/**
 * Paces between two neighbours that may do better than both: where the cue ball stops moves from the one stop to the other,
 * and what lies between them says which pace to play. Each is played before it is believed.
 */
function* betweenPaces(
  softer: PlayedNatural,
  firmer: PlayedNatural,
  wanted: WantedWay,
  least: number,
  play: (speed: number) => PlayedNatural | undefined,
): Generator<PlayedNatural> {
  let [low, high] = [softer, firmer];
  let best = least;
  for (let k = 0; k < MOST_BETWEEN; k++) {
    const share = promisingShare(low, high, wanted, best);
    if (share === undefined) return;
    const speed = low.speed + share * (high.speed - low.speed);
    const played = play(speed);
    if (played === undefined) return;
    yield played;
    best = Math.max(best, played.value);
    // The stop is on one side of what was hoped for: go on there.
    const [left, right] = [
      promisingShare(low, played, wanted, best),
      promisingShare(played, high, wanted, best),
    ];
    if (left === undefined && right === undefined) return;
    [low, high] = left === undefined ? [played, high] : [low, played];
  }
}

/** Where between two strokes something better is to be hoped for, 0…1; undefined where nothing is. */
function promisingShare(
  low: PlayedNatural,
  high: PlayedNatural,
  wanted: WantedWay,
  least: number,
): number | undefined {
  if (wanted.kind === 'line') return Math.max(low.value, high.value) > 0 ? 0.5 : undefined;
  if (low.rest === undefined || high.rest === undefined) return 0.5;
  let best: { share: number; value: number } | undefined;
  for (let k = 1; k < LOOKS; k++) {
    const share = k / LOOKS;
    const at = {
      x: low.rest.x + share * (high.rest.x - low.rest.x),
      y: low.rest.y + share * (high.rest.y - low.rest.y),
    };
    const value =
      wanted.kind === 'place'
        ? nearness(distance(at, wanted.at), HOPE * wanted.room)
        : chanceAt(wanted.map, at);
    if (best === undefined || value > best.value) best = { share, value };
  }
  return best !== undefined && best.value > least + GAIN ? best.share : undefined;
}

interface HeightedStroke extends NaturalStroke {
  readonly height: number;
}

function wayToContact(cue: BallOnTable, { object, acceptance }: PotLine): number {
  return distance(cue, contactFor(object, acceptance.middle, cue.radius, object.radius));
}

/** A natural stroke over a way to the contact; undefined where the ball cannot be struck so low. */
function naturalStroke(
  table: Table,
  way: number,
  roll: NaturalStroke['roll'],
  speed: number,
): HeightedStroke | undefined {
  const height = roll === 'rolling' ? ROLLING_HEIGHT : stunHeight(table, speed, way);
  return height === undefined ? undefined : { roll, speed, height };
}

function naturalShot(
  table: Table,
  cue: BallOnTable,
  line: PotLine,
  balls: readonly BallOnTable[],
  { speed, height }: HeightedStroke,
  aimer = createAimer(table, cue, line.object),
): Shot | undefined {
  const stroke = { ball: cue.id, speed, tip: { side: 0, height }, elevation: 0 };
  return aimer.shot([cue, line.object, ...balls], stroke, line.acceptance.middle, ROUGH);
}

/**
 * A natural stroke at a pot from a place, as it is played: to show what a map's point means.
 * @returns undefined when no such stroke pots the ball
 */
export function playNatural(
  table: Table,
  cue: BallOnTable,
  line: PotLine,
  balls: readonly BallOnTable[],
  { roll, speed }: NaturalStroke,
): Shot | undefined {
  const stroke = naturalStroke(table, wayToContact(cue, line), roll, speed);
  return stroke === undefined ? undefined : naturalShot(table, cue, line, balls, stroke);
}
