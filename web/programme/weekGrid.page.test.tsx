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
      panel={({ id }) => `panel of ${id}`}
    />,
  );
}

function entries(): readonly [HTMLElement, HTMLElement] {
  const [ticked, open] = screen.getAllByRole('button', { name: /^The harbour-turn/ });
  if (ticked === undefined || open === undefined) throw new Error('two entries are planned');
  return [ticked, open];
}

it.each([true, false])('an entry opens where it stands, whether it may be moved (%s) or not', (editable) => {
  showWeek(editable);
  const [ticked, open] = entries();
  expect([ticked, open].map((entry) => entry.getAttribute('aria-expanded'))).toEqual(['false', 'true']);
  expect(screen.getByText('panel of b')).toBeTruthy();
  fireEvent.click(ticked);
  expect(onChoose).toHaveBeenCalledWith('a');
});

it('the keyboard moves an entry by a day or a week, and says where it is now', () => {
  showWeek(true);
  const [, open] = entries();
  fireEvent.keyDown(open, { key: 'ArrowRight', altKey: true });
  expect(onMove).toHaveBeenLastCalledWith('b', '2026-11-28');
  expect(screen.getByText('Moved to Saturday 28 November')).toBeTruthy();
  fireEvent.keyDown(open, { key: 'ArrowLeft', altKey: true });
  expect(onMove).toHaveBeenLastCalledWith('b', '2026-11-26');
  // A plain arrow scrolls, as everywhere.
  fireEvent.keyDown(open, { key: 'ArrowRight' });
  expect(onMove).toHaveBeenCalledTimes(2);
});

it('no entry leaves the programme, and who only reads it moves nothing', () => {
  showWeek(true);
  const [, open] = entries();
  fireEvent.keyDown(open, { key: 'ArrowUp', altKey: true });
  fireEvent.keyDown(open, { key: 'ArrowDown', altKey: true });
  expect(onMove).not.toHaveBeenCalled();
  cleanup();
  showWeek(false);
  fireEvent.keyDown(entries()[1], { key: 'ArrowRight', altKey: true });
  expect(onMove).not.toHaveBeenCalled();
});
