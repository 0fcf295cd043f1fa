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

/** The natural stroke at a pot from a place that does what is wanted best. */
function bestNatural(
  table: Table,
  cue: BallOnTable,
  line: PotLine,
  balls: readonly BallOnTable[],
  wanted: WantedWay,
): { readonly value: number; readonly stroke: NaturalStroke | undefined } {
  const aimer = createAimer(table, cue, line.object);
  let best: { value: number; stroke: NaturalStroke | undefined } = { value: 0, stroke: undefined };
  for (const stroke of naturalStrokes(table, cue, line)) {
    const shot = naturalShot(table, cue, line, balls, stroke, aimer);
    if (shot === undefined) continue;
    const result = simulate(shot, wanted.kind === 'line' ? { paths: true } : { events: false });
    if (result.rest[1]?.pocket !== line.pocket) continue;
    const value = fulfils(wanted, result, cue.id);
    if (value > best.value) best = { value, stroke: { roll: stroke.roll, speed: stroke.speed } };
  }
  return best;
}

interface HeightedStroke extends NaturalStroke {
  readonly height: number;
}

function naturalStrokes(
  table: Table,
  cue: BallOnTable,
  { object, acceptance }: PotLine,
): readonly HeightedStroke[] {
  const way = distance(cue, contactFor(object, acceptance.middle, cue.radius, object.radius));
  return SPEEDS.flatMap((speed): readonly HeightedStroke[] => {
    const height = stunHeight(table, speed, way);
    const rolling = { roll: 'rolling', speed, height: ROLLING_HEIGHT } as const;
    return height === undefined ? [rolling] : [rolling, { roll: 'stun', speed, height }];
  });
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
  const stroke = naturalStrokes(table, cue, line).find((each) => each.roll === roll && each.speed === speed);
  return stroke === undefined ? undefined : naturalShot(table, cue, line, balls, stroke);
}
