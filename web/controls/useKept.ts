import { useCallback, useState } from 'react';

/**
 * Something half done that is kept on this device until it is saved or thrown away.
 * @param key under which it is kept; of one person
 * @param read undefined for what cannot be read
 */
export function useKept<T>(
  key: string,
  read: (value: unknown) => T | undefined,
): readonly [T | undefined, (next: T | undefined) => void] {
  const [kept, setKept] = useState(() => {
    try {
      return read(JSON.parse(localStorage.getItem(key) ?? 'null'));
    } catch {
      return undefined;
    }
  });
  const keep = useCallback(
    (next: T | undefined) => {
      setKept(next);
      try {
        if (next === undefined) localStorage.removeItem(key);
        else localStorage.setItem(key, JSON.stringify(next));
      } catch (error) {
        // Without room on the device it lasts as long as this page.
        if (!(error instanceof DOMException)) throw error;
      }
    },
    [key],
  );
  return [kept, keep];
}
