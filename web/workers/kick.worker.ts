import { expose } from 'comlink';
import { toRadians } from '../../core/math/angle.ts';
import { tableOf } from '../../core/planning/position/prepared.ts';
import { kickFamilies, rated } from '../../core/shot/kicks/kickFamilies.ts';
import { kickLines } from '../../core/shot/kicks/kickLines.ts';
import { kickShot } from '../../core/shot/kicks/way.ts';
import { kickCause, kickCloud, type KickCloud } from '../../core/scoring/kickCause.ts';
import { seenOf } from '../../core/shot/kicks/seen.ts';
import type { KickAsked, KickSolver, PlannedLine } from './kickProtocol.ts';

/** What is narrower nobody plays, radians. */
const NARROW = toRadians(0.1);
/** So many lines are told with their chance, the widest. */
const MOST_LINES = 10;

const MOST_CUSHIONS = 3;

const positionOf = ({ table, balls, cue }: KickAsked) => ({ table: tableOf(table), balls, cue });

/** The last kick of which something was told: the next attempt is often the same one. */
let last: { readonly text: string; readonly cloud: KickCloud } | undefined;

function cloudOf(asked: KickAsked, { stroke, direction }: PlannedLine): KickCloud {
  const text = JSON.stringify([asked, stroke, direction]);
  if (last?.text !== text) {
    const shot = kickShot(positionOf(asked), stroke, direction);
    const cushions = asked.wish.cushions?.length ?? 0;
    last = { text, cloud: kickCloud({ shot, target: asked.target, cushions }, asked.error) };
  }
  return last.cloud;
}

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
  families(asked, onShare, onFirst) {
    const position = positionOf(asked);
    const found = kickFamilies(position, asked.wish, asked.error, onShare, onFirst);
    if (found.length > 0 || asked.wish.cushions === undefined) return Promise.resolve(found);
    // Where the cushions that are asked for lead nowhere, any way is better than none.
    const any = { ...asked.wish, cushions: undefined, mostCushions: MOST_CUSHIONS };
    return Promise.resolve(kickFamilies(position, any, asked.error, onShare));
  },
  told: (asked, planned, { missed, ...taps }) =>
    Promise.resolve(kickCause(cloudOf(asked, planned), taps, missed)),
};

expose(solver);
