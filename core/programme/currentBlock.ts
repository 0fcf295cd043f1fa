import type { LessonBlock, LessonDocument } from '../records/lesson.ts';

/** The block that is played: the one that runs, else the first that has not begun, else the last. */
export function currentBlock({ blocks }: LessonDocument): LessonBlock | undefined {
  return (
    blocks.find(({ startedAt, endedAt }) => startedAt !== null && endedAt === null) ??
    blocks.find(({ startedAt }) => startedAt === null) ??
    blocks.at(-1)
  );
}
