import type { Point } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';
import type { Condition, Drill } from '../records/drill.ts';
import type { PocketName } from '../table/pockets.ts';
import type { Table } from '../table/table.ts';
import { blankDrill, FIRST_SCORING, nextStage, slugOf } from './draft.ts';
import { CUE_BALL } from './layout.ts';
import { sharePlace } from './sharePlace.ts';

/** A table to be cleared, and how. */
interface ClearedTable {
  readonly table: Table;
  readonly balls: readonly BallOnTable[];
  /** Undefined when it is in hand. */
  readonly cue: Point | undefined;
  readonly order: Extract<Drill['task'], { readonly kind: 'clear' }>['order'];
  readonly conditions: readonly Condition[];
}

/** A ball and the pocket into which a plan plays it. */
interface PlannedBall {
  readonly ball: string;
  readonly pocket: PocketName;
}

/** So many balls of the plan stand in a line of the advice, and so many lines it has at most. */
const IN_A_LINE = 4;
const MOST_LINES = 5;

/**
 * A new drill that sets a table to be cleared, with a plan among its advice.
 * @param wordOf a pocket in words
 */
export function drillFromOrder(
  { table, balls, cue, order, conditions }: ClearedTable,
  plan: readonly PlannedBall[],
  wordOf: (pocket: PocketName) => string,
): Drill {
  const { preset } = table;
  const blank = blankDrill(preset.id);
  const title = `Clear ${balls.length} balls`;
  const way = plan.map(({ ball, pocket }) => `the ${ball} to ${wordOf(pocket)}`);
  const lines = Array.from({ length: Math.ceil(way.length / IN_A_LINE) }, (_, k) =>
    way.slice(IN_A_LINE * k, IN_A_LINE * (k + 1)).join(', '),
  );
  return {
    ...blank,
    title,
    slug: slugOf(title),
    family: 'order',
    skills: ['run-out'],
    purpose: 'Choose the order, then keep to it.',
    advice: lines.slice(0, MOST_LINES).map((line, k) => `${k === 0 ? 'The plan' : 'Then'}: ${line}.`),
    balls: [
      ...(cue === undefined ? [] : [{ id: CUE_BALL, at: sharePlace(preset, cue) }]),
      ...balls.map(({ id, x, y }) => ({ id, at: sharePlace(preset, { x, y }) })),
    ],
    cueBall: cue === undefined ? { start: 'in hand', area: null } : blank.cueBall,
    task: { kind: 'clear', order },
    conditions: [...conditions],
    plan: null,
    scoring: FIRST_SCORING['attempts-to-clear'],
    stages: [{ ...nextStage({ ...blank, stages: [] }), title: 'As it lies' }],
  };
}
