import { randomUUID } from 'node:crypto';
import type { Page, Route } from 'playwright-core';
import { expect, it } from 'vitest';
import { openRoundSchema } from '../core/records/openRound.ts';
import { lessonWithRoundsSchema } from '../core/records/lesson.ts';
import {
  choose,
  pixelOf,
  plannedLanding,
  points,
  reads,
  readText,
  signIn,
  startRound,
} from './lib/actions.ts';
import { openBrowser, type Browser } from './lib/browser.ts';
import { demoUrl } from './lib/demoUrl.ts';
import { signedIn } from './lib/signedIn.ts';

let page: Page;
let browser: Browser;
signedIn((opened, its) => {
  page = opened;
  browser = its;
});

async function stored() {
  const id = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  const response = await page.request.get(`/api/lessons/${id}`);
  return lessonWithRoundsSchema.validate(await response.json());
}

async function addBlock(drill: string): Promise<void> {
  await choose(page, 'Drill', drill);
  await page.getByRole('button', { name: 'Add the block' }).click();
}

it('a group’s evening: set up from nothing, played in turns, noted, ended, and the next one planned like it', async () => {
  await page.goto('/lesson');
  await page.getByLabel('Title').fill('Two at one table');
  await choose(page, 'Students', 'Wren Sallow', 'Corin Ash');
  await page.getByRole('button', { name: 'Set the lesson up' }).click();
  await page.getByText('Add the first block').waitFor();
  await addBlock('Harbour turn');
  await addBlock('Pair in line');
  await page.getByRole('button', { name: /Harbour turn/ }).click();
  await page.getByRole('button', { name: 'Begin the block' }).click();
  await page.getByRole('timer').waitFor();

  // The notes stand after a reload.
  await page.getByRole('textbox', { name: 'Notes of the block' }).click();
  await page.keyboard.type('Let the cue go through.');
  await page.getByText('All is stored.').waitFor();
  await expect.poll(async () => (await stored()).lesson.document.blocks[0]?.note).toContain('go through.');
  await page.reload();
  await page.getByText('Let the cue go through.').waitFor();
  const lesson = page.url();

  // Wren first, then it is Corin's turn.
  await page.getByText('Wren Sallow, next').waitFor();
  await page.getByRole('link', { name: 'Play', exact: true }).first().click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.getByTestId('shot').waitFor();
  const at = await pixelOf(page, plannedLanding('harbour-turn'));
  for (let i = 0; i < 10; i++) await page.mouse.click(at.x, at.y);
  await reads(points(page), '30');
  await page.getByRole('link', { name: 'Next: Corin Ash' }).waitFor();
  // The proposal is taken with a key, and kept.
  await page.getByTestId('proposal').waitFor();
  await page.keyboard.press('n');
  await page.getByText('It is kept with the round.').waitFor();
  await page.getByRole('link', { name: 'Next: Corin Ash' }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.getByTestId('shot').waitFor();
  await page.getByText('Wren Sallow: 30 points').waitFor();
  for (let i = 0; i < 10; i++) await page.keyboard.press('x');
  await page.getByRole('link', { name: 'Back to the lesson' }).click();
  expect(page.url()).toBe(lesson);
  await page.getByText('30 points').waitFor();

  await page.getByRole('button', { name: 'Block done' }).click();
  await page.getByRole('button', { name: 'End the lesson' }).click();
  await reads(page.getByTestId('lesson-summary'), /2 rounds in \d+ of 30 planned minutes/);
  await page.getByText(/30 points \(left: /).waitFor();
  await page.getByRole('textbox', { name: 'Summary of the lesson' }).click();
  await page.keyboard.type('Wren goes up a stage.');
  await expect.poll(async () => (await stored()).lesson.document.summary).toContain('Wren goes up');

  // The next evening begins from this one's blocks, with nothing begun or noted.
  await page.goto('/lesson');
  await choose(page, 'Students', 'Pim Thorncot');
  await choose(page, 'Plan', 'as Two at one table');
  await page.getByRole('button', { name: 'Set the lesson up' }).click();
  await page.getByRole('button', { name: 'Begin the block' }).waitFor();
  expect((await stored()).lesson.document.blocks).toMatchObject([
    { drill: 'harbour-turn', startedAt: null, note: '' },
    { drill: 'frozen-pair', startedAt: null, note: '' },
  ]);
});

it('keeps notes that are written without network, and sends them when it is back', async () => {
  await page.goto('/lesson');
  await choose(page, 'Students', 'Pim Thorncot');
  await page.getByRole('button', { name: 'Set the lesson up' }).click();
  await page.getByText('Add the first block').waitFor();
  await addBlock('Pair in line');
  await page.getByText('All is stored.').waitFor();
  await browser.context.setOffline(true);
  await page.getByRole('textbox', { name: 'Notes of the block' }).click();
  await page.keyboard.type('Kept in the pocket.');
  await page.getByText('No connection: kept on this device').waitFor();
  await browser.context.setOffline(false);
  await page.getByText('All is stored.').waitFor();
  expect((await stored()).lesson.document.blocks[0]?.note).toContain('Kept in the pocket.');
});

it('a student practises alone, without a coach', async () => {
  const own = await openBrowser({ baseURL: demoUrl() });
  try {
    const student = await own.context.newPage();
    await signIn(student, /Wren/);
    await student.goto('/lesson');
    await student.getByRole('heading', { name: 'Practise alone' }).waitFor();
    await student.getByRole('button', { name: 'Set the practice up' }).click();
    await choose(student, 'Drill', 'Pair in line');
    await student.getByRole('button', { name: 'Add the block' }).click();
    await student.getByRole('link', { name: 'Play', exact: true }).click();
    await student.getByRole('button', { name: 'Start', exact: true }).click();
    await student.getByTestId('shot').waitFor();
    await student.keyboard.press('Space');
    await reads(points(student), '1');
    await student.getByRole('link', { name: /Leave/ }).click();
    await student.getByText('1 hit', { exact: true }).waitFor();
  } finally {
    await own.close();
  }
});

it('a round begins from a picture of what is likely next, at the stage where the player was last', async () => {
  await startRound(page, 'Idris Pell', 'harbour-turn', 2);
  await page.keyboard.press('Space');
  await page.keyboard.press('e');
  await page.getByRole('button', { name: 'End the round' }).click();
  const round = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  const ended = async () => {
    const reply: unknown = await (await page.request.get(`/api/rounds/${round}`)).json();
    return (await openRoundSchema.validate(reply)).round.endedAt !== null;
  };
  await expect.poll(ended).toBe(true);
  // Their rounds are slower than every other list: no picture stands that would change under the finger.
  const held: Route[] = [];
  const results = /\/players\/[^/]+\/results/;
  await page.route(results, (route) => {
    held.push(route);
  });
  await page.goto('/lesson/round');
  const proposed = page.waitForResponse(/\/players\/[^/]+\/next$/);
  await choose(page, 'Player', 'Idris Pell');
  await (await proposed).finished();
  await page.getByText('Loading what is likely next').waitFor();
  expect(await page.locator('.drill-pictures').count()).toBe(0);
  await Promise.all(held.map((route) => route.continue()));
  await page.unroute(results);
  const picture = page.getByRole('button', { name: /Harbour turn.*played last/s });
  await picture.click();
  await expect.poll(() => new URL(page.url()).searchParams.get('drill')).toBe('harbour-turn');
  // No stage is named: the second is the one of the last round.
  expect(new URL(page.url()).searchParams.get('stage')).toBeNull();
  const second = JSON.parse(readText('harbour-turn')) as { stages: { title: string }[] };
  await expect
    .poll(() => page.getByRole('combobox', { name: 'Stage' }).inputValue())
    .toBe(second.stages[1]?.title);
  // Somebody who never played it begins at the first: a player whom no other test knows.
  const name = `Newcomer ${randomUUID().slice(0, 4)}`;
  const made = await page.request.post('/api/players', {
    data: { name, hand: 'right', email: null, password: null },
  });
  expect(made.ok()).toBe(true);
  await page.reload();
  await choose(page, 'Player', name);
  await expect
    .poll(() => page.getByRole('combobox', { name: 'Stage' }).inputValue())
    .toBe(second.stages[0]?.title);
});
