import { readFileSync, readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { toRadians } from '../math/angle.ts';
import { drillSchema } from '../records/drill.ts';
import { completeDrill } from '../records/drillText/complete.ts';
import { kickStrokes } from '../shot/kicks/kickFamilies.ts';
import { meetsWanted, type KickWish } from '../shot/kicks/kickLines.ts';
import { stretchesOf } from '../shot/kicks/stretches.ts';
import { seenOf } from '../shot/kicks/seen.ts';
import { buildTable } from '../table/table.ts';
import { CUE_BALL } from './layout.ts';
import { ballsOfSetUp, setUp } from './setUp.ts';
import { atStage } from './stage.ts';
import { atStation, stationsOf } from './station.ts';

/** What is narrower nobody can be asked to play, radians. */
const NARROW = toRadians(0.5);

const drills = readdirSync('library')
  .filter((name) => name.endsWith('.drill.json'))
  .map((name) => drillSchema.validateSync(completeDrill(JSON.parse(readFileSync(`library/${name}`, 'utf8')))))
  .filter(({ task }) => task.kind === 'kick');
const stages = drills.flatMap((drill) =>
  drill.stages.flatMap((_, i) =>
    Array.from({ length: stationsOf(drill) }, (_, k) => ({
      name: `${drill.slug} ${String(i + 1)}, station ${String(k + 1)}`,
      drill: atStation(atStage(drill, i + 1), k + 1),
    })),
  ),
);

describe('every kick drill of the library', () => {
  it.each(stages)('$name: leads to its ball by the cushions that it asks for', ({ drill }) => {
    const { task } = drill;
    if (task.kind !== 'kick') throw new Error('no kick');
    const table = buildTable(drill.table);
    const position = { table, balls: ballsOfSetUp(setUp(drill, table.preset, 1)), cue: CUE_BALL };
    const by = task.cushions.length === 0 ? undefined : task.cushions;
    const wish: KickWish = {
      targets: [task.target],
      mostCushions: by?.length ?? 3,
      cushions: by,
      noSide: drill.conditions.includes('no side'),
    };
    const leads = kickStrokes(position, wish).some((stroke) =>
      stretchesOf(position, stroke, wish.mostCushions, meetsWanted(wish)).some(
        ({ low, high }) => high - low > NARROW,
      ),
    );
    expect(leads).toBe(true);
    // Where the way is the player's to find, or a miss is called, the ball does not lie open.
    const isEscape = by === undefined || drill.scoring.method === 'kick';
    if (isEscape) expect(seenOf(position, task.target).usable).toBeLessThan(1);
  });
});
