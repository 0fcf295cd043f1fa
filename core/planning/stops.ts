import { distance, type Point } from '../math/point.ts';
import { simulate } from '../motion/simulate.ts';
import type { Shot } from '../motion/shot.ts';
import type { CushionName } from '../table/cushions.ts';
import { aftermathOf, type Aims } from './aftermath.ts';

/** Where a stroke ends at another pace, aimed as planned. */
export interface Stop {
  /** Share of the planned speed. */
  readonly factor: number;
  readonly at: Point;
  readonly state: StopState;
  /** Chance of the next pot from there; 0 unless the ball falls. */
  readonly next: number;
}

export const STOP_STATES = ['on', 'less likely', 'off', 'in-off', 'lost', 'missed'] as const;
/**
 * On the next ball; a chance below the wanted one but more than half of it; no chance worth the name; the cue ball
 * falls; a ball leaves the table; the ball does not fall.
 */
export type StopState = (typeof STOP_STATES)[number];

const SLOWEST = 0.4;
const FASTEST = 1.8;
const STEP = 0.02;

/** The stretch of paces that leave the next ball on, around the planned pace, and what waits beyond. */
export interface PaceWindow {
  readonly stops: readonly Stop[];
  /** Shares of the planned pace: −0.06 and 0.14 for "−6 % / +14 %"; both 0 when the plan itself is off. */
  readonly less: number;
  readonly more: number;
  /** What a stroke just softer or harder than that meets; undefined when nothing was found in the range tried. */
  readonly softer: StopState | undefined;
  readonly harder: StopState | undefined;
  /** Metres between the first and the last of these stops, along the line on which they lie. */
  readonly length: number;
  /** Their ends. */
  readonly entry: Point | undefined;
  readonly exit: Point | undefined;
}

function stopAt(shot: Shot, aims: Aims, factor: number): Stop {
  const played = { ...shot, strike: { ...shot.strike, speed: shot.strike.speed * factor } };
  const { outcome, landing, next } = aftermathOf(played, aims);
  const state =
    outcome !== 'potted'
      ? outcome
      : next >= aims.confidence
        ? 'on'
        : next >= 0.5 * aims.confidence
          ? 'less likely'
          : 'off';
  return { factor, at: landing, state, next };
}

/** Finds where the state changes between a pace that is on and one that is not, to a tenth of a per cent. */
function edge(shot: Shot, aims: Aims, inside: number, outside: number): Stop {
  let [good, bad] = [inside, outside];
  while (Math.abs(good - bad) > 0.001) {
    const middle = 0.5 * (good + bad);
    if (stopAt(shot, aims, middle).state === 'on') good = middle;
    else bad = middle;
  }
  return stopAt(shot, aims, good);
}

/**
 * Where a stroke would end at paces from two fifths to nearly twice the planned one, and between which of them the next
 * ball is on.
 * @param shot the planned stroke, which pots its ball
 */
export function paceWindow(shot: Shot, aims: Aims): PaceWindow {
  const steps = Math.round((FASTEST - SLOWEST) / STEP);
  const stops = Array.from({ length: steps + 1 }, (_, i) => stopAt(shot, aims, SLOWEST + i * STEP));
  const planned = Math.round((1 - SLOWEST) / STEP);
  if (stops[planned]?.state !== 'on') {
    return {
      stops,
      less: 0,
      more: 0,
      softer: undefined,
      harder: undefined,
      length: 0,
      entry: undefined,
      exit: undefined,
    };
  }
  let first = planned;
  while (stops[first - 1]?.state === 'on') first--;
  let last = planned;
  while (stops[last + 1]?.state === 'on') last++;
  const before = stops[first - 1];
  const after = stops[last + 1];
  const entry = before === undefined ? stops[first]! : edge(shot, aims, stops[first]!.factor, before.factor);
  const exit = after === undefined ? stops[last]! : edge(shot, aims, stops[last]!.factor, after.factor);
  const line = [entry, ...stops.slice(first, last + 1), exit];
  const length = line.reduce((sum, stop, i) => (i === 0 ? 0 : sum + distance(stop.at, line[i - 1]!.at)), 0);
  return {
    stops,
    less: entry.factor - 1,
    more: exit.factor - 1,
    softer: before?.state,
    harder: after?.state,
    length,
    entry: entry.at,
    exit: exit.at,
  };
}

/** The cushions that a ball meets after the stroke's first hit, in order. */
export function cushionsOf(shot: Shot): readonly CushionName[] {
  const { events } = simulate(shot);
  const hit = events.findIndex(({ kind }) => kind === 'ball-ball');
  return events
    .slice(hit + 1)
    .flatMap((event) =>
      event.kind === 'ball-cushion' && event.id === shot.strike.ball ? [event.cushion] : [],
    );
}
