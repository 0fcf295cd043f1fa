import { expose } from 'comlink';
import { poseDrill } from '../../core/drill/poseDrill.ts';
import { poseCall } from '../../core/virtual/poseCall.ts';
import { backwardMap } from '../../core/planning/backward.ts';
import { searchBreakOuts } from '../../core/planning/breakOut.ts';
import { doubleAnswers } from '../../core/planning/position/doubleAnswers.ts';
import { cloudOf, outlookOf } from '../../core/planning/position/outlook.ts';
import { pictureOf } from '../../core/planning/position/picture.ts';
import { plantAnswer } from '../../core/planning/position/plantAnswer.ts';
import { prepare, tableOf } from '../../core/planning/position/prepared.ts';
import { routeQuestion } from '../../core/planning/position/routeQuestion.ts';
import { searchRoutes } from '../../core/planning/routes.ts';
import type { Planner, SearchKind } from './plannerProtocol.ts';

const SEED = 4610;

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

const planner: Planner = {
  picture: pictureOf,
  cloud: (question, stroke, executions) => cloudOf(question, stroke, executions, SEED),
  outlook: (question, stroke) => outlookOf(question, stroke, SEED),
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
  plant: plantAnswer,
  double: (question, speeds) => doubleAnswers(question, speeds, SEED),
  pose: (table, kind, difficulty, seed) => poseCall(tableOf(table), kind, difficulty, seed),
  poseDrill: (drill, table, kind) => poseDrill(drill, tableOf(table), kind),
  cancel(kind) {
    current[kind]++;
  },
};

expose(planner);
