import type { Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { pixelOf, plannedLanding, points, reads, signIn, startRound, storedAttempts } from './lib/actions.ts';
import { openBrowser, type Browser } from './lib/browser.ts';
import { demoUrl } from './lib/demoUrl.ts';

const planned = plannedLanding('harbour-turn');

describe('with the keyboard alone', () => {
  let browser: Browser;
  let page: Page;
  beforeAll(async () => {
    browser = await openBrowser({ baseURL: demoUrl() });
    page = await browser.context.newPage();
  });
  afterAll(() => browser.close());

  /** Tabs on until the wanted thing has the focus. */
  async function tabTo(name: RegExp) {
    for (let i = 0; i < 150; i++) {
      await page.keyboard.press('Tab');
      const text = await page.evaluate(
        () => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent ?? '',
      );
      if (name.test(text)) return;
    }
    throw new Error(`the keyboard does not reach ${String(name)}`);
  }

  it('a coach signs in, starts a round, scores ten and sees the progress', async () => {
    await page.goto('/sign-in');
    await page.getByLabel('E-mail').waitFor();
    await tabTo(/Tobiah/);
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: /^Today/ }).waitFor();
    await tabTo(/^Drills/);
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Drills' }).waitFor();
    await tabTo(/Harbour turn/);
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Harbour turn' }).waitFor();
    await tabTo(/Score a round/);
    await page.keyboard.press('Enter');
    await page.getByRole('combobox', { name: 'Player' }).waitFor();
    await tabToPlayer();
    await page.keyboard.type('Junia');
    await expect.poll(() => page.getByRole('option').count()).toBe(1);
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    const player = page.getByRole('combobox', { name: 'Player' });
    await expect.poll(() => player.inputValue()).toBe('Junia Marsh');
    await tabTo(/^Start$/);
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: /^Potted/ }).waitFor();
    for (let i = 0; i < 5; i++) {
      await page.keyboard.press('Space');
      await page.keyboard.press('Enter');
    }
    await reads(points(page), '15');
    // Ten centimetres back towards the foot end, then one to the side, is still a landing of its own.
    await page.keyboard.press('Space');
    await page.keyboard.press('Shift+ArrowRight');
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('Enter');
    await reads(page.getByTestId('last-shot'), /10 cm short/);
    for (const key of ['x', 'X', 'f', 'F']) await page.keyboard.press(key);
    await page.getByTestId('placing').waitFor();
    await storedAttempts(page, 10);
    await tabTo(/See the progress/);
    await page.keyboard.press('Enter');
    await page.getByTestId('figure-last').waitFor();
    expect(page.url()).toContain('/players/');
  });

  async function tabToPlayer() {
    const field = page.getByRole('combobox', { name: 'Player' });
    for (let i = 0; i < 150; i++) {
      await page.keyboard.press('Tab');
      if (await field.evaluate((element) => element === document.activeElement)) return;
    }
    throw new Error('the keyboard does not reach the player');
  }

  it('shows its keys with ? and closes them with Escape', async () => {
    await startRound(page, 'Wren Sallow');
    await page.keyboard.press('?');
    await page.getByRole('dialog', { name: 'Keys of this screen' }).waitFor();
    await page.keyboard.press('Escape');
    await page.getByRole('dialog').waitFor({ state: 'detached' });
    await page.keyboard.press('x');
    await reads(page.getByTestId('shot'), '2 / 10');
  });
});

describe('with a finger alone, on a tablet held upright', () => {
  let browser: Browser;
  let page: Page;
  beforeAll(async () => {
    browser = await openBrowser({
      baseURL: demoUrl(),
      size: { width: 800, height: 1280 },
      touch: true,
    });
    page = await browser.context.newPage();
    await signIn(page);
  });
  afterAll(() => browser.close());

  it('a round is scored by taps', async () => {
    await startRound(page, 'Corin Ash');
    const at = await pixelOf(page, planned, 'portrait');
    for (let i = 0; i < 4; i++) await page.touchscreen.tap(at.x, at.y);
    await reads(points(page), '12');
    await page.getByRole('button', { name: /^Potted/ }).tap();
    await page.getByRole('button', { name: /It stopped here/ }).tap();
    await reads(points(page), '15');
    await page.getByRole('button', { name: /^Undo/ }).tap();
    await reads(points(page), '12');
    for (let i = 0; i < 6; i++) await page.getByRole('button', { name: /^Missed/ }).tap();
    await page.getByTestId('placing').waitFor();
    await storedAttempts(page, 10);
  });

  it('the whole scoring screen fits without scrolling', async () => {
    await startRound(page, 'Corin Ash');
    for (const size of [
      { width: 1280, height: 800 },
      { width: 800, height: 1280 },
    ]) {
      await page.setViewportSize(size);
      const overflow = await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight);
      expect(overflow).toBeLessThanOrEqual(0);
      // The shots so far, the levels and the key to the lines are all in sight.
      for (const part of [
        page.getByRole('list', { name: 'The round so far' }),
        page.getByText('Against the levels'),
        page.getByText('wanted landing'),
      ]) {
        const box = await part.boundingBox();
        expect(box?.height).toBeGreaterThan(0);
        expect((box?.y ?? NaN) + (box?.height ?? NaN)).toBeLessThanOrEqual(size.height);
      }
    }
  });
});
