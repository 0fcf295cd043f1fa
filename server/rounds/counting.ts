import { isUnplayable } from '../../core/drill/plannedShot.ts';
import { drillAsPlayed, type RoundSetting } from '../../core/drill/drillAsPlayed.ts';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { attemptsOf, roundProgress } from '../../core/drill/round.ts';
import { atStage } from '../../core/drill/stage.ts';
import type { Round, RoundSummary } from '../../core/records/round.ts';
import type { StoredAttempt } from '../../core/records/storedAttempt.ts';
import type { NewAttempt } from '../../core/records/storedAttempt.ts';
import { UncountableError } from '../../core/scoring/countAttempt.ts';
import { offCloth } from '../../core/scoring/offCloth.ts';
import { kicksAskedBy, sumKicks } from '../../core/scoring/kickSums.ts';
import { sumRound } from '../../core/scoring/roundSums.ts';
import { storedAttempt } from '../../core/scoring/storedAttempt.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { DamagedRowError } from '../db/damaged.ts';
import type { Database } from '../db/pool.ts';
import { LIBRARY, revisionOf, type StoredDrill } from '../db/queries/drills.ts';
import {
  countAttempts,
  withAttempts,
  type KeptResult,
  type RoundHead,
  type StoredRound,
} from '../db/queries/rounds.ts';
import { planFor } from '../drills/plans.ts';
import { notFound, Refusal } from '../http/errors.ts';
import type { PlayedTable } from '../tables/states.ts';

/** Rounds without an end of their own are not longer than this. */
const MOST_ATTEMPTS = 100;

/** The text by which a round is played. */
export async function drillOfRound(db: Database, clubId: string, round: RoundHead): Promise<StoredDrill> {
  const owner = round.ownDrill ? clubId : LIBRARY;
  const entry = await revisionOf(db, owner, round.drill, round.revision);
  if (entry === undefined) throw notFound('the drill of this round');
  return setFor(entry, round);
}

/** A stored drill as a round sets it. */
export function setFor(entry: StoredDrill, round: RoundSetting): StoredDrill {
  if (!round.mirrored) return entry;
  return { ...entry, document: drillAsPlayed(entry.document, round), mirrored: true };
}

/** The result of a round so far, by its drill's own method. */
export function resultOf(
  entry: StoredDrill,
  round: Pick<Round, 'stage' | 'ladderStart'>,
  attempts: readonly Pick<StoredAttempt, 'counted'>[],
): Round['result'] {
  const { value, unit, better, maximum, complete, censored } = roundProgress(
    atStage(entry.document, round.stage),
    round.stage,
    attempts.map(({ counted }) => counted),
    round.ladderStart,
  ).result;
  return { value, unit, better, maximum, complete, censored };
}

/** What is kept of an ended round beside its attempts. */
export function keptOf(
  entry: StoredDrill,
  round: Pick<Round, 'stage' | 'ladderStart'> & { readonly table: Pick<Round['table'], 'preset' | 'name'> },
  attempts: readonly StoredAttempt[],
): KeptResult {
  const preset = TABLE_PRESETS[round.table.preset];
  const drill = atStage(entry.document, round.stage);
  const asked = kicksAskedBy(drill, preset);
  const kicks = asked === undefined ? [] : sumKicks(attempts, drill, asked);
  return {
    result: resultOf(entry, round, attempts),
    sums: sumRound(attempts, { name: round.table.name, length: preset.length, width: preset.width }, kicks),
  };
}

/** A round with its result: the one that was kept at its end, or counted now. */
export async function withResult(db: Database, clubId: string, round: StoredRound): Promise<Round> {
  if (round.result !== undefined) return { ...round, result: round.result };
  const entry = await drillOfRound(db, clubId, round);
  return { ...round, result: resultOf(entry, round, round.attempts) };
}

/** The rounds of a list with their results; one whose drill or result cannot be read is left out. */
export async function withResults(
  db: Database,
  clubId: string,
  rounds: readonly StoredRound[],
): Promise<Round[]> {
  const read: Round[] = [];
  for (const round of rounds) {
    const whole = await ifReadable(() => withResult(db, clubId, round));
    if (whole !== undefined) read.push(whole);
  }
  return read;
}

/** Undefined for a round whose drill is gone or damaged. */
async function ifReadable<T>(read: () => Promise<T>): Promise<T | undefined> {
  try {
    return await read();
  } catch (error) {
    if (error instanceof DamagedRowError || error instanceof Refusal) return undefined;
    throw error;
  }
}

/** Rounds in short, those that can be read; the attempts of those with a kept result are only counted. */
export async function summariesOf(
  db: Database,
  clubId: string,
  heads: readonly RoundHead[],
): Promise<RoundSummary[]> {
  const uncounted = heads.filter(({ result }) => result === undefined);
  const counted = await withResults(db, clubId, await withAttempts(db, uncounted));
  const results = new Map(counted.map(({ id, result }) => [id, result]));
  const played = await countAttempts(
    db,
    heads.map(({ id }) => id),
  );
  return heads.flatMap(({ id, player, drill, stage, table, startedAt, endedAt, ...head }) => {
    const result = head.result ?? results.get(id);
    if (result === undefined) return [];
    return [
      {
        id,
        playerId: player.id,
        player: player.name,
        drill,
        stage,
        table: table.name,
        result,
        played: played.get(id) ?? 0,
        startedAt,
        endedAt,
        rating: null,
      },
    ];
  });
}

/** Whether a drill can be played on a table: a planned stroke must do its work there. @throws Refusal when not */
export function requirePlayable(entry: StoredDrill, stage: number, { table }: PlayedTable): void {
  if (!isPositionDrill(atStage(entry.document, stage))) return;
  try {
    planFor(entry, stage, table);
  } catch (error) {
    if (!isUnplayable(error)) throw error;
    throw new Refusal(400, `tableId: not on this table, for ${error.message}`, 'tableId');
  }
}

/** @throws Refusal for a landing beside the cloth */
export function requireOnCloth({ log }: Pick<NewAttempt, 'log'>, { table }: PlayedTable): void {
  const field = offCloth(log, table.preset);
  if (field !== undefined) throw new Refusal(400, `log.${field} is off the table`, `log.${field}`);
}

/** Checks an attempt against its round and counts it: what it came to, and how far from the plan it ended. */
export function countFor(
  entry: StoredDrill,
  played: Pick<PlayedTable, 'table'>,
  round: Pick<Round, 'stage'>,
  { id, ordinal, log, playedAt }: NewAttempt & { readonly id: string },
): StoredAttempt {
  const drill = atStage(entry.document, round.stage);
  const most = attemptsOf(drill) ?? MOST_ATTEMPTS;
  if (ordinal > most) throw new Refusal(400, `ordinal must be at most ${String(most)}`, 'ordinal');
  const plan = isPositionDrill(drill) ? planFor(entry, round.stage, played.table) : undefined;
  try {
    const counting = { drill, stage: round.stage, preset: played.table.preset, plan };
    return storedAttempt(counting, log, { id, ordinal, playedAt });
  } catch (error) {
    if (!(error instanceof UncountableError)) throw error;
    throw new Refusal(400, error.message, `log.${error.field}`);
  }
}
