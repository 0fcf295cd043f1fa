import type { BallOnTable, Shot } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { potLines, potOptions } from '../planning/potOptions.ts';
import { buttOf, cueingOf } from '../player/cueing.ts';
import { acceptanceAbout } from '../shot/acceptanceNear.ts';
import { aimedStroke } from '../shot/potChance.ts';
import type { Table } from '../table/table.ts';
import type { Situation } from './situation.ts';
import { worthOfEnd, type TurnEnd } from './turnEnd.ts';
import { type TurnJudge } from './turnJudge.ts';

/** A stroke that may be the answer, and what it comes to as planned. */
export interface Candidate {
  readonly shot: Shot;
  readonly planned: TurnEnd;
  /** Of the planned end. */
  readonly worth: number;
}

/** Paces, m/s, and tips, ball radii, of strokes that are looked at all round. */
const SPEEDS = [0.9, 1.4, 2.1, 3.1, 4.4];
const TIPS = [
  { side: 0, height: 0 },
  { side: 0, height: -0.35 },
  { side: 0, height: 0.35 },
  { side: -0.35, height: 0 },
  { side: 0.35, height: 0 },
];
/** Directions are looked at so far apart, radians. */
const STEP = (2 * Math.PI) / 720;
/** So many pots, the likeliest, at these paces and heights of the tip. */
const POTS = 4;
const POT_SPEEDS = [1.2, 2, 3];
const POT_HEIGHTS = [-0.35, 0, 0.3];

/** Strokes that are a foul are looked at in so many directions, at these paces, m/s; so many of them are tried. */
const FOUL_DIRECTIONS = 72;
const FOUL_SPEEDS = [0.5, 1.1, 2];
const FOULS = 8;

/** What a situation's planned strokes are valued with before it is known what it is worth itself. */
const UNKNOWN = 0;

/** The butt with which a ball can be cued in a direction, radians; undefined where it cannot. Each is looked at once. */
function buttsOf(
  table: Table,
  struck: BallOnTable,
  others: readonly BallOnTable[],
): (direction: number) => number | undefined {
  const butts = new Map<number, number | undefined>();
  return (direction) => {
    if (!butts.has(direction)) {
      const cueing = cueingOf(table, struck, others, direction);
      butts.set(direction, cueing.verdict === 'impossible' ? undefined : buttOf(cueing));
    }
    return butts.get(direction);
  };
}

/**
 * Strokes that meet a ball that is on, by cushions or straight, and do no foul as planned: all round the table at some paces
 * and tips, level butt or as the cue can be brought to the ball.
 * @param onShare told what share is done, 0…1
 */
export function strokesAllRound(
  situation: Situation,
  judge: TurnJudge,
  onShare: (share: number) => void = () => undefined,
): readonly Candidate[] {
  const { table, balls, cue: cueId, on } = situation;
  const struck = balls.find(({ id }) => id === cueId);
  if (struck === undefined) throw new RangeError(`strokesAllRound: there is no ball ${cueId}`);
  const others = balls.filter((ball) => ball !== struck);
  const buttAt = buttsOf(table, struck, others);
  const found: Candidate[] = [];
  let done = 0;
  for (const tip of TIPS) {
    for (const speed of SPEEDS) {
      for (let k = 0; k < 720; k++) {
        const direction = -Math.PI + k * STEP;
        const elevation = buttAt(direction);
        if (elevation === undefined) continue;
        const shot: Shot = { table, balls, strike: { ball: cueId, speed, direction, tip, elevation } };
        const { events } = simulate(shot, { paths: false, untilMeeting: true });
        const meeting = events.at(-1);
        const first = meeting?.kind === 'ball-ball' ? meeting.ids.find((id) => id !== cueId) : undefined;
        if (first === undefined || !on.includes(first)) continue;
        const planned = judge.endUnlessFoul(shot);
        if (planned !== undefined) found.push({ shot, planned, worth: worthOfEnd(planned, UNKNOWN) });
      }
      done++;
      onShare(done / (TIPS.length * SPEEDS.length));
    }
  }
  return found;
}

/**
 * Strokes that are a foul as planned: the few that leave the opponent least, of a look round the table. Sometimes to give
 * ball in hand, or points, is the least of what can be given.
 * @throws RangeError without the cue ball
 */
export function foulsToTry({ table, balls, cue }: Situation, judge: TurnJudge): readonly Candidate[] {
  const struck = balls.find(({ id }) => id === cue);
  if (struck === undefined) throw new RangeError(`foulsToTry: there is no ball ${cue}`);
  const others = balls.filter((ball) => ball !== struck);
  const buttAt = buttsOf(table, struck, others);
  const found: Candidate[] = [];
  for (const speed of FOUL_SPEEDS) {
    for (let k = 0; k < FOUL_DIRECTIONS; k++) {
      const direction = -Math.PI + (k * 2 * Math.PI) / FOUL_DIRECTIONS;
      const elevation = buttAt(direction);
      if (elevation === undefined) continue;
      const strike = { ball: cue, speed, direction, tip: { side: 0, height: 0 }, elevation };
      const shot: Shot = { table, balls, strike };
      const planned = judge.endOf(shot);
      if (planned.kind === 'foul') found.push({ shot, planned, worth: worthOfEnd(planned, UNKNOWN) });
    }
  }
  return found.sort((a, b) => b.worth - a.worth).slice(0, FOULS);
}

/** The likeliest pots of the balls that are on, at some paces and heights. */
export function potsToTry(situation: Situation, judge: TurnJudge): readonly Candidate[] {
  const { table, balls, cue: cueId, on, error } = situation;
  const cue = balls.find(({ id }) => id === cueId);
  if (cue === undefined) throw new RangeError(`potsToTry: there is no ball ${cueId}`);
  const objects = balls.filter((ball) => ball !== cue);
  const lines = potLines(table, objects, on, acceptanceAbout);
  const found: Candidate[] = [];
  for (const { line, cueing } of potOptions(table, cue, lines, objects, error).slice(0, POTS)) {
    const elevation = buttOf(cueing);
    for (const speed of POT_SPEEDS) {
      for (const height of POT_HEIGHTS) {
        const tip = { side: 0, height };
        const aimed = aimedStroke(table, cue, line, error, { tip, elevation, speed });
        if (aimed === undefined) continue;
        const strike = { ball: cueId, speed, direction: aimed.leaves, tip, elevation };
        const shot: Shot = { table, balls, strike };
        const planned = judge.endUnlessFoul(shot);
        if (planned !== undefined) found.push({ shot, planned, worth: worthOfEnd(planned, UNKNOWN) });
      }
    }
  }
  return found;
}
