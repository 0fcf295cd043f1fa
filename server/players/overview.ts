import type { Logger } from 'pino';
import { countDone, donePlanned } from '../../core/programme/donePlanned.ts';
import { mondayOf } from '../../core/programme/days.ts';
import type { Player } from '../../core/records/player.ts';
import type { Programme } from '../../core/records/programme.ts';
import type { KeptOverview, PlayerOverview } from '../../core/records/clubOverview.ts';
import type { DatabasePool } from '../db/pool.ts';
import { listOverviews, storeOverview, type StoredOverview } from '../db/queries/playerOverviews.ts';
import { inLanes } from './lanes.ts';
import { knownRounds, type KnownRound } from './knownRounds.ts';
import { coursesOf, ratingsOf } from './progress.ts';

/** From this age on an overview is counted anew, after it was shown: a benchmark may have come, and ratings fade a little. */
const FRESH_MS = 5 * 60_000;
/** Players that are counted at a time: the database reads for one while another one's rounds are counted. */
const LANES = 2;

interface Asked {
  readonly clubId: string;
  readonly from: Date;
  readonly to: Date;
}

function summed(
  player: Player,
  rounds: readonly KnownRound[],
  ratings: PlayerOverview['ratings'],
): KeptOverview {
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

/** Counts a player's year, and keeps it. */
async function counted(
  db: DatabasePool,
  player: Player,
  { clubId, ...period }: Asked,
): Promise<KeptOverview> {
  const rounds = await knownRounds(db, { clubId, id: player.id }, { ...period, sums: false });
  const choice = { ...period, tableId: undefined, drill: undefined, skill: undefined };
  const overview = summed(player, rounds, await ratingsOf(db, player.id, rounds, choice));
  await storeOverview(db, {
    playerId: player.id,
    rounds: player.rounds,
    lastRoundAt: player.lastRoundAt === null ? null : new Date(player.lastRoundAt),
    countedAt: period.to,
    overview,
  });
  return overview;
}

/** Clubs whose overviews are being counted anew. */
const refreshing = new Map<string, Promise<void>>();

/** When what was shown old is new again, of a club; at once when nothing is counted. */
export async function overviewsRefreshed(clubId: string): Promise<void> {
  await refreshing.get(clubId);
}

/** Counts old overviews anew, one after the other, while nobody waits for them. */
function refresh(db: DatabasePool, log: Logger, players: readonly Player[], asked: Asked): void {
  if (players.length === 0 || refreshing.has(asked.clubId)) return;
  const work = (async () => {
    for (const player of players) await counted(db, player, asked);
  })()
    .catch((error: unknown) => {
      log.warn({ err: error }, 'overviews were not counted anew');
    })
    .finally(() => refreshing.delete(asked.clubId));
  refreshing.set(asked.clubId, work);
}

/** Whether what is kept is of the rounds that the player has. */
function isOf(player: Player, { rounds, lastRoundAt }: StoredOverview): boolean {
  const last = player.lastRoundAt === null ? null : Date.parse(player.lastRoundAt);
  return rounds === player.rounds && (lastRoundAt?.getTime() ?? null) === last;
}

/**
 * Players of a club at a glance, in their order. What is kept is shown at once, and counted anew afterwards when it is some
 * minutes old; what is not kept, or was before the newest round, is counted now.
 */
export async function overviewsOf(
  db: DatabasePool,
  log: Logger,
  players: readonly Player[],
  asked: Asked,
): Promise<readonly KeptOverview[]> {
  const kept = new Map((await listOverviews(db, asked.clubId)).map((each) => [each.playerId, each]));
  const old: Player[] = [];
  const overviews = await inLanes(players, LANES, async (player) => {
    const own = kept.get(player.id);
    if (own === undefined || !isOf(player, own)) return counted(db, player, asked);
    if (asked.to.getTime() - own.countedAt.getTime() > FRESH_MS) old.push(player);
    return own.overview;
  });
  refresh(db, log, old, asked);
  return overviews;
}
