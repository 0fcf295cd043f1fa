import { readFileSync } from 'node:fs';
import { plannedStroke } from '../core/drill/plannedShot.ts';
import { isPositionDrill } from '../core/drill/positionDrill.ts';
import { distance, type Point } from '../core/math/point.ts';
import type { Shot } from '../core/motion/shot.ts';
import { simulate } from '../core/motion/simulate.ts';
import type { PotTask } from '../core/planning/cloud.ts';
import { executedWith, type Draws } from '../core/player/execute.ts';
import type { ExecutionError } from '../core/player/levels.ts';
import { drillSchema } from '../core/records/drill.ts';
import type { Random } from '../core/random/random.ts';
import { STROKE_ERRORS } from '../core/scoring/attribution.ts';
import { isOnTable, outcomeOfShot } from '../core/shot/outcome.ts';
import { buildTable } from '../core/table/table.ts';

/** What a mark by finger is off, metres. */
const MARK = 0.01;
/** A stroke that loses the cue ball went as far astray as this, metres. */
const LOST = 5;
const NONE: Draws = { line: 0, pace: 0, side: 0, height: 0, elevation: 0 };
const ALL = [...STROKE_ERRORS, 'elevation'] as const;

/** The planned stroke of a position drill that ships, on its own table. */
export function libraryStroke(slug: string): { readonly shot: Shot; readonly task: PotTask } {
  const text: unknown = JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8'));
  const drill = drillSchema.validateSync(text);
  if (!isPositionDrill(drill)) throw new Error(`${slug} is not a position drill`);
  const { shot } = plannedStroke(drill, buildTable(drill.table));
  return { shot, task: { object: drill.task.pot, pocket: drill.task.pocket } };
}

export interface End {
  /** Undefined where the cue ball is lost. */
  readonly at: Point | undefined;
  readonly potted: boolean;
}

/** How a stroke ends with errors that are known. @param sizes of the errors as the stroke is cued */
export function endOf(shot: Shot, task: PotTask, sizes: ExecutionError, draws: Draws): End {
  const { rest } = simulate(executedWith(shot, sizes, draws), { events: false });
  const cue = rest.find(({ id }) => id === shot.strike.ball);
  return {
    at: cue !== undefined && isOnTable(cue) ? { x: cue.x, y: cue.y } : undefined,
    potted: outcomeOfShot(rest, shot.strike.ball, task) === 'potted',
  };
}

/** The error that did most of how a stroke ended, found by playing each error alone. */
export function errorThatDidMost(
  shot: Shot,
  task: PotTask,
  sizes: ExecutionError,
  draws: Draws,
  { planned, potted }: { readonly planned: Point; readonly potted: boolean },
): (typeof ALL)[number] | undefined {
  const alone = ALL.map((error) => {
    const end = endOf(shot, task, sizes, { ...NONE, [error]: draws[error] });
    return { error, potted: end.potted, away: end.at === undefined ? LOST : distance(end.at, planned) };
  });
  const missing = potted ? [] : alone.filter((each) => !each.potted);
  const most = alone.reduce((best, each) => (each.away > best.away ? each : best));
  return (missing.length === 1 ? missing[0] : most)?.error;
}

/** A landing as a finger marks it. */
export function markedAt({ x, y }: Point, random: Random): Point {
  return { x: x + MARK * random.normal(), y: y + MARK * random.normal() };
}
