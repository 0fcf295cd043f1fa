import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { Lesson, LessonWithRounds } from '../../core/records/lesson.ts';
import { lessonQuery } from '../api/lessons.ts';
import { lessonDocuments } from '../outbox/documents.ts';
import { useVersioned } from '../outbox/useVersioned.ts';

const ASK_EVERY_MS = 5_000;

/** A lesson that is worked on, with its rounds. */
export function useLesson(id: string) {
  const queries = useQueryClient();
  const query = useQuery({ ...lessonQuery(id), refetchInterval: ASK_EVERY_MS });
  const { queryKey } = lessonQuery(id);
  const edited = useVersioned(lessonDocuments, id, query.data?.lesson, (lesson: Lesson) => {
    // An answer that is on its way may be older.
    void queries.cancelQueries({ queryKey });
    queries.setQueryData(queryKey, (before: LessonWithRounds | undefined) =>
      before === undefined ? before : { ...before, lesson },
    );
  });
  return { query, ...edited };
}
