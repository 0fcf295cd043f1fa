import { useCallbackRef } from '@mantine/hooks';
import { useCallback, useReducer, type KeyboardEvent } from 'react';
import type { Point } from '../../core/math/point.ts';
import type { Shot } from '../../core/motion/shot.ts';
import type { ClubTable } from '../../core/records/clubTable.ts';
import { tableOfCard } from '../../core/table/card.ts';
import { arrowStep } from '../table/arrowStep.ts';
import { useBallDrag } from '../table/ballDrag.ts';
import { CUE, moveBall, onTable } from '../table/labShot.ts';
import { firstPosition } from './labStart.ts';
import type { ChosenTable } from './labState.ts';
import { startStroke, strokeReducer } from './stroke/strokeState.ts';

/**
 * A bench on which balls are put down and a stroke is set: its shot with the history of changes, the ball in hand, and what
 * the pointer does with them.
 */
export function useBallBench(params: URLSearchParams, tables: readonly ClubTable[]) {
  const [state, dispatch] = useReducer(strokeReducer, undefined, () =>
    startStroke(firstPosition(params, tables)),
  );
  const { steps: history, selected } = state;
  const { shot, chosen } = history.present;
  const change = useCallback(
    (next: Shot, sameStep = false) => dispatch({ kind: 'change', shot: next, sameStep }),
    [],
  );
  const select = useCallback((id: string) => dispatch({ kind: 'select', id }), []);
  const move = useCallbackRef((id: string, to: Point, sameStep?: boolean) =>
    change(moveBall(shot, id, to), sameStep),
  );
  const drag = useBallDrag({ balls: shot.balls, onSelect: select, onMove: move });
  const chooseTable = useCallbackRef((next: ChosenTable) => {
    const table = tableOfCard(next.card, next.conditions);
    dispatch({ kind: 'set up', position: { shot: onTable(shot, table), chosen: next } });
  });
  const undo = useCallback(() => dispatch({ kind: 'undo' }), []);
  const redo = useCallback(() => dispatch({ kind: 'redo' }), []);
  return { shot, chosen, history, selected, change, select, move, drag, chooseTable, undo, redo };
}

type Bench = Pick<
  ReturnType<typeof useBallBench>,
  'shot' | 'selected' | 'change' | 'select' | 'undo' | 'redo'
>;

/**
 * What the keys do on such a bench: arrows move the ball in hand, n takes the next one, Ctrl Z and Shift Ctrl Z go back and on.
 * @param more what other keys do; false for a key that does nothing
 */
export function useBenchKeys({ shot, selected, change, select }: Bench, more: (key: string) => boolean) {
  const ball = shot.balls.find(({ id }) => id === selected);
  return useCallbackRef((event: KeyboardEvent) => {
    const to = ball && arrowStep(event, ball, shot.table.length);
    if (to !== undefined && ball !== undefined) change(moveBall(shot, ball.id, to));
    else if (event.ctrlKey || event.metaKey) return;
    else if (event.key === 'n') {
      const at = shot.balls.findIndex(({ id }) => id === selected);
      select(shot.balls[(at + 1) % shot.balls.length]?.id ?? CUE);
    } else if (!more(event.key)) return;
    event.preventDefault();
  });
}
