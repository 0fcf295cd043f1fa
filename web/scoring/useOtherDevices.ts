import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { openRoundSchema, type OpenRound } from '../../core/records/openRound.ts';
import type { Conflict } from '../../core/records/storedAttempt.ts';
import { call, get } from '../api/client.ts';
import { isWaiting } from '../outbox/outbox.ts';
import type { Scoring } from './scoring.ts';

/** How often the server is asked whether another device has scored, ms. */
const ASK_EVERY_MS = 3_000;

/** What tells two states of a round apart. */
export function markOf({
  attempts,
  underWay,
  ended,
}: Pick<Scoring, 'attempts' | 'underWay' | 'ended'>): string {
  return JSON.stringify([
    attempts.map(({ id, log, changed }) => [id, log, changed?.reason]),
    underWay,
    ended === null ? null : ended.early,
  ]);
}

/**
 * What other devices do with the round that is scored here: while nothing of this device waits to be sent, the server's
 * state is taken over; second entries for a shot are told, for the coach to settle.
 */
export function useOtherDevices(
  open: OpenRound,
  /** Counts what was entered here. */
  entries: () => number,
  onChange: (theirs: OpenRound) => void,
) {
  const { id } = open.round;
  const queries = useQueryClient();
  const queryKey = ['round', id, 'elsewhere'];
  const elsewhere = useQuery({
    queryKey,
    // What was sent after the question was asked makes its answer stale: it is not taken.
    queryFn: async () => {
      const before = entries();
      if (await isWaiting(id)) return null;
      const answer = await get(`/rounds/${id}`, openRoundSchema);
      return entries() === before ? { answer, before } : null;
    },
    refetchInterval: ASK_EVERY_MS,
    gcTime: 0,
    retry: false,
  });
  const theirs = elsewhere.data?.answer;
  const latest = useRef(onChange);
  const current = useRef(entries);
  useEffect(() => {
    latest.current = onChange;
    current.current = entries;
  });
  useEffect(() => {
    const data = elsewhere.data;
    if (data === undefined || data === null || data.before !== current.current()) return;
    latest.current(data.answer);
  }, [elsewhere.data]);

  async function settle(conflict: Conflict, keep: 'stored' | 'other') {
    const reply = await call('POST', `/rounds/${id}/attempts/${conflict.attempt.id}/settle`, { keep });
    queries.setQueryData(queryKey, {
      answer: await openRoundSchema.validate(reply),
      before: entries(),
    });
  }

  return { conflicts: theirs?.conflicts ?? open.conflicts, settle };
}
