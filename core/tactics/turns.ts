import { ballValue } from '../counting/breakPoints.ts';
import type { Game } from '../rules/foulCost.ts';

const LAST = '8';
/** From this number on a ball is of the second suit. */
const SECOND_SUIT = 9;

const isRed = (id: string) => id.startsWith('red');
const suitOf = (id: string) => (id === LAST ? undefined : Number(id) >= SECOND_SUIT ? 2 : 1);
const byValue = (a: string, b: string) => ballValue(a) - ballValue(b);

/** At snooker when no colour of a red is due: the reds, or without one the lowest colour. */
function redsOrLowest(ids: readonly string[]): readonly string[] {
  const reds = ids.filter(isRed);
  return reds.length > 0 ? reds : [...ids].sort(byValue).slice(0, 1);
}

const lowest = (ids: readonly string[]) => [...ids].sort((a, b) => Number(a) - Number(b)).slice(0, 1);

/** A suit's balls, or the last ball when none is left. */
function ofSuit(ids: readonly string[], suit: number): readonly string[] {
  const own = ids.filter((id) => suitOf(id) === suit);
  return own.length > 0 ? own : ids.filter((id) => id === LAST);
}

/** The suit of a player who may play these balls; undefined while both may be played, or none is left. */
function suitPlayed(on: readonly string[]): number | undefined {
  const suits = new Set(on.flatMap((id) => suitOf(id) ?? []));
  return suits.size === 1 ? [...suits][0] : undefined;
}

/**
 * The balls that the same player may play after a legal pot.
 * @param on the balls that were on @param potted @param left ids of the balls that are on the table afterwards
 */
export function onAfterPot(
  game: Game,
  on: readonly string[],
  potted: string,
  left: readonly string[],
): readonly string[] {
  if (game === 'nine-ball') return lowest(left);
  if (game === 'snooker') return isRed(potted) ? left.filter((id) => !isRed(id)) : redsOrLowest(left);
  const suit = suitPlayed(on) ?? suitOf(potted);
  return suit === undefined ? left.filter((id) => id === LAST) : ofSuit(left, suit);
}

/**
 * The balls that the opponent may play when the turn passes.
 * @param on the balls that were on @param left ids of the balls that are on the table
 */
export function onForOpponent(game: Game, on: readonly string[], left: readonly string[]): readonly string[] {
  if (game === 'nine-ball') return lowest(left);
  if (game === 'snooker') return redsOrLowest(left);
  const suit = suitPlayed(on);
  // Who plays the last ball tells nothing of the other one's suit: what is left of it.
  if (suit === undefined) return on.includes(LAST) ? othersOrLast(left) : left.filter((id) => id !== LAST);
  return ofSuit(left, suit === 1 ? 2 : 1);
}

function othersOrLast(left: readonly string[]): readonly string[] {
  const others = left.filter((id) => id !== LAST);
  return others.length > 0 ? others : left;
}
