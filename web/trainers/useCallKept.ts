import { useCallback, useEffect, useRef } from 'react';
import type { CallQuestion } from '../../core/judgement/question.ts';
import { writtenAnswer } from '../../core/records/call.ts';
import type { Person } from '../outbox/sending.ts';
import { callReducer, type CallState } from './callState.ts';
import { keepCall } from './keepCall.ts';

/**
 * Keeps each call once: when it is revealed, and also when somebody leaves after committing to it. Else only those would
 * count that people dared to look at.
 * @returns keeps a call that is committed
 */
export function useCallKept(state: CallState, person: Person, playerId: string | null): () => void {
  const done = useRef(new WeakSet<CallQuestion>());
  const keepNow = useRef<() => void>(() => undefined);
  useEffect(() => {
    keepNow.current = () => {
      const told = callReducer(state, { kind: 'reveal' });
      if (told.step !== 'revealed' || playerId === null || done.current.has(told.question)) return;
      done.current.add(told.question);
      keepCall(person, {
        playerId,
        kind: told.question.kind,
        preset: told.question.shot.table.preset.id,
        source: told.source,
        answer: writtenAnswer(told.answer),
        score: told.score,
        coach: told.coach && { answer: writtenAnswer(told.coach.answer), score: told.coach.score },
        calledAt: new Date().toISOString(),
      });
    };
  });
  useEffect(() => {
    const leave = () => keepNow.current();
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, []);
  return useCallback(() => keepNow.current(), []);
}
