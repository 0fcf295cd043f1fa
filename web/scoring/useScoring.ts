import { useCallback, useRef, useState } from 'react';
import type { Point } from '../../core/math/point.ts';
import type { AttemptLog } from '../../core/records/attempt.ts';
import type { LoggedShot } from '../../core/records/loggedShot.ts';
import type { OpenRound } from '../../core/records/openRound.ts';
import type { Conflict } from '../../core/records/storedAttempt.ts';
import { UncountableError } from '../../core/scoring/countAttempt.ts';
import { progressOf, resultIn, type Course } from '../../core/scoring/course.ts';
import type { Table } from '../../core/table/table.ts';
import { keep } from '../outbox/outbox.ts';
import { keepCopy, type LoadedRound } from '../outbox/roundCopy.ts';
import type { Person } from '../outbox/sending.ts';
import { changeOf, requestOf } from './changes.ts';
import {
  shownOf,
  startDevice,
  withAnswer,
  withEntered,
  type DeviceRound,
  type RoundState,
} from './deviceRound.ts';
import {
  change,
  endEarly,
  enter,
  NOTHING_ON_SCREEN,
  note,
  onCloth,
  potted,
  prepare,
  redo,
  shoot,
  undo,
  type Scoring,
  type Stamp,
  type Step,
} from './scoring.ts';
import { useServersRound } from './useServersRound.ts';

function stateOf({ round, underWay }: OpenRound): RoundState {
  return {
    attempts: round.attempts,
    underWay,
    ended: round.endedAt === null ? null : { at: round.endedAt, early: round.early ?? false },
  };
}

const now = () => new Date().toISOString();

function stamp(): Stamp {
  return { id: crypto.randomUUID(), at: now() };
}

/** The round as it is kept on this device. */
function copyOf(open: OpenRound, course: Course, { attempts, ended, underWay }: RoundState): OpenRound {
  const round = {
    ...open.round,
    attempts: [...attempts],
    endedAt: ended?.at ?? null,
    early: ended?.early ?? null,
    result: resultIn(progressOf(course, attempts)),
  };
  return { ...open, round, underWay };
}

/** Whether two states show the same, so that the second is not drawn again. */
export function isSameState(a: RoundState, b: RoundState): boolean {
  const mark = ({ attempts, underWay, ended }: RoundState) =>
    JSON.stringify([
      attempts.map(({ id, log, changed }) => [id, log, changed?.reason]),
      underWay,
      ended === null ? null : ended.early,
    ]);
  return mark(a) === mark(b);
}

/** The round as it was loaded, with what waits of it laid over it. */
function startedOn({ open, waiting }: LoadedRound, course: Course): DeviceRound {
  const unconfirmed = waiting.flatMap((sending) => {
    const change = changeOf(course, sending);
    return change === undefined ? [] : [{ key: sending.id, change }];
  });
  return startDevice(stateOf(open), unconfirmed);
}

/** Scoring of a round on this screen: every entry is kept on the device at once and queued for the server. */
export function useScoring(loaded: LoadedRound, course: Course, table: Table, person: Person) {
  const { open } = loaded;
  const [started] = useState(() => startedOn(loaded, course));
  const device = useRef(started);
  const [scoring, setScoring] = useState<Scoring>(() => ({
    ...shownOf(course, started),
    ...NOTHING_ON_SCREEN,
  }));
  const [conflicts, setConflicts] = useState<readonly Conflict[]>(open.conflicts);
  // Two keys within one frame must both see the newest state.
  const newest = useRef(scoring);
  const [storeFailed, setStoreFailed] = useState(false);
  const [refused, setRefused] = useState<string>();

  const show = useCallback((next: Scoring) => {
    newest.current = next;
    setScoring(next);
  }, []);

  const take = useCallback(
    (step: () => Step) => {
      let made: Step;
      try {
        made = step();
      } catch (error) {
        if (!(error instanceof UncountableError)) throw error;
        setRefused(error.message);
        return;
      }
      setRefused(undefined);
      const { changes } = made;
      if (changes.length === 0) {
        show(made.scoring);
        return;
      }
      const { ids, stored } = keep(
        person,
        changes.map((each) => requestOf(open.round.id, each)),
      );
      device.current = withEntered(
        device.current,
        changes.map((each, i) => ({ key: ids[i] ?? '', change: each })),
      );
      const state = shownOf(course, device.current);
      const { undone, cursor, cutOff } = made.scoring;
      show({ ...state, undone, cursor, cutOff });
      const copied = keepCopy(person, copyOf(open, course, state));
      Promise.all([stored, copied]).catch(() => setStoreFailed(true));
    },
    [open, course, person, show],
  );

  const settle = useServersRound(
    open.round.id,
    () => device.current.unconfirmed,
    (asked, theirs) => {
      setConflicts(theirs.conflicts);
      device.current = withAnswer(device.current, asked, stateOf(theirs));
      const state = shownOf(course, device.current);
      if (isSameState(state, newest.current)) return;
      const { undone, cursor, cutOff } = newest.current;
      show({ ...state, undone, cutOff, cursor: state.ended === null ? cursor : null });
    },
  );

  return {
    scoring,
    storeFailed,
    /** Why the last entry was not taken. */
    refused,
    conflicts,
    settle,
    potted: (planned: Point) => show(potted(newest.current, planned)),
    enter: (log: AttemptLog) => take(() => enter(course, newest.current, log, stamp())),
    shoot: (shot: LoggedShot, set: AttemptLog['set']) =>
      take(() => shoot(course, newest.current, shot, set, stamp())),
    prepare: (to: Parameters<typeof prepare>[1]) => take(() => prepare(newest.current, to, now())),
    note: (about: Partial<LoggedShot>) => take(() => note(course, newest.current, about, now())),
    change: (id: string, log: AttemptLog, reason: string) =>
      take(() => change(course, newest.current, { id, log, reason, by: person.name }, now())),
    moveCursor: (dx: number, dy: number) => {
      const { cursor } = newest.current;
      if (cursor === null) return;
      show({ ...newest.current, cursor: onCloth({ x: cursor.x + dx, y: cursor.y + dy }, table) });
    },
    undo: () => take(() => undo(newest.current, now())),
    redo: () => take(() => redo(course, newest.current, stamp())),
    endEarly: () => take(() => endEarly(newest.current, now())),
  };
}

export type ScoringActions = ReturnType<typeof useScoring>;
