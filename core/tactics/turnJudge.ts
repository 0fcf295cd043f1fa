import { ballValue } from '../counting/breakPoints.ts';
import { leaveGrade } from '../counting/leaveGrade.ts';
import type { BallOnTable, Shot, ShotResult } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { leftOnTable } from '../planning/aftermath.ts';
import { bestPotChance, roughPotChance } from '../planning/bestPot.ts';
import type { ExecutionError } from '../player/levels.ts';
import { foulCost } from '../rules/foulCost.ts';
import { acceptanceAbout } from '../shot/acceptanceNear.ts';
import { hitOf, isLegalHit, type Hit } from '../shot/kicks/hit.ts';
import { seenOf } from '../shot/kicks/seen.ts';
import { ballLost } from '../shot/outcome.ts';
import type { Table } from '../table/table.ts';
import { bestInHand } from './inHand.ts';
import { pointsOnTable } from './pointsOnTable.ts';
import { withRespots } from './respots.ts';
import type { Situation } from './situation.ts';
import { onAfterPot, onForOpponent } from './turns.ts';
import { visitLength } from './visit.ts';
import { STILL, type TurnEnd } from './turnEnd.ts';

/** The ball that wins at nine-ball whenever it falls by right, and the one that loses at eight-ball when it falls too early. */
const NINE = '9';
const EIGHT = '8';

/** At nine-ball a ball that was not on may fall; at eight-ball any but the last one, at snooker none. */
function mustNotFall(game: Situation['game'], id: string): boolean {
  return game === 'snooker' || (game !== 'nine-ball' && id === EIGHT);
}

type PotChance = (
  table: Table,
  cue: BallOnTable,
  objects: readonly BallOnTable[],
  wanted: readonly string[],
  error: ExecutionError,
) => number;

/** Values the ends of strokes in one situation; what they share is computed once. */
export class TurnJudge {
  readonly #situation: Situation;
  readonly #isSnooker: boolean;
  /** Points that follow a first pot, for the player and the opponent, as long as there are so many. */
  readonly #mine: number;
  readonly #visit: number;
  /** What ball in hand is worth by where the balls lie. */
  readonly #inHand = new Map<string, number>();

  readonly #isRough: boolean;
  readonly #potChance: PotChance;

  /**
   * @param isRough chances by plain geometry alone, for a first look
   * @throws RangeError without a ball that is on
   */
  constructor(situation: Situation, isRough = false) {
    const { table, on, error, opponent, game } = situation;
    if (on.length === 0) throw new RangeError('TurnJudge: no ball is on');
    this.#situation = situation;
    this.#isRough = isRough;
    this.#potChance = isRough
      ? (...of) => roughPotChance(...of, acceptanceAbout)
      : (...of) => bestPotChance(...of, { source: acceptanceAbout });
    this.#isSnooker = game === 'snooker';
    this.#mine = this.#isSnooker ? visitLength(table, error) : 1;
    this.#visit = this.#isSnooker ? visitLength(table, opponent) : 1;
  }

  /** Plays a stroke and values its end. */
  endOf(shot: Shot): TurnEnd {
    return this.judged(shot, simulate(shot, { paths: true }));
  }

  /** The same for a stroke that is no foul; undefined for one that is, of which nothing more is asked. */
  endUnlessFoul(shot: Shot): TurnEnd | undefined {
    return this.#judged(shot, simulate(shot, { paths: true }), true);
  }

  /** The same for a stroke that was played. @param result with events and paths */
  judged(shot: Shot, result: ShotResult): TurnEnd {
    const end = this.#judged(shot, result, false);
    if (end === undefined) throw new Error('judged: every end is valued');
    return end;
  }

  #judged(shot: Shot, result: ShotResult, unlessFoul: boolean): TurnEnd | undefined {
    const { table, game, cue: cueId, on } = this.#situation;
    const hit = hitOf(result, cueId);
    const after = leftOnTable(shot.balls, result.rest);
    const cue = after.find(({ id }) => id === cueId);
    const left = after.filter((ball) => ball !== cue);
    const gone = shot.balls.filter(({ id }) => id !== cueId && left.every((ball) => ball.id !== id));
    const fell = gone.map(({ id }) => id);
    const objects = this.#isSnooker ? withRespots(table.preset, left, gone, cue) : left;
    const met = hit.first !== undefined && on.includes(hit.first);
    const isFoul =
      !met ||
      cue === undefined ||
      ballLost(result.rest) ||
      !isLegalHit(hit, table.preset.game) ||
      fell.some((id) => !on.includes(id) && mustNotFall(game, id));
    const pointsLeft = this.#isSnooker ? pointsOnTable(objects.map(({ id }) => id)) : 0;
    const base = {
      hit,
      rest: result.rest,
      pointsLeft,
      penalty: 0,
      theirs: 0,
      left: 0,
      again: false,
      gained: 0,
      swing: STILL,
    };
    if (isFoul && unlessFoul) return undefined;
    if (isFoul)
      return { ...base, kind: 'foul', potted: undefined, ...this.#foul(hit, cue, objects, fell, pointsLeft) };
    const isWon = game === 'nine-ball' && fell.includes(NINE);
    const potted = isWon ? NINE : fell.find((id) => game === 'nine-ball' || on.includes(id));
    if (potted !== undefined) {
      return {
        ...base,
        kind: 'pot',
        potted,
        ...(isWon ? { gained: 1 } : this.#afterPot(potted, cue, objects, pointsLeft)),
      };
    }
    const { chance } = this.#opponents(cue, objects);
    const given = this.#given(chance, pointsLeft);
    return { ...base, kind: leaveGrade(chance), potted: undefined, left: chance, ...given };
  }

  /** What an opponent with this chance of a pot makes of it. */
  #given(chance: number, pointsLeft: number): Pick<TurnEnd, 'theirs' | 'swing'> {
    if (!this.#isSnooker) return { theirs: chance, swing: STILL };
    const points = Math.min(this.#visit, pointsLeft);
    return { theirs: chance * points, swing: { chance, points: -points } };
  }

  #opponents(cue: BallOnTable, objects: readonly BallOnTable[]) {
    const { table, game, on, opponent } = this.#situation;
    const theirs = onForOpponent(
      game,
      on,
      objects.map(({ id }) => id),
    );
    return { on: theirs, chance: this.#potChance(table, cue, objects, theirs, opponent) };
  }

  #afterPot(
    potted: string,
    cue: BallOnTable,
    objects: readonly BallOnTable[],
    pointsLeft: number,
  ): Pick<TurnEnd, 'gained' | 'swing'> {
    const { table, game, on, error } = this.#situation;
    const ids = objects.map(({ id }) => id);
    const next = onAfterPot(game, on, potted, ids);
    const ball = this.#isSnooker ? ballValue(potted) : 0;
    // The last ball wins: nothing better can follow.
    if (ids.length === 0 || next.length === 0) return { gained: this.#isSnooker ? ball : 1, swing: STILL };
    const chance = this.#potChance(table, cue, objects, next, error);
    if (!this.#isSnooker) return { gained: chance, swing: STILL };
    const points = Math.min(this.#mine, pointsLeft);
    return { gained: ball + chance * points, swing: { chance, points } };
  }

  #foul(
    hit: Hit,
    cue: BallOnTable | undefined,
    objects: readonly BallOnTable[],
    fell: readonly string[],
    pointsLeft: number,
  ): Pick<TurnEnd, 'swing' | 'theirs' | 'penalty' | 'left' | 'again'> {
    const { game, on, missCalled, foulGives } = this.#situation;
    const usual = foulCost(game, {
      on: on[0] ?? '',
      firstHit: hit.first,
      potted: fell,
    });
    const cost = usual.kind === 'points' ? usual : (foulGives ?? usual);
    if (cost.kind === 'points') {
      const left = cue === undefined ? this.#inHandFor(objects) : this.#snookerLeft(cue, objects);
      const missed = hit.first === undefined || !on.includes(hit.first);
      return {
        ...this.#given(left, pointsLeft),
        penalty: cost.points,
        left,
        again: missCalled && missed && cue !== undefined,
      };
    }
    if (cost.kind === 'visits') {
      const once = cue === undefined ? this.#inHandFor(objects) : this.#opponents(cue, objects).chance;
      // The first visit may bring the cue ball to where it is wanted for the next: from there it is as good as in hand.
      const later = this.#inHandFor(objects, true);
      const theirs = 1 - (1 - once) * (1 - later) ** (cost.visits - 1);
      return { ...this.#given(theirs, 0), penalty: 0, left: once, again: false };
    }
    // By the house's rule it is anywhere, whatever the table's own is.
    const left = this.#inHandFor(objects, foulGives !== undefined);
    return { ...this.#given(left, 0), penalty: 0, left, again: false };
  }

  /** After a foul a player who cannot hit all of any ball that is on may take any ball for it. */
  #snookerLeft(cue: BallOnTable, objects: readonly BallOnTable[]): number {
    const { table, opponent } = this.#situation;
    const { on, chance } = this.#opponents(cue, objects);
    const position = { table, balls: [cue, ...objects], cue: cue.id };
    const isFree = on.length > 0 && on.every((id) => seenOf(position, id).usable < 1);
    if (!isFree) return chance;
    const all = objects.map(({ id }) => id);
    return this.#potChance(table, cue, objects, all, opponent);
  }

  /** The opponent's best pot with the cue ball in hand: where the game's rules have it, or anywhere. */
  #inHandFor(objects: readonly BallOnTable[], isAnywhere = false): number {
    const places = objects.map(({ id, x, y }) => `${id} ${x.toFixed(3)} ${y.toFixed(3)}`).join();
    const key = `${isAnywhere ? 'anywhere ' : ''}${places}`;
    const known = this.#inHand.get(key);
    if (known !== undefined) return known;
    const { table, game, on, opponent, balls, cue } = this.#situation;
    const wanted = onForOpponent(
      game,
      on,
      objects.map(({ id }) => id),
    );
    const struck = balls.find(({ id }) => id === cue);
    const where = isAnywhere ? 'nine-ball' : game;
    const chance =
      struck === undefined ? 0 : bestInHand(table, where, struck, objects, wanted, opponent, this.#isRough);
    this.#inHand.set(key, chance);
    return chance;
  }
}
