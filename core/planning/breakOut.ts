import { bestPotChance } from './bestPot.ts';
import { ballLost } from '../shot/outcome.ts';
import type { BallOnTable, Shot } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { executed } from '../player/execute.ts';
import { createRandom } from '../random/random.ts';
import { createAimer } from '../shot/aim.ts';
import { acceptanceNear } from '../shot/acceptanceNear.ts';
import type { Table } from '../table/table.ts';
import { leftOnTable } from './aftermath.ts';
import { potLines } from './potOptions.ts';
import type { RouteQuestion } from './routes.ts';

/** What a hit on a cluster with the cue ball, on the way from a pot, does. */
export interface BreakOut {
  readonly shot: Shot;
  /** The ball of the cluster that is met first. */
  readonly hits: string;
  /** Cue ball's speed as it meets it, m/s. */
  readonly arrival: number;
  /** Share of executions that pot the ball and leave one of the others on with the confidence asked for. */
  readonly onAfter: number;
  readonly potted: number;
  readonly inOff: number;
  /** For each ball that had no pocket before: share of executions in which it has one. */
  readonly frees: readonly BallShare[];
  /** For each ball that had one before: share in which it has none any more. */
  readonly spoils: readonly BallShare[];
}

export interface BallShare {
  readonly ball: string;
  readonly share: number;
}

const HEIGHTS = [-0.4, -0.2, 0, 0.2, 0.4];
const SLOWEST = 1.2;
const FASTEST = 5.5;
const PACE_RATIO = 1.22;
const EXECUTIONS = 60;
/** How many hits are looked at closely, and how many of each ball that is met. */
const LOOKED_AT = 14;
const OF_EACH = 3;
const ROUGH = 1e-6;

function idsWithPocket(table: Table, objects: readonly BallOnTable[]): ReadonlySet<string> {
  const ids = objects.map(({ id }) => id);
  return new Set(potLines(table, objects, ids, acceptanceNear).map(({ ball }) => ball));
}

/** The first ball of a cluster that the cue ball meets after the pot, and how fast it is then. */
function firstMet(
  shot: Shot,
  cluster: readonly string[],
): { readonly id: string; readonly speed: number } | undefined {
  const result = simulate(shot, { paths: true });
  for (const event of result.events) {
    if (event.kind !== 'ball-ball' || !event.ids.includes(shot.strike.ball)) continue;
    const id = event.ids.find((each) => cluster.includes(each));
    if (id === undefined) continue;
    const piece = result.paths
      ?.find((path) => path.id === shot.strike.ball)
      ?.pieces.findLast(({ t }) => t < event.t - 1e-9);
    if (piece === undefined) return undefined;
    const tau = event.t - piece.t;
    return { id, speed: Math.hypot(piece.vx + piece.ax * tau, piece.vy + piece.ay * tau) };
  }
  return undefined;
}

/**
 * Strokes that pot a ball and carry the cue ball into a cluster: what each frees and spoils, and how likely a ball is on
 * afterwards. Yields the share done.
 * @param cluster ids of the balls to be opened
 */
export function* searchBreakOuts(
  question: RouteQuestion,
  cluster: readonly string[],
  seed: number,
): Generator<number, readonly BreakOut[]> {
  const { table, balls, aims, acceptance } = question;
  const cue = balls.find(({ id }) => id === question.cue);
  const object = balls.find(({ id }) => id === aims.task.object);
  if (cue === undefined || object === undefined) throw new RangeError('searchBreakOuts: a ball is missing');
  const aimer = createAimer(table, cue, object);
  const hits: { shot: Shot; id: string; speed: number }[] = [];
  for (const height of HEIGHTS) {
    for (let speed = SLOWEST; speed <= FASTEST; speed *= PACE_RATIO) {
      const stroke = { ball: cue.id, speed, tip: { side: 0, height }, elevation: 0 };
      const shot = aimer.shot(balls, stroke, acceptance.middle, ROUGH);
      if (shot === undefined) continue;
      const fell = simulate(shot, { events: false }).rest.find(({ id }) => id === object.id);
      const met = fell?.pocket === aims.task.pocket ? firstMet(shot, cluster) : undefined;
      if (met !== undefined) hits.push({ shot, ...met });
    }
    yield 0.2;
  }
  const chosen = cluster
    .flatMap((id) =>
      evenly(
        hits.filter((hit) => hit.id === id),
        OF_EACH,
      ),
    )
    .slice(0, LOOKED_AT);
  const found: BreakOut[] = [];
  for (const [i, hit] of chosen.entries()) {
    found.push(lookClosely(question, hit, seed + i));
    yield 0.2 + (0.8 * (i + 1)) / chosen.length;
  }
  return found.sort((a, b) => b.onAfter - a.onAfter);
}

/** Some of a list, evenly over it, by arrival speed. */
function evenly<T extends { readonly speed: number }>(list: readonly T[], count: number): readonly T[] {
  const sorted = [...list].sort((a, b) => a.speed - b.speed);
  if (sorted.length <= count) return sorted;
  return Array.from(
    { length: count },
    (_, i) => sorted[Math.round((i * (sorted.length - 1)) / (count - 1))]!,
  );
}

function lookClosely(
  { table, balls, cue: cueId, aims }: RouteQuestion,
  { shot, id, speed }: { readonly shot: Shot; readonly id: string; readonly speed: number },
  seed: number,
): BreakOut {
  const random = createRandom(seed);
  const before = idsWithPocket(
    table,
    balls.filter((ball) => ball.id !== cueId && ball.id !== aims.task.object),
  );
  const others = balls.map((ball) => ball.id).filter((each) => each !== cueId && each !== aims.task.object);
  const freed = new Map<string, number>();
  const spoiled = new Map<string, number>();
  let [potted, inOff, on] = [0, 0, 0];
  for (let k = 0; k < EXECUTIONS; k++) {
    const { rest } = simulate(executed(shot, aims.error, random), { events: false });
    const left = leftOnTable(balls, rest);
    const objects = left.filter((ball) => ball.id !== cueId);
    const cue = left.find((ball) => ball.id === cueId);
    const open = idsWithPocket(table, objects);
    const made = rest.some((ball) => ball.id === aims.task.object && ball.pocket === aims.task.pocket);
    for (const other of others) {
      const still = objects.some((ball) => ball.id === other);
      if (still && open.has(other) && !before.has(other)) freed.set(other, (freed.get(other) ?? 0) + 1);
      if (still && !open.has(other) && before.has(other)) spoiled.set(other, (spoiled.get(other) ?? 0) + 1);
    }
    if (cue === undefined || ballLost(rest)) inOff++;
    else if (made) {
      potted++;
      const { balls: wanted, pockets } = aims.wanted;
      const best = bestPotChance(table, cue, objects, wanted, aims.error, { ...aims, pockets });
      if (best >= aims.confidence) on++;
    }
  }
  const shares = (counts: ReadonlyMap<string, number>) =>
    [...counts]
      .map(([ball, count]) => ({ ball, share: count / EXECUTIONS }))
      .sort((a, b) => b.share - a.share);
  return {
    shot,
    hits: id,
    arrival: speed,
    onAfter: on / EXECUTIONS,
    potted: potted / EXECUTIONS,
    inOff: inOff / EXECUTIONS,
    frees: shares(freed),
    spoils: shares(spoiled),
  };
}
