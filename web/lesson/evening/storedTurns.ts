import { tablesOf } from '../../../core/drill/stage.ts';
import type { Turn } from '../../../core/evening/ask.ts';
import type { EveningWants, Want } from '../../../core/records/evening.ts';
import type { Lesson, LessonBlock } from '../../../core/records/lesson.ts';
import type { ListedDrill } from '../../../core/records/listedDrill.ts';

/** A turn of a stored evening. */
export interface StoredTurn {
  readonly lesson: Lesson;
  readonly block: LessonBlock;
  readonly turn: Turn;
}

/** A drill that stands in a plan though nothing speaks for it any more. */
function plainWant({ drill, stage }: LessonBlock, drills: readonly ListedDrill[]): Want {
  const document = drills.find((each) => each.document.slug === drill)?.document;
  return {
    drill,
    stage,
    kind: 'main',
    skill: document?.skills[0] ?? 'potting',
    gain: 0,
    tables: document === undefined ? [] : [...tablesOf(document)],
    behind: null,
    isSurelyBehind: false,
    shows: null,
    restDays: null,
    course: null,
  };
}

/** The turns of an evening's lessons, those of one time after those before it. */
export function storedTurns(
  lessons: readonly Lesson[],
  wants: EveningWants,
  drills: readonly ListedDrill[],
): readonly StoredTurn[] {
  return lessons
    .flatMap((lesson) =>
      lesson.document.blocks.flatMap((block): StoredTurn | [] => {
        const { playerId, from = 0, minutes, coachId } = block;
        if (playerId === undefined) return [];
        const own = wants.find((each) => each.playerId === playerId)?.wants ?? [];
        const want =
          own.find(({ drill, stage }) => drill === block.drill && stage === block.stage) ??
          plainWant(block, drills);
        const table = lesson.document.tableId;
        return { lesson, block, turn: { student: playerId, table, from, minutes, want, coach: coachId } };
      }),
    )
    .toSorted((a, b) => a.turn.from - b.turn.from);
}
