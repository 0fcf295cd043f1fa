import { distance, type Point } from '../math/point.ts';
import { bearing } from '../math/point.ts';
import { toRadians } from '../math/angle.ts';
import { contactDistance } from '../motion/ballBall.ts';
import { positionAt, samplePath } from '../motion/path.ts';
import type { BallOnTable, Shot } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { foreseeInOff, foreseePass, type Verdict } from '../planning/foresee.ts';
import { potLines } from '../planning/potOptions.ts';
import { paceWindow } from '../planning/stops.ts';
import { cueBallAt, windowAmong } from '../planning/windowAmong.ts';
import { executionErrorOf } from '../player/levels.ts';
import { createRandom, type Random } from '../random/random.ts';
import { acceptanceNear } from '../shot/acceptanceNear.ts';
import { aimToPot } from '../shot/aim.ts';
import { inOffMargin } from '../shot/inOff.ts';
import { passingGap } from '../shot/passing.ts';
import { flipGap, solvePlant, type Plant } from '../shot/plants.ts';
import { POCKET_NAMES, type PocketName } from '../table/pockets.ts';
import { pocketNamed, type Table } from '../table/table.ts';
import type { CallKind, Difficulty } from './kinds.ts';
import type { CallQuestion } from './question.ts';

/** Margins of a difficulty, metres: from `least` to `most` away from the border. */
const MARGINS: Readonly<Record<Difficulty, readonly [least: number, most: number]>> = {
  plain: [0.06, 0.2],
  fair: [0.025, 0.09],
  close: [0.009, 0.04],
  'hair-fine': [0, 0.015],
};
/** Positions that are tried for one of a difficulty; none found is told, not searched for ever. */
const TRIES = 1200;
const EXECUTIONS = 200;
const SEED = 77;
/** A window is asked for a team player at this confidence. */
const CONFIDENCE = 0.7;
/** Steps of its grid: for a first look, and for the answer, metres. */
const ROUGH_STEP = 0.09;
const FINE_STEP = 0.025;
/** Balls of a plant lie up to this far apart, metres. */
const WIDEST_GAP = 0.009;

const BALLS = { pool: ['1', '2'], snooker: ['red', 'blue'] } as const;

/** A stroke at a pot, as it comes: plain, at a choice of heights and paces. */
interface Posed {
  readonly shot: Shot;
  readonly pot: string;
  readonly pocket: PocketName;
}

function ballAt({ preset }: Table, id: string, { x, y }: Point): BallOnTable {
  return { id, x, y, radius: preset.ballRadius, mass: preset.ballMass };
}

function somewhere(table: Table, random: Random, margin: number): Point {
  return {
    x: margin + random.uniform() * (table.length - 2 * margin),
    y: margin + random.uniform() * (table.width - 2 * margin),
  };
}

/** A pot at random: a ball, a pocket, the cue ball behind it at some cut, and a plain stroke that makes it. */
function randomPot(table: Table, random: Random): Posed | undefined {
  const id = BALLS[table.preset.game][0];
  const object = ballAt(table, id, somewhere(table, random, 0.12));
  const pocket = POCKET_NAMES[Math.floor(random.uniform() * POCKET_NAMES.length)] ?? 'foot-left';
  const towards = bearing(object, pocketNamed(table, pocket).mouth);
  const cut = toRadians((random.uniform() < 0.5 ? -1 : 1) * (8 + 47 * random.uniform()));
  const way = (0.25 + 0.45 * random.uniform()) * table.width;
  const reach = contactDistance(table.preset.cueBallRadius, object.radius);
  const contact = { x: object.x - reach * Math.cos(towards), y: object.y - reach * Math.sin(towards) };
  const at = { x: contact.x - way * Math.cos(towards - cut), y: contact.y - way * Math.sin(towards - cut) };
  const edge = 2 * table.preset.cueBallRadius;
  if (at.x < edge || at.x > table.length - edge || at.y < edge || at.y > table.width - edge) return undefined;
  const height = [-0.35, 0, 0.35][Math.floor(3 * random.uniform())] ?? 0;
  const stroke = {
    ball: 'cue',
    speed: 1.2 + 1.6 * random.uniform(),
    tip: { side: 0, height },
    elevation: 0,
  };
  const aim = aimToPot(table, [cueBallAt(table, at), object], stroke, id, pocket);
  return aim.kind === 'pots' ? { shot: aim.shot, pot: id, pocket } : undefined;
}

/** Too close to call is asked at the top difficulty only, and nothing else is there. */
function fits(verdict: Verdict, margin: number, difficulty: Difficulty): boolean {
  const [least, most] = MARGINS[difficulty];
  if (margin < least || margin > most) return false;
  return difficulty === 'hair-fine' || verdict !== 'too close';
}

/** What is looked for: verdicts of yes and no come as often as each other. */
interface Looked {
  readonly difficulty: Difficulty;
  readonly wanted: Verdict;
}

type Poser = (table: Table, random: Random, looked: Looked) => CallQuestion | undefined;

const inOff: Poser = (table, random, { difficulty, wanted }) => {
  const posed = randomPot(table, random);
  const margin = posed && inOffMargin(posed.shot);
  if (posed === undefined || margin === undefined) return undefined;
  if (difficulty !== 'hair-fine' && margin.falls !== (wanted === 'yes')) return undefined;
  return inOffOf(posed, difficulty);
};

function inOffOf(posed: Posed, difficulty: Difficulty | undefined): CallQuestion | undefined {
  const { table } = posed.shot;
  const seen = foreseeInOff(posed.shot, executionErrorOf('team', table.preset.game), EXECUTIONS, SEED);
  // What a team player's own scatter decides is asked at the top only.
  if (difficulty !== undefined && difficulty !== 'hair-fine' && seen.verdict === 'too close')
    return undefined;
  const played = simulate(posed.shot, { events: false }).rest.find(({ id }) => id === posed.shot.strike.ball);
  const falls = played !== undefined && played.pocket !== null;
  const margin = (seen.marginMm ?? 1000) / 1000;
  // A cue ball that falls has little room: what counts as plain is less than for one that passes.
  const verdict: Verdict =
    difficulty === 'hair-fine' || difficulty === undefined ? seen.verdict : falls ? 'yes' : 'no';
  if (difficulty !== undefined && !fits(verdict, falls ? 3 * margin : margin, difficulty)) return undefined;
  return {
    kind: 'in-off or not',
    ...posed,
    truth: verdict,
    marginMm: seen.marginMm,
    near: seen.pocket,
    share: seen.share.share,
  };
}

const pass: Poser = (table, random, { difficulty, wanted }) => {
  const posed = randomPot(table, random);
  if (posed === undefined) return undefined;
  const { shot } = posed;
  const { paths, events, duration } = simulate(shot, { paths: true });
  const hit = events.find(({ kind }) => kind === 'ball-ball')?.t;
  const path = paths?.find(({ id }) => id === shot.strike.ball);
  if (hit === undefined || path === undefined) return undefined;
  const at = positionAt(path, hit + (0.25 + 0.5 * random.uniform()) * (duration - hit));
  const [least, most] = MARGINS[difficulty];
  const { ballRadius } = table.preset;
  const off = least + random.uniform() * (most - least);
  const turn = 2 * Math.PI * random.uniform();
  const away = 2 * ballRadius + (wanted === 'yes' ? off : -Math.min(0.5 * off, 1.8 * ballRadius));
  const obstacle = ballAt(table, BALLS[table.preset.game][1], {
    x: at.x + away * Math.cos(turn),
    y: at.y + away * Math.sin(turn),
  });
  const edge = 1.2 * table.preset.ballRadius;
  if (
    obstacle.x < edge ||
    obstacle.x > table.length - edge ||
    obstacle.y < edge ||
    obstacle.y > table.width - edge
  ) {
    return undefined;
  }
  const clear = shot.balls.every(
    (ball) => distance(ball, obstacle) > contactDistance(ball.radius, obstacle.radius) + 0.02,
  );
  const question = clear ? passOf(posed, obstacle, difficulty) : undefined;
  return question === undefined || difficulty === 'hair-fine' || question.truth === wanted
    ? question
    : undefined;
};

function passOf(
  posed: Posed,
  obstacle: BallOnTable,
  difficulty: Difficulty | undefined,
): CallQuestion | undefined {
  const { table } = posed.shot;
  const others = posed.shot.balls.filter(({ id }) => id !== obstacle.id);
  const shot = { ...posed.shot, balls: [...others, obstacle] };
  const gap = passingGap(shot, obstacle);
  if (gap === undefined) return undefined;
  // The pot must not need the ball to be gone.
  const potted = simulate(shot, { events: false }).rest.some(
    ({ id, pocket }) => id === posed.pot && pocket === posed.pocket,
  );
  if (!potted) return undefined;
  const seen = foreseePass(shot, obstacle, executionErrorOf('team', table.preset.game), EXECUTIONS, SEED);
  if (difficulty !== undefined && difficulty !== 'hair-fine' && seen.verdict === 'too close')
    return undefined;
  const verdict: Verdict =
    difficulty === 'hair-fine' || difficulty === undefined ? seen.verdict : gap >= 0 ? 'yes' : 'no';
  // A ball that is hit can be hit by a ball's width at most.
  if (difficulty !== undefined && !fits(verdict, gap < 0 ? -2 * gap : gap, difficulty)) return undefined;
  return {
    kind: 'does it pass',
    ...posed,
    shot,
    obstacle,
    truth: verdict,
    marginMm: 1000 * gap,
    share: seen.share.share,
  };
}

/** The cue ball's way from the hit to its rest. */
export function pathAfterHit(shot: Shot): readonly Point[] {
  const { paths, events, duration } = simulate(shot, { paths: true });
  const hit = events.find(({ kind }) => kind === 'ball-ball')?.t ?? 0;
  const path = paths?.find(({ id }) => id === shot.strike.ball);
  if (path === undefined) return [];
  const later = path.pieces.filter(({ t }) => t >= hit - 1e-9);
  return samplePath({ id: path.id, pieces: later }, duration);
}

/** Cushions that the way of a difficulty has. */
const CUSHIONS: Readonly<Record<Difficulty, readonly [least: number, most: number]>> = {
  plain: [0, 0],
  fair: [1, 1],
  close: [2, 2],
  'hair-fine': [3, 6],
};

const drawPath: Poser = (table, random, { difficulty }) => {
  const posed = randomPot(table, random);
  return posed && pathOf(posed, difficulty);
};

function pathOf(posed: Posed, difficulty: Difficulty | undefined): CallQuestion | undefined {
  const { events, rest } = simulate(posed.shot);
  const cue = rest.find(({ id }) => id === posed.shot.strike.ball);
  if (cue === undefined || cue.pocket !== null) return undefined;
  const cushions = events.filter((event) => event.kind === 'ball-cushion' && event.id === cue.id).length;
  if (difficulty !== undefined) {
    const [least, most] = CUSHIONS[difficulty];
    if (cushions < least || cushions > most) return undefined;
  }
  const truth = pathAfterHit(posed.shot);
  const [first] = truth;
  return first === undefined || distance(first, cue) < 0.25
    ? undefined
    : { kind: 'draw the path', ...posed, truth };
}

/** Lengths of a difficulty, metres: short windows are harder to see. */
const LENGTHS: Readonly<Record<Difficulty, readonly [least: number, most: number]>> = {
  plain: [0.9, 9],
  fair: [0.45, 0.9],
  close: [0.2, 0.45],
  'hair-fine': [0.05, 0.2],
};

const windowLength: Poser = (table, random, { difficulty }) => {
  const posed = randomPot(table, random);
  if (posed === undefined) return undefined;
  const next = ballAt(table, BALLS[table.preset.game][1], somewhere(table, random, 0.12));
  if (posed.shot.balls.some((ball) => distance(ball, next) < 0.15)) return undefined;
  const pocket = POCKET_NAMES[Math.floor(random.uniform() * POCKET_NAMES.length)] ?? 'head-left';
  const asked = { ...posed, shot: { ...posed.shot, balls: [...posed.shot.balls, next] } };
  const [least, most] = LENGTHS[difficulty];
  // A rough look first: most positions are not of the length.
  const rough = onFor(asked, next.id, pocket, ROUGH_STEP);
  if (rough < 0.5 * least || rough > 2 * most) return undefined;
  const question = windowOf(asked, next.id, pocket);
  if (question?.kind !== 'how long is the window') return undefined;
  return question.truth >= least && question.truth < most ? question : undefined;
};

/** How long a stroke's stops are on a ball into a pocket, metres. @param step of the window's grid */
function onFor({ shot, pot, pocket }: Posed, next: string, nextPocket: PocketName, step: number): number {
  const objects = shot.balls.filter(({ id }) => id !== shot.strike.ball && id !== pot);
  const error = executionErrorOf('team', shot.table.preset.game);
  const lines = potLines(shot.table, objects, [next], acceptanceNear, [nextPocket]);
  if (lines.length === 0) return 0;
  return paceWindow(shot, {
    task: { object: pot, pocket },
    wanted: { balls: [next], pockets: [nextPocket] },
    window: windowAmong(shot.table, lines, objects, error, { step }),
    error,
    confidence: CONFIDENCE,
  }).length;
}

function windowOf(posed: Posed, next: string, nextPocket: PocketName): CallQuestion | undefined {
  const length = onFor(posed, next, nextPocket, FINE_STEP);
  return length < LENGTHS['hair-fine'][0]
    ? undefined
    : { kind: 'how long is the window', ...posed, next, nextPocket, truth: length };
}

const PLANT_BALLS = { pool: ['1', '2'], snooker: ['red', 'red 2'] } as const;

/** Degrees by which the line of the balls points past the pocket, from plain to hair-fine. */
const PLANT_OFF: Readonly<Record<Difficulty, readonly [number, number]>> = {
  plain: [4, 7],
  fair: [3, 6],
  close: [2.5, 5],
  'hair-fine': [2, 4],
};

const plant: Poser = (table, random, { difficulty }) => {
  const [firstId, secondId] = PLANT_BALLS[table.preset.game];
  const second = ballAt(table, secondId, somewhere(table, random, 0.35));
  const pocket = POCKET_NAMES[Math.floor(random.uniform() * POCKET_NAMES.length)] ?? 'foot-left';
  const [least, most] = PLANT_OFF[difficulty];
  const off = toRadians((random.uniform() < 0.5 ? -1 : 1) * (least + random.uniform() * (most - least)));
  const line = bearing(second, pocketNamed(table, pocket).mouth) + off;
  const gap = difficulty === 'plain' ? 0 : random.uniform() < 0.4 ? 0 : WIDEST_GAP * random.uniform();
  const back = (by: number) => ({ x: second.x - by * Math.cos(line), y: second.y - by * Math.sin(line) });
  const apart = 2 * table.preset.ballRadius + gap + 1e-6;
  const first = ballAt(table, firstId, back(apart));
  const cue = cueBallAt(table, back(apart + 0.3 + 0.4 * random.uniform()));
  const edge = 2 * table.preset.ballRadius;
  const inside = [first, cue].every(
    ({ x, y }) => x > edge && x < table.length - edge && y > edge && y < table.width - edge,
  );
  return inside ? plantOf({ table, cue, first, second, pocket, others: [] }, gap) : undefined;
};

function plantOf(set: Plant, gap: number): CallQuestion | undefined {
  const stroke = { ball: set.cue.id, speed: 2.2, tip: { side: 0, height: 0 }, elevation: 0 };
  const way = solvePlant(set, stroke);
  if (way === undefined || way.side === 'full') return undefined;
  const flip = flipGap(set, stroke);
  return {
    kind: 'which side of the plant',
    shot: way.shot,
    pot: set.second.id,
    pocket: set.pocket,
    first: set.first.id,
    truth: way.side,
    gapMm: 1000 * gap,
    flipMm: flip === undefined ? undefined : 500 * (flip.until + flip.from),
  };
}

const POSERS: Readonly<Record<CallKind, Poser>> = {
  'in-off or not': inOff,
  'does it pass': pass,
  'draw the path': drawPath,
  'how long is the window': windowLength,
  'which side of the plant': plant,
};

/**
 * Makes up a position of a kind and difficulty. Positions that are too close to call come at the top difficulty only.
 * @param seed same seed, same position
 * @returns undefined when none was found among a thousand tries
 */
export function poseFromSeed(
  table: Table,
  kind: CallKind,
  difficulty: Difficulty,
  seed: number,
): CallQuestion | undefined {
  const random = createRandom(seed);
  const wanted = random.uniform() < 0.5 ? 'yes' : 'no';
  for (let k = 0; k < TRIES; k++) {
    const question = POSERS[kind](table, random, { difficulty, wanted });
    if (question !== undefined) return question;
  }
  return undefined;
}

/**
 * Asks about a planned stroke, as a drill has it. A plant is not asked of one.
 * @param next the ball after the pot; @param nextPocket where it goes
 * @returns undefined when the stroke gives nothing to ask of this kind
 */
export function poseFromPlan(
  kind: CallKind,
  posed: Posed,
  next: string,
  nextPocket: PocketName,
): CallQuestion | undefined {
  switch (kind) {
    case 'in-off or not':
      return inOffOf(posed, undefined);
    case 'does it pass': {
      const near = posed.shot.balls
        .filter(({ id }) => id !== posed.pot && id !== posed.shot.strike.ball)
        .map((ball) => ({ ball, gap: Math.abs(passingGap(posed.shot, ball) ?? Infinity) }))
        .sort((a, b) => a.gap - b.gap)[0];
      return near === undefined || near.gap > 0.3 ? undefined : passOf(posed, near.ball, undefined);
    }
    case 'draw the path':
      return pathOf(posed, undefined);
    case 'how long is the window':
      return windowOf(posed, next, nextPocket);
    case 'which side of the plant':
      return undefined;
  }
}
