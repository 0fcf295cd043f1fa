import { useCallback, useRef, useState } from 'react';
import type { PlannedShot } from '../../core/drill/plannedShot.ts';
import type { Point } from '../../core/math/point.ts';
import type { OpenRound } from '../../core/records/club.ts';
import { keepStep } from './roundStore.ts';
import {
  endEarly,
  failed,
  landed,
  onCloth,
  potted,
  redo,
  undo,
  type Scoring,
  type Stamp,
  type Step,
} from './scoring.ts';

function initial({ round }: OpenRound, planned: Point): Scoring {
  return {
    shots: round.shots,
    attempts: round.attempts,
    undone: [],
    ended: round.endedAt === null ? null : { at: round.endedAt, early: round.early ?? false },
    waitsFor: 'outcome',
    cursor: planned,
  };
}

function stamp(): Stamp {
  return { id: crypto.randomUUID(), at: new Date().toISOString() };
}

/** Scoring of a round on this screen: every entry is kept on the device at once and queued for the server. */
export function useScoring(open: OpenRound, plan: PlannedShot) {
  const [scoring, setScoring] = useState(() => initial(open, plan.landing));
  // Two keys within one frame must both see the newest state.
  const newest = useRef(scoring);
  const [storeFailed, setStoreFailed] = useState(false);

  const show = useCallback((next: Scoring) => {
    newest.current = next;
    setScoring(next);
  }, []);

  const take = useCallback(
    ({ scoring: next, changes }: Step) => {
      show(next);
      if (changes.length === 0) return;
      keepStep(open, next, changes).catch(() => setStoreFailed(true));
    },
    [open, show],
  );

  const bands = open.document.stages[open.round.stage - 1]?.bands ?? [];
  return {
    scoring,
    storeFailed,
    potted: () => show(potted(newest.current, plan.landing)),
    failed: (outcome: 'missed' | 'in-off') => take(failed(newest.current, outcome, stamp())),
    landed: (place: Point) => take(landed(newest.current, place, plan, bands, stamp())),
    confirm: () => {
      if (newest.current.waitsFor === 'landing') {
        take(landed(newest.current, newest.current.cursor, plan, bands, stamp()));
      }
    },
    moveCursor: (dx: number, dy: number) => {
      const { cursor, waitsFor } = newest.current;
      if (waitsFor !== 'landing') return;
      show({ ...newest.current, cursor: onCloth({ x: cursor.x + dx, y: cursor.y + dy }, plan.shot.table) });
    },
    undo: () => take(undo(newest.current)),
    redo: () => take(redo(newest.current, new Date().toISOString())),
    endEarly: () => take(endEarly(newest.current, new Date().toISOString())),
  };
}

export type ScoringActions = ReturnType<typeof useScoring>;
