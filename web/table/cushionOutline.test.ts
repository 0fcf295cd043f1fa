import { describe, expect, it } from 'vitest';
import type { Point } from '../../core/math/point.ts';
import { buildTable } from '../../core/table/table.ts';
import { cushionOutline } from './cushionOutline.ts';
import { CUSHION_DEPTH } from './projection.ts';

/** Area of a closed outline by the shoelace formula, square metres. */
function areaOf(points: readonly Point[]): number {
  const twice = points.reduce((sum, a, i) => {
    const b = points[(i + 1) % points.length] ?? a;
    return sum + a.x * b.y - b.x * a.y;
  }, 0);
  return Math.abs(twice) / 2;
}

// One with straight facings, one with curved jaws.
describe.each(['pool-9ft', 'snooker-12ft'] as const)('the cushions of %s', (id) => {
  const table = buildTable(id);

  it('lie beside the cloth, no deeper than they are drawn', () => {
    for (const cushion of table.cushions) {
      for (const point of cushionOutline(cushion)) {
        const depth =
          (cushion.noseFrom.x - point.x) * cushion.inward.x +
          (cushion.noseFrom.y - point.y) * cushion.inward.y;
        expect(depth).toBeGreaterThanOrEqual(-1e-9);
        expect(depth).toBeLessThanOrEqual(CUSHION_DEPTH + 1e-9);
      }
    }
  });

  it('have their whole nose in them', () => {
    for (const cushion of table.cushions) {
      const outline = cushionOutline(cushion);
      for (const end of [cushion.noseFrom, cushion.noseTo]) {
        const near = Math.min(...outline.map((point) => Math.hypot(point.x - end.x, point.y - end.y)));
        expect(near).toBeLessThan(1e-9);
      }
    }
  });

  it('widen from nose to back by no more than the jaws allow', () => {
    for (const cushion of table.cushions) {
      const { noseFrom, noseTo } = cushion;
      const nose = Math.hypot(noseTo.x - noseFrom.x, noseTo.y - noseFrom.y);
      const area = areaOf(cushionOutline(cushion));
      // Facings lean away from the mouth by less than 55° to the nose's normal.
      expect(area).toBeGreaterThan(0.8 * nose * CUSHION_DEPTH);
      expect(area).toBeLessThan((nose + 2 * CUSHION_DEPTH) * CUSHION_DEPTH);
    }
  });
});
