import AxeBuilder from '@axe-core/playwright';
import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { startRound } from './lib/actions.ts';
import { signedIn } from './lib/signedIn.ts';

let page: Page;
signedIn((opened) => {
  page = opened;
});

const DIALOG = '[role="dialog"]';

/** Everything that axe has against what is shown; on dark paper only colours are other ones. @param within the part that is looked at */
async function problems(within = 'html'): Promise<string[]> {
  const found: string[] = [];
  for (const scheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme: scheme, reducedMotion: 'reduce' });
    await page.locator(`html[data-mantine-color-scheme="${scheme}"]`).waitFor();
    const axe = new AxeBuilder({ page })
      .include(within)
      .options({ resultTypes: ['violations'], preload: false });
    const { violations } = await (scheme === 'dark' ? axe.withRules(['color-contrast']) : axe).analyze();
    for (const { id, nodes } of violations) {
      found.push(`${scheme}, ${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`);
    }
  }
  await page.emulateMedia({ colorScheme: 'light' });
  return found;
}

const press = (name: string | RegExp) => page.getByRole('button', { name }).first().click();
const dialog = () => page.getByRole('dialog').last();

interface Opened {
  readonly name: string;
  readonly path: string;
  readonly open: () => Promise<unknown>;
}

/** Dialogs, and how each is opened from its page. */
const DIALOGS: readonly Opened[] = [
  { name: 'the palette', path: '/', open: () => page.keyboard.press('Control+k') },
  { name: 'what a page is for', path: '/', open: () => press(/^Help with this page/) },
  { name: 'a drill from a file', path: '/drills', open: () => press('From a file') },
  { name: 'setting a table', path: '/lab/order', open: () => press('Set the table') },
  {
    name: 'correcting a player',
    path: '/players',
    open: async () => {
      await page.getByRole('link', { name: 'Bede Harrow' }).click();
      await press('Correct');
    },
  },
];

describe('an open dialog', () => {
  it.each(DIALOGS)('$name: axe finds nothing, and Escape closes it', async ({ path, open }) => {
    await page.goto(path);
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    await open();
    await dialog().waitFor();
    expect(await problems(DIALOG)).toEqual([]);
    await page.keyboard.press('Escape');
    await page.getByRole('dialog').waitFor({ state: 'detached' });
  });

  it('at the table: how it counts, the keys, ending, and a shot told otherwise', async () => {
    await startRound(page, 'Bede Harrow', 'anchor-drop');
    await page.keyboard.press('x');
    await page.keyboard.press('x');
    expect(await problems()).toEqual([]);
    for (const open of [
      () => press('How it counts'),
      () => page.keyboard.press('?'),
      () => page.keyboard.press('e'),
      () => press(/^shot 1: /),
    ]) {
      await open();
      await dialog().waitFor();
      expect(await problems(DIALOG)).toEqual([]);
      await page.keyboard.press('Escape');
      await page.getByRole('dialog').waitFor({ state: 'detached' });
    }
  });
});

describe('an open list or menu', () => {
  it('of a person, of a drill, of a filter, of a day: axe finds nothing', async () => {
    await page.goto('/drills/harbour-turn');
    await page.getByRole('heading', { level: 1 }).waitFor();
    await press('More');
    await page.getByRole('menu').waitFor();
    expect(await problems('[role="menu"]')).toEqual([]);
    await page.keyboard.press('Escape');
    await press(/^Menu of/);
    await page.getByText('Snooker', { exact: true }).waitFor();
    expect(await problems()).toEqual([]);
    await page.keyboard.press('Escape');
    await page.goto('/drills');
    await page.getByRole('combobox', { name: 'Skill' }).click();
    await page.getByRole('option').first().waitFor();
    expect(await problems('[role="listbox"]')).toEqual([]);
    await page.keyboard.press('Escape');
    await page.goto('/lesson/evening');
    await page.getByLabel('Day', { exact: true }).click();
    await page.getByRole('table').first().waitFor();
    expect(await problems()).toEqual([]);
  });
});

describe('a half-played round', () => {
  it.each([
    ['a clearance', 'two-fleets', ['2']],
    ['a break', 'nine-slow', ['2', 's']],
    ['a kick', 'one-bounce', ['1']],
    ['lives', 'moored', ['x']],
    ['contacts', 'thin-and-home', ['1']],
    ['calls', 'in-or-out', []],
  ])('by %s: axe finds nothing', async (_name, drill, keys) => {
    await startRound(page, 'Bede Harrow', drill, 1);
    for (const key of keys) await page.keyboard.press(key);
    expect(await problems()).toEqual([]);
  });
});

describe('a programme’s open entry', () => {
  it('and its lists: axe finds nothing', async () => {
    await page.goto('/players');
    await page.getByRole('link', { name: 'Idris Pell' }).click();
    await page.getByRole('link', { name: 'Off the plateau' }).click();
    await page.locator('.programme-item').last().click();
    await dialog().waitFor();
    await dialog().getByRole('combobox', { name: 'As' }).click();
    await page.getByRole('option', { name: 'practice' }).first().waitFor();
    expect(await problems()).toEqual([]);
  });
});
