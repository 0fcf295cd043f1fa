import { queryOptions } from '@tanstack/react-query';
import { programmesSchema, programmeWithRoundsSchema } from '../../core/records/programme.ts';
import { programmeProposalsSchema } from '../../core/records/programmeProposal.ts';
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

/** What could be changed in the weeks to come of a programme. */
export const proposalsQuery = (id: string) =>
  queryOptions({
    queryKey: ['programmes', id, 'proposals'],
    queryFn: () => get(`/programmes/${id}/proposals`, programmeProposalsSchema),
  });
