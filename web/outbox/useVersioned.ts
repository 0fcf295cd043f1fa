import { useCallback, useEffect, useRef, useSyncExternalStore } from 'react';
import type { DocumentStore, Saving, Versioned } from './documentStore.ts';

export interface Edited<D> {
  /** As it was changed here, else as it is stored; undefined while that is not known. */
  readonly document: D | undefined;
  readonly saving: Saving;
  /** Why the server would not take it. */
  readonly refusal: string;
  readonly change: (next: D) => void;
  readonly settle: (keep: 'mine' | 'theirs') => Promise<void>;
  readonly again: () => void;
  /** Waits until what was changed is stored. */
  readonly flush: () => Promise<void>;
}

/** A document that is worked on here. @param stored as the server has it @param onStored a version that it has taken */
export function useVersioned<D, R extends Versioned<D>>(
  store: DocumentStore<D, R>,
  id: string,
  stored: R | undefined,
  onStored: (stored: R) => void,
): Edited<D> {
  const unsaved = useSyncExternalStore(store.subscribe, () => store.unsaved(id));
  const latest = useRef({ stored, onStored });
  useEffect(() => {
    latest.current = { stored, onStored };
  });
  useEffect(
    () =>
      store.onStored((of, next) => {
        if (of === id) latest.current.onStored(next);
      }),
    [store, id],
  );
  const change = useCallback(
    (next: D) => {
      const from = latest.current.stored;
      if (from !== undefined) store.change(id, from, next);
    },
    [store, id],
  );
  return {
    document: unsaved?.mine ?? stored?.document,
    saving: unsaved?.saving ?? 'saved',
    refusal: unsaved?.refusal ?? '',
    change,
    settle: (keep) => store.settle(id, keep),
    again: () => store.again(id),
    flush: () => store.flush(id),
  };
}
