import { queryOptions } from '@tanstack/react-query';
import { programmesSchema, programmeWithRoundsSchema } from '../../core/records/programme.ts';
import { get } from './client.ts';

export const programmesQuery = queryOptions({
  queryKey: ['programmes'],
  queryFn: () => get('/programmes', programmesSchema),
});

/** A programme with the rounds of its weeks. */
export const programmeQuery = (id: string) =>
  queryOptions({
    queryKey: ['programmes', id],
    queryFn: () => get(`/programmes/${id}`, programmeWithRoundsSchema),
  });
