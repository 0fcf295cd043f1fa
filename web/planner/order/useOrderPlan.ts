import { useEffect, useRef, useState } from 'react';
import { planInWorker } from '../../workers/order.ts';
import type { OrderAsked, OrderTold } from '../../workers/orderProtocol.ts';

/** What is known of the question that is asked now. */
export interface OrderPlanning {
  readonly answer: OrderTold | undefined;
  readonly running: boolean;
  readonly failed: Error | undefined;
  readonly stop: () => void;
}

interface Held {
  readonly key: string;
  readonly answer: OrderTold | undefined;
  readonly running: boolean;
  readonly failed: Error | undefined;
}

/**
 * Plans an order, roughly at once and then finely; another question takes the place of the one under way.
 * @param key tells questions apart; undefined plans nothing
 */
export function useOrderPlan(key: string | undefined, asked: OrderAsked): OrderPlanning {
  const [held, setHeld] = useState<Held>();
  const question = useRef(asked);
  const stop = useRef<() => void>(() => undefined);
  useEffect(() => {
    question.current = asked;
  });
  useEffect(() => {
    if (key === undefined) return;
    let gone = false;
    const put = (change: Omit<Held, 'key'>) => {
      if (!gone) setHeld({ key, ...change });
    };
    const planning = planInWorker(question.current, (answer) =>
      put({ answer, running: true, failed: undefined }),
    );
    planning.answer.then(
      (answer) => put({ answer, running: false, failed: undefined }),
      (error: unknown) =>
        put({
          answer: undefined,
          running: false,
          failed: error instanceof Error ? error : new Error(String(error)),
        }),
    );
    const end = () => {
      gone = true;
      planning.stop();
    };
    stop.current = () => {
      end();
      setHeld((now) =>
        now?.key === key
          ? { ...now, running: false }
          : { key, answer: undefined, running: false, failed: undefined },
      );
    };
    return end;
  }, [key]);
  const own = held?.key === key ? held : undefined;
  return {
    answer: own?.answer,
    running: key !== undefined && (own === undefined || own.running),
    failed: own?.failed,
    stop: () => stop.current(),
  };
}
