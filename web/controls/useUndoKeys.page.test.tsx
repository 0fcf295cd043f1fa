import { cleanup, fireEvent, render } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { useUndoKeys } from './useUndoKeys.ts';

afterEach(cleanup);

const done: string[] = [];
function Page({ paused = false }: { readonly paused?: boolean }) {
  useUndoKeys({ onUndo: () => done.push('undo'), onRedo: () => done.push('redo'), paused });
  return (
    <>
      <input aria-label="Title" />
      <button
        type="button"
        onKeyDown={(event) => {
          if (event.ctrlKey) event.preventDefault();
        }}
      >
        With keys of its own
      </button>
    </>
  );
}
const pressed = (on: Element | Document, ...keys: Partial<KeyboardEvent>[]) => {
  done.length = 0;
  for (const key of keys) fireEvent.keyDown(on, key);
  return [...done];
};

it('is the same everywhere: Z takes back, with Shift or Y forth again, by Ctrl or Command', () => {
  const { container } = render(<Page />);
  expect(
    pressed(
      container,
      { key: 'z', ctrlKey: true },
      { key: 'Z', ctrlKey: true, shiftKey: true },
      { key: 'y', ctrlKey: true },
      { key: 'z', metaKey: true },
      { key: 'z' },
      { key: 'z', ctrlKey: true, altKey: true },
    ),
  ).toEqual(['undo', 'redo', 'redo', 'undo']);
});

it('leaves a field its own, and does nothing twice or while something else has the keys', () => {
  const { container, rerender } = render(<Page />);
  const field = container.querySelector('input');
  const button = container.querySelector('button');
  if (field === null || button === null) throw new Error('both are shown');
  expect(pressed(field, { key: 'z', ctrlKey: true })).toEqual([]);
  expect(pressed(button, { key: 'z', ctrlKey: true })).toEqual([]);
  rerender(<Page paused />);
  expect(pressed(container, { key: 'z', ctrlKey: true })).toEqual([]);
});
