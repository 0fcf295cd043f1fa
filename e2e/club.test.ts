import { randomUUID } from 'node:crypto';
import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { clubTablesSchema } from '../core/records/clubTable.ts';
import { newRound } from '../server/testing/newRound.ts';
import { choose, reads } from './lib/actions.ts';
import { openBrowser } from './lib/browser.ts';
import { demoUrl } from './lib/demoUrl.ts';
import { signedIn } from './lib/signedIn.ts';

let page: Page;
signedIn((opened) => {
  page = opened;
});

const row = (name: string) => page.getByRole('table', { name: 'Coaches' }).getByRole('row', { name });

describe('a coach', () => {
  it('is invited, comes in with the code, changes the password, and is let go', async () => {
    await page.goto('/players/club');
    await page.getByLabel('Another coach').fill('Isolde Reef');
    await page.getByRole('button', { name: 'Invite' }).click();
    const code = await page.getByTestId('sign-in-code').innerText();
    await page.getByRole('button', { name: 'It is noted' }).click();
    await row('Isolde Reef').getByText('invited, has not come in yet').waitFor();

    const other = await openBrowser({ baseURL: demoUrl() });
    try {
      const hers = await other.context.newPage();
      await hers.goto('/sign-in');
      await hers.getByRole('button', { name: 'I have a code' }).click();
      await hers.getByLabel('Code from a coach').fill(code);
      await hers.getByLabel('E-mail').fill('isolde@kittiwake.example');
      await hers.getByLabel(/password of your own/).fill('isoldereef1');
      await hers.getByRole('button', { name: 'Come in' }).click();
      // Made of her name: told at its field, and what was typed stays.
      await hers.getByText('easy to guess').waitFor();
      expect(await hers.getByLabel('Code from a coach').inputValue()).toBe(code);
      await hers.getByLabel(/password of your own/).fill('gravel and tea');
      await hers.getByRole('button', { name: 'Come in' }).click();
      await hers.getByText('Just played').waitFor();

      await hers.goto('/account');
      await hers.getByLabel('The one of now').fill('not this one');
      await hers.getByLabel(/The new one/).fill('wind off the pier');
      await hers.getByRole('button', { name: 'Change it' }).click();
      await hers.getByText('current is not your password').waitFor();
      await hers.getByLabel('The one of now').fill('gravel and tea');
      await hers.getByRole('button', { name: 'Change it' }).click();
      await hers.getByText('Your other devices are signed out').waitFor();

      await page.reload();
      await row('Isolde Reef').getByRole('button', { name: 'Let go' }).click();
      await row('Isolde Reef').getByText('has left').waitFor();
      await hers.goto('/players');
      await hers.getByRole('heading', { name: 'Sign in' }).waitFor();
      await page.getByRole('cell', { name: 'Coach removed: Isolde Reef' }).waitFor();
    } finally {
      await other.close();
    }
  });
});

describe('what was entered wrongly', () => {
  it('is put right: the name, a round that was not to count; at last the student is erased for good', async () => {
    const origin = demoUrl();
    const send = (method: 'post' | 'put', path: string, data: object) =>
      page.request[method](`/api${path}`, { data, headers: { origin } });
    const made = await send('post', '/players', {
      name: 'Sorrel Finch',
      hand: 'left',
      email: null,
      password: null,
    });
    const { id } = (await made.json()) as { id: string };
    const tables = await clubTablesSchema.validate(await (await page.request.get('/api/tables')).json());
    const table = tables.find(({ preset }) => preset === 'pool-9ft');
    const round = randomUUID();
    const place = { playerId: id, tableId: table?.id ?? '' };
    const begun = await send(
      'put',
      `/rounds/${round}`,
      newRound(place, { tableRevision: table?.state.revision ?? 1 }),
    );
    expect(begun.status()).toBe(200);
    await send('post', `/rounds/${round}/end`, { endedAt: '2026-11-24T12:20:00Z', early: true });

    await page.goto(`/players/${id}`);
    await page.getByRole('button', { name: 'Correct' }).click();
    await page.getByLabel('Name').fill('Sorrel Hale');
    await page.getByRole('button', { name: 'Put it right' }).click();
    await page.getByRole('heading', { name: 'Sorrel Hale', level: 1 }).waitFor();

    await page.goto(`/lesson/rounds/${round}`);
    await page.getByRole('button', { name: 'Put the round away' }).click();
    await page.getByLabel('Why').fill('it was a trial of the table');
    await page.getByRole('button', { name: 'Put it away' }).click();
    await page.getByText('No finished round yet.').waitFor();
    await page.goto('/players/club');
    await page
      .getByRole('table', { name: 'Rounds that were put away' })
      .getByRole('row', { name: 'Sorrel Hale' })
      .getByRole('button', { name: 'Bring back' })
      .click();
    await page.getByLabel('Why').fill('it counts after all');
    await page.getByRole('button', { name: 'Bring it back' }).click();
    await page.getByRole('cell', { name: 'it counts after all' }).waitFor();

    await page.goto(`/lesson/rounds/${round}`);
    await page.getByRole('button', { name: 'It was somebody else’s' }).click();
    await choose(page, 'Player', 'Petra Nightingale');
    await page.getByLabel('Why').fill('the wrong name was tapped');
    await page.getByRole('button', { name: 'Give it to them' }).click();
    await page.getByText('No finished round yet.').waitFor();
    await send('put', `/rounds/${round}/player`, { playerId: id, reason: 'back again' });

    await page.goto(`/players/${id}`);
    await page.getByRole('button', { name: 'Correct' }).click();
    await page.getByRole('button', { name: 'Erase Sorrel Hale' }).click();
    const erase = page.getByRole('button', { name: 'Erase for good' });
    expect(await erase.isDisabled()).toBe(true);
    await page.getByLabel(/To erase, write/).fill('Sorrel Hale');
    await erase.click();
    await page.getByRole('heading', { name: 'Players', level: 1 }).waitFor();
    await page.getByRole('link', { name: 'Wren Sallow' }).waitFor();
    expect(await page.getByText('Sorrel Hale').count()).toBe(0);
  });
});

describe('halls', () => {
  it('have the tables that stand in them', async () => {
    await page.goto('/players/club');
    await page.getByLabel('Another hall').fill('Upper deck');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await page.getByLabel('Name of Upper deck').waitFor();
    await page.goto('/hall');
    await page.getByRole('link', { name: /Pool room, table 4/ }).click();
    await page.getByRole('combobox', { name: 'The hall in which it stands' }).click();
    await page.getByRole('option', { name: 'Upper deck' }).click();
    await page.goto('/hall');
    const deck = page.getByRole('region', { name: 'Upper deck' });
    await reads(deck.getByRole('heading', { name: 'Upper deck' }), 'Upper deck');
    expect(await deck.getByRole('link').count()).toBe(1);
    await page.goto('/players/club');
    // Coaches may be brought back on this page too: only the halls' own part is meant.
    const halls = page.getByRole('region', { name: 'Halls' });
    await halls.getByRole('button', { name: 'Put away' }).click();
    await halls.getByRole('button', { name: 'Bring back' }).waitFor();
  });
});
