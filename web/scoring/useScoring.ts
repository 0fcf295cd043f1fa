import { useCallback, useRef, useState } from 'react';
import type { Point } from '../../core/math/point.ts';
import type { AttemptLog } from '../../core/records/attempt.ts';
import type { LoggedShot } from '../../core/records/loggedShot.ts';
import type { OpenRound } from '../../core/records/openRound.ts';
import { UncountableError } from '../../core/scoring/countAttempt.ts';
import type { Table } from '../../core/table/table.ts';
import { keepStep } from '../outbox/roundStore.ts';
import { type Course } from '../../core/scoring/course.ts';
import {
  change,
  endEarly,
  enter,
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
import { markOf, useOtherDevices } from './useOtherDevices.ts';

function scoringOf({ round, underWay }: OpenRound): Scoring {
  return {
    attempts: round.attempts,
    underWay,
    undone: [],
    ended: round.endedAt === null ? null : { at: round.endedAt, early: round.early ?? false },
    cursor: null,
  };
}

const now = () => new Date().toISOString();

function stamp(): Stamp {
  return { id: crypto.randomUUID(), at: now() };
}

/** Scoring of a round on this screen: every entry is kept on the device at once and queued for the server. */
export function useScoring(open: OpenRound, course: Course, table: Table, by: string) {
  const [scoring, setScoring] = useState(() => scoringOf(open));
  // Two keys within one frame must both see the newest state.
  const newest = useRef(scoring);
  const entries = useRef(0);
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
      show(made.scoring);
      if (made.changes.length === 0) return;
      entries.current++;
      keepStep(open, course, made.scoring, made.changes).catch(() => setStoreFailed(true));
    },
    [open, course, show],
  );

  const counter = useCallback(() => entries.current, []);
  const { conflicts, settle } = useOtherDevices(open, counter, (theirs) => {
    const next = scoringOf(theirs);
    // What stands here already is not drawn again.
    if (markOf(next) === markOf(newest.current)) return;
    const { undone, cursor } = newest.current;
    show({ ...next, undone, cursor });
  });

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
      take(() => change(course, newest.current, { id, log, reason, by }, now())),
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
