import { queryOptions } from '@tanstack/react-query';
import { maybeScreenSchema, type LessonScreen, type Shown } from '../../core/records/screen.ts';
import { call, get } from './client.ts';

/** The second screen of a lesson, null while none is open. */
export const lessonScreenQuery = (lessonId: string) =>
  queryOptions({
    queryKey: ['screen of lesson', lessonId],
    queryFn: async () => (await get(`/lessons/${lessonId}/screen`, maybeScreenSchema)).screen,
  });

/** Shows something on it, and opens it where it is not open. */
export async function showOnScreen(lessonId: string, shown: Shown): Promise<LessonScreen | null> {
  const reply = await call('PUT', `/lessons/${lessonId}/screen`, { shown });
  return (await maybeScreenSchema.validate(reply)).screen;
}
