import AxeBuilder from '@axe-core/playwright';
import type { Page } from 'playwright-core';
import { expect, it } from 'vitest';
import { eveningSchema } from '../core/records/evening.ts';
import { choose } from './lib/actions.ts';
import { signedIn } from './lib/signedIn.ts';

let page: Page;
signedIn((opened) => {
  page = opened;
});

const timetable = () => page.getByRole('table', { name: 'Timetable' });
const turnsOf = (name: string) => timetable().locator('.turn').filter({ hasText: name });

async function storedEvening() {
  const id = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  const reply: unknown = await (await page.request.get(`/api/evenings/${id}`)).json();
  return eveningSchema.validate(reply);
}

it('an evening is planned, changed by hand, kept, begun with one tap, and its rest planned anew', async () => {
  await page.goto('/lesson');
  await page.getByRole('link', { name: 'Plan the evening' }).click();
  await choose(page, 'Students', 'Wren Sallow', 'Corin Ash', 'Pim Thorncot');
  await page.keyboard.press('Escape');
  await choose(page, 'Tables', 'Pool room, table 2', 'Pool room, table 4');
  await page.keyboard.press('Escape');
  await choose(page, 'Coaches', 'Morwenna Oake');
  await page.keyboard.press('Escape');
  await timetable().waitFor();
  for (const name of ['Wren Sallow', 'Corin Ash', 'Pim Thorncot']) {
    await expect.poll(() => turnsOf(name).count()).toBeGreaterThan(1);
    expect(await turnsOf(name).first().textContent()).toContain('to warm up');
  }
  // What was chosen stands in the address: nothing is lost.
  await page.reload();
  await timetable().waitFor();

  // A turn says why it is there; taken out, it comes back.
  const all = await timetable().locator('.turn').count();
  await turnsOf('Wren Sallow').nth(1).getByRole('button').click();
  await page.getByRole('heading', { name: /Wren Sallow, \d\d:\d\d/ }).waitFor();
  await page.getByRole('button', { name: 'Take this turn out' }).click();
  await expect.poll(() => timetable().locator('.turn').count()).toBe(all - 1);
  await page.keyboard.press('Control+z');
  await expect.poll(() => timetable().locator('.turn').count()).toBe(all);
  await page.keyboard.press('Escape');

  // Dragged onto another it changes places with it.
  const places = timetable().locator('.timetable-place');
  const textOf = (place: number) => places.nth(place).locator('b').textContent();
  const names = await places.locator('b').allTextContents();
  const other = names.findIndex((name) => name !== names[0]);
  const [first, last] = [names[0], names[other]];
  const [from, to] = [await places.first().boundingBox(), await places.nth(other).boundingBox()];
  if (from === null || to === null) throw new Error('the timetable is not on the screen');
  await page.mouse.move(from.x + 40, from.y + 25);
  await page.mouse.down();
  await page.mouse.move(to.x + 60, to.y + 25, { steps: 10 });
  await page.mouse.up();
  await expect.poll(() => textOf(0)).toBe(last);
  // By the key: whatever is clicked within a moment after a drag belongs to the drag.
  await page.keyboard.press('Control+z');
  await expect.poll(() => textOf(0)).toBe(first);
  const axe = await new AxeBuilder({ page }).analyze();
  expect(axe.violations.map(({ id }) => id)).toEqual([]);

  await page.getByRole('button', { name: 'Keep this evening' }).click();
  await page.getByRole('heading', { name: /^The evening of/ }).waitFor();
  const evening = page.url();
  expect((await storedEvening()).flatMap(({ document }) => document.blocks)).toHaveLength(all);

  await page.goto('/');
  await page.getByRole('link', { name: /The evening from 18:30 on/ }).click();

  // One tap, and the round is there.
  await timetable().getByRole('button', { name: 'Start' }).first().click();
  await page.getByTestId('shot').waitFor();
  // The drill is one student's: nobody else is next at it.
  await page.getByRole('link', { name: 'The whole evening' }).waitFor();
  expect(await page.getByRole('link', { name: /^Next/ }).count()).toBe(0);
  await page.getByRole('link', { name: 'The whole evening' }).click();
  await page.getByText('being played').waitFor();
  await page.getByRole('button', { name: 'Notes and rounds' }).click();
  await page
    .getByRole('region', { name: 'Blocks' })
    .getByText(/18:30 (Wren|Corin|Pim) /)
    .waitFor();
  await page.goto(evening);
  await page.getByText('being played').waitFor();
  const before = (await storedEvening()).flatMap(({ document }) => document.blocks);
  const running = before.filter(({ startedAt }) => startedAt !== null);
  expect(running).toHaveLength(1);

  // Somebody goes home: no turn of theirs is left, and what has begun stays.
  await page.getByLabel('From').fill('18:55');
  const home = before.find(({ playerId }) => playerId !== running[0]?.playerId)?.playerId ?? '';
  const players: unknown = await (await page.request.get('/api/players')).json();
  const gone = (players as { id: string; name: string }[]).find(({ id }) => id === home)?.name ?? '';
  await choose(page, 'Who is late', gone);
  await page.getByLabel('Not tonight').check();
  await page.getByRole('button', { name: 'Plan the rest anew' }).click();
  await page.getByText('planned anew from 18:55').waitFor();
  await page.getByRole('button', { name: 'Keep this rest' }).click();
  await page.getByText('being played').waitFor();
  const after = (await storedEvening()).flatMap(({ document }) => document.blocks);
  expect(after.filter(({ startedAt }) => startedAt !== null)).toEqual(running);
  expect(after.filter(({ playerId }) => playerId === home)).toEqual([]);
  expect(after.length).toBeGreaterThan(1);

  // Somebody comes besides: they have a turn in what is left.
  const here = new Set(after.map(({ playerId }) => playerId));
  const guest = (players as { id: string; name: string; archived: boolean }[]).find(
    ({ id, archived }) => !archived && !here.has(id) && id !== home,
  );
  await choose(page, 'Who comes besides', guest?.name ?? '');
  await page.getByLabel('From').fill('18:55');
  await page.getByRole('button', { name: 'Plan the rest anew' }).click();
  await page.getByText('planned anew from 18:55').waitFor();
  await page.getByRole('button', { name: 'Keep this rest' }).click();
  await page.getByText('being played').waitFor();
  const whole = (await storedEvening()).flatMap(({ document }) => document.blocks);
  expect(whole.filter(({ startedAt }) => startedAt !== null)).toEqual(running);
  expect(whole.some(({ playerId }) => playerId === guest?.id)).toBe(true);
});
