// @vitest-environment jsdom
import { MantineProvider } from '@mantine/core';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { ItemState } from '../../core/programme/donePlanned.ts';
import { item, programme } from '../testing/programme.ts';
import { WeekGrid } from './WeekGrid.tsx';

const { document: plan } = programme([
  item('a'),
  item('b', { day: '2026-11-27', kind: 'homework' }),
]).programme;
const onChoose = vi.fn();
const onMove = vi.fn();

beforeEach(() => {
  vi.stubGlobal('matchMedia', () => ({
    matches: false,
    addEventListener: vi.fn(),
    removeEventListener: vi.fn(),
  }));
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  vi.clearAllMocks();
});

function show(editable: boolean): void {
  const states = new Map<string, ItemState>([
    ['a', { kind: 'ticked' }],
    ['b', { kind: 'open' }],
  ]);
  render(
    <MantineProvider env="test">
      <WeekGrid
        document={plan}
        states={states}
        today="2026-11-25"
        titleOf={(drill) => `The ${drill}`}
        chosen="b"
        editable={editable}
        onChoose={onChoose}
        onMove={onMove}
      />
    </MantineProvider>,
  );
}

it.each([true, false])('an entry can be chosen, whether it may be dragged (%s) or not', (editable) => {
  show(editable);
  const [ticked, open] = screen.getAllByRole('button', { name: /^The harbour-turn/ });
  if (ticked === undefined || open === undefined) throw new Error('two entries are planned');
  for (const entry of [ticked, open]) expect(entry.getAttribute('aria-disabled')).not.toBe('true');
  expect([ticked, open].map((entry) => entry.getAttribute('aria-pressed'))).toEqual(['false', 'true']);
  fireEvent.click(ticked);
  expect(onChoose).toHaveBeenCalledWith('a');
});

it('only what may be dragged says that it can be', () => {
  show(true);
  expect(screen.getAllByRole('button')[0]?.getAttribute('aria-roledescription')).toBe('draggable');
  cleanup();
  show(false);
  expect(screen.getAllByRole('button')[0]?.getAttribute('aria-roledescription')).toBeNull();
});
