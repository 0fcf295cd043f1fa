import { LRUCache } from 'lru-cache';
import { countDone, donePlanned } from '../../core/programme/donePlanned.ts';
import { mondayOf } from '../../core/programme/days.ts';
import type { Player } from '../../core/records/player.ts';
import type { Programme } from '../../core/records/programme.ts';
import type { PlayerOverview } from '../../core/records/clubOverview.ts';
import type { Database } from '../db/pool.ts';
import { knownRounds, type KnownRound } from './knownRounds.ts';
import { coursesOf, ratingsOf } from './progress.ts';

/** What a year of somebody says changes little within minutes; a new round makes it anew at once. */
const FRESH_MS = 5 * 60_000;
const overviews = new LRUCache<string, Omit<PlayerOverview, 'week'>>({ max: 500, ttl: FRESH_MS });

interface Asked {
  readonly from: Date;
  readonly to: Date;
}

function summed(
  player: Player,
  rounds: readonly KnownRound[],
  ratings: PlayerOverview['ratings'],
): Omit<PlayerOverview, 'week'> {
  const courses = coursesOf(rounds);
  const of = (wanted: string) => courses.filter((course) => course === wanted).length;
  return {
    playerId: player.id,
    ratings,
    up: of('up'),
    down: of('down'),
    plateaus: of('plateau'),
    rounds: rounds.length,
    lastAt: player.lastRoundAt,
  };
}

/** What of a player's programmes is planned, done and due in the week of a day. */
export function weekOf(
  programmes: readonly Programme[],
  rounds: readonly { readonly id: string; readonly drill: string; readonly day: string }[],
  today: string,
): PlayerOverview['week'] {
  const items = programmes
    .flatMap(({ document }) => document.items)
    .filter(({ day }) => mondayOf(day) === mondayOf(today));
  const ticked = new Set(programmes.flatMap(({ ticks }) => ticks.map(({ item }) => item)));
  const states = donePlanned(items, ticked, rounds, today);
  const { planned, done } = countDone(items, states);
  const due = items.filter(({ id, day }) => day <= today && states.get(id)?.kind === 'open').length;
  return { planned, done, due };
}

/** A player at a glance. */
export async function overviewOf(
  db: Database,
  clubId: string,
  player: Player,
  period: Asked,
): Promise<Omit<PlayerOverview, 'week'>> {
  const key = [player.id, player.rounds, player.lastRoundAt].join('|');
  const kept = overviews.get(key);
  if (kept !== undefined) return kept;
  const rounds = await knownRounds(db, { clubId, id: player.id }, { ...period, sums: false });
  const choice = { ...period, tableId: undefined, drill: undefined, skill: undefined };
  const overview = summed(player, rounds, await ratingsOf(db, player.id, rounds, choice));
  overviews.set(key, overview);
  return overview;
}
