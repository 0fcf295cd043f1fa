import type { Shot, Strike } from '../../../core/motion/shot.ts';
import { amend, change, redo, startHistory, undo, type History } from '../../controls/history.ts';
import { selectedIn, type LabPosition } from '../labState.ts';

/** What the bench holds: the shot with its history, the ball in hand, and a stroke kept for comparison. */
export interface StrokeState {
  readonly steps: History<LabPosition>;
  readonly selected: string;
  readonly kept: Strike | undefined;
}

export type StrokeAction =
  /** A change; while one thing is dragged all its steps count as one. */
  | { readonly kind: 'change'; readonly shot: Shot; readonly sameStep?: boolean }
  | { readonly kind: 'set up'; readonly position: LabPosition }
  | { readonly kind: 'undo' }
  | { readonly kind: 'redo' }
  | { readonly kind: 'select'; readonly id: string }
  | { readonly kind: 'keep' }
  | { readonly kind: 'drop kept' };

export function startStroke(position: LabPosition): StrokeState {
  return { steps: startHistory(position), selected: position.shot.strike.ball, kept: undefined };
}

function at(state: StrokeState, steps: History<LabPosition>): StrokeState {
  return { ...state, steps, selected: selectedIn(steps.present, state.selected) };
}

/** The next state; pure, so that any sequence of changes undone and redone is the same again. */
export function strokeReducer(state: StrokeState, action: StrokeAction): StrokeState {
  const { steps } = state;
  switch (action.kind) {
    case 'change': {
      const next = { ...steps.present, shot: action.shot };
      return at(state, action.sameStep === true ? amend(steps, next) : change(steps, next, undefined));
    }
    case 'set up':
      return at(state, change(steps, action.position, undefined));
    case 'undo':
      return at(state, undo(steps));
    case 'redo':
      return at(state, redo(steps));
    case 'select':
      return { ...state, selected: action.id };
    case 'keep':
      return { ...state, kept: steps.present.shot.strike };
    case 'drop kept':
      return { ...state, kept: undefined };
  }
}
