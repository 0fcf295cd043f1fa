import type { PoolConnection } from 'mysql2/promise';
import { atStage } from '../../core/drill/stage.ts';
import { BLANK_SHOT } from '../../core/records/loggedShot.ts';
import { logOf, type AttemptLog } from '../../core/records/attempt.ts';
import { NOTHING_ENTERED } from '../../core/records/entered.ts';
import type { BreakLog } from '../../core/records/breakLog.ts';
import type { StoredAttempt } from '../../core/records/storedAttempt.ts';
import type { Table } from '../../core/table/table.ts';
import { wholeRound, type VirtualAttempt, type VirtualRounds } from '../../core/virtual/playRound.ts';
import { insertAttempt } from '../db/queries/attempts.ts';
import type { StoredDrill } from '../db/queries/drills.ts';
import { endRound, insertRound, storeResult, type NewRoundRow } from '../db/queries/rounds.ts';
import { countFor, keptOf } from '../rounds/counting.ts';

const SECONDS_PER_ATTEMPT = 50;

/** Cues and places that are tried in turn, so that they can be compared. */
const BREAK_CUES = ['break cue, light', 'playing cue'] as const;
const BREAK_FROM = [
  { x: 0.5, y: 0.635 },
  { x: 0.5, y: 1.0 },
  { x: 0.5, y: 0.25 },
] as const;

const BREAK_UNSEEN: Omit<
  BreakLog,
  'balls' | 'control' | 'layout' | 'inOff' | 'cue' | 'from' | 'runOut' | 'speed'
> = {
  rack: 'tight',
  rackBy: 'hand',
  aim: 'head ball',
  pace: 'controlled',
  wing: null,
  first: null,
  second: null,
  cueBall: null,
  nextShot: null,
};
/** From these grades together on a table that lies so well is run out. */
const RUN_OUT = 5;

/** What a coach would have entered of an attempt that a virtual player has played. @param number from 0 */
function logOfOutcome(outcome: VirtualAttempt, number: number): AttemptLog {
  const { done, balls, points, penalty, target, grade, kick, opening, broke } = outcome;
  return logOf({
    entered: {
      ...NOTHING_ENTERED,
      done,
      balls: balls ?? null,
      points: points ?? null,
      penalty: penalty ?? null,
      target: target ?? null,
      kick: kick ?? null,
      opening:
        opening === undefined
          ? null
          : {
              ...BREAK_UNSEEN,
              ...opening,
              cue: BREAK_CUES[Math.floor(number / 2) % BREAK_CUES.length] ?? null,
              runOut: opening.control + opening.layout >= RUN_OUT,
              speed: broke === undefined ? null : Math.round(10 * broke.speed) / 10,
              from: BREAK_FROM[number % BREAK_FROM.length] ?? null,
            },
    },
    shots: [
      {
        ...BLANK_SHOT,
        grade: grade ?? null,
        inOff: opening?.inOff ?? false,
        landing: broke?.cueAt ?? null,
      },
    ],
  });
}

/** A clearance written down shot by shot, as the virtual player played it. */
function clearanceLog({ trace }: VirtualAttempt, quick: AttemptLog): AttemptLog {
  if (trace === undefined) return { ...quick, shots: [] };
  return logOf({
    detail: 'full',
    shots: trace.map(({ ball, pocket, potted, inOff, broken, landing }) => ({
      ...BLANK_SHOT,
      ball,
      pocket,
      potted: [...potted],
      inOff,
      broken: [...broken],
      landing,
    })),
  });
}

/** Stores a round by a virtual player, counted by the same code as everybody's. */
export async function storeVirtualRound(
  db: PoolConnection,
  row: NewRoundRow,
  played: {
    readonly entry: StoredDrill;
    readonly table: Table;
    readonly tableName: string;
    readonly rounds: VirtualRounds;
    readonly seed: number;
    readonly idOf: (ordinal: number) => string;
  },
): Promise<void> {
  const { entry, table, rounds, seed, idOf } = played;
  await insertRound(db, row);
  const clearance = atStage(entry.document, row.stage).task.kind === 'clear';
  const attempts: StoredAttempt[] = [];
  for (const [i, outcome] of wholeRound(rounds, seed).attempts.entries()) {
    const log = logOfOutcome(outcome, i);
    const attempt = countFor(
      entry,
      { table },
      { stage: row.stage },
      {
        id: idOf(i + 1),
        ordinal: i + 1,
        log: clearance ? clearanceLog(outcome, log) : log,
        playedAt: new Date(row.startedAt.getTime() + (i + 1) * SECONDS_PER_ATTEMPT * 1000).toISOString(),
      },
    );
    attempts.push(attempt);
    await insertAttempt(db, row.id, attempt, { recordedBy: row.recordedBy, contested: false });
  }
  await endRound(db, row.id, {
    at: new Date(row.startedAt.getTime() + (attempts.length + 1) * SECONDS_PER_ATTEMPT * 1000),
    early: false,
  });
  await storeResult(
    db,
    row.id,
    keptOf(entry, { ...row, table: { preset: entry.document.table, name: played.tableName } }, attempts),
  );
}
