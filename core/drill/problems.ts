import { ValidationError } from 'yup';
import { checkShot, InvalidShotError } from '../motion/validate.ts';
import { drillSchema, type Drill, type Order } from '../records/drill.ts';
import { TABLE_PRESETS } from '../table/presets.ts';
import { buildTable, type Table } from '../table/table.ts';
import { rackIds } from '../rack/rack.ts';
import { methodsOf } from './methodsOf.ts';
import { objectBalls } from './round.ts';
import { CUE_BALL, layOut, resolvePlace } from './layout.ts';
import { ballsOfSetUp, setUp } from './setUp.ts';
import { atStage, tablesOf } from './stage.ts';
import { atStation, stationsOf } from './station.ts';
import { mostTargetPoints } from './targets.ts';

/** What keeps a drill from being used, in words, with the part of the text that it lies in. */
export interface Problem {
  readonly field: string;
  readonly words: string;
}

/** A seed is as good as another to see whether a throw finds room. */
const SEED = 1;

function ofText(drill: Drill): readonly Problem[] {
  try {
    drillSchema.validateSync(drill, { abortEarly: false });
    return [];
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const all = error.inner.length === 0 ? [error] : error.inner;
    return all.map(({ path = '', message }) => ({ field: path, words: message }));
  }
}

function ballsOfOrder(order: Order): readonly string[] {
  switch (order.kind) {
    case 'listed':
      return order.balls;
    case 'groups':
      return order.groups.flat();
    case 'suits':
      return [...order.suits.flat(), order.last];
    case 'money ball':
      return [order.ball];
    case 'any':
    case 'rotation':
    case 'red and colour':
      return [];
  }
}

/** The balls that a drill's task speaks of, and the field that does. */
function ballsOfTask({ task }: Drill): readonly { readonly field: string; readonly id: string }[] {
  switch (task.kind) {
    case 'position':
      return [
        { field: 'task.pot', id: task.pot },
        { field: 'task.next.ball', id: task.next.ball },
      ];
    case 'land':
      return task.pot === null ? [] : [{ field: 'task.pot.ball', id: task.pot.ball }];
    case 'clear':
      return ballsOfOrder(task.order).map((id) => ({ field: 'task.order', id }));
    case 'kick':
    case 'safety':
      return [{ field: 'task.target', id: task.target }];
    case 'plant':
      return [
        { field: 'task.first', id: task.first },
        { field: 'task.pot', id: task.pot },
      ];
    case 'double':
      return [{ field: 'task.pot', id: task.pot }];
    case 'break':
    case 'call':
      return [];
  }
}

function ofNames(drill: Drill): readonly Problem[] {
  const known = [CUE_BALL, ...objectBalls(drill)];
  const named = [
    ...ballsOfTask(drill),
    ...drill.targets.flatMap((target, i) =>
      target.kind === 'thickness' ? [{ field: `targets[${i}]`, id: target.ball }] : [],
    ),
    ...drill.stages.flatMap((stage, i) =>
      [...stage.without, ...stage.moved.map((ball) => ball.id)].map((id) => ({
        field: `stages[${i}]`,
        id,
      })),
    ),
  ];
  return named
    .filter(({ id }) => !known.includes(id))
    .map(({ field, id }) => ({ field, words: `${field}: there is no ball ${id}` }));
}

/** Balls that are set in two ways at once. */
function ofDoubles({ balls, rack, thrown }: Drill): readonly Problem[] {
  const placed = balls.map(({ id }) => id);
  const racked = rack === null ? [] : rackIds(rack.kind);
  return [
    ...racked
      .filter((id) => placed.includes(id))
      .map((id) => ({ field: 'rack', words: `rack: ball ${id} is placed and racked` })),
    ...(thrown?.balls ?? [])
      .filter((id) => placed.includes(id) || racked.includes(id))
      .map((id) => ({
        field: 'thrown',
        words: `thrown: ball ${id} is thrown and ${placed.includes(id) ? 'placed' : 'racked'}`,
      })),
  ];
}

/** Counts that the task does not give what they count. */
function ofMethod(drill: Drill): readonly Problem[] {
  const fitting = methodsOf(drill);
  const words = (field: string, method: string) =>
    `${field}: ${method.replaceAll('-', ' ')} does not count what this task asks for`;
  return [
    { field: 'scoring', method: drill.scoring.method },
    ...drill.stages.flatMap(({ scoring }, i) =>
      scoring === null ? [] : [{ field: `stages[${i}].scoring`, method: scoring.method }],
    ),
  ]
    .filter(({ method }) => !fitting.includes(method))
    .map(({ field, method }) => ({ field, words: words(field, method) }));
}

function ofScoring(drill: Drill): readonly Problem[] {
  const problems: Problem[] = [];
  if (drill.task.kind === 'position' && drill.plan === null) {
    problems.push({ field: 'plan', words: 'plan is missing: a position drill needs its planned stroke' });
  }
  if (drill.routes.length > 0 && drill.task.kind !== 'position') {
    const words = 'routes are strokes of a position drill only';
    problems.push({ field: 'routes', words });
  }
  if (drill.task.kind === 'land' && mostTargetPoints(drill.targets) === 0) {
    problems.push({ field: 'targets', words: 'targets are missing: draw where the cue ball should stop' });
  }
  if (drill.task.kind === 'position' && mostTargetPoints(drill.targets) > 0) {
    const words =
      'targets count nothing here: coming on to a next ball is counted by its window; ask to land in targets instead';
    problems.push({ field: 'targets', words });
  }
  drill.stages.forEach((stage, i) => {
    const scoring = stage.scoring ?? drill.scoring;
    if (scoring.method !== 'zone-points' || drill.task.kind === 'land') return;
    if (stage.bands.length === 0) {
      const field = `stages[${i}].bands`;
      problems.push({ field, words: `${field} are missing: no landing would earn a point` });
    }
  });
  return problems;
}

/** @throws RangeError or InvalidShotError when the balls cannot lie so */
function checkLayout(drill: Drill, table: Table): void {
  const balls = ballsOfSetUp(setUp(drill, table.preset, SEED));
  const [struck] = balls;
  if (struck === undefined) return;
  const tip = { side: 0, height: 0 };
  checkShot({ table, balls, strike: { ball: struck.id, speed: 0, direction: 0, tip, elevation: 0 } });
}

/** Stations are places of a cue ball that has one, and are played by kicks and safeties. */
function ofStations({ stations, balls, task }: Drill): readonly Problem[] {
  if (stations === undefined) return [];
  if (task.kind !== 'kick' && task.kind !== 'safety') {
    return [{ field: 'stations', words: 'stations are for kicks and safeties' }];
  }
  if (balls.some(({ id }) => id === CUE_BALL)) return [];
  return [{ field: 'stations', words: 'stations need a cue ball that is placed' }];
}

/** Whether the balls can be set, stage by stage and on every kind of table that the drill is for. */
function ofLayout(drill: Drill): readonly Problem[] {
  const problems: Problem[] = [];
  for (const id of tablesOf(drill)) {
    const table = buildTable(id);
    for (const [i, stage] of drill.stages.entries()) {
      try {
        for (let k = 1; k <= stationsOf(drill); k++) checkLayout(atStation(atStage(drill, i + 1), k), table);
      } catch (error) {
        if (!(error instanceof RangeError || error instanceof InvalidShotError)) throw error;
        const words = error.message.replace(/^\w+: /, '');
        const where = `${TABLE_PRESETS[id].name}, ${stage.title === '' ? `stage ${i + 1}` : stage.title}`;
        problems.push({ field: 'balls', words: `balls on the ${where}: ${words}` });
      }
    }
  }
  return problems;
}

/** Whether targets stand where the table has a place for them. */
function ofTargets(drill: Drill): readonly Problem[] {
  return tablesOf(drill).flatMap((id) => {
    const { preset } = buildTable(id);
    const placed = layOut(drill, preset);
    return drill.targets.flatMap((target) => {
      if (target.kind !== 'rings') return [];
      try {
        resolvePlace(target.at, preset, { radius: preset.cueBallRadius, placed });
        return [];
      } catch (error) {
        if (!(error instanceof RangeError)) throw error;
        const words = error.message.replace(/^\w+: /, '');
        return [{ field: 'targets', words: `targets on the ${TABLE_PRESETS[id].name}: ${words}` }];
      }
    });
  });
}

/**
 * What keeps a drill from being used: fields that are missing or wrong, balls that it names and does not set, points
 * that cannot be earned, layouts that cannot be set. Whether the planned stroke does its work is another question
 * (see planShot). Nothing is said twice, and of layouts only when the text is in order.
 */
export function problemsOf(drill: Drill): readonly Problem[] {
  const text = [
    ...ofText(drill),
    ...ofNames(drill),
    ...ofDoubles(drill),
    ...ofMethod(drill),
    ...ofScoring(drill),
    ...ofStations(drill),
  ];
  const layout = text.length > 0 ? [] : ofLayout(drill);
  const all = [...text, ...layout, ...(text.length + layout.length > 0 ? [] : ofTargets(drill))];
  return all.filter(({ words }, i) => all.findIndex((other) => other.words === words) === i);
}
