import { useState } from 'react';

/** A watch: pressed once it runs, pressed again it tells the seconds. */
export function useStopwatch(onTold: (seconds: number) => void) {
  const [since, setSince] = useState<number>();
  return {
    isRunning: since !== undefined,
    press: () => {
      if (since === undefined) {
        setSince(performance.now());
        return;
      }
      setSince(undefined);
      onTold((performance.now() - since) / 1_000);
    },
  };
}
