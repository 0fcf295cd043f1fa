import type { Shot, Strike } from '../../core/motion/shot.ts';
import type { MotionParameters } from '../../core/table/parameters.ts';
import { buildTable } from '../../core/table/table.ts';

/** What the lab holds: the shot, what came before and after it, the ball in hand, and a stroke kept for comparison. */
export interface LabState {
  readonly shot: Shot;
  readonly past: readonly Shot[];
  readonly future: readonly Shot[];
  readonly selected: string;
  readonly kept: Strike | undefined;
}

export type LabAction =
  /** A change; while one thing is dragged all its steps count as one. */
  | { readonly kind: 'change'; readonly shot: Shot; readonly sameStep?: boolean }
  | { readonly kind: 'undo' }
  | { readonly kind: 'redo' }
  | { readonly kind: 'select'; readonly id: string }
  | { readonly kind: 'keep' }
  | { readonly kind: 'drop kept' };

const LONGEST_PAST = 200;

export function startLab(shot: Shot): LabState {
  return { shot, past: [], future: [], selected: shot.strike.ball, kept: undefined };
}

function withSelection(state: LabState): LabState {
  const there = state.shot.balls.some((ball) => ball.id === state.selected);
  return there ? state : { ...state, selected: state.shot.strike.ball };
}

/** The next state; pure, so that any sequence of changes undone and redone is the same again. */
export function labReducer(state: LabState, action: LabAction): LabState {
  switch (action.kind) {
    case 'change':
      return withSelection({
        ...state,
        shot: action.shot,
        past: action.sameStep === true ? state.past : [...state.past, state.shot].slice(-LONGEST_PAST),
        future: [],
      });
    case 'undo': {
      const before = state.past.at(-1);
      if (before === undefined) return state;
      return withSelection({
        ...state,
        shot: before,
        past: state.past.slice(0, -1),
        future: [state.shot, ...state.future],
      });
    }
    case 'redo': {
      const [after, ...future] = state.future;
      if (after === undefined) return state;
      return withSelection({ ...state, shot: after, past: [...state.past, state.shot], future });
    }
    case 'select':
      return { ...state, selected: action.id };
    case 'keep':
      return { ...state, kept: state.shot.strike };
    case 'drop kept':
      return { ...state, kept: undefined };
  }
}

export function withStrike(shot: Shot, change: Partial<Strike>): Shot {
  return { ...shot, strike: { ...shot.strike, ...change } };
}

/** The same balls on the same table with other parameters. */
export function withParameters(shot: Shot, change: Partial<MotionParameters>): Shot {
  return { ...shot, table: buildTable(shot.table.preset.id, { ...shot.table.parameters, ...change }) };
}
