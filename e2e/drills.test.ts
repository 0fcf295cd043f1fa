import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { choose, reads } from './lib/actions.ts';
import { signedIn } from './lib/signedIn.ts';

let page: Page;
signedIn((opened) => {
  page = opened;
});

describe('the drills', () => {
  it('are found by family, table, skill and words; the choice stands in the address', async () => {
    await page.goto('/drills');
    await choose(page, 'Family', 'Order');
    await reads(page.getByTestId('count'), '15 drills');
    await choose(page, 'Kind of table', '12-ft snooker');
    await reads(page.getByTestId('count'), '4 drills');
    await page.getByLabel('Search the drills').fill('lives');
    await reads(page.getByTestId('count'), '1 drill');
    await page.reload();
    await page.getByRole('link', { name: /Moored to the cushion/ }).waitFor();
    await page.getByLabel('Search the drills').fill('nothing like this');
    await page.getByText('No drills match').waitFor();
    await page.getByRole('button', { name: 'Remove the filters' }).click();
    await reads(page.getByTestId('count'), /^7\d drills$/);
    // By what it asks, and by what practitioners call it.
    await page.getByLabel('Search the drills').fill('long pots');
    await page.getByRole('link', { name: /Long pier/ }).waitFor();
  });

  it('change with their stage: what is set, and under which conditions', async () => {
    await page.goto('/drills/tight-quarters?stage=1');
    await page.getByText('Condition: no second ball.').waitFor();
    const rows = page.getByRole('row');
    // The heading, the cue ball and five balls; then three more.
    await expect.poll(() => rows.count()).toBe(7);
    await page.getByRole('radiogroup', { name: 'Stage' }).getByText('Eight balls').click();
    await expect.poll(() => rows.count()).toBe(10);
    await page.goto('/drills/two-fleets?stage=1');
    await page.getByText('one suit, then the other, the 8 last').waitFor();
    expect(await page.getByText('Condition: no rail.').count()).toBe(0);
    await page.getByRole('radiogroup', { name: 'Stage' }).getByText('Without a cushion').click();
    await page.getByText('Condition: no rail.').waitFor();
  });

  it('show where they are for another table, in its proportions, and both schools', async () => {
    await page.goto('/drills/harbour-rounds?stage=2');
    await page.getByText('Two schools: leaving angles').waitFor();
    await page.getByRole('row', { name: /^1/ }).getByText('953 mm').waitFor();
  });

  it('played by the rules of a game have a card of them', async () => {
    await page.goto('/drills/red-street?stage=2');
    const card = page.getByRole('region', { name: 'Rules of snooker' });
    await card.getByText('the black potted off a red costs 7').waitFor();
    await card.getByText('The house rules win.', { exact: false }).waitFor();
    await page.goto('/drills/harbour-turn?stage=2');
    await page.getByText('The task').waitFor();
    expect(await page.getByRole('region', { name: /^Rules of/ }).count()).toBe(0);
  });

  it('are chosen by how many balls must be set, and shown at their first stages, or their last ones', async () => {
    await page.goto('/drills');
    await choose(page, 'Balls to set', 'up to 5 balls');
    await page.getByLabel('Search the drills').fill('harbour turn');
    await page.locator('a[href="/drills/harbour-turn"]').waitFor();
    await choose(page, 'Which stages', 'last stages');
    await page.locator('a[href="/drills/harbour-turn?stage=2"]').click();
    await page.getByRole('heading', { name: 'Harbour turn' }).waitFor();
    expect(new URL(page.url()).searchParams.get('stage')).toBe('2');
  });

  it('are chosen for a player by what is due', async () => {
    await page.goto('/drills');
    await choose(page, 'For whom', 'Wren Sallow');
    await page.getByText('Last', { exact: false }).first().waitFor();
    await choose(page, 'Only', 'Suits them');
    const count = async () => Number(/\d+/.exec(await page.getByTestId('count').innerText())?.[0]);
    // What the rounds say comes a moment after the choice.
    await expect
      .poll(async () => {
        const shown = await count();
        return shown > 0 && shown < 72;
      })
      .toBe(true);
    expect(new URL(page.url()).searchParams.get('only')).toBe('suits');
  });

  it('with several routes show each with its stroke, and the address keeps which', async () => {
    await page.goto('/drills/back-down-the-slip?stage=3');
    await page.getByText('2.75 m/s').waitFor();
    await page.getByRole('radiogroup', { name: 'Route' }).getByText('Round by the far side').click();
    await page.getByText('4.20 m/s').waitFor();
    await page.reload();
    await page.getByText(/25\s%( of the radius)? right$/).waitFor();
  });

  it('of a raised butt say what to mind', async () => {
    await page.goto('/drills/round-the-mast?stage=2');
    await page.getByText('A raised butt can send a ball off the table').waitFor();
  });
});

describe('targets that are drawn', () => {
  it('have a stroke found for them, with what it is worth', async () => {
    await page.goto('/drills/five-buoys');
    await page.getByRole('button', { name: 'Find one' }).click();
    await reads(
      page.getByTestId('landing-plan'),
      /^\d\.\d m\/s, tip .+ As planned it is worth [12] points?; a team player makes [012]\.\d in the mean and scores with \d+ %\.$/,
    );
    await page.getByRole('img', { name: 'Five buoys: a stroke to the targets' }).waitFor();
  });
});
