import AxeBuilder from '@axe-core/playwright';
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { choose, signIn, startRound } from './lib/actions.ts';
import { openBrowser, type Browser } from './lib/browser.ts';
import { demoUrl } from './lib/demoUrl.ts';

let browser: Browser;
let page: Page;
beforeAll(async () => {
  browser = await openBrowser({ baseURL: demoUrl() });
  page = await browser.context.newPage();
});
afterAll(() => browser.close());

/** @param rules the only ones that are looked at; all when left out */
async function seriousProblems(rules?: string[]): Promise<string[]> {
  // What is found to be right is not listed, and style sheets are not fetched a second time.
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'], preload: false });
  const { violations } = await (rules === undefined ? axe : axe.withRules(rules)).analyze();
  return violations
    .filter((violation) => violation.impact === 'serious' || violation.impact === 'critical')
    .map(
      (violation) => `${violation.id}: ${violation.nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`,
    );
}

/** Views that between them hold every kind of control: these are looked at on dark paper too. */
const IN_THE_DARK: readonly string[] = [
  'today',
  'drill on pool',
  'designer',
  'order of a table',
  'players',
  'records',
  'coaches and club',
  'account',
];

describe('axe finds nothing serious', () => {
  it('on the sign-in, also with an error shown', async () => {
    await page.goto('/sign-in');
    await page.getByLabel('E-mail').fill('nobody@kittiwake.example');
    await page.getByLabel('Password', { exact: true }).fill('wrong password');
    await page.getByRole('button', { name: 'Sign in', exact: true }).click();
    await page.getByText('e-mail address and password do not fit').waitFor();
    expect(await page.getByLabel('E-mail').inputValue()).toBe('nobody@kittiwake.example');
    expect(await seriousProblems()).toEqual([]);
  });

  it.each([
    ['today', '/', 'Just played'],
    ['hall', '/hall', 'Another table'],
    ['drills', '/drills?family=judgement', 'Chart the order'],
    ['drill on pool', '/drills/back-to-the-quay?stage=3', 'Mean of a round'],
    ['drill on snooker', '/drills/held-for-the-black?stage=3', 'Mean of a round'],
    ['designer', '/drills/new', 'The title is missing'],
    ['lessons', '/lesson', 'Score a round without a lesson'],
    ['planning an evening', '/lesson/evening', 'Tap who comes'],
    ['start of a round', '/lesson/round?drill=anchor-drop', 'A firm stop shot'],
    ['order of a table', '/lab/order', 'a chance of'],
    ['ways to a ball', '/lab/kick', 'lies open'],
    ['card of kicks', '/lab/kick/card', 'Round by three'],
    ['what to play', '/lab/safety', 'What to play'],
    ['a break', '/lab/break', 'What comes of it'],
    ['players', '/players', 'Petra Nightingale'],
    ['compare', '/players/compare', 'Choose two players'],
    ['records', '/players/records', 'Take a backup'],
    ['coaches and club', '/players/club', 'What was changed'],
    ['account', '/account', 'Sign out everywhere'],
    ['lab', '/lab', 'What happens'],
    ['position', '/lab/position', 'Your line'],
    ['trainers', '/lab/call', 'Say it before you see it'],
    ['photo', '/lab/photo', 'It is read on this device'],
    ['unknown address', '/nowhere', 'There is nothing at this address'],
  ])('on %s', async (name, path, text) => {
    if (!page.url().includes('127.0.0.1') || page.url().endsWith('/sign-in')) await signIn(page);
    await page.goto(path);
    await page.getByText(text).first().waitFor();
    expect(await seriousProblems()).toEqual([]);
    if (!IN_THE_DARK.includes(name)) return;
    await page.emulateMedia({ colorScheme: 'dark' });
    // The paper follows the device a moment later.
    await page.locator('html[data-mantine-color-scheme="dark"]').waitFor();
    // The page is the same one, only its colours are not.
    expect(await seriousProblems(['color-contrast'])).toEqual([]);
    await page.emulateMedia({ colorScheme: 'light' });
    await page.locator('html[data-mantine-color-scheme="light"]').waitFor();
  });

  it('on a table’s card, also while a number is typed', async () => {
    await page.goto('/hall');
    await page.getByRole('link', { name: /Pool room, table 4/ }).click();
    await page.getByText('Card 1:').waitFor();
    expect(await seriousProblems()).toEqual([]);
    await page.getByRole('button', { name: 'Measured: Nose above the cloth' }).click();
    expect(await seriousProblems()).toEqual([]);
  });

  it('on a player, a programme, a report and on the scoring screen, running and over', async () => {
    await page.goto('/players');
    await page.getByRole('link', { name: /Bede Harrow/ }).click();
    await page.getByTestId('bias').waitFor();
    expect(await seriousProblems()).toEqual([]);
    await page.goto('/players');
    await page.getByRole('link', { name: 'Wren Sallow' }).click();
    await page.getByRole('link', { name: 'Towards the winter league' }).click();
    await page.locator('.programme-item').last().click();
    await page.getByRole('checkbox', { name: 'Done' }).waitFor();
    expect(await seriousProblems()).toEqual([]);
    await page.goBack();
    await page.getByRole('region', { name: 'Reports' }).getByRole('link').first().click();
    await page.getByTestId('bias').waitFor();
    expect(await seriousProblems()).toEqual([]);
    await startRound(page, 'Pim Thorncot');
    await page.keyboard.press('Space');
    expect(await seriousProblems()).toEqual([]);
    for (let i = 0; i < 10; i++) await page.keyboard.press('x');
    await page.getByTestId('placing').waitFor();
    expect(await seriousProblems()).toEqual([]);
  });

  it('on a lesson that is over, a clearance shot by shot, a break, and telling a shot otherwise', async () => {
    await page.goto('/lesson');
    await page.getByRole('link', { name: /Cue ball on a string/ }).click();
    await page.getByTestId('lesson-summary').waitFor();
    expect(await seriousProblems()).toEqual([]);
    await startRound(page, 'Pim Thorncot', 'two-fleets', 1);
    await page.keyboard.press('2');
    expect(await seriousProblems()).toEqual([]);
    await startRound(page, 'Pim Thorncot', 'nine-slow', 1);
    for (const key of ['2', 's', 'k', 'Enter']) await page.keyboard.press(key);
    expect(await seriousProblems()).toEqual([]);
    await page.getByRole('button', { name: /^break 1: / }).click();
    await page.getByLabel('Why').waitFor();
    expect(await seriousProblems()).toEqual([]);
  });
});

describe('words', () => {
  it('are those of the chosen vocabulary', async () => {
    await page.goto('/drills/drawn-back-for-the-blue?stage=3');
    await page.getByText('12-ft snooker, draw, about 15 minutes').waitFor();
    await page.getByRole('button', { name: /^Menu of/ }).click();
    await page.getByText('Snooker', { exact: true }).click();
    await page.getByText('12-ft snooker, screw, about 15 minutes').waitFor();
    await page.getByText('mm from the top cushion').first().waitFor();
    await page.getByText('on the blue spot').waitFor();
  });

  it('are in inches, feet and miles an hour for whoever chose them, and typed so', async () => {
    await page.goto('/lab?table=pool-9ft');
    await page.getByRole('button', { name: /^Menu of/ }).click();
    await page.getByText('Pool', { exact: true }).click();
    await page.getByLabel('From the head').waitFor();
    await page.getByText('Imperial', { exact: true }).click();
    await page.keyboard.press('Escape');
    await page.getByText(/\d\.\d\d mph, /).waitFor();
    // A nine-foot table is 100 inches long: 40 inches are 3.2 of its eight diamonds.
    await page.getByLabel('From the head').fill('40');
    await page.getByLabel('From the head').press('Enter');
    await choose(page, 'Unit of places', 'diamonds');
    await expect.poll(() => page.getByLabel('From the head').inputValue()).toBe('3.2');
    await page.goto('/drills/drawn-back-for-the-blue?stage=3');
    await page
      .getByText(/[\d⅛¼⅜½⅝¾⅞] in from the head rail/)
      .first()
      .waitFor();
    expect(await page.getByText(/\d mm|\d m\/s/).count()).toBe(0);
    await page.getByRole('button', { name: /^Menu of/ }).click();
    await page.getByText('Metric', { exact: true }).click();
    await page
      .getByText(/\d mm from the/)
      .first()
      .waitFor();
  });
});

describe('a player', () => {
  it('sees only themselves', async () => {
    const own = await openBrowser({ baseURL: demoUrl() });
    const tab = await own.context.newPage();
    await signIn(tab, /Wren/);
    await tab.getByRole('link', { name: 'Players' }).click();
    await tab.getByRole('heading', { level: 1, name: 'Wren Sallow' }).waitFor();
    for (const address of ['/players/compare', '/players/evening', '/players/records']) {
      await tab.goto(address);
      await tab.getByRole('navigation', { name: 'Rooms' }).waitFor();
      expect(await tab.getByText(/Idris Pell|rounds\.csv/).count()).toBe(0);
    }
    await own.close();
  });
});

describe('a real installation', () => {
  it('shows no sign-ins; the first visitor opens the club, adds a player and can start a round', async () => {
    const fresh = await openBrowser({ baseURL: inject('emptyUrl') });
    const tab = await fresh.context.newPage();
    await tab.goto('/');
    await tab.getByRole('heading', { name: 'Open your club' }).waitFor();
    await tab.getByLabel('Club').fill('Tern Wharf');
    await tab.getByLabel('Your name').fill('Ada Kelp');
    await tab.getByLabel('E-mail').fill('ada@tern.example');
    await tab.getByLabel('Password', { exact: true }).fill('short');
    await tab.getByRole('button', { name: 'Open the club' }).click();
    await tab.getByText('at least 10 characters', { exact: false }).last().waitFor();
    await tab.getByLabel('Password', { exact: true }).fill('low tide at six');
    await tab.getByRole('button', { name: 'Open the club' }).click();
    await tab.getByRole('heading', { name: 'Today at Tern Wharf' }).waitFor();
    await tab.getByRole('link', { name: 'Players' }).click();
    await tab.getByText('Nobody is here yet').waitFor();
    await tab.getByLabel('Name').fill('Sol Wick');
    await tab.getByRole('button', { name: 'Add the player' }).click();
    await tab.getByRole('link', { name: /Sol Wick/ }).waitFor();
    await startRound(tab, 'Sol Wick', 'round-to-the-blue');
    await tab.getByTestId('shot').waitFor();
    await fresh.close();

    const next = await openBrowser({ baseURL: inject('emptyUrl') });
    const door = await next.context.newPage();
    await door.goto('/');
    await door.getByRole('heading', { name: 'Sign in' }).waitFor();
    expect(await door.getByText('The demo club').count()).toBe(0);
    await next.close();
  });
});
