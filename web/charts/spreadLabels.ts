/**
 * Places for labels beside a scale, so that none lies over another: each as near to its own place as the others let it.
 * @param wanted places from the top, in any order, px @param gap between two labels, px @param room where they may lie, px
 * @returns places in the order of those that were wanted
 */
export function spreadLabels(
  wanted: readonly number[],
  gap: number,
  [top, bottom]: readonly [top: number, bottom: number],
): readonly number[] {
  const order = wanted.map((_, i) => i).sort((a, b) => (wanted[a] ?? 0) - (wanted[b] ?? 0));
  const places = [...wanted];
  // Downwards each makes room for the one before it, then upwards from the lower end of the scale.
  let least = top;
  for (const i of order) {
    places[i] = Math.max(least, places[i] ?? 0);
    least = (places[i] ?? 0) + gap;
  }
  let most = bottom;
  for (const i of order.toReversed()) {
    places[i] = Math.min(most, places[i] ?? 0);
    most = (places[i] ?? 0) - gap;
  }
  return places;
}
