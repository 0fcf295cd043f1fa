import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import type { BallOnTable } from '../core/motion/shot.ts';
import { listedDrillSchema } from '../core/records/listedDrill.ts';
import { ball, cueBall, POOL, shotOf } from '../core/testing/balls.ts';
import { shotToLink } from '../web/table/labShot.ts';
import { choose, pixelOf, reads, signIn, startRound, storedAttempts } from './lib/actions.ts';
import { openBrowser } from './lib/browser.ts';
import { demoUrl } from './lib/demoUrl.ts';
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
    for (const text of [/^1\. 1 to/, /^2\. 2 to/, /^3\. 3 to/]) await step(text).waitFor();
    await reads(
      page.getByTestId('plan-chance'),
      /Played \d+ times, it cleared \d+: a chance of \d+ to \d+ %/,
    );
    await step(/^2\. 2 to/).click();
    await plan().getByRole('button', { name: 'Set up shot 2' }).click();
    await step(/^1\. 2 to/).waitFor();
    expect(await plan().getByRole('listitem').count()).toBe(2);
    await page.getByRole('button', { name: 'Undo' }).click();
    await step(/^1\. 1 to/).waitFor();
  });

  it('says what an order of one’s own costs, lays it beside the plan, and makes a drill of the table', async () => {
    await open(THREE);
    await step(/^3\. /).waitFor();
    const first = (await step(/^1\. /).innerText()).match(/^1\. (\d)/)?.[1] ?? '';
    await plan().getByRole('button', { name: 'Play it' }).click();
    await plan().getByRole('button', { name: 'Not here' }).click();
    const own = page.getByRole('region', { name: 'Another way' });
    await own.getByText(`Not the ${first} at shot 1.`).waitFor();
    await reads(page.getByTestId('wish-cost'), /Your way: \d+ to \d+ %; the plan: \d+ to \d+ %\./);
    const mine = page.getByRole('region', { name: 'Your way', exact: true });
    expect(await mine.getByRole('button', { name: new RegExp(`^1\\. ${first} to`) }).count()).toBe(0);
    await own.getByRole('button', { name: 'Keep as the student’s' }).click();
    const beside = page.getByRole('table', { name: 'Side by side' });
    await beside
      .getByRole('button', { name: /^Student, shot 1: the \d, here it leaves the plan$/ })
      .waitFor();

    // An order that is tapped, the last ball with the others.
    await own.getByRole('button', { name: 'Tap an order' }).click();
    for (const id of ['3', '2', '1']) {
      const { x, y } = THREE.find((each) => each.id === id) ?? { x: 0, y: 0 };
      const at = await pixelOf(page, { x, y });
      await page.mouse.click(at.x, at.y);
    }
    await own.getByText('In the order 3, 2, 1.').waitFor();
    await mine.getByRole('button', { name: /^1\. 3 to/ }).waitFor();

    await page.getByRole('button', { name: 'Make a drill of it' }).click();
    await page.waitForURL(/\/drills\/new/);
    await page.getByRole('tab', { name: 'Text' }).click();
    await expect.poll(() => page.getByLabel(/Advice/).inputValue()).toMatch(/^The plan: the 3 to/);
  });

  it('says how far the cue ball goes, and how the two suits compare', async () => {
    const nine = [cueBall(1.7, 0.635), ball('1', 2.2, 0.3), ball('9', 0.0286, 0.55), ball('8', 0.9, 0.635)];
    await open(nine, 'suits');
    await reads(step(/^1\. 1 to/), /cue ball \d\.\d\sm, (no|one|two|three) cushion/);
    await reads(plan(), /Lower suit: \d+ to \d+ %, higher suit: \d+ to \d+ %\. Take the lower one\./);
  });

  it('takes a drill over with its rules, throws balls, breaks a rack, and lays the levels side by side', async () => {
    await open(THREE);
    const set = async () => {
      await page.getByRole('button', { name: 'Set the table' }).click();
      return page.getByRole('dialog', { name: 'Set the table' });
    };
    let dialog = await set();
    await dialog.getByRole('combobox', { name: 'A drill' }).fill('Far sh');
    await page.getByRole('option', { name: 'Far shores' }).click();
    await dialog.getByRole('button', { name: 'Take it over' }).click();
    await page.waitForURL(/drill=far-shores/);
    await expect
      .poll(() => page.getByRole('combobox', { name: 'Clear in' }).inputValue())
      .toBe('As in “Far shores”');
    await step(/^1\. 1 to/).waitFor();

    dialog = await set();
    await dialog.getByRole('textbox', { name: 'Balls' }).fill('2');
    await dialog.getByRole('button', { name: 'Throw them' }).click();
    await page.waitForURL((url) => !url.searchParams.has('drill'));
    await page
      .getByRole('region', { name: 'Balls' })
      .getByRole('button', { name: '2', exact: true })
      .waitFor();

    const levels = page.getByRole('region', { name: 'By level' });
    await open(THREE);
    await levels.getByRole('button', { name: 'Compare the levels' }).click();
    await levels.getByRole('row', { name: /^Title \d+ to \d+\s% \d$/ }).waitFor();
    const share = async (name: RegExp) =>
      Number((await levels.getByRole('row', { name }).innerText()).match(/(\d+) to/)?.[1]);
    expect(await share(/^Title/)).toBeGreaterThan(await share(/^First season/));

    dialog = await set();
    await dialog.getByRole('button', { name: 'Break nine balls' }).click();
    await page.waitForURL(/order=rotation/);
    dialog = await set();
    const saved = page.waitForEvent('download');
    await dialog.getByRole('button', { name: 'Save this table' }).click();
    expect((await saved).suggestedFilename()).toBe('table.plan.json');
  });

  it('keeps what is asked in the address, and a better player clears it more surely', async () => {
    await open(THREE);
    await plan().locator('ol li').nth(2).waitFor();
    await choose(page, 'A player of', 'Title');
    await page.waitForURL(/level=title/);
    await choose(page, 'Clear in', 'Lowest number first');
    await page.waitForURL(/order=rotation/);
    await step(/^1\. 1 to/).waitFor();
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
        ball('6', 0.098, 0.56),
      ],
      'rotation',
    );
    await plan().getByText('No ball can be potted from here.').waitFor();
    await plan()
      .getByText(/^The 1 is blocked by/)
      .waitFor();
  });
});

describe('a drill that asks for a clearance', () => {
  it('shows its plan when somebody asks, on its page and at the table, and what was played against it', async () => {
    await page.goto('/drills/far-shores?stage=1');
    await page.getByText('Think of your own order first.').waitFor();
    await page.getByRole('button', { name: 'Show the plan' }).click();
    await step(/^1\. 1 to/).waitFor();
    await step(/^2\. 2 to/).click();
    await plan().getByRole('button', { name: 'Play it' }).waitFor();

    await startRound(page, 'Wren', 'far-shores', 1);
    const pad = page.getByTestId('plan-pad');
    expect(await pad.getByRole('status').count()).toBe(0);
    await pad.getByRole('button', { name: 'Show the plan' }).click();
    await reads(pad.getByRole('status'), /^Next: the 1 to .+ clears \d+ of a hundred\.$/);
    await page.getByRole('button', { name: /^Potted (the )?1/ }).click();
    await pad.getByText('Tap where the cue ball stopped').waitFor();
    await pad.getByText('The 1 was the plan’s ball.').waitFor();
    const at = await pixelOf(page, { x: 1.27, y: 0.5 });
    await page.mouse.click(at.x, at.y);
    await reads(pad.getByRole('status'), /^(Next: the 2 to|The plan sees no ball)/);
    await page.keyboard.press('x');
    await storedAttempts(page, 1);
    await page.keyboard.press('e');
    await page.getByRole('button', { name: 'End the round' }).click();
    const against = page.getByTestId('plan-against');
    await against.getByRole('button', { name: 'Attempt 1' }).click();
    await against.getByRole('row', { name: /^1 1 1 0$/ }).waitFor();
    expect(await against.getByRole('row').count()).toBe(3);
  });

  it('keeps its plan from students until the round is over where the coach wants it so', async () => {
    const headers = { origin: demoUrl() };
    const { document } = await listedDrillSchema.validate(
      await (await page.request.get('/api/drills/far-shores')).json(),
    );
    const kept = { ...document, slug: 'far-shores-kept', title: 'Far shores, kept', hidesPlan: true };
    const address = `/api/drills/${kept.slug}`;
    const saved = await page.request.put(address, { headers, data: { document: kept, basedOn: null } });
    expect(saved.ok(), await saved.text()).toBe(true);
    await page.goto(`/drills/${kept.slug}?stage=1`);
    await page.getByRole('button', { name: 'Show the plan' }).waitFor();
    const other = await openBrowser({ baseURL: demoUrl() });
    const own = await other.context.newPage();
    await signIn(own, /Wren/);
    await own.goto(`/drills/${kept.slug}?stage=1`);
    await own.getByText('the plan is shown when your round is over').waitFor();
    expect(await own.getByRole('button', { name: 'Show the plan' }).count()).toBe(0);
    await other.close();
    await page.request.put(`${address}/archived`, { headers, data: { archived: true } });
  });
});
