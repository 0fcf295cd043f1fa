import type { PoolConnection } from 'mysql2/promise';
import { atStage } from '../../core/drill/stage.ts';
import type { AttemptOutcome } from '../../core/drill/round.ts';
import {
  BLANK_SHOT,
  logOf,
  NOTHING_ENTERED,
  type AttemptLog,
  type BreakLog,
} from '../../core/records/attempt.ts';
import type { StoredAttempt } from '../../core/records/club.ts';
import type { Table } from '../../core/table/table.ts';
import { wholeRound, type VirtualRounds } from '../../core/virtual/playRound.ts';
import { insertAttempt } from '../db/queries/attempts.ts';
import type { StoredDrill } from '../db/queries/drills.ts';
import { endRound, insertRound, type NewRoundRow } from '../db/queries/rounds.ts';
import { countFor, resultOf } from '../rounds/counting.ts';

const SECONDS_PER_ATTEMPT = 50;

const BREAK_UNSEEN: Omit<BreakLog, 'balls' | 'control' | 'layout' | 'inOff'> = {
  rack: 'tight',
  rackBy: 'hand',
  cue: null,
  from: null,
  aim: 'head ball',
  pace: 'controlled',
  wing: null,
  first: null,
  second: null,
  cueBall: null,
  nextShot: null,
  runOut: null,
};

/** What a coach would have entered of an attempt that a virtual player has played. */
function logOfOutcome(outcome: AttemptOutcome): AttemptLog {
  const { done, balls, points, penalty, target, grade, kick, opening } = outcome;
  return logOf({
    entered: {
      ...NOTHING_ENTERED,
      done,
      balls: balls ?? null,
      points: points ?? null,
      penalty: penalty ?? null,
      target: target ?? null,
      kick: kick ?? null,
      opening: opening === undefined ? null : { ...BREAK_UNSEEN, ...opening },
    },
    shots: [{ ...BLANK_SHOT, grade: grade ?? null, inOff: opening?.inOff ?? false }],
  });
}

/** Stores a round by a virtual player, counted by the same code as everybody's. */
export async function storeVirtualRound(
  db: PoolConnection,
  row: NewRoundRow,
  played: {
    readonly entry: StoredDrill;
    readonly table: Table;
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
    const log = logOfOutcome(outcome);
    const attempt = countFor(
      entry,
      { table },
      { stage: row.stage },
      {
        id: idOf(i + 1),
        ordinal: i + 1,
        log: clearance ? { ...log, shots: [] } : log,
        playedAt: new Date(row.startedAt.getTime() + (i + 1) * SECONDS_PER_ATTEMPT * 1000).toISOString(),
      },
    );
    attempts.push(attempt);
    await insertAttempt(db, row.id, attempt, { recordedBy: row.recordedBy, contested: false });
  }
  await endRound(db, row.id, {
    at: new Date(row.startedAt.getTime() + (attempts.length + 1) * SECONDS_PER_ATTEMPT * 1000),
    early: false,
    result: resultOf(entry, row, attempts),
  });
}
