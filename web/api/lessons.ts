import { queryOptions } from '@tanstack/react-query';
import { lessonsSchema, lessonWithRoundsSchema } from '../../core/records/lesson.ts';
import { get } from './client.ts';

export const lessonsQuery = queryOptions({
  queryKey: ['lessons'],
  queryFn: () => get('/lessons', lessonsSchema),
});

/** A lesson with its rounds. */
export const lessonQuery = (id: string) =>
  queryOptions({
    queryKey: ['lessons', id],
    queryFn: () => get(`/lessons/${id}`, lessonWithRoundsSchema),
  });
