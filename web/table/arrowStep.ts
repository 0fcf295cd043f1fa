import type { KeyboardEvent } from 'react';
import type { Point } from '../../core/math/point.ts';

const WAYS: Readonly<Record<string, Point>> = {
  ArrowRight: { x: 1, y: 0 },
  ArrowLeft: { x: -1, y: 0 },
  ArrowUp: { x: 0, y: 1 },
  ArrowDown: { x: 0, y: -1 },
};
const STEP = 0.01;
const FINE_STEP = 0.001;

/**
 * Where a ball goes by an arrow key: a centimetre, with Alt a millimetre, with Shift a quarter diamond; undefined for
 * another key.
 * @param from metres
 */
export function arrowStep(
  event: Pick<KeyboardEvent, 'key' | 'shiftKey' | 'altKey'>,
  from: Point,
  tableLength: number,
): Point | undefined {
  const way = WAYS[event.key];
  if (way === undefined) return undefined;
  const step = event.shiftKey ? tableLength / 32 : event.altKey ? FINE_STEP : STEP;
  return { x: from.x + way.x * step, y: from.y + way.y * step };
}
