import { kickFamilies } from '../core/shot/kicks/kickFamilies.ts';
import { kickLines, type KickWish } from '../core/shot/kicks/kickLines.ts';
import { thumbFigures } from '../core/shot/kicks/thumb/thumbFigures.ts';
import { thumbMap } from '../core/shot/kicks/thumb/thumbMap.ts';
import type { KickPosition, KickStroke } from '../core/shot/kicks/way.ts';
import { executionErrorOf } from '../core/player/levels.ts';
import { rankAnswers } from '../core/tactics/ranking.ts';
import { POOL } from '../core/testing/balls.ts';
import { thrownTable } from '../core/testing/thrownTable.ts';
import { middle, type Figure } from './report.ts';

/** The first table warms up. */
const WARM_UP = 1;
const SEEDS = [2, 3, 4, 5, 6];
const STROKE: KickStroke = { speed: 2.4, tip: { side: 0, height: 0 }, elevation: 0 };
const WISH: KickWish = { targets: ['1'], mostCushions: 3 };

function kicking(name: string, wanted: string, work: (position: KickPosition) => unknown): Figure {
  const time = (seed: number) => {
    const { cue, balls } = thrownTable(6, seed);
    const start = performance.now();
    work({ table: POOL, balls: [cue, ...balls], cue: cue.id });
    return performance.now() - start;
  };
  time(WARM_UP);
  return { name, value: middle(SEEDS.map(time)), unit: 'ms, one thread', wanted };
}

/** Ends a search at its first answer. */
class FirstTold extends Error {}

const TEAM = executionErrorOf('team', 'pool');

/** Milliseconds for the lines of one stroke, for those over paces and sides with a player's chances, and for what to play. */
export const kicks: Readonly<Record<string, () => Figure>> = {
  'kicks.stroke': () => kicking('kicks.stroke', 'under 150', (position) => kickLines(position, STROKE, WISH)),
  'kicks.family': () =>
    kicking('kicks.family', 'under 1,500', (position) => kickFamilies(position, WISH, TEAM)),
  'kicks.first': () =>
    kicking('kicks.first', 'under 300', (position) => {
      try {
        kickFamilies(position, WISH, TEAM, undefined, () => {
          throw new FirstTold();
        });
      } catch (error) {
        if (!(error instanceof FirstTold)) throw error;
      }
    }),
  'rule.map': () =>
    kicking('rule.map', 'under 10,000', ({ table }) =>
      thumbMap(
        table,
        { rule: 'far mark', round: { first: 'left', second: 'foot' } },
        thumbFigures(table),
        'firm',
        { x: 0.4, y: 1.1 },
      ),
    ),
  'safety.ranked': () =>
    kicking('safety.ranked', 'under 3,000', (position) =>
      rankAnswers({
        ...position,
        game: 'nine-ball',
        on: ['1'],
        error: TEAM,
        opponent: TEAM,
        missCalled: false,
      }),
    ),
};
