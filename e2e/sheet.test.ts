import type { Page } from 'playwright-core';
import { reads } from './lib/actions.ts';
import { describe, expect, it } from 'vitest';
import { signedIn } from './lib/signedIn.ts';

let page: Page;
signedIn((opened) => {
  page = opened;
});

/** How many pages a PDF has. */
function pagesOf(pdf: Buffer): number {
  return pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length ?? 0;
}

describe('a set-up sheet', () => {
  it('has every ball with its tolerance in the order of placing, and prints on one A4 page', async () => {
    await page.goto('/drills/harbour-turn?stage=2');
    await page.getByRole('link', { name: 'Set-up sheet' }).click();
    await page.getByRole('heading', { name: 'Set in this order' }).waitFor();
    const balls = page.getByRole('listitem');
    await page
      .getByText(/^± \d+ mm/)
      .nth(2)
      .waitFor();
    expect(await balls.count()).toBe(3);
    // 2.5 and 2.25 diamonds of 2540 × 1270 mm.
    await balls.filter({ hasText: '794 mm from the head rail, 556 mm from the left' }).waitFor();
    expect(await balls.last().innerText()).toMatch(/^cue ball/);
    await page.getByTestId('levels').waitFor();
    const pdf = await page.pdf({ preferCSSPageSize: true });
    expect(pagesOf(pdf)).toBe(1);
    // A4 landscape in points.
    expect(pdf.toString('latin1')).toMatch(/MediaBox\s*\[0 0 84[12](\.\d+)? 59[45](\.\d+)?\]/);
  });

  it('is mirrored for the other hand, and the address keeps it', async () => {
    await page.goto('/drills/harbour-turn/sheet?stage=2');
    await page.getByRole('switch', { name: 'Mirrored, for the other hand' }).click();
    await page.getByText('794 mm from the head rail, 556 mm from the right').waitFor();
    await page.reload();
    await page.getByText('794 mm from the head rail, 556 mm from the right').waitFor();
  });

  it('shows what was thrown with its places, and throws again', async () => {
    await page.goto('/drills/cast-and-clear/sheet?stage=1');
    const first = page.getByRole('listitem').first();
    const before = await first.innerText();
    expect(await page.getByRole('listitem').count()).toBe(6);
    await page.getByRole('button', { name: 'Throw again' }).click();
    await expect.poll(() => first.innerText()).not.toBe(before);
    await page.goto('/drills/cast-and-clear/sheet?stage=1&seed=1');
    await expect.poll(() => first.innerText()).toBe(before);
    expect(pagesOf(await page.pdf({ preferCSSPageSize: true }))).toBe(1);
  });

  it('of a kick has its surest line, with where to aim, how wide it is and how hard', async () => {
    await page.goto('/drills/replay/sheet?stage=1');
    const line = page.getByRole('region', { name: 'The surest line' });
    await line.waitFor();
    // The drill asks for the left rail.
    expect(await line.innerText()).toMatch(
      /By the left rail, \d\.\d m\/s, (no|left|right) english: \d\.\d° wide; met \d+/,
    );
    expect(await line.innerText()).toMatch(/Aim \d+ mm from the head along the left rail, \d+ mm wide there/);
    expect(pagesOf(await page.pdf({ preferCSSPageSize: true }))).toBe(1);
    // In the mirror it goes by the other one.
    await page.getByRole('switch', { name: 'Mirrored, for the other hand' }).click();
    await line.getByText(/^By the right rail/).waitFor();
  });

  it('of a safety has the best answer, what it is worth and on which side to err', async () => {
    await page.goto('/drills/leave-nothing/sheet?stage=1');
    const answer = page.getByRole('region', { name: 'What to play' });
    await answer.waitFor({ timeout: 90_000 });
    await reads(answer, /of 100 for a team player against a title player\..*m\/s/s);
    // Both balls' ways are drawn.
    expect(
      await page.locator('.sheet svg.table-drawing polyline, .sheet svg.table-drawing path').count(),
    ).toBeGreaterThan(2);
  });

  it('of a kick from several places lists them, each with its own line, on one page', async () => {
    await page.goto('/drills/one-bounce/sheet?stage=1');
    const stations = page.getByRole('region', { name: 'The cue ball in turn' });
    await stations.getByText('The surest line from each').waitFor({ timeout: 90_000 });
    const items = await stations.getByRole('listitem').allInnerTexts();
    expect(items).toHaveLength(5);
    const [first, , , , last] = items.map((item) =>
      Number(/diamond (\d\.\d\d) of the left rail/.exec(item)?.[1]),
    );
    // Farther up the table the cue points farther up.
    expect(first).toBeGreaterThan(2);
    expect(last).toBeGreaterThan(first ?? NaN);
    expect(items[4]).toContain('953 mm from the head rail, 318 mm from the right');
    expect(pagesOf(await page.pdf({ preferCSSPageSize: true }))).toBe(1);
  });

  it('of the longest list still prints on one page', async () => {
    await page.goto('/drills/red-street/sheet?stage=2');
    await page.getByRole('heading', { name: 'Set in this order' }).waitFor();
    expect(await page.getByRole('listitem').count()).toBe(13);
    expect(pagesOf(await page.pdf({ preferCSSPageSize: true }))).toBe(1);
  });
});
