import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/random.ts';
import { buildTable } from '../table/table.ts';
import { colouredAs } from './ballColours.ts';
import { ballInPhoto } from './ballInPhoto.ts';
import { eyeOf, placeAt, projected, type Camera } from './camera.ts';
import { findBalls, type Picture } from './findBalls.ts';
import { cornersOf, furtherLandmarks } from './marks.ts';
import { solveCamera } from './solveCamera.ts';

const table = buildTable('pool-9ft');
const size = { width: 1600, height: 1200 };
/** Straight above the middle, the head end on the left: places on the cloth are told by similar triangles alone. */
const HEIGHT = 2.6;
const ABOVE: Camera = {
  size,
  focal: 1200,
  // Half a turn about the table's own length: right stays right, left is up, the camera looks down.
  turn: [Math.PI, 0, 0],
  origin: [-table.length / 2, table.width / 2, HEIGHT],
  distortion: 0,
};
const fromAbove = (x: number, y: number, z: number) => ({
  across: 800 + (1200 * (x - table.length / 2)) / (HEIGHT - z),
  down: 600 - (1200 * (y - table.width / 2)) / (HEIGHT - z),
});

describe('a camera', () => {
  it('straight above draws places by similar triangles, and sees them where they are', () => {
    expect(eyeOf(ABOVE).z).toBeCloseTo(HEIGHT, 9);
    for (const [x, y, z] of [
      [0, 0, 0],
      [2.1, 0.4, 0.028],
      [1.3, 1.2, 0.05],
    ] as const) {
      const drawn = fromAbove(x, y, z);
      const pixel = projected(ABOVE, { x, y, z });
      expect(pixel?.across).toBeCloseTo(drawn.across, 6);
      expect(pixel?.down).toBeCloseTo(drawn.down, 6);
      const seen = placeAt(ABOVE, drawn, z);
      expect(seen?.x).toBeCloseTo(x, 9);
      expect(seen?.y).toBeCloseTo(y, 9);
    }
  });

  it('with a bent lens sees a place where it draws it', () => {
    for (const distortion of [-0.12, 0.12]) {
      const camera = { ...ABOVE, distortion, turn: [Math.PI - 0.4, 0.2, 0.1] as const };
      const pixel = projected(camera, { x: 2.3, y: 0.2, z: 0.03 });
      if (pixel === undefined) throw new Error('not in the picture');
      const seen = placeAt(camera, pixel, 0.03);
      expect(seen?.x).toBeCloseTo(2.3, 6);
      expect(seen?.y).toBeCloseTo(0.2, 6);
    }
  });
});

describe('marks', () => {
  const marksBy = (landmarks: ReturnType<typeof cornersOf>, off = () => 0) =>
    landmarks.map((landmark) => {
      const { across, down } = fromAbove(landmark.at.x, landmark.at.y, landmark.at.z);
      return { ...landmark, pixel: { across: across + off(), down: down + off() } };
    });

  it('of the four corners tell where a ball lies, its height taken into account', () => {
    const { camera, isMeasured } = solveCamera(marksBy(cornersOf(table)), size);
    expect(isMeasured).toBe(false);
    // At the edge of the table the height of a ball's middle makes more than a centimetre.
    const pixel = fromAbove(0.1, 1.1, 0.0286);
    const seen = ballInPhoto({ camera, error: 1 }, pixel, 0.0286);
    expect(Math.hypot((seen?.at.x ?? 0) - 0.1, (seen?.at.y ?? 0) - 1.1)).toBeLessThan(0.004);
  });

  it('that are off by a finger are measured by those that are left out', () => {
    const random = createRandom(5);
    const off = () => 3 * random.normal();
    const { error, isMeasured } = solveCamera(
      marksBy([...cornersOf(table), ...furtherLandmarks(table)], off),
      size,
    );
    expect(isMeasured).toBe(true);
    expect(error).toBeGreaterThan(1.5);
    expect(error).toBeLessThan(7);
  });

  it('that no camera sees so, are in the mirror, or are too few, are refused', () => {
    const [a, b, c, d] = marksBy(cornersOf(table));
    if (a === undefined || b === undefined || c === undefined || d === undefined) throw new Error('four');
    expect(() => solveCamera([a, b, c], size)).toThrow('four corners are needed');
    const mirrored = [
      { ...a, pixel: b.pixel },
      { ...b, pixel: a.pixel },
      { ...c, pixel: d.pixel },
      { ...d, pixel: c.pixel },
    ];
    expect(() => solveCamera(mirrored, size)).toThrow('the wrong way');
    const crossed = [a, { ...b, pixel: c.pixel }, { ...c, pixel: b.pixel }, d];
    expect(() => solveCamera(crossed, size)).toThrow(RangeError);
    const inOne = [a, b, c, d].map((mark) => ({ ...mark, pixel: a.pixel }));
    expect(() => solveCamera(inOne, size)).toThrow(RangeError);
  });
});

describe('balls in a picture', () => {
  /** A green picture with discs where balls of the table are drawn, painted by hand. */
  function painted(balls: readonly (readonly [x: number, y: number, colour: readonly number[]])[]): Picture {
    const data = new Uint8ClampedArray(4 * size.width * size.height);
    for (let i = 0; i < data.length; i += 4) data.set([40, 110, 80, 255], i);
    const radius = table.preset.ballRadius;
    for (const [x, y, colour] of balls) {
      const { across, down } = fromAbove(x, y, radius);
      const drawn = (1200 * radius) / (HEIGHT - radius);
      for (let v = Math.floor(down - drawn); v <= down + drawn; v++)
        for (let u = Math.floor(across - drawn); u <= across + drawn; u++)
          if (Math.hypot(u + 0.5 - across, v + 0.5 - down) <= drawn)
            data.set([...colour, 255], 4 * (v * size.width + u));
    }
    return { ...size, data };
  }

  it('are found where they were painted, touching ones apart, the white one as the cue ball', () => {
    const balls = [
      [0.5, 0.4, [240, 240, 230]],
      [1.7, 0.8, [200, 40, 40]],
      [1.7 + 2 * table.preset.ballRadius, 0.8, [230, 190, 40]],
      [2.2, 1.1, [20, 20, 22]],
    ] as const;
    const found = findBalls(painted(balls), ABOVE, table);
    expect(found).toHaveLength(balls.length);
    for (const [x, y] of balls)
      expect(Math.min(...found.map(({ at }) => Math.hypot(at.x - x, at.y - y)))).toBeLessThan(0.006);
    const white = found.filter(({ isCueBall }) => isCueBall);
    expect(white.map(({ at }) => at.x.toFixed(1))).toEqual(['0.5']);
  });

  it('are named by their colours, in dim light and bright', () => {
    for (const light of [0.6, 0.8, 1]) {
      const dimmed = (r: number, g: number, b: number) =>
        colouredAs([light * r, light * g, light * b], 'pool');
      expect([
        dimmed(235, 190, 50),
        dimmed(40, 80, 170),
        dimmed(210, 50, 45),
        dimmed(100, 50, 125),
        dimmed(225, 125, 45),
        dimmed(28, 27, 30),
      ]).toEqual(['1', '2', '3', '4', '5', '8']);
    }
    expect(colouredAs([230, 150, 165], 'snooker')).toBe('pink');
    expect(colouredAs([120, 70, 45], 'snooker')).toBe('brown');
  });

  it('are none on an empty cloth, half in shadow', () => {
    const empty = painted([]);
    const shaded = Uint8ClampedArray.from(empty.data, (value, i) =>
      i % 4 === 3 || i % (4 * size.width) > 2 * size.width ? value : 0.55 * value,
    );
    expect(findBalls({ ...empty, data: shaded }, ABOVE, table)).toEqual([]);
  });
});
