// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import type { ItemState } from '../../core/programme/donePlanned.ts';
import { emptyPage, show } from '../testing/page.tsx';
import { item, programme } from '../testing/programme.ts';
import { WeekGrid } from './WeekGrid.tsx';

const { document: plan } = programme([
  item('a'),
  item('b', { day: '2026-11-27', kind: 'homework' }),
]).programme;
const onChoose = vi.fn();
const onMove = vi.fn();

emptyPage();
afterEach(() => vi.clearAllMocks());

function showWeek(editable: boolean): void {
  const states = new Map<string, ItemState>([
    ['a', { kind: 'ticked' }],
    ['b', { kind: 'open' }],
  ]);
  show(
    <WeekGrid
      document={plan}
      states={states}
      today="2026-11-25"
      titleOf={(drill) => `The ${drill}`}
      chosen="b"
      editable={editable}
      onChoose={onChoose}
      onMove={onMove}
    />,
  );
}

it.each([true, false])('an entry can be chosen, whether it may be dragged (%s) or not', (editable) => {
  showWeek(editable);
  const [ticked, open] = screen.getAllByRole('button', { name: /^The harbour-turn/ });
  if (ticked === undefined || open === undefined) throw new Error('two entries are planned');
  for (const entry of [ticked, open]) expect(entry.getAttribute('aria-disabled')).not.toBe('true');
  expect([ticked, open].map((entry) => entry.getAttribute('aria-pressed'))).toEqual(['false', 'true']);
  fireEvent.click(ticked);
  expect(onChoose).toHaveBeenCalledWith('a');
});

it('only what may be dragged says that it can be', () => {
  showWeek(true);
  expect(screen.getAllByRole('button')[0]?.getAttribute('aria-roledescription')).toBe('draggable');
  cleanup();
  showWeek(false);
  expect(screen.getAllByRole('button')[0]?.getAttribute('aria-roledescription')).toBeNull();
});
