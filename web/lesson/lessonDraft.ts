import type { LessonBlock, LessonDocument } from '../../core/records/lesson.ts';

/** Changes of a lesson; pure, so that each is one line where it is made. */

export function withBlock(
  document: LessonDocument,
  id: string,
  change: Partial<LessonBlock>,
): LessonDocument {
  return {
    ...document,
    blocks: document.blocks.map((block) => (block.id === id ? { ...block, ...change } : block)),
  };
}

/** Begins a block and ends the one that runs; the first one begins the lesson. */
export function begin(document: LessonDocument, id: string, at: string): LessonDocument {
  return {
    ...document,
    startedAt: document.startedAt ?? at,
    blocks: document.blocks.map((block) => {
      if (block.id === id) return { ...block, startedAt: block.startedAt ?? at, endedAt: null };
      return block.startedAt !== null && block.endedAt === null ? { ...block, endedAt: at } : block;
    }),
  };
}

/** Ends the lesson, and the block that runs. */
export function endLesson(document: LessonDocument, at: string): LessonDocument {
  return {
    ...document,
    endedAt: at,
    blocks: document.blocks.map((block) =>
      block.startedAt !== null && block.endedAt === null ? { ...block, endedAt: at } : block,
    ),
  };
}

/** Goes on with a lesson that was ended; the block that ended with it runs again. */
export function goOn(document: LessonDocument): LessonDocument {
  return {
    ...document,
    endedAt: null,
    blocks: document.blocks.map((block) =>
      block.endedAt !== null && block.endedAt === document.endedAt ? { ...block, endedAt: null } : block,
    ),
  };
}

export function moveBlock(document: LessonDocument, id: string, by: -1 | 1): LessonDocument {
  const from = document.blocks.findIndex((block) => block.id === id);
  const to = from + by;
  const [block, other] = [document.blocks[from], document.blocks[to]];
  if (block === undefined || other === undefined) return document;
  const blocks = [...document.blocks];
  blocks[from] = other;
  blocks[to] = block;
  return { ...document, blocks };
}
