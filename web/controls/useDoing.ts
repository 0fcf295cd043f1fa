import { useState } from 'react';

interface Doing {
  readonly busy: boolean;
  /** Why it was not done the last time; empty while nothing is wrong. */
  readonly refused: string;
  /** Does it, and remembers why when it fails: what was typed stays. @returns whether it was done */
  readonly perform: (what: () => Promise<unknown>) => Promise<boolean>;
}

/** Something that a button does, which the server may refuse. */
export function useDoing(): Doing {
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState('');
  async function perform(what: () => Promise<unknown>): Promise<boolean> {
    setBusy(true);
    setRefused('');
    try {
      await what();
      return true;
    } catch (error) {
      setRefused(error instanceof Error ? error.message : 'it was not done');
      return false;
    } finally {
      setBusy(false);
    }
  }
  return { busy, refused, perform };
}
