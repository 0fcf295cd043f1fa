import type { PoolConnection } from 'mysql2/promise';
import type { LessonBlock, LessonDocument } from '../../core/records/lesson.ts';
import { insertLesson } from '../db/queries/lessons.ts';
import type { NewRoundRow } from '../db/queries/rounds.ts';

const MINUTE_MS = 60_000;
const DAY_MS = 86_400_000;

interface DemoLesson {
  readonly title: string;
  /** Days ago. */
  readonly ago: number;
  readonly players: readonly string[];
  readonly coach: string;
  readonly table: string;
  readonly turns: LessonDocument['turns'];
  readonly blocks: readonly (Pick<LessonBlock, 'drill' | 'stage' | 'minutes'> & { readonly note: string })[];
  readonly summary: string;
}

/** An evening that is over, with its rounds, and one that waits for tonight. */
const DEMO_LESSONS: readonly DemoLesson[] = [
  {
    title: 'Cue ball on a string',
    ago: 1,
    players: ['Wren Sallow', 'Idris Pell'],
    coach: 'Morwenna Oake',
    table: 'Pool room, table 2',
    turns: 'after each round',
    blocks: [
      {
        drill: 'harbour-turn',
        stage: 2,
        minutes: 30,
        note: '<p>Idris lifts his head on the follow. <strong>Stay down until the ball drops.</strong></p>',
      },
      { drill: 'frozen-pair', stage: 1, minutes: 15, note: '<p>Wren sees the side at once now.</p>' },
    ],
    summary:
      '<p>Both keep the line; the pace is what decides.</p><ul><li>Wren: one stage up next week</li><li>Idris: ten minutes of stop shots first</li></ul>',
  },
  {
    title: 'Clear what the break leaves',
    ago: 0,
    players: ['Corin Ash', 'Ansel Brook', 'Wren Sallow'],
    coach: 'Morwenna Oake',
    table: 'Pool room, table 2',
    turns: 'after each attempt',
    blocks: [
      { drill: 'nine-slow', stage: 1, minutes: 20, note: '' },
      { drill: 'two-fleets', stage: 1, minutes: 40, note: '' },
    ],
    summary: '',
  },
];

/** Stores the demo's lessons; the one of a day that is over has gone by its plan. */
export async function storeLessons(
  db: PoolConnection,
  options: { readonly clubId: string; readonly now: number; readonly idOf: (name: string) => string },
): Promise<void> {
  const { clubId, now, idOf } = options;
  for (const lesson of DEMO_LESSONS) {
    const day = new Date(now - lesson.ago * DAY_MS).toISOString().slice(0, 10);
    let clock = Date.parse(`${day}T17:30:00Z`);
    const over = lesson.ago > 0;
    const startedAt = over ? new Date(clock).toISOString() : null;
    const blocks = lesson.blocks.map(({ drill, stage, minutes, note }, i) => {
      const begun = new Date(clock).toISOString();
      clock += minutes * MINUTE_MS;
      return {
        id: blockId(idOf, lesson, i),
        drill,
        stage,
        minutes,
        note,
        startedAt: over ? begun : null,
        endedAt: over ? new Date(clock).toISOString() : null,
      };
    });
    await insertLesson(db, {
      id: idOf(lesson.title),
      clubId,
      heldBy: idOf(lesson.coach),
      document: {
        title: lesson.title,
        day,
        tableId: idOf(lesson.table),
        playerIds: lesson.players.map(idOf),
        turns: lesson.turns,
        blocks,
        startedAt,
        endedAt: over ? new Date(clock).toISOString() : null,
        summary: lesson.summary,
      },
    });
  }
}

/** The id of a block of a demo lesson, the same each time. */
function blockId(idOf: (name: string) => string, { title }: Pick<DemoLesson, 'title'>, i: number): string {
  return idOf(`${title} block ${String(i)}`);
}

/** The block of a lesson that is over in which a player's last round of a drill was played; null outside of lessons. */
export function lessonOf(
  idOf: (name: string) => string,
  player: string,
  drill: string,
): NewRoundRow['lesson'] {
  for (const lesson of DEMO_LESSONS) {
    const i = lesson.blocks.findIndex((block) => block.drill === drill);
    if (lesson.ago > 0 && i >= 0 && lesson.players.includes(player)) {
      return { id: idOf(lesson.title), block: blockId(idOf, lesson, i) };
    }
  }
  return null;
}
