import type { PlannedShot } from '../../core/drill/plannedShot.ts';
import type { Point } from '../../core/math/point.ts';
import type { StoredAttempt } from '../../core/records/club.ts';
import type { Band } from '../../core/records/drill.ts';
import type { Outcome } from '../../core/records/round.ts';
import { reviewLanding } from '../../core/scoring/landing.ts';
import { zonePoints } from '../../core/scoring/zonePoints.ts';
import type { Table } from '../../core/table/table.ts';

/** A round while it is scored. Pure: every change gives a new state and what the server must be told. */
export interface Scoring {
  readonly shots: number;
  readonly attempts: readonly StoredAttempt[];
  /** Taken back and not yet brought back, the last one first. */
  readonly undone: readonly StoredAttempt[];
  readonly ended: { readonly at: string; readonly early: boolean } | null;
  /** What the next entry is: how the shot went, or where the cue ball stopped after a pot. */
  readonly waitsFor: 'outcome' | 'landing';
  /** Where the landing would be set with the keyboard, metres. */
  readonly cursor: Point;
}

export type Change =
  | { readonly kind: 'attempt'; readonly attempt: StoredAttempt }
  | { readonly kind: 'undo'; readonly id: string }
  | { readonly kind: 'end'; readonly at: string; readonly early: boolean };

export interface Step {
  readonly scoring: Scoring;
  readonly changes: readonly Change[];
}

/** What an attempt needs from outside, so that the rules stay pure. */
export interface Stamp {
  readonly id: string;
  /** ISO 8601. */
  readonly at: string;
}

function unchanged(scoring: Scoring): Step {
  return { scoring, changes: [] };
}

function add(scoring: Scoring, attempt: StoredAttempt, undone: readonly StoredAttempt[], at: string): Step {
  const attempts = [...scoring.attempts, attempt];
  const over = attempts.length >= scoring.shots;
  return {
    scoring: { ...scoring, attempts, undone, waitsFor: 'outcome', ended: over ? { at, early: false } : null },
    changes: [{ kind: 'attempt', attempt }, ...(over ? [{ kind: 'end' as const, at, early: false }] : [])],
  };
}

/** The ball was potted: now the landing is asked for, from the planned place on. */
export function potted(scoring: Scoring, planned: Point): Scoring {
  if (scoring.ended !== null || scoring.waitsFor === 'landing') return scoring;
  return { ...scoring, waitsFor: 'landing', cursor: planned };
}

/** A shot without landing: missed, or the cue ball lost. */
export function failed(scoring: Scoring, outcome: Exclude<Outcome, 'potted'>, stamp: Stamp): Step {
  if (scoring.ended !== null) return unchanged(scoring);
  const attempt: StoredAttempt = {
    id: stamp.id,
    ordinal: scoring.attempts.length + 1,
    outcome,
    landing: null,
    points: 0,
    along: null,
    across: null,
    playedAt: stamp.at,
  };
  return add(scoring, attempt, [], stamp.at);
}

/** A pot whose cue ball stopped at a place; counts it. */
export function landed(
  scoring: Scoring,
  landing: Point,
  plan: PlannedShot,
  bands: readonly Band[],
  stamp: Stamp,
): Step {
  if (scoring.ended !== null) return unchanged(scoring);
  const place = onCloth(landing, plan.shot.table);
  const { along, across } = reviewLanding(plan, place);
  const attempt: StoredAttempt = {
    id: stamp.id,
    ordinal: scoring.attempts.length + 1,
    outcome: 'potted',
    landing: place,
    points: zonePoints('potted', place, plan.window, bands),
    along,
    across,
    playedAt: stamp.at,
  };
  return add(scoring, attempt, [], stamp.at);
}

/** The nearest place that a ball's centre can take. */
export function onCloth(place: Point, table: Table): Point {
  const radius = table.preset.cueBallRadius;
  const within = (value: number, size: number) => Math.min(size - radius, Math.max(radius, value));
  return { x: within(place.x, table.length), y: within(place.y, table.width) };
}

/** Takes the last entry back: a half-made pot, else the last shot, which reopens a round that was over. */
export function undo(scoring: Scoring): Step {
  if (scoring.waitsFor === 'landing') return unchanged({ ...scoring, waitsFor: 'outcome' });
  const last = scoring.attempts.at(-1);
  if (last === undefined) return unchanged(scoring);
  return {
    scoring: {
      ...scoring,
      attempts: scoring.attempts.slice(0, -1),
      undone: [last, ...scoring.undone],
      ended: null,
    },
    changes: [{ kind: 'undo', id: last.id }],
  };
}

/** Brings back what was taken back last. */
export function redo(scoring: Scoring, at: string): Step {
  const [attempt, ...others] = scoring.undone;
  if (attempt === undefined || scoring.ended !== null) return unchanged(scoring);
  return add(scoring, attempt, others, at);
}

/** Ends the round before its last shot. */
export function endEarly(scoring: Scoring, at: string): Step {
  if (scoring.ended !== null) return unchanged(scoring);
  return {
    scoring: { ...scoring, ended: { at, early: true }, waitsFor: 'outcome' },
    changes: [{ kind: 'end', at, early: true }],
  };
}
