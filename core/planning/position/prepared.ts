import type { BallOnTable } from '../../motion/shot.ts';
import type { Aims } from '../aftermath.ts';
import { backwardMap } from '../backward.ts';
import { gridOver } from '../grid.ts';
import { potLines, type PotLine } from '../potOptions.ts';
import type { PositionWindow } from '../grid.ts';
import { windowAmong } from '../windowAmong.ts';
import { cueingOf, hampered, type CueingOptions } from '../../player/cueing.ts';
import { fullAcceptanceOf, type Acceptance } from '../../shot/acceptance.ts';
import { aimToPot } from '../../shot/aim.ts';
import { POCKET_NAMES, type PocketName } from '../../table/pockets.ts';
import { buildCustomTable, type Table } from '../../table/table.ts';
import type { PlannedStroke, PositionQuestion, TableText } from './question.ts';

/** Widest distance between two points of a window: while a ball is moved, and once it lies still, metres. */
export const ROUGH_STEP = 0.06;
export const FINE_STEP = 0.025;

/** Small memories of what does not change from one question to the next; the oldest goes first. */
function remember<T>(most: number): (key: string, make: () => T) => T {
  const kept = new Map<string, T>();
  return (key, make) => {
    const known = kept.get(key);
    if (known !== undefined) return known;
    const made = make();
    kept.set(key, made);
    const [oldest] = kept.keys();
    if (kept.size > most && oldest !== undefined) kept.delete(oldest);
    return made;
  };
}

const tables = remember<Table>(4);
const windows = remember<PositionWindow>(12);
const acceptances = remember<{ readonly found: Acceptance | undefined }>(40);

/** A table as the worker keeps it: built once. */
export function tableOf(text: TableText): Table {
  return tables(JSON.stringify(text), () => buildCustomTable(text.preset, text.parameters, true));
}

/** A question with what it takes to answer it. */
export interface Prepared {
  readonly table: Table;
  readonly cue: BallOnTable;
  readonly object: BallOnTable;
  /** Object balls that stay after the pot. */
  readonly others: readonly BallOnTable[];
  readonly acceptance: Acceptance | undefined;
  readonly cueing: CueingOptions;
}

/** What it takes to answer a question. @throws RangeError when a ball is missing */
export function prepare(question: PositionQuestion): Prepared {
  const table = tableOf(question.table);
  const cue = question.balls.find(({ id }) => id === question.cue);
  const object = question.balls.find(({ id }) => id === question.pot);
  if (cue === undefined || object === undefined) throw new RangeError('planner: a ball is missing');
  const key = JSON.stringify([question.table, object, question.pocket]);
  return {
    table,
    cue,
    object,
    others: question.balls.filter((ball) => ball !== cue && ball !== object),
    acceptance: acceptances(key, () => ({ found: fullAcceptanceOf(table, object, question.pocket) })).found,
    cueing: { hand: question.hand, ...(question.room === null ? {} : { room: question.room }) },
  };
}

/** Pockets of the next ball that count. */
export function pocketsOf({ nextPocket }: PositionQuestion): readonly PocketName[] {
  return nextPocket === null ? POCKET_NAMES : [nextPocket];
}

/** The window of the next ball, or of it and the one after, kept while the balls lie. @param step of its grid, metres */
export function windowFor(
  question: PositionQuestion,
  { table, others, cueing }: Prepared,
  step: number,
): PositionWindow {
  const { next, nextPocket, after, error, hand, room } = question;
  return windows(
    JSON.stringify([question.table, others, next, nextPocket, after, error, hand, room, step]),
    () => {
      const lines = potLines(table, others, next, fullAcceptanceOf, pocketsOf(question));
      if (after === null || step === ROUGH_STEP)
        return windowAmong(table, lines, others, error, { step, ...cueing });
      return servingWindow(question, lines, { table, others, cueing });
    },
  );
}

/** The chance of the next ball and, by a plain stroke, of the one after it: the map of the one before the window of the other. */
function servingWindow(
  { after, error }: PositionQuestion,
  lines: readonly PotLine[],
  { table, others, cueing }: Pick<Prepared, 'table' | 'others' | 'cueing'>,
): PositionWindow {
  const maps = lines.map((line) => {
    const left = others.filter(({ id }) => id !== line.ball);
    const afterLines = potLines(table, left, after === null ? [] : [after], fullAcceptanceOf);
    const map = windowAmong(table, afterLines, left, error, { step: ROUGH_STEP, ...cueing });
    const search = backwardMap(table, line, left, { kind: 'map', map }, error, cueing);
    for (;;) {
      const step = search.next();
      if (step.done === true) return step.value.map;
    }
  });
  const [first] = maps;
  if (first === undefined) return gridOver(table, ROUGH_STEP, () => 0);
  return {
    ...first,
    chances: first.chances.map((_, k) => Math.max(...maps.map(({ chances }) => chances[k] ?? 0))),
  };
}

/** What a stroke is judged by. */
export function aimsFor(question: PositionQuestion, prepared: Prepared, window: PositionWindow): Aims {
  return {
    task: { object: question.pot, pocket: question.pocket },
    wanted: { balls: question.next, pockets: pocketsOf(question) },
    window,
    error: question.error,
    confidence: question.confidence,
    ...prepared.cueing,
  };
}

/** The stroke solved, with its window and the player's errors as they are where it is cued. */
export function solved(question: PositionQuestion, stroke: PlannedStroke, step: number) {
  const prepared = prepare(question);
  const { table, cue, object, others, cueing } = prepared;
  const { pocketSide, ...plan } = stroke;
  const aim = aimToPot(
    table,
    question.balls,
    { ball: question.cue, ...plan },
    question.pot,
    question.pocket,
    pocketSide,
  );
  if (aim.kind === 'no-way') return aim;
  const window = windowFor(question, prepared, step);
  const held = cueingOf(table, cue, [object, ...others], aim.shot.strike.direction, {
    ...cueing,
    tipHeight: stroke.tip.height,
  });
  return {
    kind: 'pots' as const,
    ...prepared,
    shot: aim.shot,
    result: aim.result,
    window,
    held,
    aims: aimsFor(question, prepared, window),
    worse: hampered(question.error, held.because),
  };
}
