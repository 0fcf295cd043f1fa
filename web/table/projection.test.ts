import { describe, expect, it } from 'vitest';
import { buildTable } from '../../core/table/table.ts';
import { pathText, projectionOf, type Orientation } from './projection.ts';

const table = buildTable('pool-9ft');
const { length, width } = table;
const ORIENTATIONS: readonly Orientation[] = ['landscape', 'portrait'];
/** The four corners of the cloth, a diamond, and a place off the table. */
const PLACES = [
  { x: 0, y: 0 },
  { x: length, y: 0 },
  { x: 0, y: width },
  { x: length, y: width },
  { x: 2.5 * (length / 8), y: 1.75 * (width / 4) },
  { x: -0.1, y: width + 0.1 },
];

describe.each(ORIENTATIONS)('a table drawn %s', (orientation) => {
  const projection = projectionOf(table, orientation);

  it('finds every place again', () => {
    for (const place of PLACES) {
      const back = projection.toCloth(...projection.toDrawing(place));
      expect(back.x).toBeCloseTo(place.x, 12);
      expect(back.y).toBeCloseTo(place.y, 12);
    }
  });

  it('is to scale: a metre of cloth is a thousand units, in every direction', () => {
    for (const a of PLACES) {
      for (const b of PLACES) {
        const [ua, va] = projection.toDrawing(a);
        const [ub, vb] = projection.toDrawing(b);
        expect(Math.hypot(ua - ub, va - vb)).toBeCloseTo(1000 * Math.hypot(a.x - b.x, a.y - b.y), 6);
      }
    }
  });

  it('keeps right and left: the way round the cloth is the same in both', () => {
    const [[ou, ov], [xu, xv], [yu, yv]] = [
      projection.toDrawing({ x: 0, y: 0 }),
      projection.toDrawing({ x: 1, y: 0 }),
      projection.toDrawing({ x: 0, y: 1 }),
    ];
    // A drawing counts downwards, so a turn to the left has a negative product.
    expect((xu - ou) * (yv - ov) - (xv - ov) * (yu - ou)).toBeLessThan(0);
  });

  it('leaves the same wood on all four sides', () => {
    const corners = PLACES.slice(0, 4).map((place) => projection.toDrawing(place));
    const us = corners.map(([u]) => u);
    const vs = corners.map(([, v]) => v);
    const margins = [
      Math.min(...us),
      Math.min(...vs),
      projection.width - Math.max(...us),
      projection.height - Math.max(...vs),
    ];
    for (const margin of margins) expect(margin).toBeCloseTo(margins[0] ?? NaN, 9);
    expect(margins[0]).toBeGreaterThan(0);
  });
});

it('the head end is on the left, and at the bottom of an upright drawing', () => {
  const head = { x: 0, y: width / 2 };
  const foot = { x: length, y: width / 2 };
  const [across, upright] = [projectionOf(table, 'landscape'), projectionOf(table, 'portrait')];
  expect(across.toDrawing(head)[0]).toBeLessThan(across.toDrawing(foot)[0]);
  expect(upright.toDrawing(head)[1]).toBeGreaterThan(upright.toDrawing(foot)[1]);
});

it('a path is written from point to point, and closed when asked', () => {
  const projection = projectionOf(table, 'landscape');
  const [u, v] = projection.toDrawing({ x: 0, y: 0 });
  const line = [
    { x: 0, y: 0 },
    { x: 1, y: 0 },
  ];
  const text = `M${u.toFixed(1)} ${v.toFixed(1)}L${(u + 1000).toFixed(1)} ${v.toFixed(1)}`;
  expect(pathText(projection, line)).toBe(text);
  expect(pathText(projection, line, true)).toBe(`${text}Z`);
  expect(pathText(projection, [])).toBe('');
});
