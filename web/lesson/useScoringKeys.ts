import { useEffect } from 'react';
import type { Orientation } from '../table/projection.ts';
import type { ScoringActions } from './useScoring.ts';

/** Steps of the landing's cursor, metres: an arrow, with Shift, with Alt. */
const STEP = 0.01;
const LARGE_STEP = 0.1;
const SMALL_STEP = 0.001;

/** Where an arrow key leads on the cloth: the drawing has the head end on the left, or at the bottom in portrait. */
function arrowStep(key: string, orientation: Orientation): readonly [number, number] | undefined {
  const onScreen = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[key];
  if (onScreen === undefined) return undefined;
  const [right = 0, up = 0] = onScreen;
  return orientation === 'landscape' ? [right, up] : [up, -right];
}

interface Keys {
  readonly actions: ScoringActions;
  readonly orientation: Orientation;
  readonly onHelp: () => void;
  readonly onEnd: () => void;
  /** A dialog is open and has the keyboard. */
  readonly paused: boolean;
}

/** The single keys of the scoring screen. */
export function useScoringKeys({ actions, orientation, onHelp, onEnd, paused }: Keys): void {
  useEffect(() => {
    function onKey(event: KeyboardEvent) {
      if (paused || event.ctrlKey || event.metaKey) return;
      // A focused button is pressed by the browser itself.
      const onButton = event.target instanceof HTMLElement && event.target.closest('button, a') !== null;
      if (onButton && (event.key === ' ' || event.key === 'Enter')) return;
      const arrow = arrowStep(event.key, orientation);
      if (arrow !== undefined) {
        const size = event.shiftKey ? LARGE_STEP : event.altKey ? SMALL_STEP : STEP;
        actions.moveCursor(arrow[0] * size, arrow[1] * size);
        event.preventDefault();
        return;
      }
      const action = {
        ' ': actions.potted,
        x: () => actions.failed('missed'),
        f: () => actions.failed('in-off'),
        Enter: actions.confirm,
        u: actions.undo,
        r: actions.redo,
        e: onEnd,
        '?': onHelp,
      }[event.key.length === 1 ? event.key.toLowerCase() : event.key];
      if (action === undefined) return;
      event.preventDefault();
      action();
    }
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [actions, orientation, onHelp, onEnd, paused]);
}
