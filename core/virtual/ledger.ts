import { CUE_BALL } from '../drill/layout.ts';
import { beginAttempt, clearanceRules, playShot, type Attempt } from '../drill/rules.ts';
import type { Point } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { cueBallAt } from '../planning/windowAmong.ts';
import { createRandom } from '../random/random.ts';
import type { ExecutionError } from '../player/levels.ts';
import type { LoggedShot } from '../records/loggedShot.ts';
import type { Drill } from '../records/drill.ts';
import { wilson, type ShareInterval } from '../statistics/wilson.ts';
import type { Table } from '../table/table.ts';
import type { ChosenPot } from './choosePot.ts';
import { chooseStroke, playOn, type ClearanceState } from './playClearance.ts';

/** What a shot cost in chance of clearing, 0…1; what was won is negative. Choice, pot and position add up to the whole. */
export interface LedgerEntry {
  /** From 1. */
  readonly shot: number;
  readonly ball: string;
  /** The chance of clearing before the shot, by the player's best choice. */
  readonly before: ShareInterval;
  /** The chance afterwards; 0 after a fault, 1 once the table is clear. */
  readonly after: ShareInterval;
  readonly choice: number;
  readonly pot: number;
  readonly position: number;
}

/** Times that an attempt is played on from each place. */
export const LEDGER_ROUNDS = 60;
const SEED = 47;
const CERTAIN: ShareInterval = { share: 1, low: 1, high: 1 };
const LOST: ShareInterval = { share: 0, low: 0, high: 0 };

/** A clearance without a fault is what is counted. */
const ENDING = {
  missed: 'ends the attempt',
  'in-off': 'ends the attempt',
  'wrong ball': 'ends the attempt',
  'condition broken': 'ends the attempt',
} as const;

interface Played {
  /** Share of the times that the table was cleared. */
  readonly cleared: number;
  /** Share in which the first shot was good. */
  readonly good: number;
}

/** Plays on from a place many times with the same first stroke; same seeds, so that two first strokes meet the same luck. */
function playedOn(
  player: { readonly table: Table; readonly error: ExecutionError },
  drill: Drill,
  state: ClearanceState,
  first: ChosenPot | undefined,
): Played {
  if (first === undefined) return { cleared: 0, good: 0 };
  let [cleared, good] = [0, 0];
  for (let k = 0; k < LEDGER_ROUNDS; k++) {
    const { attempt, shots } = playOn({ ...player, random: createRandom(SEED + k) }, drill, state, first);
    if (attempt.over === 'cleared') cleared++;
    if (shots.length > 1 || attempt.over === 'cleared') good++;
  }
  return { cleared, good };
}

/**
 * Whether an attempt was written down fully enough for a ledger of at least one shot: the cue ball's place is known
 * before its first, and after it unless that ended the attempt.
 * @param objects the object balls as the attempt began; @param cue where the cue ball lay, metres, undefined where nobody
 * marked it; @param shots as they were logged
 * @throws RangeError for a drill that asks for no clearance
 */
export function carriesLedger(
  base: Drill,
  objects: readonly BallOnTable[],
  cue: Point | undefined,
  shots: readonly LoggedShot[],
): boolean {
  const first = shots[0];
  if (cue === undefined || first === undefined || first.ball === null) return false;
  const rules = clearanceRules({ ...base, faults: ENDING });
  const { over } = playShot(
    rules,
    beginAttempt(
      rules,
      objects.map(({ id }) => id),
    ),
    first,
  );
  return over !== undefined || first.landing !== null;
}

const placed = (state: ClearanceState): state is ClearanceState & { readonly cue: BallOnTable } =>
  state.cue !== undefined;

/**
 * The ledger of one attempt: what each shot cost this player in chance of clearing without a fault, split into choice (the
 * best ball and pocket against those that were played), pot (a miss loses what was left) and position (what an average pot
 * leaves against what this one left). The chances come from playing on sixty times from each place, so each has an
 * interval. It ends with the first fault, or where the cue ball's place was not marked; other balls are taken to lie where
 * they were set.
 * @param objects the object balls as the attempt began; @param cue where the cue ball lay, undefined where nobody marked it
 * @param shots as they were logged; yields an entry for each as it is worked out
 * @throws RangeError for a drill that asks for no clearance
 */
export function* ledgerOf(
  player: { readonly table: Table; readonly error: ExecutionError },
  base: Drill,
  objects: readonly BallOnTable[],
  cue: Point | undefined,
  shots: readonly LoggedShot[],
): Generator<LedgerEntry> {
  const drill: Drill = { ...base, faults: ENDING };
  const rules = clearanceRules(drill);
  const random = createRandom(SEED);
  const stateOf = (attempt: Attempt, place: Point | null | undefined): ClearanceState => ({
    attempt,
    left: objects.filter(({ id }) => attempt.onTable.includes(id)),
    home: objects,
    cue: place === null || place === undefined ? undefined : cueBallAt(player.table, place, CUE_BALL),
  });
  const best = (state: ClearanceState) =>
    placed(state)
      ? playedOn(player, drill, state, chooseStroke({ ...player, random }, drill, state))
      : undefined;
  const share = ({ cleared }: Played) => wilson(cleared, LEDGER_ROUNDS);

  let state = stateOf(
    beginAttempt(
      rules,
      objects.map(({ id }) => id),
    ),
    cue,
  );
  let value = best(state);
  for (const [i, { ball, pocket, potted, inOff, broken, landing }] of shots.entries()) {
    if (value === undefined || !placed(state) || ball === null || state.attempt.over !== undefined) return;
    const chosen = chooseStroke({ ...player, random }, drill, state, { ball, pocket });
    const asPlayed = playedOn(player, drill, state, chosen);
    const before = share(value);
    const expected = asPlayed.cleared / LEDGER_ROUNDS;
    const attempt = playShot(rules, state.attempt, { potted, inOff, broken });
    const entry = { shot: i + 1, ball, before, choice: before.share - expected };
    if (attempt.over !== undefined && attempt.over !== 'cleared') {
      yield { ...entry, after: LOST, pot: expected, position: 0 };
      return;
    }
    const next = stateOf(attempt, landing);
    const nextValue = attempt.over === 'cleared' ? undefined : best(next);
    const after = attempt.over === 'cleared' ? CERTAIN : nextValue && share(nextValue);
    if (after === undefined) return;
    // What an average pot of this shot leaves; of a pot that never fell in the trials, what was expected.
    const given = asPlayed.good === 0 ? expected : asPlayed.cleared / asPlayed.good;
    yield { ...entry, after, pot: expected - given, position: given - after.share };
    state = next;
    value = nextValue;
  }
}
