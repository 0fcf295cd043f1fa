import { get as read, set as write } from 'idb-keyval';
import { openRoundSchema, type OpenRound } from '../../core/records/openRound.ts';
import type { NewRound } from '../../core/records/round.ts';
import { get, OfflineError } from '../api/client.ts';
import { inOrder, keep, recovered, waitingOn } from './outbox.ts';
import type { Person, Sending } from './sending.ts';

/** The device's own copy of a round: what is shown when the server is not reached. */

const keyOf = (person: Person, id: string) => `round:${person.id}:${id}`;

/** The server has so long to give a round before the device's own copy is shown, ms. */
const ANSWER_WITHIN_MS = 5_000;

export const topicOfRound = (id: string) => `round:${id}`;

export function keepCopy(person: Person, open: OpenRound): Promise<void> {
  return inOrder(() => write(keyOf(person, open.round.id), open));
}

async function readCopy(person: Person, id: string): Promise<OpenRound | undefined> {
  const stored: unknown = await read(keyOf(person, id));
  // What an older version of the application kept is on the server by now, or is sent from the outbox.
  return openRoundSchema.isValidSync(stored) ? stored : undefined;
}

/** Opens a round on this device and queues it for the server; it can be scored at once. */
export function openRound(open: OpenRound, person: Person): Promise<void> {
  const { round } = open;
  const body: NewRound = {
    playerId: round.player.id,
    tableId: round.table.id,
    tableRevision: round.table.revision,
    conditionsId: round.table.conditionsId,
    drill: round.drill,
    revision: round.revision,
    stage: round.stage,
    ladderStart: round.ladderStart,
    seed: round.seed,
    mirrored: round.mirrored,
    lesson: round.lesson,
    startedAt: round.startedAt,
  };
  const copied = keepCopy(person, open);
  const { stored } = keep(person, [
    {
      topic: topicOfRound(round.id),
      method: 'PUT',
      path: `/rounds/${round.id}`,
      body,
      label: `The round of ${round.player.name}`,
    },
  ]);
  return Promise.all([copied, stored]).then(() => undefined);
}

/** A round, and what this device has told of it that the server had not acknowledged when it was asked. */
export interface LoadedRound {
  readonly open: OpenRound;
  readonly waiting: readonly Sending[];
}

/** The round as the server has it; where it is not reached, or has not heard of it yet, as this device knows it. */
export async function loadRound(id: string, person: Person): Promise<LoadedRound> {
  await recovered();
  const waiting = await waitingOn(topicOfRound(id));
  const copy = await readCopy(person, id);
  const unheard = waiting.some(({ path }) => path === `/rounds/${id}`);
  if (unheard && copy !== undefined) return { open: copy, waiting };
  try {
    const limit = copy === undefined ? {} : { withinMs: ANSWER_WITHIN_MS };
    return { open: await get(`/rounds/${id}`, openRoundSchema, limit), waiting };
  } catch (error) {
    if (copy !== undefined && error instanceof OfflineError) return { open: copy, waiting };
    throw error;
  }
}
