import { useEffect, useRef } from 'react';
import type { PadAction } from './padAction.ts';

const TYPED_IN = 'input, textarea, select, [contenteditable="true"], [role="combobox"]';

/** The single keys of the screen: those of the actions, while nothing is typed and no dialog is open. */
export function useKeys(
  actions: readonly PadAction[],
  { paused, onArrow }: { readonly paused: boolean; readonly onArrow?: (event: KeyboardEvent) => boolean },
): void {
  const latest = useRef({ actions, paused, onArrow });
  useEffect(() => {
    latest.current = { actions, paused, onArrow };
  });
  useEffect(() => {
    function onKey(event: KeyboardEvent) {
      const now = latest.current;
      if (now.paused || event.ctrlKey || event.metaKey) return;
      const isIn = (selector: string) =>
        event.target instanceof HTMLElement && event.target.closest(selector) !== null;
      if (isIn(TYPED_IN) || isIn('[role="dialog"]')) return;
      // A focused button is pressed by the browser itself.
      const onButton = isIn('button, a');
      if (onButton && (event.key === ' ' || event.key === 'Enter')) return;
      if (now.onArrow?.(event) === true) {
        event.preventDefault();
        return;
      }
      const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
      const action = now.actions.find((each) => each.key === key && each.disabled !== true);
      if (action === undefined) return;
      event.preventDefault();
      action.run();
    }
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
