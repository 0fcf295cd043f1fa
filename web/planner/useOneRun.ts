import { useEffect, useRef, useState } from 'react';
import type { Running } from '../workers/oneRun.ts';

/** Where a run stands: what share is done, 0…1, what it looks like at first, and what came of it. */
interface Run<T> {
  readonly key: string;
  readonly share: number;
  readonly first?: T | undefined;
  readonly answer?: T;
  readonly failed?: string;
}

const isOpen = ({ answer, failed }: Run<unknown>) => answer === undefined && failed === undefined;

/** A computation that is asked for by hand, with progress, and can be stopped. */
export interface OneRun<T> {
  readonly share: number;
  readonly isRunning: boolean;
  readonly isBegun: boolean;
  /** What is known before the answer is there, where a computation tells it. */
  readonly first: T | undefined;
  readonly answer: T | undefined;
  readonly failed: string | undefined;
  readonly start: () => void;
  readonly stop: () => void;
}

/** @param key what the question is: with another one nothing is known, and a run for the former ends */
export function useOneRun<T>(
  key: string,
  begin: (onShare: (share: number, first?: NoInfer<T>) => void) => Running<T>,
): OneRun<T> {
  const [run, setRun] = useState<Run<T>>();
  const end = useRef<() => void>(() => undefined);
  useEffect(() => () => end.current(), [key]);
  const now = run?.key === key ? run : undefined;
  return {
    share: now?.share ?? 0,
    isRunning: now !== undefined && isOpen(now),
    isBegun: now !== undefined,
    first: now?.first,
    answer: now?.answer,
    failed: now?.failed,
    start: () => {
      end.current();
      setRun({ key, share: 0 });
      // Progress may be told after the answer: what is there stays.
      const working = begin((share, first) =>
        setRun((now) => (now?.key === key && isOpen(now) ? { key, share, first: first ?? now.first } : now)),
      );
      working.answer.then(
        (answer) => setRun({ key, share: 1, answer }),
        (error: unknown) =>
          setRun({ key, share: 1, failed: error instanceof Error ? error.message : String(error) }),
      );
      end.current = working.stop;
    },
    stop: () => {
      end.current();
      setRun(undefined);
    },
  };
}
