import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { object, string } from 'yup';
import { playerSchema, playersSchema } from '../../core/records/player.ts';
import { roundHeadsSchema, roundsSchema } from '../../core/records/round.ts';
import { progressSchema } from '../../core/records/progress.ts';
import { proposalsSchema } from '../../core/records/nextDrill.ts';
import { addressed } from './address.ts';
import { get } from './client.ts';

export const playersQuery = queryOptions({
  queryKey: ['players'],
  queryFn: () => get('/players', playersSchema),
});

export const playerQuery = (id: string) =>
  queryOptions({ queryKey: ['players', id], queryFn: () => get(`/players/${id}`, playerSchema) });

/** Which of a player's rounds are asked for; all where nothing is said. */
interface RoundChoice {
  readonly drill?: string | undefined;
  readonly revision?: number;
  readonly stage?: number;
  /** The table's fingerprint. */
  readonly table?: string;
}

/** The newest rounds of a player with their attempts. */
export const playerRoundsQuery = (id: string, choice: RoundChoice = {}) =>
  queryOptions({
    queryKey: ['players', id, 'rounds', choice],
    queryFn: () => get(`/players/${id}/rounds?${addressed({ ...choice })}`, roundsSchema),
  });

/** The results of a player's newest rounds, without their attempts. */
export const playerResultsQuery = (id: string, choice: RoundChoice = {}) =>
  queryOptions({
    queryKey: ['players', id, 'results', choice],
    queryFn: () => get(`/players/${id}/results?${addressed({ ...choice })}`, roundHeadsSchema),
  });

/** What of a player's rounds is looked at. */
export interface ProgressFilter {
  readonly days?: number | undefined;
  /** From one instant to another, instead of days, ISO 8601. */
  readonly from?: string | undefined;
  readonly to?: string | undefined;
  readonly table?: string | undefined;
  readonly drill?: string | undefined;
  readonly skill?: string | undefined;
}

/** Ratings, courses and sums of the shots, over a year unless the filter says otherwise. */
export const playerProgressQuery = (id: string, filter: ProgressFilter = {}) =>
  queryOptions({
    queryKey: ['players', id, 'progress', filter],
    queryFn: () => get(`/players/${id}/progress?${addressed({ ...filter })}`, progressSchema),
    placeholderData: keepPreviousData,
  });

/** Drills that a player could practise next. */
export const nextDrillsQuery = (id: string) =>
  queryOptions({
    queryKey: ['players', id, 'next'],
    queryFn: () => get(`/players/${id}/next`, proposalsSchema),
  });

const personSchema = object({
  name: string().required(),
  hand: string().required(),
  email: string().nullable().defined(),
}).required();

/** What of a player can be put right. */
export const personQuery = (id: string) =>
  queryOptions({
    queryKey: ['players', id, 'person'],
    queryFn: () => get(`/players/${id}/person`, personSchema),
  });
