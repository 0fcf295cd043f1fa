import { queryOptions, type QueryClient } from '@tanstack/react-query';
import { tickSchema, type ProgrammeWithRounds } from '../../core/records/programme.ts';
import { programmeQuery } from '../api/programmes.ts';
import { get } from '../api/client.ts';
import { programmeWithRoundsSchema } from '../../core/records/programme.ts';
import { keep, waitingOn } from './outbox.ts';
import type { Person, Sending } from './sending.ts';

const topicOf = (programme: string) => `programme:${programme}`;

function withTick(
  programme: ProgrammeWithRounds,
  item: string,
  done: boolean,
  at: string,
): ProgrammeWithRounds {
  const others = programme.programme.ticks.filter((tick) => tick.item !== item);
  const ticks = done ? [...others, { item, at }] : others;
  return { ...programme, programme: { ...programme.programme, ticks } };
}

/** Lays the ticks that wait over what the server has. */
export function withWaitingTicks(
  programme: ProgrammeWithRounds,
  waiting: readonly Sending[],
): ProgrammeWithRounds {
  return waiting.reduce((before, { path, body, at }) => {
    const item = path.split('/').at(-2);
    if (item === undefined || !tickSchema.isValidSync(body)) return before;
    return withTick(before, item, body.done, at);
  }, programme);
}

/** A programme with the rounds of its weeks, and the ticks of this device that wait. */
export const tickedProgrammeQuery = (id: string) =>
  queryOptions({
    ...programmeQuery(id),
    queryFn: async () => {
      const waiting = await waitingOn(topicOf(id));
      return withWaitingTicks(await get(`/programmes/${id}`, programmeWithRoundsSchema), waiting);
    },
  });

/** Ticks an entry off, or takes the tick back: seen at once, kept until the server has it. */
export function tickItem(
  queries: QueryClient,
  person: Person,
  id: string,
  item: string,
  done: boolean,
): void {
  const { queryKey } = programmeQuery(id);
  keep(person, [
    {
      topic: topicOf(id),
      method: 'PUT',
      path: `/programmes/${id}/items/${item}/done`,
      body: { done },
      label: done ? 'A tick' : 'A tick taken back',
    },
  ]);
  // An answer that is on its way does not know of it.
  void queries.cancelQueries({ queryKey });
  queries.setQueryData(
    queryKey,
    (before) => before && withTick(before, item, done, new Date().toISOString()),
  );
}
