import type { Colour } from './findBalls.ts';

/** Plain balls by the colours in which they are sold, of 255. */
const COLOURS: Readonly<Record<'pool' | 'snooker', Readonly<Record<string, Colour>>>> = {
  pool: {
    1: [240, 195, 45],
    2: [35, 70, 165],
    3: [205, 45, 40],
    4: [95, 50, 130],
    5: [230, 120, 40],
    6: [20, 100, 60],
    7: [125, 35, 40],
    8: [25, 25, 28],
  },
  snooker: {
    red: [180, 30, 35],
    yellow: [240, 200, 50],
    green: [20, 100, 60],
    brown: [110, 65, 40],
    blue: [40, 80, 175],
    pink: [235, 155, 170],
    black: [25, 25, 28],
  },
};
/** Light falls unevenly: a ball looks so much darker or brighter than it is. */
const LIGHT = { least: 0.5, most: 1.15 } as const;

/** How far two colours are apart at the light in which they are nearest. */
function away(own: Colour, seen: Colour): number {
  const dot = (a: Colour, b: Colour) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  const light = Math.min(LIGHT.most, Math.max(LIGHT.least, dot(own, seen) / dot(own, own)));
  return Math.hypot(seen[0] - light * own[0], seen[1] - light * own[1], seen[2] - light * own[2]);
}

/** The name of the ball whose colour comes nearest, in light or shadow. @param colour of 255 */
export function colouredAs(colour: Colour, game: 'pool' | 'snooker'): string {
  const [nearest] = Object.entries(COLOURS[game]).toSorted(
    ([, a], [, b]) => away(a, colour) - away(b, colour),
  );
  return nearest?.[0] ?? '';
}
