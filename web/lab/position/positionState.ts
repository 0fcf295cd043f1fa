import type { Point } from '../../../core/math/point.ts';
import type { Shot, ShotResult, Strike } from '../../../core/motion/shot.ts';
import { amend, change, redo, startHistory, undo, type History } from '../../controls/history.ts';
import { selectedIn, withStrike, type LabPosition } from '../labState.ts';

/** What a drag on the cloth does. */
export const DRAGS = ['Move balls', 'Wanted landing', 'Wanted line'] as const;
export type DragMode = (typeof DRAGS)[number];

export interface WantedLine {
  readonly from: Point;
  readonly to: Point;
}

/** A position, its stroke, and the part of the pocket that is aimed at, −1…1: one step of the history. */
export interface PositionStep extends LabPosition {
  readonly pocketSide: number;
}

/** All that the bench holds. What is drawn of other strokes belongs to the step that it was asked for. */
export interface PositionState {
  readonly steps: History<PositionStep>;
  readonly selected: string;
  readonly mode: DragMode;
  readonly wanted: Point | undefined;
  readonly line: WantedLine | undefined;
  /** Number of the route that is drawn beside the stroke, from 0. */
  readonly beside: number | undefined;
  /** Ways of a stroke that was asked for further. */
  readonly shown: ShotResult | undefined;
}

export type PositionAction =
  /** A change; while one thing is dragged all its steps count as one. */
  | { readonly kind: 'change'; readonly shot: Shot; readonly sameStep?: boolean }
  /** Another stroke at the balls as they lie, at a part of the pocket. */
  | {
      readonly kind: 'stroke';
      readonly part: Partial<Strike>;
      readonly pocketSide: number;
      readonly sameStep?: boolean;
    }
  | { readonly kind: 'set up'; readonly position: LabPosition }
  | { readonly kind: 'undo' }
  | { readonly kind: 'redo' }
  | { readonly kind: 'select'; readonly id: string }
  | { readonly kind: 'mode'; readonly mode: DragMode }
  | { readonly kind: 'want'; readonly place: Point }
  | { readonly kind: 'line'; readonly line: WantedLine }
  | { readonly kind: 'beside'; readonly route: number | undefined }
  | { readonly kind: 'show'; readonly result: ShotResult | undefined };

export function startPosition(position: LabPosition): PositionState {
  return {
    steps: startHistory({ ...position, pocketSide: 0 }),
    selected: position.shot.strike.ball,
    mode: 'Move balls',
    wanted: undefined,
    line: undefined,
    beside: undefined,
    shown: undefined,
  };
}

/** At another step: what was drawn of other strokes is gone with the one before. */
function at(state: PositionState, steps: History<PositionStep>): PositionState {
  if (steps === state.steps) return state;
  const selected = selectedIn(steps.present, state.selected);
  return { ...state, steps, selected, beside: undefined, shown: undefined };
}

/** The next state; pure. Undo brings back stroke and side of the pocket together. */
export function positionReducer(state: PositionState, action: PositionAction): PositionState {
  const { steps } = state;
  const put = (next: PositionStep, sameStep: boolean | undefined) =>
    at(state, sameStep === true ? amend(steps, next) : change(steps, next, undefined));
  switch (action.kind) {
    case 'change':
      return put({ ...steps.present, shot: action.shot }, action.sameStep);
    case 'stroke': {
      const shot = withStrike(steps.present.shot, action.part);
      return put({ ...steps.present, shot, pocketSide: action.pocketSide }, action.sameStep);
    }
    case 'set up':
      return put({ ...action.position, pocketSide: steps.present.pocketSide }, false);
    case 'undo':
      return at(state, undo(steps));
    case 'redo':
      return at(state, redo(steps));
    case 'select':
      return { ...state, selected: action.id };
    case 'mode':
      return { ...state, mode: action.mode };
    case 'want':
      return { ...state, wanted: action.place };
    case 'line':
      return { ...state, line: action.line };
    case 'beside':
      return { ...state, beside: action.route };
    case 'show':
      return { ...state, shown: action.result };
  }
}
