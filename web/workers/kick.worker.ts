import { expose } from 'comlink';
import { toRadians } from '../../core/math/angle.ts';
import { tableOf } from '../../core/planning/position/prepared.ts';
import { kickFamilies, rated } from '../../core/shot/kicks/kickFamilies.ts';
import { kickLines } from '../../core/shot/kicks/kickLines.ts';
import { seenOf } from '../../core/shot/kicks/seen.ts';
import type { KickAsked, KickSolver } from './kickProtocol.ts';

/** What is narrower nobody plays, radians. */
const NARROW = toRadians(0.1);
/** So many lines are told with their chance, the widest. */
const MOST_LINES = 10;

const MOST_CUSHIONS = 3;

const positionOf = ({ table, balls, cue }: KickAsked) => ({ table: tableOf(table), balls, cue });

const solver: KickSolver = {
  lines(asked, stroke) {
    const position = positionOf(asked);
    const lines = kickLines(position, stroke, asked.wish)
      .filter(({ low, high }) => high - low >= NARROW)
      .slice(0, MOST_LINES)
      .map((line) => rated(position, line, asked.wish, asked.error))
      .sort((a, b) => b.chance.legal - a.chance.legal);
    return Promise.resolve({ seen: seenOf(position, asked.target), lines });
  },
  families(asked, onShare) {
    const position = positionOf(asked);
    const found = kickFamilies(position, asked.wish, asked.error, onShare);
    if (found.length > 0 || asked.wish.cushions === undefined) return Promise.resolve(found);
    // Where the cushions that are asked for lead nowhere, any way is better than none.
    const any = { ...asked.wish, cushions: undefined, mostCushions: MOST_CUSHIONS };
    return Promise.resolve(kickFamilies(position, any, asked.error, onShare));
  },
};

expose(solver);
