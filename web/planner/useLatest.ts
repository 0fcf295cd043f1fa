import { useEffect, useRef, useState } from 'react';

/** An answer, and whether it is that to the present question. */
export interface Latest<A> {
  readonly answer: A | undefined;
  readonly current: boolean;
  readonly failed: Error | undefined;
}

/**
 * Asks a worker about what changes faster than it answers: one question is under way at a time, and of those that come up
 * meanwhile only the last is asked next. The answer before stays until the new one is there.
 * @param key tells questions apart; undefined asks nothing
 */
export function useLatest<A>(key: string | undefined, ask: () => Promise<A>): Latest<A> {
  const [known, setKnown] = useState<{ key: string; answer?: A; failed?: Error }>();
  const wanted = useRef<{ key: string; ask: () => Promise<A> } | undefined>(undefined);
  const asking = useRef(ask);
  const busy = useRef(false);
  const gone = useRef(false);
  const here = () => !gone.current;

  useEffect(() => {
    gone.current = false;
    return () => {
      gone.current = true;
    };
  }, []);

  useEffect(() => {
    asking.current = ask;
  });

  useEffect(() => {
    wanted.current = key === undefined ? undefined : { key, ask: asking.current };
    if (busy.current || wanted.current === undefined) return;
    busy.current = true;
    void (async () => {
      let asked: string | undefined;
      while (wanted.current !== undefined && wanted.current.key !== asked && here()) {
        const question = wanted.current;
        asked = question.key;
        try {
          const answer = await question.ask();
          if (here()) setKnown({ key: question.key, answer });
        } catch (error) {
          if (here())
            setKnown({
              key: question.key,
              failed: error instanceof Error ? error : new Error(String(error)),
            });
        }
      }
      busy.current = false;
    })();
  }, [key]);

  return {
    answer: key === undefined ? undefined : known?.answer,
    current: known?.key === key,
    failed: known?.key === key ? known?.failed : undefined,
  };
}
