import { bearing, type Point } from '../math/point.ts';
import { contactDistance } from '../motion/ballBall.ts';
import type { BallOnTable, Shot, Strike, Tip } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { buttsFor, cueingOf, hampered, type ButtFor, type Cueing } from '../player/cueing.ts';
import type { ExecutionError } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import type { Acceptance } from '../shot/acceptance.ts';
import { createAimer, type Aimer } from '../shot/aim.ts';
import { cushionSide, type CushionSide } from '../shot/sideSpin.ts';
import { isClear } from '../shot/corridor.ts';
import { contactFor } from '../shot/cut.ts';
import type { CushionName } from '../table/cushions.ts';
import type { Table } from '../table/table.ts';
import { aftermathOf, assessStroke, executeMany, type Aims, type Assessment } from './aftermath.ts';
import { cushionsOf, paceWindow, type PaceWindow } from './stops.ts';

/** A stroke that pots the ball and leaves the next one, with what it promises. */
export interface Route {
  readonly strike: Strike;
  /** Part of the pocket that is aimed at: −1 its low edge of directions, 0 the middle, 1 its high edge. */
  readonly pocketSide: number;
  /** Cushions of the cue ball after the hit, in order. */
  readonly cushions: readonly CushionName[];
  /** Whether its side runs or checks at the first of them; undefined without side or cushion. */
  readonly side: CushionSide | undefined;
  readonly landing: Point;
  readonly assessment: Assessment;
  readonly pace: PaceWindow;
}

/** What a search starts from. */
export interface RouteQuestion {
  readonly table: Table;
  readonly balls: readonly BallOnTable[];
  /** Id of the ball that is struck. */
  readonly cue: string;
  readonly acceptance: Acceptance;
  readonly aims: Aims;
  /** False leaves side spin out: some drills and some coaches do without. */
  readonly side: boolean;
  /** True aims at the middle of the pocket only. */
  readonly middle?: boolean;
}

export interface RouteSearch {
  /** The best routes so far, best first. */
  readonly routes: readonly Route[];
  /** 0…1. */
  readonly done: number;
  readonly cueing: Cueing;
}

const HEIGHTS = [-0.45, -0.3, -0.15, 0, 0.2, 0.4];
const SIDES = [-0.3, 0.3];
/** Largest offset of the tip that is planned, ball radii: a little inside the miscue limit. */
const TIP_LIMIT = 0.46;
const SLOWEST = 0.7;
const FASTEST = 6.5;
const PACE_RATIO = 1.19;
/** Directions are solved to this while searching, radians. */
const ROUGH = 1e-6;
/**
 * Executions for a first opinion, for refining, for ranking what was refined, and for what is shown. Each on seeds of its
 * own: whoever ranks by chances and shows the same shows those that were lucky.
 */
const FIRST_LOOK = 10;
const REFINING = 48;
const RANKING = 240;
const SHOWN = 400;
/** How many strokes are sorted by kind, how many kinds are refined and how many routes are shown. */
const LOOKED_AT = 200;
const REFINED = 8;
const MOST_ROUTES = 6;
/** A route whose chance is below this share of the best one's is not shown. */
const WORTH_SHOWING = 0.35;

interface Candidate {
  readonly tip: Tip;
  readonly speed: number;
  readonly pocketSide: number;
  readonly shot: Shot;
  readonly value: number;
}

/** The stroke with its direction solved. */
function shotFor(
  question: RouteQuestion,
  aimer: Aimer,
  buttFor: ButtFor,
  { tip, speed, pocketSide }: Pick<Candidate, 'tip' | 'speed' | 'pocketSide'>,
): Shot | undefined {
  const elevation = buttFor(tip.height);
  if (elevation === undefined) return undefined;
  const { acceptance, balls, cue } = question;
  const half = 0.5 * (acceptance.high - acceptance.low);
  const stroke = { ball: cue, speed, tip, elevation };
  return aimer.shot(balls, stroke, acceptance.middle + pocketSide * half, ROUGH);
}

function* paces(): Generator<number> {
  for (let speed = SLOWEST; speed <= FASTEST; speed *= PACE_RATIO) yield speed;
}

/**
 * Searches pace, tip and side of the pocket for strokes that pot a ball and leave the next one, and yields the best
 * different routes as it goes: first from a rough look, then each one refined and estimated anew on fresh seeds, so
 * that no route owes its place to the luck of its first executions. Routes differ by the technique and by the cushions of
 * the cue ball.
 * Ends: every loop runs over a fixed list.
 * @param seed same seed, same routes
 * @throws RangeError when the struck ball or the ball to be potted is not on the table
 */
export function* searchRoutes(question: RouteQuestion, seed: number): Generator<RouteSearch, RouteSearch> {
  const { table, balls, aims } = question;
  const cue = balls.find(({ id }) => id === question.cue);
  const object = balls.find(({ id }) => id === aims.task.object);
  if (cue === undefined || object === undefined) throw new RangeError('searchRoutes: a ball is missing');
  const { middle } = question.acceptance;
  const contact = contactFor(object, middle, cue.radius, object.radius);
  const others = balls.filter((ball) => ball !== cue);
  const inTheWay = others.filter((ball) => ball !== object);
  const touching =
    Math.hypot(cue.x - object.x, cue.y - object.y) <= contactDistance(cue.radius, object.radius);
  const direction = touching ? middle : bearing(cue, contact);
  const cueing = cueingOf(table, cue, others, direction, aims);
  const buttFor = buttsFor(cueing, (tipHeight) =>
    cueingOf(table, cue, others, direction, { ...aims, tipHeight }),
  );
  const error = hampered(aims.error, cueing.because);
  const aimer = createAimer(table, cue, object);
  const nothing = { routes: [], done: 1, cueing };
  if (cueing.verdict === 'impossible' || !isClear(cue, contact, cue.radius, inTheWay)) return nothing;

  const look = (side: number) => firstLook(question, aimer, buttFor, error, side, seed);
  const plain = look(0);
  let routes: readonly Route[] = bestOfEachKind(plain)
    .slice(0, 1)
    .map((candidate) => routeOf(candidate, aims, error, seed + 999));
  yield { routes, done: 0.1, cueing };

  const kinds = bestOfEachKind([...plain, ...(question.side ? SIDES.flatMap(look) : [])]);
  if (kinds.length === 0) return nothing;
  const found: RankedRoute[] = [];
  for (const [i, candidate] of kinds.entries()) {
    const better = refined(question, aimer, buttFor, error, candidate, seed + 1);
    const rank = meanNext(better.shot, aims, error, RANKING, seed + 500 + i);
    found.push({ route: routeOf(better, aims, error, seed + 1000 + i), rank });
    routes = ranked(found);
    if (i < kinds.length - 1) yield { routes, done: 0.3 + (0.7 * (i + 1)) / kinds.length, cueing };
  }
  return { routes, done: 1, cueing };
}

/** Strokes over all heights and paces at one side of the tip that leave something, with a first opinion of each. */
function firstLook(
  question: RouteQuestion,
  aimer: Aimer,
  buttFor: ButtFor,
  error: ExecutionError,
  side: number,
  seed: number,
): readonly Candidate[] {
  const { aims } = question;
  const nominal: Candidate[] = [];
  for (const height of HEIGHTS) {
    if (Math.hypot(side, height) > TIP_LIMIT) continue;
    for (const speed of paces()) {
      const stroke = { tip: { side, height }, speed, pocketSide: 0 };
      const shot = shotFor(question, aimer, buttFor, stroke);
      if (shot === undefined) continue;
      const { next } = aftermathOf(shot, aims);
      if (next > 0.02) nominal.push({ ...stroke, shot, value: next });
    }
  }
  const best = Math.max(0, ...nominal.map(({ value }) => value));
  return nominal
    .filter(({ value }) => value >= 0.3 * best)
    .map((candidate) => ({ ...candidate, value: meanNext(candidate.shot, aims, error, FIRST_LOOK, seed) }))
    .filter(({ value }) => value > 0);
}

/** The chance of both pots, from some executions; all candidates meet the same errors. */
function meanNext(shot: Shot, aims: Aims, error: ExecutionError, count: number, seed: number): number {
  const landings = executeMany(shot, aims, error, count, createRandom(seed));
  return landings.reduce((sum, { next }) => sum + next, 0) / count;
}

export type Technique = 'follow' | 'stun' | 'draw';

/** Tips this near to the middle count as stun, ball radii. */
const STUN_BELOW = 0.12;

/** What a stroke is called by the height of its tip. */
export function techniqueOf({ height }: Tip): Technique {
  return height > STUN_BELOW ? 'follow' : height < -STUN_BELOW ? 'draw' : 'stun';
}

/** Strokes are of one kind when the tip is as high and the cue ball meets the same cushions. */
function kindOf({ shot }: Pick<Candidate, 'shot'>): string {
  return [techniqueOf(shot.strike.tip), ...cushionsOf(shot)].join(' ');
}

function bestOfEachKind(candidates: readonly Candidate[]): readonly Candidate[] {
  const best = new Map<string, Candidate>();
  for (const candidate of [...candidates].sort((a, b) => b.value - a.value).slice(0, LOOKED_AT)) {
    const kind = kindOf(candidate);
    if (!best.has(kind)) best.set(kind, candidate);
  }
  return [...best.values()].slice(0, REFINED);
}

/** Climbs from a candidate by small changes of pace, tip and pocket side, each judged on the same executions. */
function refined(
  question: RouteQuestion,
  aimer: Aimer,
  buttFor: ButtFor,
  error: ExecutionError,
  start: Candidate,
  seed: number,
): Candidate {
  const { aims } = question;
  const kind = kindOf(start);
  const rate = (shot: Shot) => meanNext(shot, aims, error, REFINING, seed);
  let best = { ...start, value: rate(start.shot) };
  const steps = [
    { speed: 0.08, tip: 0.12, pocket: 0.5 },
    { speed: 0.03, tip: 0.06, pocket: 0.25 },
  ];
  for (const step of steps) {
    const changes = [
      { speed: best.speed * (1 + step.speed) },
      { speed: best.speed * (1 - step.speed) },
      { tip: { ...best.tip, height: best.tip.height + step.tip } },
      { tip: { ...best.tip, height: best.tip.height - step.tip } },
      ...(question.middle === true
        ? []
        : [{ pocketSide: best.pocketSide + step.pocket }, { pocketSide: best.pocketSide - step.pocket }]),
      ...(question.side
        ? [
            { tip: { ...best.tip, side: best.tip.side + step.tip } },
            { tip: { ...best.tip, side: best.tip.side - step.tip } },
          ]
        : []),
    ];
    for (const change of changes) {
      const stroke = { tip: best.tip, speed: best.speed, pocketSide: best.pocketSide, ...change };
      if (Math.hypot(stroke.tip.side, stroke.tip.height) > TIP_LIMIT || Math.abs(stroke.pocketSide) > 0.75)
        continue;
      const shot = shotFor(question, aimer, buttFor, stroke);
      if (shot === undefined || aftermathOf(shot, aims).next === 0) continue;
      const value = rate(shot);
      if (value > best.value && kindOf({ shot }) === kind) best = { ...stroke, shot, value };
    }
  }
  return best;
}

function routeOf({ shot, pocketSide }: Candidate, aims: Aims, error: ExecutionError, seed: number): Route {
  return {
    strike: shot.strike,
    pocketSide,
    cushions: cushionsOf(shot),
    side: cushionSide(shot, simulate(shot, { paths: true })),
    landing: aftermathOf(shot, aims).landing,
    assessment: assessStroke(shot, aims, error, SHOWN, seed),
    pace: paceWindow(shot, aims),
  };
}

/** A route with its chance on executions that are not shown. */
interface RankedRoute {
  readonly route: Route;
  readonly rank: number;
}

function ranked(routes: readonly RankedRoute[]): readonly Route[] {
  const sorted = [...routes].sort((a, b) => b.rank - a.rank);
  const best = sorted[0]?.rank ?? 0;
  return sorted
    .filter(({ rank }) => rank >= WORTH_SHOWING * best)
    .slice(0, MOST_ROUTES)
    .map(({ route }) => route);
}
