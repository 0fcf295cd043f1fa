import { expose } from 'comlink';
import { planShot, UnplayableDrillError } from '../../core/drill/plannedShot.ts';
import { poseFromPlan, poseFromSeed } from '../../core/judgement/pose.ts';
import { distance, type Point } from '../../core/math/point.ts';
import { contactDistance } from '../../core/motion/ballBall.ts';
import type { Shot } from '../../core/motion/shot.ts';
import { simulate } from '../../core/motion/simulate.ts';
import { assessStroke, leftOnTable } from '../../core/planning/aftermath.ts';
import { backwardMap } from '../../core/planning/backward.ts';
import { searchBreakOuts } from '../../core/planning/breakOut.ts';
import { foreseeInOff, foreseePass } from '../../core/planning/foresee.ts';
import { gridOver } from '../../core/planning/grid.ts';
import { missSides } from '../../core/planning/missSide.ts';
import { potLines, potOptions } from '../../core/planning/potOptions.ts';
import { ribbonOf } from '../../core/planning/ribbon.ts';
import { searchRoutes, type RouteQuestion } from '../../core/planning/routes.ts';
import { paceWindow } from '../../core/planning/stops.ts';
import { executed } from '../../core/player/execute.ts';
import { createRandom } from '../../core/random/random.ts';
import { acceptanceOf } from '../../core/shot/acceptance.ts';
import { cutTo } from '../../core/shot/cut.ts';
import { kissesTwice, solveDouble } from '../../core/shot/doubles.ts';
import { naturalPath } from '../../core/shot/naturalPath.ts';
import { passingGap } from '../../core/shot/passing.ts';
import { flipGap, solvePlant } from '../../core/shot/plants.ts';
import { pocketMargin } from '../../core/shot/pocketMargin.ts';
import type {
  NoPicture,
  PlannedStroke,
  Planner,
  PositionQuestion,
  SearchKind,
  ShotPicture,
} from './plannerProtocol.ts';

import {
  aimsFor,
  FINE_STEP,
  pocketsOf,
  prepare,
  ROUGH_STEP,
  solved,
  tableOf,
  windowFor,
} from './plannerQuestion.ts';

const SEED = 4610;
/** Executions behind a verdict, and of the cloud that stands. */
const VERDICTS = 300;
const CLOUD = 1000;
/** A ball that the cue ball passes by more than this is not spoken of, metres. */
const NEAR_PASS = 0.09;
/** How near to a wanted place a stroke may end and still be one that goes there, metres. */
const WANTED_ROOM = 0.3;
const DOUBLES = 150;

function pictureOf(
  question: PositionQuestion,
  stroke: PlannedStroke,
  rough: boolean,
): ShotPicture | NoPicture {
  const found = solved(question, stroke, rough ? ROUGH_STEP : FINE_STEP);
  if (found.kind === 'no-way') return found;
  const { table, cue, object, acceptance, shot, result, window, held, aims } = found;
  if (acceptance === undefined) return { kind: 'no-way', reason: 'pocket-closed' };
  const aimed = { x: object.x + Math.cos(acceptance.middle), y: object.y + Math.sin(acceptance.middle) };
  const { cueBallRadius, cueBallMass, ballRadius, ballMass } = table.preset;
  const restitution = table.parameters.ballRestitution;
  const sizes = { cueBallRadius, cueBallMass, ballRadius, ballMass, restitution };
  const pace = paceWindow(shot, aims);
  const lines = potLines(table, found.others, question.next, acceptanceOf, pocketsOf(question));
  return {
    kind: 'pots',
    shot,
    result,
    cut: cutTo(cue, object, aimed, cue.radius, object.radius),
    natural: naturalPath(cue, object, aimed, sizes),
    margin: pocketMargin(table, cue, object, question.pocket, acceptance),
    cueing: held,
    pace,
    ribbon: ribbonOf(table, pace.stops, lines, found.others, aims),
    window,
    onNext: likeliestNext(question, shot),
  };
}

function likeliestNext(question: PositionQuestion, shot: Shot): string | undefined {
  const left = leftOnTable(shot.balls, simulate(shot, { events: false }).rest);
  const cue = left.find(({ id }) => id === question.cue);
  if (cue === undefined) return undefined;
  const objects = left.filter((ball) => ball !== cue);
  const lines = potLines(shot.table, objects, question.next, acceptanceOf, pocketsOf(question));
  return potOptions(shot.table, cue, lines, objects, question.error)[0]?.line.ball;
}

/** The search of each kind that is under way; a newer one of its kind or a cancel takes its place. */
const current: Record<SearchKind, number> = { routes: 0, backward: 0, 'break-outs': 0 };

/** Runs a search step by step, letting messages in between, until it is done or another has taken its place. */
async function run<S, R>(
  kind: SearchKind,
  search: Generator<S, R>,
  onStep: (step: S) => void,
): Promise<R | 'cancelled'> {
  const own = ++current[kind];
  for (;;) {
    const step = search.next();
    if (step.done === true) return step.value;
    onStep(step.value);
    await new Promise((resolve) => setTimeout(resolve, 0));
    if (own !== current[kind]) return 'cancelled';
  }
}

function routeQuestion(question: PositionQuestion, to: Point | null): RouteQuestion | NoPicture {
  const prepared = prepare(question);
  if (prepared.acceptance === undefined) return { kind: 'no-way', reason: 'pocket-closed' };
  const { table } = prepared;
  const window =
    to === null
      ? windowFor(question, prepared, FINE_STEP)
      : gridOver(table, ROUGH_STEP, (place) => Math.max(0, 1 - distance(place, to) / WANTED_ROOM));
  const aims = aimsFor(question, prepared, window);
  return {
    table,
    balls: question.balls,
    cue: question.cue,
    acceptance: prepared.acceptance,
    aims: to === null ? aims : { ...aims, wanted: { balls: [] }, confidence: 0.5 },
    side: question.side,
    middle: question.middle,
  };
}

const planner: Planner = {
  picture: pictureOf,
  cloud(question, stroke, executions) {
    const found = solved(question, stroke, ROUGH_STEP);
    if (found.kind === 'no-way') return undefined;
    return assessStroke(found.shot, found.aims, found.worse, executions, SEED);
  },
  outlook(question, stroke) {
    const found = solved(question, stroke, FINE_STEP);
    if (found.kind === 'no-way') return undefined;
    const { shot, aims, worse, others } = found;
    const passes = others
      .flatMap((ball) => {
        const gap = passingGap(shot, ball);
        return gap !== undefined && Math.abs(gap) < NEAR_PASS ? [{ ball, gap }] : [];
      })
      .sort((a, b) => Math.abs(a.gap) - Math.abs(b.gap))
      .slice(0, 3);
    return {
      cloud: assessStroke(shot, aims, worse, CLOUD, SEED),
      inOff: foreseeInOff(shot, worse, VERDICTS, SEED),
      passes: passes.map(({ ball }) => ({
        ball: ball.id,
        foresight: foreseePass(shot, ball, worse, VERDICTS, SEED),
      })),
      misses: missSides(shot, aims, worse, VERDICTS, SEED),
    };
  },
  async routes(question, to, onProgress) {
    const asked = routeQuestion(question, to);
    return 'kind' in asked ? asked : run('routes', searchRoutes(asked, SEED), onProgress);
  },
  async backward(question, wanted, onProgress) {
    const { table, object, others, acceptance, cueing } = prepare(question);
    if (acceptance === undefined) return { kind: 'no-way', reason: 'pocket-closed' };
    const line = { ball: question.pot, pocket: question.pocket, object, acceptance };
    return run('backward', backwardMap(table, line, others, wanted, question.error, cueing), onProgress);
  },
  async breakOuts(question, cluster, onProgress) {
    const asked = routeQuestion(question, null);
    return 'kind' in asked ? asked : run('break-outs', searchBreakOuts(asked, cluster, SEED), onProgress);
  },
  plant(question, firstId, stroke) {
    const { table, cue, object, others } = prepare(question);
    const first = others.find(({ id }) => id === firstId);
    if (first === undefined) return undefined;
    const rest = others.filter((ball) => ball !== first);
    const plant = { table, cue, first, second: object, pocket: question.pocket, others: rest };
    const { speed, tip, elevation } = stroke;
    const plan = { ball: question.cue, speed, tip, elevation };
    const way = solvePlant(plant, plan);
    if (way === undefined) return undefined;
    return {
      way,
      result: simulate(way.shot, { paths: true }),
      flip: flipGap(plant, plan),
      gap: distance(first, object) - contactDistance(first.radius, object.radius),
    };
  },
  double(question, speeds) {
    const { table } = prepare(question);
    const asked = { table, balls: question.balls, object: question.pot, pocket: question.pocket };
    return speeds.map((speed) => {
      const way = solveDouble(asked, {
        ball: question.cue,
        speed,
        tip: { side: 0, height: 0 },
        elevation: 0,
      });
      if (way === undefined) return { speed, way, potted: 0, kissed: 0 };
      const random = createRandom(SEED);
      let [potted, kissed] = [0, 0];
      for (let k = 0; k < DOUBLES; k++) {
        const result = simulate(executed(way.shot, question.error, random));
        if (result.rest.some(({ id, pocket }) => id === question.pot && pocket === question.pocket)) potted++;
        if (kissesTwice(result, question.cue, question.pot)) kissed++;
      }
      return { speed, way, potted: potted / DOUBLES, kissed: kissed / DOUBLES };
    });
  },
  pose: (table, kind, difficulty, seed) => poseFromSeed(tableOf(table), kind, difficulty, seed),
  poseDrill(drill, text, kind) {
    const table = tableOf(text);
    try {
      const { shot } = planShot(drill, table);
      const { pot, pocket, next } = drill.task;
      return poseFromPlan(kind, { shot, pot, pocket }, next.ball, next.pocket);
    } catch (error) {
      if (error instanceof UnplayableDrillError || error instanceof RangeError) return undefined;
      throw error;
    }
  },
  cancel(kind) {
    current[kind]++;
  },
};

expose(planner);
