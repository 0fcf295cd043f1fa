import { MantineProvider } from '@mantine/core';
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { NoteEditor } from './NoteEditor.tsx';

beforeAll(() => {
  // What Mantine asks of a browser and jsdom does not have.
  vi.stubGlobal('matchMedia', () => ({
    matches: false,
    addEventListener: vi.fn(),
    removeEventListener: vi.fn(),
  }));
});
afterEach(cleanup);

describe('a note', () => {
  it('follows a newer version that comes after the one kept on the device, and tells nobody of it', () => {
    const told: string[] = [];
    const note = (html: string) => (
      <MantineProvider>
        <NoteEditor label="Notes" html={html} editable onChange={(next) => told.push(next)} />
      </MantineProvider>
    );
    const { rerender } = render(note(''));
    expect(screen.getByRole('textbox', { name: 'Notes' }).textContent).toBe('');
    rerender(note('<p>Let the cue go through.</p>'));
    expect(screen.getByRole('textbox', { name: 'Notes' }).textContent).toBe('Let the cue go through.');
    expect(told).toEqual([]);
  });
});
