import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { callsSchema } from '../core/records/call.ts';
import { playersSchema } from '../core/records/player.ts';
import { choose, pixelOf, reads, signIn } from './lib/actions.ts';
import { openBrowser } from './lib/browser.ts';
import { demoUrl } from './lib/demoUrl.ts';
import { signedIn } from './lib/signedIn.ts';

let page: Page;
signedIn((opened) => {
  page = opened;
});

const open = (kind: string, level: string) =>
  page.goto(`/lab/call?kind=${encodeURIComponent(kind)}&level=${level}`);
const press = (name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' }).click();

const callBy = (name: string) => choose(page, 'Who calls', name);

describe('a call', () => {
  it('is committed before the reveal, a coach’s answer locked beside it, and both are scored and kept', async () => {
    await open('does it pass', 'plain');
    await callBy('Corin Ash');
    await press('Set a position');
    await press('Yes');
    expect(await page.getByTestId('call-truth').count()).toBe(0);
    await press('Commit');
    await press('No');
    await press('Lock');
    await page.getByText('the coach’s answer is locked').waitFor();
    await press('Reveal');
    await reads(page.getByTestId('call-score'), /^(0|100) %$/);
    const truth = (await page.getByTestId('call-truth').textContent()) ?? '';
    const score = await page.getByTestId('call-score').textContent();
    // One of the two is right, and the reason says which.
    expect(score).toBe(truth.startsWith('Yes') ? '100 %' : '0 %');
    await page.getByText(`the coach: no, ${score === '100 %' ? '0' : '100'} %.`).waitFor();
    await page
      .getByRole('region', { name: 'Judgement' })
      .getByRole('cell', { name: 'Does it pass' })
      .waitFor();

    const players = await playersSchema.validate(await (await page.request.get('/api/players')).json());
    const corin = players.find((each) => each.name === 'Corin Ash');
    const calls = await callsSchema.validate(
      await (await page.request.get(`/api/players/${corin?.id ?? ''}/calls`)).json(),
    );
    expect(calls[0]).toMatchObject({
      kind: 'does it pass',
      answer: { kind: 'verdict', verdict: 'yes' },
      score: score === '100 %' ? 1 : 0,
      coach: { answer: { kind: 'verdict', verdict: 'no' } },
    });
    await page.goto(`/players/${corin?.id ?? ''}`);
    await page
      .getByRole('region', { name: 'Judgement' })
      .getByRole('cell', { name: 'Does it pass' })
      .waitFor();
  });

  it('without network waits on the device, and is sent once when it is back', async () => {
    await open('does it pass', 'plain');
    await callBy('Lowen Carrick');
    await press('Set a position');
    await press('No');
    await press('Commit');
    await page.context().setOffline(true);
    await press('Reveal');
    await reads(page.getByTestId('call-score'), /^(0|100) %$/);
    await page.getByText('1 entry is kept here').waitFor();
    await page.context().setOffline(false);
    await page.getByText('1 entry is kept here').waitFor({ state: 'detached' });
    const players = await playersSchema.validate(await (await page.request.get('/api/players')).json());
    const lowen = players.find((each) => each.name === 'Lowen Carrick');
    const calls = await callsSchema.validate(
      await (await page.request.get(`/api/players/${lowen?.id ?? ''}/calls`)).json(),
    );
    expect(calls).toHaveLength(1);
  });

  it('of a path is drawn by taps or by keys, and gone through again', async () => {
    await open('draw the path', 'plain');
    await press('Set a position');
    const commit = page.getByRole('button', { name: 'Commit' });
    await commit.waitFor();
    expect(await commit.isDisabled()).toBe(true);
    const at = await pixelOf(page, { x: 1.2, y: 0.7 });
    await page.mouse.click(at.x, at.y);
    await page.getByText('1 stretch drawn.').waitFor();
    await press('Take the last back');
    await page.getByRole('application').focus();
    for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Enter');
    await page.getByText('1 stretch drawn.').waitFor();
    await press('Commit');
    await press('Reveal');
    await reads(page.getByTestId('call-score'), /^\d+ %$/);
    await press('Play it again');
    await press('Next position');
    await page.getByText('Tap the table').waitFor();
  });

  it.each([
    ['in-off or not', 'fair', async () => press('No')],
    ['which side of the plant', 'plain', async () => press('Left')],
    ['which ball first', 'plain', async () => page.getByRole('button', { name: '2', exact: true }).click()],
    [
      'whole order',
      'plain',
      async () => {
        for (const ball of ['2', '1', '4', '3'])
          await page.getByRole('button', { name: ball, exact: true }).click();
        await page.getByText('So far: 2, 1, 4, 3.').waitFor();
      },
    ],
    [
      'where to be',
      'plain',
      async () => {
        const at = await pixelOf(page, { x: 1.27, y: 0.635 });
        await page.mouse.click(at.x, at.y);
        await page.getByText('Tap again to move it.').waitFor();
      },
    ],
    ['how long is the window', 'plain', async () => page.getByLabel('Length on, cm').fill('80')],
    ['draw the path', 'library', undefined],
    ['which line', 'plain', async () => press('B')],
    [
      'where on the cushion',
      'fair',
      async () => {
        const at = await pixelOf(page, { x: 1.27, y: 1.26 });
        await page.mouse.click(at.x, at.y);
      },
    ],
    ['which way to miss', 'plain', async () => press('Right')],
    ['pot or safe', 'plain', async () => press('Safe')],
    ['what will be on', 'plain', async () => press('Head left')],
  ] as const)('of "%s" comes from %s and is explained', async (kind, level, answer) => {
    await open(kind, level);
    await press('Set a position');
    await page.getByRole('button', { name: 'Commit' }).waitFor({ timeout: 120_000 });
    if (answer !== undefined) {
      await answer();
      await press('Commit');
      await press('Reveal');
      await reads(page.getByTestId('call-score'), /^\d+ %$/);
      expect(((await page.getByTestId('call-truth').textContent()) ?? '').length).toBeGreaterThan(20);
    }
  });

  it('by a player has no coach beside it', async () => {
    const other = await openBrowser({ baseURL: demoUrl() });
    const own = await other.context.newPage();
    await signIn(own, /Wren/);
    await own.goto('/lab/call?kind=does%20it%20pass&level=plain');
    expect(await own.getByRole('combobox', { name: 'Who calls' }).count()).toBe(0);
    await own.getByRole('button', { name: 'Set a position' }).click();
    await own.getByRole('button', { name: 'No', exact: true }).click();
    await own.getByRole('button', { name: 'Commit' }).click();
    await own.getByRole('button', { name: 'Reveal' }).waitFor();
    expect(await own.getByRole('button', { name: 'Lock' }).count()).toBe(0);
    await own.getByRole('button', { name: 'Reveal' }).click();
    await reads(own.getByTestId('call-score'), /^(0|100) %$/);
    await own
      .getByRole('region', { name: 'Judgement' })
      .getByRole('cell', { name: 'Does it pass', exact: true })
      .waitFor();
    await other.close();
  });
});
