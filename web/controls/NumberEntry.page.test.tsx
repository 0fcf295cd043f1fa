import { MantineProvider } from '@mantine/core';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { entryOf } from './entryOf.ts';
import { NumberEntry } from './NumberEntry.tsx';

describe('a number as it is typed', () => {
  it.each([
    ['1905', 1905],
    ['12,5', 12.5],
    [' 12.5 ', 12.5],
    ['1 905', 1905],
    ['-3', -3],
    ['−3', -3],
    ['.5', 0.5],
    ['7,', 7],
  ])('%s is read', (typed, value) => {
    expect(entryOf(typed, {})).toEqual({ kind: 'number', value });
  });

  it.each(['', 'abc', '1.2.3', '1,2,3', '--1', '1e5', 'Infinity', '12mm'])('“%s” is refused', (typed) => {
    expect(entryOf(typed, {}).kind).toBe('refused');
  });

  it('has to lie within its bounds, which are told', () => {
    expect(entryOf('3000', { min: 0, max: 2540 })).toEqual({ kind: 'refused', words: 'From 0 to 2540' });
    expect(entryOf('-1', { min: 0 })).toEqual({ kind: 'refused', words: 'At least 0' });
    expect(entryOf('9', { max: 8 })).toEqual({ kind: 'refused', words: 'At most 8' });
    expect(entryOf('2540', { min: 0, max: 2540 })).toEqual({ kind: 'number', value: 2540 });
    expect(entryOf('2.5', { whole: true })).toEqual({ kind: 'refused', words: 'A whole number' });
    expect(entryOf('2,0', { whole: true })).toEqual({ kind: 'number', value: 2 });
  });
});

beforeAll(() => {
  vi.stubGlobal('matchMedia', () => ({
    matches: false,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }));
});
afterEach(cleanup);

describe('the field of a number', () => {
  const rendered = () => {
    const entered: number[] = [];
    render(
      <MantineProvider>
        <NumberEntry
          label="From the head"
          value={28.6}
          digits={1}
          min={0}
          max={2540}
          onEnter={(value) => entered.push(value)}
        />
      </MantineProvider>,
    );
    const field = screen.getByRole<HTMLInputElement>('textbox', { name: 'From the head' });
    const type = (text: string) => fireEvent.change(field, { target: { value: text } });
    return { entered, field, type };
  };

  it('takes nothing before the entry is finished', () => {
    const { entered, field, type } = rendered();
    for (const text of ['1', '19', '190', '1905']) type(text);
    expect(entered).toEqual([]);
    fireEvent.keyDown(field, { key: 'Enter' });
    expect(entered).toEqual([1905]);
    // Leaving it afterwards enters nothing a second time.
    fireEvent.blur(field);
    expect(entered).toEqual([1905]);
  });

  it('keeps what it cannot take and says why, until it is put right or taken back', () => {
    const { entered, field, type } = rendered();
    type('30000');
    fireEvent.blur(field);
    expect(entered).toEqual([]);
    expect(field.value).toBe('30000');
    expect(screen.getByText('From 0 to 2540')).toBeDefined();
    fireEvent.keyDown(field, { key: 'Escape' });
    expect(field.value).toBe('28.6');
    expect(screen.queryByText('From 0 to 2540')).toBeNull();
  });

  it('enters nothing where nothing was changed', () => {
    const { entered, field, type } = rendered();
    fireEvent.blur(field);
    type('28.6');
    fireEvent.blur(field);
    expect(entered).toEqual([]);
  });
});

describe('a number that may be left out', () => {
  const shown = (live = false) => {
    const told: (number | null)[] = [];
    render(
      <MantineProvider>
        <NumberEntry
          label="Points"
          whole
          live={live}
          value={7}
          min={0}
          max={20}
          onEnter={(value) => told.push(value)}
          onClear={() => told.push(null)}
        />
      </MantineProvider>,
    );
    const field = screen.getByRole<HTMLInputElement>('textbox', { name: 'Points' });
    return { told, field, type: (text: string) => fireEvent.change(field, { target: { value: text } }) };
  };

  it('is empty once its entry is taken out', () => {
    const { told, field, type } = shown();
    type('');
    expect(told).toEqual([]);
    fireEvent.blur(field);
    expect(told).toEqual([null]);
  });

  it('tells a form’s button what is typed at once, and that half of it is nothing', () => {
    const { told, type } = shown(true);
    type('1');
    type('14');
    type('141');
    expect(told).toEqual([1, 14, null]);
  });

  it('goes up and down by the arrow keys, within its bounds', () => {
    const { told, field, type } = shown();
    fireEvent.keyDown(field, { key: 'ArrowUp' });
    type('20');
    fireEvent.keyDown(field, { key: 'ArrowUp' });
    type('0');
    fireEvent.keyDown(field, { key: 'ArrowDown' });
    expect(told).toEqual([8, 20, 0]);
  });
});
