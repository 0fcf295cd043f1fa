import { useEffect, useRef } from 'react';

const TYPED_IN = 'input, textarea, select, [contenteditable="true"]';

interface UndoKeys {
  readonly onUndo: () => void;
  readonly onRedo: () => void;
  /** Whether something else has the keys now, as an open dialog. */
  readonly paused?: boolean;
}

/**
 * One habit on every page: Ctrl or Command with Z takes a step back, with Shift, or with Y, forth again. In a field that is
 * typed in they are the field's own.
 */
export function useUndoKeys({ onUndo, onRedo, paused = false }: UndoKeys): void {
  const latest = useRef({ onUndo, onRedo, paused });
  useEffect(() => {
    latest.current = { onUndo, onRedo, paused };
  });
  useEffect(() => {
    function onKey(event: KeyboardEvent) {
      if (latest.current.paused || event.defaultPrevented || event.altKey) return;
      if (!event.ctrlKey && !event.metaKey) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      if (event.target instanceof HTMLElement && event.target.closest(TYPED_IN) !== null) return;
      event.preventDefault();
      if (key === 'y' || event.shiftKey) latest.current.onRedo();
      else latest.current.onUndo();
    }
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
