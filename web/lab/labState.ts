import type { Shot, Strike } from '../../core/motion/shot.ts';
import type { MotionParameters } from '../../core/table/parameters.ts';
import { buildCustomTable } from '../../core/table/table.ts';
import type { TableAsPlayed } from '../workers/protocol.ts';

/** The table that was chosen: one of the club's, by its id, or a kind of table, by its own. */
export interface ChosenTable extends TableAsPlayed {
  readonly key: string;
}

/** A shot, and the table it was set on; undefined for a table that came with a file or a link. */
export interface LabPosition {
  readonly shot: Shot;
  readonly chosen: ChosenTable | undefined;
}

/** What the lab holds: the shot, what came before and after it, the ball in hand, and a stroke kept for comparison. */
export interface LabState extends LabPosition {
  readonly past: readonly LabPosition[];
  readonly future: readonly LabPosition[];
  readonly selected: string;
  readonly kept: Strike | undefined;
}

export type LabAction =
  /** A change; while one thing is dragged all its steps count as one. */
  | { readonly kind: 'change'; readonly shot: Shot; readonly sameStep?: boolean }
  /** Another stroke at the balls as they lie. */
  | { readonly kind: 'stroke'; readonly part: Partial<Strike> }
  | { readonly kind: 'set up'; readonly position: LabPosition }
  | { readonly kind: 'undo' }
  | { readonly kind: 'redo' }
  | { readonly kind: 'select'; readonly id: string }
  | { readonly kind: 'keep' }
  | { readonly kind: 'drop kept' };

const LONGEST_PAST = 200;

export function startLab(position: LabPosition): LabState {
  return { ...position, past: [], future: [], selected: position.shot.strike.ball, kept: undefined };
}

function positionOf({ shot, chosen }: LabState): LabPosition {
  return { shot, chosen };
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
        past: action.sameStep === true ? state.past : [...state.past, positionOf(state)].slice(-LONGEST_PAST),
        future: [],
      });
    case 'stroke':
      return labReducer(state, { kind: 'change', shot: withStrike(state.shot, action.part) });
    case 'set up':
      return withSelection({
        ...state,
        ...action.position,
        past: [...state.past, positionOf(state)].slice(-LONGEST_PAST),
        future: [],
      });
    case 'undo': {
      const before = state.past.at(-1);
      if (before === undefined) return state;
      return withSelection({
        ...state,
        ...before,
        past: state.past.slice(0, -1),
        future: [positionOf(state), ...state.future],
      });
    }
    case 'redo': {
      const [after, ...future] = state.future;
      if (after === undefined) return state;
      return withSelection({ ...state, ...after, past: [...state.past, positionOf(state)], future });
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
  const { preset, parameters, pockets } = shot.table;
  return {
    ...shot,
    table: buildCustomTable(preset, { ...parameters, ...change }, pockets.length > 0),
  };
}
