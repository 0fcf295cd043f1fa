import { get as read, set as write } from 'idb-keyval';
import { openRoundSchema, type OpenRound } from '../../core/records/openRound.ts';
import type { AdviceChoice } from '../../core/records/advice.ts';
import type { NewRound } from '../../core/records/round.ts';
import { get, OfflineError } from '../api/client.ts';
import { readJournal, strikeFromJournal, writeToJournal, type JournalEntry } from './journal.ts';
import { enqueue, isWaiting } from './outbox.ts';
import { progressOf, resultIn, type Course } from '../../core/scoring/course.ts';
import { type Change, type Scoring } from '../scoring/scoring.ts';

/** The device's own copy of a round: what is shown after a reload, whatever has been sent by then. */

function key(id: string): string {
  return `round:${id}`;
}

/** One writing after the other, so that the queue has the order of the taps. */
let writing: Promise<void> = Promise.resolve();

function inOrder(work: () => Promise<void>): Promise<void> {
  writing = writing.then(work, work);
  return writing;
}

async function readRound(id: string): Promise<OpenRound | undefined> {
  const stored: unknown = await read(key(id));
  // What an older version of the application kept is on the server by now, or is sent from the outbox.
  return openRoundSchema.isValidSync(stored) ? stored : undefined;
}

/** Opens a round on this device and queues it for the server. */
export function openRound(open: OpenRound): Promise<void> {
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
    lesson: round.lesson,
    startedAt: round.startedAt,
  };
  return inOrder(async () => {
    await write(key(round.id), open);
    await enqueue({
      roundId: round.id,
      method: 'PUT',
      path: `/rounds/${round.id}`,
      body,
      label: `The round of ${round.player.name}`,
    });
  });
}

/** The round as this device knows it while something of it waits to be sent, else as the server has it. */
export async function loadRound(id: string): Promise<OpenRound> {
  await recovered;
  const own = await readRound(id);
  if (own !== undefined && (await isWaiting(id))) return own;
  try {
    return await get(`/rounds/${id}`, openRoundSchema);
  } catch (error) {
    if (own !== undefined && error instanceof OfflineError) return own;
    throw error;
  }
}

/** How a change is told to the server. */
function requestOf(roundId: string, change: Change) {
  const base = `/rounds/${roundId}`;
  switch (change.kind) {
    case 'attempt': {
      const { id, ordinal, log, playedAt } = change.attempt;
      const body = { ordinal, log, playedAt };
      return { method: 'PUT' as const, path: `${base}/attempts/${id}`, body, label: `Shot ${ordinal}` };
    }
    case 'undo':
      return {
        method: 'DELETE' as const,
        path: `${base}/attempts/${change.id}`,
        body: null,
        label: 'Taking a shot back',
      };
    case 'end':
      return {
        method: 'POST' as const,
        path: `${base}/end`,
        body: { endedAt: change.at, early: change.early },
        label: 'The end of the round',
      };
    case 'under way':
      return {
        method: 'PUT' as const,
        path: `${base}/under-way`,
        body: { log: change.log, at: change.at },
        label: 'An attempt under way',
      };
    case 'note':
      return {
        method: 'PUT' as const,
        path: `${base}/attempts/${change.id}/notes`,
        body: { log: change.log },
        label: 'A note on a shot',
      };
    case 'change':
      return {
        method: 'POST' as const,
        path: `${base}/attempts/${change.id}/changes`,
        body: { log: change.log, reason: change.reason, changedAt: change.at },
        label: 'A changed shot',
      };
  }
}

async function store({ open, sendings }: JournalEntry): Promise<void> {
  await write(key(open.round.id), open);
  for (const sending of sendings) await enqueue(sending);
}

/**
 * Keeps a step of scoring on this device and queues its changes. The browser's database takes a moment, in which the
 * page may be closed or loaded anew: the journal has the step at once.
 */
export function keepStep(
  open: OpenRound,
  course: Course,
  scoring: Scoring,
  changes: readonly Change[],
): Promise<void> {
  const round = {
    ...open.round,
    attempts: [...scoring.attempts],
    endedAt: scoring.ended?.at ?? null,
    early: scoring.ended?.early ?? null,
    result: resultIn(progressOf(course, scoring.attempts)),
  };
  const sendings = changes.map((change) => ({ roundId: round.id, ...requestOf(round.id, change) }));
  const entry = { id: crypto.randomUUID(), open: { ...open, round, underWay: scoring.underWay }, sendings };
  writeToJournal(entry);
  return inOrder(async () => {
    await store(entry);
    strikeFromJournal(entry.id);
  });
}

/** Takes up what the page before this one could no longer store; each request may be sent again without harm. */
function recover(): Promise<void> {
  return inOrder(async () => {
    for (const entry of readJournal()) {
      await store(entry);
      strikeFromJournal(entry.id);
    }
  });
}

const recovered = recover();

/** Keeps what became of a proposal. */
export function keepAdvice(open: OpenRound, advice: AdviceChoice): Promise<void> {
  const { id } = open.round;
  return inOrder(async () => {
    await write(key(id), { ...open, round: { ...open.round, advice } });
    await enqueue({
      roundId: id,
      method: 'PUT',
      path: `/rounds/${id}/advice`,
      body: advice,
      label: 'The choice after the round',
    });
  });
}
