import type { Lesson, LessonBlock, LessonDocument, LessonEvening } from '../records/lesson.ts';
import type { Turn } from './ask.ts';

/** A table's lesson as it is sent. */
export interface TableLesson {
  readonly id: string;
  readonly document: LessonDocument;
  /** The version that it changes; null for a new one. */
  readonly basedOn: number | null;
}

/** What an evening's lessons are made of beside the turns. */
export interface EveningPlan {
  readonly evening: LessonEvening;
  readonly day: string;
  readonly titleOf: (tableId: string) => string;
  readonly newId: () => string;
}

/** What has begun stays, and what is everybody's: it was added by hand. */
const stays = ({ startedAt, playerId }: LessonBlock) => startedAt !== null || playerId === undefined;

/**
 * The lessons of an evening's tables, one each: what has begun stays as it is, the turns take the place of the rest; a turn that is
 * still there keeps what was noted to it.
 * @param before the lessons as they are; none for a new evening
 */
export function lessonsOfEvening(
  plan: EveningPlan,
  turns: readonly Turn[],
  before: readonly Lesson[],
): readonly TableLesson[] {
  const { evening, day, titleOf, newId } = plan;
  // What is still planned keeps its name and what was noted, wherever it goes.
  const waiting = before.flatMap(({ document }) => document.blocks.filter((block) => !stays(block)));
  const takenUp = (student: string, drill: string, stage: number) => {
    const at = waiting.findIndex(
      (block) => block.playerId === student && block.drill === drill && block.stage === stage,
    );
    return at < 0 ? undefined : waiting.splice(at, 1)[0];
  };
  const tables = new Set([
    ...before.map(({ document }) => document.tableId),
    ...turns.map(({ table }) => table),
  ]);
  return [...tables].map((tableId): TableLesson => {
    const known = before.find(({ document }) => document.tableId === tableId);
    const kept = (known?.document.blocks ?? []).filter(stays);
    const added = turns
      .filter(({ table }) => table === tableId)
      .toSorted((a, b) => a.from - b.from)

      .map(({ student, from, minutes, want, coach }): LessonBlock => {
        const planned = takenUp(student, want.drill, want.stage);
        return {
          id: planned?.id ?? newId(),
          drill: want.drill,
          stage: want.stage,
          minutes,
          startedAt: null,
          endedAt: null,
          note: planned?.note ?? '',
          playerId: student,
          from,
          ...(coach !== undefined && { coachId: coach }),
        };
      });
    const blocks = [...kept, ...added];
    const playerIds = [...new Set(blocks.flatMap(({ playerId }) => playerId ?? []))];
    const document: LessonDocument = {
      turns: 'after each round',
      startedAt: null,
      endedAt: null,
      summary: '',
      ...known?.document,
      title: known?.document.title ?? titleOf(tableId),
      day,
      tableId,
      // A table that nobody needs any more keeps the names that it had.
      playerIds: playerIds.length > 0 ? playerIds : (known?.document.playerIds ?? []),
      blocks,
      evening,
    };
    return { id: known?.id ?? newId(), document, basedOn: known?.version ?? null };
  });
}
