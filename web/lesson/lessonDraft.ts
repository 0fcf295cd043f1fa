import { object, number } from 'yup';
import { lessonDocumentSchema, type LessonBlock, type LessonDocument } from '../../core/records/lesson.ts';

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

/** The block that is played: the one that runs, else the first that has not begun, else the last. */
export function currentBlock({ blocks }: LessonDocument): LessonBlock | undefined {
  return (
    blocks.find(({ startedAt, endedAt }) => startedAt !== null && endedAt === null) ??
    blocks.find(({ startedAt }) => startedAt === null) ??
    blocks.at(-1)
  );
}

/** A lesson as it was last changed on this device and not yet stored. */
const keptSchema = object({
  document: lessonDocumentSchema,
  basedOn: number().strict().required(),
}).required();

const keyOf = (id: string) => `jolly-lesson:${id}`;

export function readKept(id: string): { document: LessonDocument; basedOn: number } | undefined {
  try {
    const value: unknown = JSON.parse(localStorage.getItem(keyOf(id)) ?? 'null');
    return value === null ? undefined : keptSchema.validateSync(value);
  } catch {
    return undefined;
  }
}

export function keepLesson(id: string, document: LessonDocument, basedOn: number): void {
  localStorage.setItem(keyOf(id), JSON.stringify({ document, basedOn }));
}

export function forgetLesson(id: string): void {
  localStorage.removeItem(keyOf(id));
}
