import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { openRoundSchema, type OpenRound } from '../../core/records/openRound.ts';
import type { Conflict } from '../../core/records/storedAttempt.ts';
import { call, get } from '../api/client.ts';
import { waitingOn } from '../outbox/outbox.ts';
import { topicOfRound } from '../outbox/roundCopy.ts';
import type { Asked, DeviceRound } from './deviceRound.ts';

/** How often the server is asked whether another device has scored, ms. */
const ASK_EVERY_MS = 3_000;
/** An answer that takes longer than this is not waited for, ms. */
const ANSWER_WITHIN_MS = 10_000;

/**
 * Asks the server again and again for the round that is scored here: other devices may have entries in it.
 * @param unconfirmed what was entered here and is not known to be on the server
 * @returns settles which of two entries of a shot stands
 */
export function useServersRound(
  id: string,
  unconfirmed: () => DeviceRound['unconfirmed'],
  onAnswer: (asked: Asked, theirs: OpenRound) => void,
) {
  const questions = useRef(0);
  const latest = useRef({ unconfirmed, onAnswer });
  useEffect(() => {
    latest.current = { unconfirmed, onAnswer };
  });

  /** What is entered here and not acknowledged is looked up before the question goes out, in this order. */
  async function ask(): Promise<Asked> {
    const number = ++questions.current;
    const entered = new Set(latest.current.unconfirmed().map(({ key }) => key));
    const waiting = new Set((await waitingOn(topicOfRound(id))).map((sending) => sending.id));
    return { number, entered, waiting };
  }

  const elsewhere = useQuery({
    queryKey: ['round', id, 'elsewhere'],
    queryFn: async () => {
      const asked = await ask();
      const theirs = await get(`/rounds/${id}`, openRoundSchema, { withinMs: ANSWER_WITHIN_MS });
      return { asked, theirs };
    },
    refetchInterval: ASK_EVERY_MS,
    structuralSharing: false,
    gcTime: 0,
    retry: false,
  });
  useEffect(() => {
    if (elsewhere.data === undefined) return;
    const { asked, theirs } = elsewhere.data;
    latest.current.onAnswer(asked, theirs);
  }, [elsewhere.data]);

  async function settle(conflict: Conflict, keep: 'stored' | 'other') {
    const asked = await ask();
    const reply = await call('POST', `/rounds/${id}/attempts/${conflict.attempt.id}/settle`, { keep });
    const theirs = await openRoundSchema.validate(reply);
    latest.current.onAnswer(asked, theirs);
  }

  return settle;
}
