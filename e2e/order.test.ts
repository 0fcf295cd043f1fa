import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import type { BallOnTable } from '../core/motion/shot.ts';
import { ball, cueBall, POOL, shotOf } from '../core/testing/balls.ts';
import { shotToLink } from '../web/table/labShot.ts';
import { choose, reads } from './lib/actions.ts';
import { signedIn } from './lib/signedIn.ts';

let page: Page;
signedIn((opened) => {
  page = opened;
});

const plan = () => page.getByRole('region', { name: 'Plan' });
const step = (text: RegExp) => plan().getByRole('button', { name: text });
const open = (balls: readonly BallOnTable[], order = '') =>
  page.goto(`/lab/order?${new URLSearchParams({ order, shot: shotToLink(shotOf(POOL, balls)) }).toString()}`);

const THREE = [cueBall(1, 0.5), ball('1', 1.5, 0.7), ball('2', 2.1, 0.9), ball('3', 1.9, 0.35)];

describe('the bench for orders', () => {
  it('plans the lowest number first, takes up a later shot, and comes back', async () => {
    await open(THREE, 'rotation');
    for (const text of [/^1\. 1 to/, /^2\. 2 to/, /^3\. 3 to/]) await step(text).waitFor({ timeout: 60_000 });
    await reads(
      page.getByTestId('plan-chance'),
      /Played \d+ times, it cleared \d+: a chance of \d+ to \d+ %/,
    );
    await step(/^2\. 2 to/).click();
    await plan().getByRole('button', { name: 'Set up shot 2' }).click();
    await step(/^1\. 2 to/).waitFor({ timeout: 60_000 });
    expect(await plan().getByRole('listitem').count()).toBe(2);
    await page.getByRole('button', { name: 'Undo' }).click();
    await step(/^1\. 1 to/).waitFor({ timeout: 60_000 });
  });

  it('keeps what is asked in the address, and a better player clears it more surely', async () => {
    await open(THREE);
    await plan().locator('ol li').nth(2).waitFor({ timeout: 60_000 });
    await choose(page, 'A player of', 'Title');
    await page.waitForURL(/level=title/);
    await choose(page, 'Clear in', 'Lowest number first');
    await page.waitForURL(/order=rotation/);
    await step(/^1\. 1 to/).waitFor({ timeout: 60_000 });
  });

  it('says what blocks where nothing can be potted', async () => {
    await open(
      [
        cueBall(1.2, 0.635),
        ball('1', 0.04, 0.635),
        ball('2', 0.097, 0.62),
        ball('3', 0.04, 0.693),
        ball('4', 0.04, 0.577),
        ball('5', 0.096, 0.68),
        ball('6', 0.092, 0.56),
      ],
      'rotation',
    );
    await plan().getByText('No ball can be potted from here.').waitFor({ timeout: 60_000 });
    await plan()
      .getByText(/^The 1 is blocked by/)
      .waitFor();
  });
});
