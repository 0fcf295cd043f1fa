import type { Orientation } from '../table/projection.ts';

/** Steps of the landing's cursor, metres: an arrow, with Shift, with Alt. */
const STEP = 0.01;
const LARGE_STEP = 0.1;
const SMALL_STEP = 0.001;

/** Where an arrow key leads on the cloth: the drawing has the head end on the left, or at the bottom in portrait. */
export function arrowOnTable(
  { key, shiftKey, altKey }: Pick<KeyboardEvent, 'key' | 'shiftKey' | 'altKey'>,
  orientation: Orientation,
): { readonly dx: number; readonly dy: number } | undefined {
  const onScreen = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[key];
  if (onScreen === undefined) return undefined;
  const [right = 0, up = 0] = onScreen;
  const size = shiftKey ? LARGE_STEP : altKey ? SMALL_STEP : STEP;
  return orientation === 'landscape'
    ? { dx: right * size, dy: up * size }
    : { dx: up * size, dy: -right * size };
}
