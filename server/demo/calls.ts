import type { PoolConnection } from 'mysql2/promise';
import { poseCall } from '../../core/virtual/poseCall.ts';
import type { CallAnswer, CallQuestion } from '../../core/judgement/question.ts';
import { writtenAnswer } from '../../core/records/call.ts';
import { scoreCall } from '../../core/judgement/score.ts';
import type { Random } from '../../core/random/random.ts';
import type { PresetId } from '../../core/table/preset.ts';
import { buildTable } from '../../core/table/table.ts';
import { insertCall } from '../db/queries/calls.ts';

/** Kinds of which positions are made up quickly: the demo has to be there soon. */
const KINDS = ['does it pass', 'draw the path'] as const;
const CALLS = 8;
const DAY_MS = 86_400_000;
/** How often a verdict is right, and by how much a drawn way strays, metres. */
const RIGHT = 0.72;
const STRAY = 0.15;

/** A player's answer: mostly right, never exact. */
function answerTo(question: CallQuestion, random: Random): CallAnswer | undefined {
  switch (question.kind) {
    case 'does it pass': {
      const wrong = question.truth === 'yes' ? 'no' : 'yes';
      return { kind: 'verdict', verdict: random.uniform() < RIGHT ? question.truth : wrong };
    }
    case 'draw the path': {
      const every = Math.max(1, Math.floor(question.truth.length / 6));
      const kept = question.truth.filter((_, i) => i % every === 0 || i === question.truth.length - 1);
      const points = kept.map(({ x, y }, i) =>
        i === 0 ? { x, y } : { x: x + STRAY * random.normal(), y: y + STRAY * random.normal() },
      );
      return { kind: 'path', points };
    }
    default:
      return undefined;
  }
}

interface DemoCaller {
  readonly playerId: string;
  readonly preset: PresetId;
  readonly random: Random;
  /** ms since 1970. */
  readonly now: number;
  /** Makes the id of the player's n-th call. */
  readonly idOf: (n: number) => string;
}

/** Some positions that a player of the demo called, scored by the same code as everybody's. */
export async function callPositions(db: PoolConnection, caller: DemoCaller): Promise<void> {
  const table = buildTable(caller.preset);
  for (let n = 0; n < CALLS; n++) {
    const kind = KINDS[n % KINDS.length] ?? KINDS[0];
    const seed = 1 + Math.floor(1000 * caller.random.uniform());
    const question = poseCall(table, kind, 'fair', seed);
    const answer = question && answerTo(question, caller.random);
    if (question === undefined || answer === undefined) continue;
    await insertCall(db, caller.idOf(n), {
      playerId: caller.playerId,
      kind,
      preset: caller.preset,
      source: { kind: 'seed', seed, difficulty: 'fair' },
      answer: writtenAnswer(answer),
      score: scoreCall(question, answer),
      coach: null,
      calledAt: new Date(caller.now - (CALLS - n) * 3 * DAY_MS).toISOString(),
    });
  }
}
