import { createRandom } from '../random/random.ts';
import { passingGap } from '../shot/passing.ts';
import type { PocketName } from '../table/pockets.ts';
import type { Table } from '../table/table.ts';
import type { BreakKind, CallKind, Difficulty, KickKind } from './kinds.ts';
import { inOffOf, poseInOff } from './pose/inOff.ts';
import { passOf, posePass } from './pose/pass.ts';
import { pathOf, posePath } from './pose/path.ts';
import { poseFirst } from './pose/first.ts';
import { poseKeyBall } from './pose/keyBall.ts';
import { poseOrder } from './pose/order.ts';
import { posePlace } from './pose/place.ts';
import { poseLine } from './pose/line.ts';
import { poseMissSide } from './pose/missSide.ts';
import { poseOnCushion } from './pose/onCushion.ts';
import { posePotOrSafe } from './pose/potOrSafe.ts';
import { poseSuit } from './pose/suit.ts';
import { posePlant } from './pose/plant.ts';
import type { Poser } from './pose/poser.ts';
import type { Posed } from './pose/randomPot.ts';
import { poseWindow, windowOf } from './pose/window.ts';
import { isKickKind, isPlanned, type CallQuestion } from './question.ts';

/** What can be asked of a table without a rack: of breaks see core/virtual/breaks. */
export type PosedKind = Exclude<CallKind, BreakKind>;

/** Positions that are tried for one of a difficulty; none found is told, not searched for ever. */
const TRIES = 1200;
/** A table has to be planned for each try of these. */
const PLANNED_TRIES = 40;
/** Kicks are played for each try that hides a ball, safeties ranked where a pot is neither easy nor hopeless. */
const KICK_TRIES: Readonly<Record<KickKind, number>> = {
  'which line': 160,
  'where on the cushion': 160,
  'which way to miss': 240,
  'pot or safe': 24,
};

const POSERS: Readonly<Record<PosedKind, Poser>> = {
  'in-off or not': poseInOff,
  'does it pass': posePass,
  'draw the path': posePath,
  'how long is the window': poseWindow,
  'which side of the plant': posePlant,
  'which ball first': poseFirst,
  'which suit': poseSuit,
  'key ball': poseKeyBall,
  'whole order': poseOrder,
  'where to be': posePlace,
  'which line': poseLine,
  'where on the cushion': poseOnCushion,
  'which way to miss': poseMissSide,
  'pot or safe': posePotOrSafe,
};

/**
 * Makes up a position of a kind and difficulty. Positions that are too close to call come at the top difficulty only.
 * @param seed same seed, same position
 * @returns undefined when none was found among so many tries
 */
export function poseFromSeed(
  table: Table,
  kind: PosedKind,
  difficulty: Difficulty,
  seed: number,
): CallQuestion | undefined {
  const random = createRandom(seed);
  const wanted = random.uniform() < 0.5 ? 'yes' : 'no';
  const tries = isKickKind(kind) ? KICK_TRIES[kind] : isPlanned(kind) ? PLANNED_TRIES : TRIES;
  for (let k = 0; k < tries; k++) {
    const question = POSERS[kind](table, random, { difficulty, wanted });
    if (question !== undefined) return question;
  }
  return undefined;
}

/**
 * Asks about a planned stroke, as a drill has it. A plant and an order are not asked of one.
 * @param next the ball after the pot; @param nextPocket where it goes
 * @returns undefined when the stroke gives nothing to ask of this kind
 */
export function poseFromPlan(
  kind: CallKind,
  posed: Posed,
  next: string,
  nextPocket: PocketName,
): CallQuestion | undefined {
  switch (kind) {
    case 'in-off or not':
      return inOffOf(posed, undefined);
    case 'does it pass': {
      const near = posed.shot.balls
        .filter(({ id }) => id !== posed.pot && id !== posed.shot.strike.ball)
        .map((ball) => ({ ball, gap: Math.abs(passingGap(posed.shot, ball) ?? Infinity) }))
        .sort((a, b) => a.gap - b.gap)[0];
      return near === undefined || near.gap > 0.3 ? undefined : passOf(posed, near.ball, undefined);
    }
    case 'draw the path':
      return pathOf(posed, undefined);
    case 'how long is the window':
      return windowOf(posed, next, nextPocket);
    case 'which side of the plant':
    case 'which ball first':
    case 'which suit':
    case 'key ball':
    case 'whole order':
    case 'where to be':
    case 'which line':
    case 'where on the cushion':
    case 'which way to miss':
    case 'pot or safe':
    case 'what will be on':
      return undefined;
  }
}
