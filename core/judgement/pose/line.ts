import { toRadians, wrapAngle } from '../../math/angle.ts';
import { kickShot } from '../../shot/kicks/way.ts';
import { hiddenBall, KICK_STROKE, linesTo, type TriedLine } from './hidden.ts';
import type { Poser } from './poser.ts';
import { bestFirst, liesApart } from './thrown.ts';

const LETTERS = ['A', 'B', 'C'];
/** A position is worth a question when a team player meets the ball by its best line more often than this. */
const LEAST_CHANCE = 0.4;
/** Lines that are offered beside each other can be told apart on the table, radians. */
const APART = toRadians(8);

/** A hidden ball and three lines to it: by which one does a team player meet it most often? */
export const poseLine: Poser = (table, random, { difficulty }) => {
  const hidden = hiddenBall(table, random);
  if (hidden === undefined) return undefined;
  const { position, target } = hidden;
  const apart: TriedLine[] = [];
  for (const line of linesTo(position, target)) {
    const isNew = apart.every(({ direction }) => Math.abs(wrapAngle(direction - line.direction)) > APART);
    if (isNew) apart.push(line);
  }
  // Letters go round by direction: they tell nothing.
  const found = apart.slice(0, LETTERS.length).sort((a, b) => a.direction - b.direction);
  if (found.length < LETTERS.length) return undefined;
  const named = found.map((line, k) => ({ ...line, pick: LETTERS[k] ?? '' }));
  const worth = bestFirst(named.map(({ pick, chance }) => ({ pick, value: chance })));
  const [best] = worth;
  const line = named.find(({ pick }) => pick === best?.pick);
  if (best === undefined || line === undefined) return undefined;
  if (best.value < LEAST_CHANCE || !liesApart(worth, difficulty)) return undefined;
  return {
    kind: 'which line',
    shot: kickShot(position, KICK_STROKE, line.direction),
    target,
    lines: named.map(({ pick, direction }) => ({ pick, direction })),
    truth: best.pick,
    worth,
  };
};
