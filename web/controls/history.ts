/** A value with what came before and after it. */
export interface History<T> {
  readonly past: readonly T[];
  readonly present: T;
  readonly future: readonly T[];
  /** What the last change belongs to; changes of one step are undone together. */
  readonly step: string | undefined;
}

const LONGEST_PAST = 200;

export function startHistory<T>(present: T): History<T> {
  return { past: [], present, future: [], step: undefined };
}

/** A change. @param step what it belongs to: a drag, or the typing in one field; undefined for one of its own */
export function change<T>(history: History<T>, next: T, step: string | undefined): History<T> {
  if (next === history.present) return history;
  const same = step !== undefined && step === history.step;
  const past = same ? history.past : [...history.past, history.present].slice(-LONGEST_PAST);
  return { past, present: next, future: [], step };
}

/** A change that belongs to the step before, as of one thing that is dragged on. */
export function amend<T>(history: History<T>, next: T): History<T> {
  return { ...history, present: next, future: [] };
}

export function undo<T>(history: History<T>): History<T> {
  const { past, present, future } = history;
  const before = past.at(-1);
  if (before === undefined) return history;
  return { past: past.slice(0, -1), present: before, future: [present, ...future], step: undefined };
}

export function redo<T>(history: History<T>): History<T> {
  const { past, present, future } = history;
  const [after, ...rest] = future;
  if (after === undefined) return history;
  return { past: [...past, present], present: after, future: rest, step: undefined };
}
