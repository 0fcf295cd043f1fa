import type { PoolConnection } from 'mysql2/promise';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage } from '../../core/drill/stage.ts';
import { playOnce } from '../../core/planning/cloud.ts';
import { executed } from '../../core/player/execute.ts';
import { errorAsCued } from '../../core/player/asCued.ts';
import { executionErrorAt } from '../../core/player/levels.ts';
import type { Random } from '../../core/random/random.ts';
import { BLANK_SHOT } from '../../core/records/loggedShot.ts';
import { logOf } from '../../core/records/attempt.ts';
import type { StoredAttempt } from '../../core/records/storedAttempt.ts';
import { tableOfCard } from '../../core/table/card.ts';
import { tableFingerprint } from '../../core/table/table.ts';
import { insertAttempt } from '../db/queries/attempts.ts';
import type { StoredDrill } from '../db/queries/drills.ts';
import { endRound, insertRound, storeResult, type NewRoundRow } from '../db/queries/rounds.ts';
import { planFor } from '../drills/plans.ts';
import { countFor, keptOf } from '../rounds/counting.ts';
import { causeOf } from './causes.ts';
import { idOf } from './ids.ts';
import { lessonOf } from './lessons.ts';
import { DEMO_COACHES, type Career, type DemoPlayer } from './people.ts';
import { homeOf, type DemoTable } from './tables.ts';

const DAY_MS = 86_400_000;
const SECONDS_PER_SHOT = 35;
/** About every so many pots got out of trouble. */
const RESCUE_EVERY = 17;

function ratingAt(career: Career, share: number): number {
  const after = career.findIndex(([at], i) => i > 0 && share <= at);
  const [from, to] = [career[after - 1], career[after]];
  if (from === undefined || to === undefined) return career[career.length - 1]?.[1] ?? 0;
  return from[1] + ((share - from[0]) / (to[0] - from[0])) * (to[1] - from[1]);
}

interface CareerOptions {
  readonly clubId: string;
  readonly player: DemoPlayer;
  readonly drills: readonly StoredDrill[];
  readonly random: Random;
  readonly now: number;
}

/** Plays a student's months: rounds spread over the days, in the evening, each at the rating of that time. */
export async function playCareer(db: PoolConnection, options: CareerOptions): Promise<void> {
  const { player, random, now } = options;
  for (const [d, slug] of player.drills.entries()) {
    const entry = options.drills.find((candidate) => candidate.document.slug === slug);
    if (entry === undefined) throw new Error(`loadDemo: there is no drill ${slug}`);
    const table = homeOf(entry);
    for (let k = 0; k < player.roundsPerDrill; k++) {
      const share = player.roundsPerDrill === 1 ? 1 : k / (player.roundsPerDrill - 1);
      const daysAgo =
        player.from +
        (player.to - player.from) * share +
        (k === 0 || share === 1 ? 0 : random.uniform() - 0.5);
      const evening =
        Math.floor((now - daysAgo * DAY_MS) / DAY_MS) * DAY_MS + (17 + 3 * random.uniform()) * 3_600_000;
      const startedAt = Math.min(evening + d * 900_000, now - 3_600_000 + d * 900_000);
      // A good or a bad day moves a player by a few points.
      const rating = ratingAt(player.career, share) + 3 * random.normal();
      await playRound(db, {
        ...options,
        entry,
        table,
        rating,
        startedAt,
        id: idOf(`${player.name} ${slug} ${String(k)}`),
        lesson: share === 1 ? lessonOf(idOf, player.name, slug) : null,
      });
    }
  }
}

interface DemoRound extends CareerOptions {
  readonly lesson: NewRoundRow['lesson'];
  readonly id: string;
  readonly entry: StoredDrill;
  readonly table: DemoTable;
  readonly rating: number;
  readonly startedAt: number;
}

/** One round by a virtual player, counted by the same code as everybody's. */
async function playRound(db: PoolConnection, round: DemoRound): Promise<void> {
  const { entry, random } = round;
  const table = tableOfCard(round.table.card, null);
  const stageNumber = 2;
  const document = atStage(entry.document, stageNumber);
  const stage = document.stages[stageNumber - 1];
  if (stage === undefined || !isPositionDrill(document)) {
    throw new Error(`loadDemo: ${document.slug} is no position drill`);
  }
  const plan = planFor(entry, stageNumber, table);
  const shots = document.scoring.shots;
  const coach = idOf(DEMO_COACHES[document.table === 'pool-9ft' ? 0 : 1].name);
  await insertRound(db, {
    id: round.id,
    clubId: round.clubId,
    playerId: idOf(round.player.name),
    recordedBy: coach,
    tableId: idOf(round.table.name),
    tableRevision: 1,
    conditionsId: null,
    tableFingerprint: tableFingerprint(table),
    drillOwner: entry.owner,
    drill: document.slug,
    revision: entry.revision,
    stage: stageNumber,
    ladderStart: 0,
    mirrored: false,
    seed: 1,
    lesson: round.lesson,
    startedAt: new Date(round.startedAt),
  });
  const error = errorAsCued(plan.shot, executionErrorAt(round.rating, plan.shot.table.preset.game));
  const task = { object: document.task.pot, pocket: document.task.pocket };
  const attempts: StoredAttempt[] = [];
  for (let ordinal = 1; ordinal <= shots; ordinal++) {
    const played = executed(plan.shot, error, random);
    const { outcome, landing } = playOnce(played, task);
    const fell = outcome === 'potted';
    const log = logOf({
      shots: [
        {
          ...BLANK_SHOT,
          ball: task.object,
          pocket: task.pocket,
          potted: fell ? [task.object] : [],
          inOff: outcome === 'in-off',
          landing: fell ? landing : null,
          cause: causeOf(plan.shot, played, { potted: fell, object: task.object }),
          rescue:
            fell && Math.floor(round.startedAt / 1000 + ordinal * SECONDS_PER_SHOT) % RESCUE_EVERY === 0,
        },
      ],
    });
    const id = idOf(`${round.id} ${String(ordinal)}`);
    const playedAt = new Date(round.startedAt + ordinal * SECONDS_PER_SHOT * 1000).toISOString();
    const attempt = countFor(entry, { table }, { stage: stageNumber }, { id, ordinal, log, playedAt });
    attempts.push(attempt);
    await insertAttempt(db, round.id, attempt, { recordedBy: coach, contested: false });
  }
  await endRound(db, round.id, {
    at: new Date(round.startedAt + (shots + 1) * SECONDS_PER_SHOT * 1000),
    early: false,
  });
  await storeResult(
    db,
    round.id,
    keptOf(
      entry,
      { stage: stageNumber, ladderStart: 0, table: { preset: entry.document.table, name: round.table.name } },
      attempts,
    ),
  );
}
