import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { reads, signIn, startRound } from './lib/actions.ts';
import { openBrowser } from './lib/browser.ts';
import { demoUrl } from './lib/demoUrl.ts';
import { signedIn } from './lib/signedIn.ts';

let page: Page;
signedIn((opened) => {
  page = opened;
});

const field = (on = page) => on.getByRole('textbox', { name: 'Find' });

describe('what is looked for', () => {
  it('is found by some letters from any page, and gone to with the keyboard alone', async () => {
    await page.goto('/hall');
    await page.getByRole('heading', { level: 1 }).waitFor();
    await page.keyboard.press('Control+k');
    await field().pressSequentially('harbour t');
    await page.getByRole('button', { name: /Harbour turn/ }).waitFor();
    await page.keyboard.press('Enter');
    await page.waitForURL(/\/drills\/harbour-turn/);
    // Once somewhere, it is out of the way.
    await expect.poll(() => field().count()).toBe(0);
    await page.keyboard.press('Control+k');
    await field().fill('Wren');
    await page.getByRole('button', { name: /Wren/ }).first().click();
    await page.waitForURL(/\/players\/[0-9a-f-]{36}/);
  });

  it('is closed by Escape, says when there is nothing, and names what can be done', async () => {
    await page.goto('/lab');
    await page.getByRole('button', { name: 'Find (Ctrl K)' }).click();
    await page.getByRole('button', { name: /^Start a round/ }).waitFor();
    await field().fill('qqqq');
    await page.getByText('Nothing is called that.').waitFor();
    await page.keyboard.press('Escape');
    await expect.poll(() => field().count()).toBe(0);
    expect(new URL(page.url()).pathname).toBe('/lab');
  });

  it('is found from the table, too: no key that is typed there scores', async () => {
    await startRound(page, 'Petra Nightingale', 'anchor-drop');
    await page.keyboard.press('Control+k');
    await field().pressSequentially('xxe');
    await page.getByText('Nothing is called that.').waitFor();
    await page.keyboard.press('Escape');
    await expect.poll(() => field().count()).toBe(0);
    await reads(page.getByTestId('shot'), '1 / 10');
    await page.keyboard.press('Control+k');
    await field().fill('hall');
    await page.keyboard.press('Enter');
    await page.waitForURL(/\/hall/);
  });

  it('shows a student their own pages, and no other player', async () => {
    const own = await openBrowser({
      baseURL: demoUrl(),
      size: { width: 390, height: 844 },
      touch: true,
    });
    const student = await own.context.newPage();
    await signIn(student, /Wren/);
    await student.getByRole('button', { name: 'Find (Ctrl K)' }).click();
    await field(student).fill('backup');
    await student.getByText('Nothing is called that.').waitFor();
    await field(student).fill('Idris');
    await student.getByText('Nothing is called that.').waitFor();
    await field(student).fill('lab: break');
    await student.getByRole('button', { name: /^Lab: Break/ }).click();
    await student.waitForURL(/\/lab\/break/);
    await own.close();
  });

  it('leaves the first stop of the keyboard to a link that skips the rooms', async () => {
    await signIn(page);
    await page.keyboard.press('Tab');
    const skip = page.getByRole('link', { name: 'Skip to the page' });
    expect(await skip.evaluate((link) => link === document.activeElement)).toBe(true);
    await page.keyboard.press('Enter');
    expect(await page.locator('main').evaluate((main) => main === document.activeElement)).toBe(true);
  });
});

it('help with the page opens with ?, says what the page is for, and closes with Escape; in a field ? is a letter', async () => {
  await page.goto('/drills');
  await page.getByRole('heading', { name: 'Drills', level: 1 }).waitFor();
  await page.keyboard.press('?');
  const help = page.getByRole('dialog', { name: 'Drills' });
  await help.getByText(/the filters stay in the address/).waitFor();
  await help.getByText('Find a player, a drill, a page').waitFor();
  await page.keyboard.press('Escape');
  await help.waitFor({ state: 'hidden' });
  await page.getByRole('searchbox').or(page.getByRole('textbox')).first().press('?');
  expect(await page.getByRole('dialog').count()).toBe(0);
  await page.goto('/lab/break');
  await page.getByRole('button', { name: 'Help with this page (?)' }).click();
  await page.getByRole('dialog', { name: 'Lab: Break' }).waitFor();
});

describe('the buttons at the table', () => {
  it('stand under the hand that taps them, and stay there on this device', async () => {
    await page.goto('/');
    await page.getByRole('button', { name: /^Menu of/ }).click();
    await page.getByText('On the left', { exact: true }).click();
    await startRound(page, 'Petra Nightingale', 'anchor-drop');
    const middleOf = async (name: string) => {
      const box = await page.getByRole('button', { name }).first().boundingBox();
      return box === null ? NaN : box.x + box.width / 2;
    };
    expect(await middleOf('Missed')).toBeLessThan(350);
    await page.reload();
    await page.getByTestId('shot').waitFor();
    expect(await middleOf('Missed')).toBeLessThan(350);
    await page.goto('/');
    await page.getByRole('button', { name: /^Menu of/ }).click();
    await page.getByText('On the right', { exact: true }).click();
    await startRound(page, 'Petra Nightingale', 'anchor-drop');
    expect(await middleOf('Missed')).toBeGreaterThan(700);
  });
});
