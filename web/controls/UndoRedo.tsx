import { Button } from '@mantine/core';
import { useUndoKeys } from './useUndoKeys.ts';

interface UndoRedoProps {
  readonly past: readonly unknown[];
  readonly future: readonly unknown[];
  readonly onUndo: () => void;
  readonly onRedo: () => void;
  readonly size?: 'xs' | 'sm';
}

/** A step back and a step forth, as far as there are any; the keys for them are the same on every page. */
export function UndoRedo({ past, future, onUndo, onRedo, size = 'xs' }: UndoRedoProps) {
  useUndoKeys({ onUndo, onRedo });
  return (
    <>
      <Button size={size} variant="default" disabled={past.length === 0} onClick={onUndo} title="Ctrl Z">
        Undo
      </Button>
      <Button
        size={size}
        variant="default"
        disabled={future.length === 0}
        onClick={onRedo}
        title="Ctrl Shift Z"
      >
        Redo
      </Button>
    </>
  );
}
