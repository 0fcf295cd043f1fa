import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useState } from 'react';
import { array, object, string } from 'yup';
import { newCallSchema, type NewCall } from '../../core/records/call.ts';
import { ApiError, call } from '../api/client.ts';
import { playerCallsQuery } from '../api/calls.ts';

const STORAGE_KEY = 'jolly-unsent-calls';

const waitingSchema = array(
  object({ id: string().strict().required(), body: newCallSchema }).required(),
).required();

interface WaitingCall {
  readonly id: string;
  readonly body: NewCall;
}

function read(): readonly WaitingCall[] {
  try {
    return waitingSchema.validateSync(JSON.parse(localStorage.getItem(STORAGE_KEY) ?? '[]'));
  } catch {
    // Something else wrote there, or an older version did: there is nothing that could be sent.
    return [];
  }
}

/** Calls are kept on the device first and sent when they can: one is gone from here once the server has it. */
export function useCallOutbox(): {
  readonly waiting: number;
  readonly keep: (body: NewCall) => void;
  readonly send: () => void;
} {
  const [waiting, setWaiting] = useState(read);
  const queries = useQueryClient();

  const send = useCallback(() => {
    void (async () => {
      for (const { id, body } of read()) {
        try {
          await call('PUT', `/calls/${id}`, body);
        } catch (error) {
          // What the server refuses for good would be refused again; anything else waits.
          if (!(
            error instanceof ApiError &&
            error.status >= 400 &&
            error.status < 500 &&
            error.status !== 401
          ))
            break;
        }
        localStorage.setItem(STORAGE_KEY, JSON.stringify(read().filter((each) => each.id !== id)));
        await queries.invalidateQueries({ queryKey: playerCallsQuery(body.playerId).queryKey });
      }
      setWaiting(read());
    })();
  }, [queries]);

  useEffect(() => {
    send();
    window.addEventListener('online', send);
    return () => window.removeEventListener('online', send);
  }, [send]);

  return {
    waiting: waiting.length,
    keep: (body) => {
      const all = [...read(), { id: crypto.randomUUID(), body }];
      localStorage.setItem(STORAGE_KEY, JSON.stringify(all));
      setWaiting(all);
      send();
    },
    send,
  };
}
