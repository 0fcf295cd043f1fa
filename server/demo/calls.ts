import type { PoolConnection } from 'mysql2/promise';
import { poseCall } from '../../core/virtual/poseCall.ts';
import { writtenAnswer } from '../../core/records/call.ts';
import { scoreCall } from '../../core/judgement/score.ts';
import { executionErrorAt, LEVELS } from '../../core/player/levels.ts';
import type { Random } from '../../core/random/random.ts';
import type { PresetId } from '../../core/table/preset.ts';
import { buildTable } from '../../core/table/table.ts';
import { virtualCall } from '../../core/virtual/calls/virtualCall.ts';
import { insertCall } from '../db/queries/calls.ts';

/** Kinds of which positions are made up quickly: the demo has to be there soon. */
const KINDS = ['does it pass', 'draw the path', 'draw the path'] as const;
const DIFFICULTIES = ['fair', 'plain', 'close'] as const;
/** Calls of an evening, and evenings. */
const AN_EVENING = 6;
const EVENINGS = 5;
const DAYS_APART = 6;
const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;

interface DemoCaller {
  readonly playerId: string;
  /** As whose virtual player they call, 0…100. */
  readonly rating: number;
  readonly preset: PresetId;
  readonly random: Random;
  /** ms since 1970. */
  readonly now: number;
  /** Makes the id of the player's n-th call. */
  readonly idOf: (n: number) => string;
}

/** Some evenings of positions that a player of the demo called, scored by the same code as everybody's. */
export async function callPositions(db: PoolConnection, caller: DemoCaller): Promise<void> {
  const { playerId, rating, preset, random, now, idOf } = caller;
  const table = buildTable(preset);
  const level = LEVELS.findLast((each) => each.rating <= rating) ?? LEVELS[0];
  const mind = {
    error: executionErrorAt(rating, table.preset.game),
    looksAhead: level?.looksAhead ?? 0,
    random,
  };
  for (let n = 0; n < AN_EVENING * EVENINGS; n++) {
    const kind = KINDS[n % KINDS.length] ?? KINDS[0];
    const difficulty = DIFFICULTIES[Math.floor(n / KINDS.length) % DIFFICULTIES.length] ?? DIFFICULTIES[0];
    const seed = 1 + Math.floor(1000 * random.uniform());
    const question = poseCall(table, kind, difficulty, seed);
    if (question?.kind !== kind) continue;
    const answer = virtualCall(mind, question, difficulty);
    const daysAgo = 1 + DAYS_APART * (EVENINGS - 1 - Math.floor(n / AN_EVENING));
    await insertCall(db, idOf(n), {
      playerId,
      kind,
      preset,
      source: { kind: 'seed', seed, difficulty },
      answer: writtenAnswer(answer),
      score: scoreCall(question, answer),
      coach: null,
      calledAt: new Date(now - daysAgo * DAY_MS + (n % AN_EVENING) * MINUTE_MS).toISOString(),
    });
  }
}
