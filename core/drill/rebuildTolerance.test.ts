import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/random.ts';
import { drillSchema } from '../records/drill.ts';
import { buildTable } from '../table/table.ts';
import { layOut } from './layout.ts';
import { isPositionDrill, type PositionDrill } from './positionDrill.ts';
import { pairChance, rebuildTolerance, SAME_CHANCE } from './rebuildTolerance.ts';

function read(slug: string): PositionDrill {
  const drill = drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8')));
  if (!isPositionDrill(drill)) throw new Error('no position drill');
  return drill;
}

describe('the tolerance of every ball', () => {
  const drill = read('drawn-back-for-the-blue');
  const table = buildTable(drill.table);
  const balls = layOut(drill, table.preset);
  const planned = pairChance(drill, table, balls);
  const tolerances = rebuildTolerance(drill, table);

  it('is there for every ball, between what a hand can place and five centimetres', () => {
    expect(tolerances.map(({ id }) => id)).toEqual(balls.map(({ id }) => id));
    for (const { within } of tolerances) {
      expect(within).toBeGreaterThanOrEqual(0.0005);
      expect(within).toBeLessThanOrEqual(0.05);
    }
  });

  it.each(tolerances)(
    '$id moved by it in twenty random directions changes the chance by five points in one at most',
    ({ id, within }) => {
      const random = createRandom(17);
      let changed = 0;
      for (let k = 0; k < 20; k++) {
        const towards = 2 * Math.PI * random.uniform();
        const moved = balls.map((ball) =>
          ball.id === id
            ? { ...ball, x: ball.x + within * Math.cos(towards), y: ball.y + within * Math.sin(towards) }
            : ball,
        );
        if (Math.abs(pairChance(drill, table, moved) - planned) > SAME_CHANCE) changed++;
      }
      expect(changed).toBeLessThanOrEqual(1);
    },
  );

  it.each(tolerances.filter(({ atLeast }) => !atLeast))(
    '$id moved by three times it does change it, in some direction',
    ({ id, within }) => {
      const changes = Array.from({ length: 12 }, (_, k) => {
        const towards = (2 * Math.PI * k) / 12;
        const moved = balls.map((ball) =>
          ball.id === id
            ? {
                ...ball,
                x: ball.x + 3 * within * Math.cos(towards),
                y: ball.y + 3 * within * Math.sin(towards),
              }
            : ball,
        );
        return Math.abs(pairChance(drill, table, moved) - planned);
      });
      expect(Math.max(...changes)).toBeGreaterThan(SAME_CHANCE);
    },
  );
});
