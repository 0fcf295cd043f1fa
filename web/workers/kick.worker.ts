import { expose } from 'comlink';
import { tableOf } from '../../core/planning/position/prepared.ts';
import { kickFamilies, rated } from '../../core/shot/kicks/kickFamilies.ts';
import { kickLines } from '../../core/shot/kicks/kickLines.ts';
import { seenOf } from '../../core/shot/kicks/seen.ts';
import type { KickAsked, KickSolver } from './kickProtocol.ts';

/** So many lines are told with their chance, the widest. */
const MOST_LINES = 10;

const positionOf = ({ table, balls, cue }: KickAsked) => ({ table: tableOf(table), balls, cue });

const solver: KickSolver = {
  lines(asked, stroke) {
    const position = positionOf(asked);
    const lines = kickLines(position, stroke, asked.wish)
      .slice(0, MOST_LINES)
      .map((line) => rated(position, line, asked.wish, asked.error))
      .sort((a, b) => b.chance.legal - a.chance.legal);
    return Promise.resolve({ seen: seenOf(position, asked.target), lines });
  },
  families(asked, onShare) {
    return Promise.resolve(kickFamilies(positionOf(asked), asked.wish, asked.error, onShare));
  },
};

expose(solver);
