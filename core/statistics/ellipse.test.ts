import { expect, it } from 'vitest';
import { createRandom } from '../random/random.ts';
import { scatterEllipse } from './ellipse.ts';

it('holds its share of the places it was fitted to, at the angle at which they were strewn', () => {
  const random = createRandom(8);
  const angle = 0.6;
  const places = Array.from({ length: 20_000 }, () => {
    const [u, v] = [0.3 * random.normal(), 0.08 * random.normal()];
    return {
      x: 1 + u * Math.cos(angle) - v * Math.sin(angle),
      y: 0.5 + u * Math.sin(angle) + v * Math.cos(angle),
    };
  });
  for (const share of [0.5, 0.9]) {
    const ellipse = scatterEllipse(places, share);
    expect(ellipse.angle).toBeCloseTo(angle, 1);
    expect(ellipse.long / ellipse.short).toBeCloseTo(0.3 / 0.08, 0);
    const inside = places.filter(({ x, y }) => {
      const [dx, dy] = [x - ellipse.centre.x, y - ellipse.centre.y];
      const along = dx * Math.cos(ellipse.angle) + dy * Math.sin(ellipse.angle);
      const across = dy * Math.cos(ellipse.angle) - dx * Math.sin(ellipse.angle);
      return (along / ellipse.long) ** 2 + (across / ellipse.short) ** 2 <= 1;
    });
    expect(inside.length / places.length).toBeCloseTo(share, 2);
  }
});

it('is worked out by hand for four places: variances 8/3 and 2/3, half axes by 1.1774 for the half', () => {
  const ellipse = scatterEllipse(
    [
      { x: 2, y: 0 },
      { x: -2, y: 0 },
      { x: 0, y: 1 },
      { x: 0, y: -1 },
    ],
    0.5,
  );
  expect(ellipse).toMatchObject({ centre: { x: 0, y: 0 }, angle: 0 });
  expect(ellipse.long).toBeCloseTo(1.1774 * Math.sqrt(8 / 3), 3);
  expect(ellipse.short).toBeCloseTo(1.1774 * Math.sqrt(2 / 3), 3);
});

it('needs three places and a share', () => {
  expect(() => scatterEllipse([{ x: 0, y: 0 }], 0.5)).toThrow('three places');
  expect(() => scatterEllipse(Array<{ x: number; y: number }>(3).fill({ x: 0, y: 0 }), 1)).toThrow('share');
});
