import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { PadAction } from './padAction.ts';
import { useKeys } from './useKeys.ts';

const potted = vi.fn();
const missed = vi.fn();
const ACTIONS: readonly PadAction[] = [
  { key: ' ', label: 'Potted', run: potted },
  { key: 'x', label: 'Missed', run: missed },
  { key: 'r', label: 'Redo', run: missed, disabled: true },
];

function Pad({ paused = false, arrows = false }: { readonly paused?: boolean; readonly arrows?: boolean }) {
  useKeys(ACTIONS, {
    paused,
    ...(arrows ? { onArrow: (event: KeyboardEvent) => event.key.startsWith('Arrow') } : {}),
  });
  return (
    <>
      <label>
        Note <input />
      </label>
      <button type="button">Luck</button>
    </>
  );
}

beforeEach(() => vi.clearAllMocks());
afterEach(cleanup);

describe('the keys of the scoring screen', () => {
  it('do what their buttons do, in small and capital letters', () => {
    render(<Pad />);
    fireEvent.keyDown(document.body, { key: ' ' });
    fireEvent.keyDown(document.body, { key: 'X' });
    expect([potted.mock.calls.length, missed.mock.calls.length]).toEqual([1, 1]);
  });

  it('are left alone while something is typed, and with Ctrl', () => {
    render(<Pad />);
    fireEvent.keyDown(screen.getByLabelText('Note'), { key: 'x' });
    fireEvent.keyDown(document.body, { key: 'x', ctrlKey: true });
    expect(missed).not.toHaveBeenCalled();
  });

  it('leave Space and Enter to a button that has the focus, and take letters there', () => {
    render(<Pad />);
    const luck = screen.getByRole('button', { name: 'Luck' });
    fireEvent.keyDown(luck, { key: ' ' });
    expect(potted).not.toHaveBeenCalled();
    fireEvent.keyDown(luck, { key: 'x' });
    expect(missed).toHaveBeenCalledTimes(1);
  });

  it('wait while a dialog is open, and what is disabled stays so', () => {
    const { rerender } = render(<Pad paused />);
    fireEvent.keyDown(document.body, { key: 'x' });
    expect(missed).not.toHaveBeenCalled();
    rerender(<Pad />);
    fireEvent.keyDown(document.body, { key: 'r' });
    expect(missed).not.toHaveBeenCalled();
    fireEvent.keyDown(document.body, { key: 'x' });
    expect(missed).toHaveBeenCalledTimes(1);
  });

  it('keep the page from scrolling when an arrow moves the cross', () => {
    render(<Pad arrows />);
    // fireEvent tells whether the default was left to the browser.
    expect(fireEvent.keyDown(document.body, { key: 'ArrowUp' })).toBe(false);
    expect(fireEvent.keyDown(document.body, { key: 'Tab' })).toBe(true);
  });
});
