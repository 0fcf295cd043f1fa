import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { programmesSchema } from '../core/records/programme.ts';
import { choose, reads } from './lib/actions.ts';
import { idOf } from './lib/idOf.ts';
import { signedIn } from './lib/signedIn.ts';

let page: Page;
signedIn((opened) => {
  page = opened;
});

describe('a programme', () => {
  it('is made of blocks, dragged, undone, copied, ticked off and taken into a calendar', async () => {
    await page.goto(`/players/${await idOf(page, 'Marit Quill')}`);
    await page.getByRole('button', { name: 'New programme' }).click();
    const done = page.getByTestId('done-planned');
    await reads(done, '0 of 0 done, 0 of 0 minutes.');
    // One that nobody plays here: a round of this week would do the entry.
    await choose(page, 'Drill', 'Break the ice');
    await page.getByLabel('Minutes').fill('40');
    await page.getByRole('button', { name: 'Spread it over the weeks' }).click();
    // Days of this week that are past are left out: two a week, five weeks, the first perhaps not whole.
    const told = page.getByText(/^\d+ entries added\.$/);
    await told.waitFor();
    const planned = Number.parseInt((await told.textContent()) ?? '', 10);
    expect(planned >= 8 && planned <= 10).toBe(true);
    await reads(done, new RegExp(`^\\d of ${planned} done, \\d+ of ${40 * planned} minutes\\.$`));

    const items = page.locator('.programme-item');
    expect(await items.count()).toBe(planned);
    const cells = page.getByRole('cell');
    const target = page
      .locator('.day')
      .filter({ hasNot: page.locator('.programme-item') })
      .last();
    const named = (await target.getAttribute('aria-label')) ?? '';
    const day = page.getByRole('cell', { name: named, exact: true });
    await day.scrollIntoViewIfNeeded();
    const from = await items.last().boundingBox();
    if (from === null) throw new Error('nothing to drag');
    await page.mouse.move(from.x + 20, from.y + 10);
    await page.mouse.down();
    await page.mouse.move(from.x + 40, from.y + 14, { steps: 4 });
    // The page may scroll under the drag, and says itself over which day the entry is: only then it is let go.
    await expect
      .poll(async () => {
        const to = await day.boundingBox();
        if (to === null) return '';
        await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 8 });
        return day.getAttribute('class');
      })
      .toContain('over');
    await page.mouse.up();
    await day.locator('.programme-item').waitFor();
    await page.getByRole('button', { name: 'Undo' }).click();
    await day.locator('.programme-item').waitFor({ state: 'detached' });
    expect(await cells.count()).toBeGreaterThan(30);

    // What is to come cannot be ticked off; moved to today it can.
    await items.last().click();
    expect(await page.getByRole('checkbox', { name: 'Done' }).isDisabled()).toBe(true);
    await items.first().click();
    const [year, month, today] = new Date().toLocaleDateString('sv').split('-');
    await page.getByLabel('Day', { exact: true }).fill([today, month, year].join('/'));
    await page.getByLabel('Day', { exact: true }).press('Enter');
    await page.getByRole('checkbox', { name: 'Done' }).click();
    await page.locator('.day.today .programme-item').filter({ hasText: 'done' }).waitFor();

    await page.getByLabel('A match day').fill(await page.getByLabel('Day', { exact: true }).inputValue());
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await page.locator('.day-name', { hasText: 'match' }).waitFor();

    await choose(page, 'Students', 'Corin Ash');
    await page.getByRole('button', { name: 'Copy it to them' }).click();
    await page.getByText('Copied.').waitFor();
    const all = await programmesSchema.validate(await (await page.request.get('/api/programmes')).json());
    expect(all.find(({ player }) => player.name === 'Corin Ash')?.document.items).toHaveLength(planned);

    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Calendar file' }).click(),
    ]);
    const stream = await file.createReadStream();
    const parts: Buffer[] = [];
    for await (const part of stream) parts.push(Buffer.from(part as Uint8Array));
    const text = Buffer.concat(parts).toString();
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(planned + 1);
  });
});

describe('the weeks to come', () => {
  it('change by what was played when somebody says yes, and are as before when it is taken back', async () => {
    await page.goto(`/players/${await idOf(page, 'Tamsin Gull')}`);
    await page.getByRole('link', { name: 'The blue and the black' }).click();
    const coming = page.getByRole('region', { name: 'The weeks to come' });
    const proposal = coming.getByRole('group').first();
    await proposal.waitFor();
    const [first] = await proposal.getByRole('listitem').allTextContents();
    const items = page.locator('.programme-item');
    const before = await items.allTextContents();
    await proposal.getByRole('button', { name: 'Yes' }).click();
    await coming.getByText('What was answered').click();
    await coming.getByText(/Yes, \d+ entr(y|ies) changed, by Morwenna Oake/).waitFor();
    await expect.poll(() => items.allTextContents()).not.toEqual(before);
    // What was listed is what has become of it.
    const [day = '', what = ''] = (first ?? '').split(': ');
    const there = page.locator('.day').filter({ has: page.getByText(day, { exact: true }) });
    await there.locator('.programme-item', { hasText: what.split(',')[0] ?? '' }).waitFor();
    await coming.getByRole('button', { name: 'Take it back' }).click();
    await expect.poll(() => items.allTextContents()).toEqual(before);
  });

  it('open where an entry stands, move by the keyboard, and close with Escape', async () => {
    await page.goto(`/players/${await idOf(page, 'Tamsin Gull')}`);
    await page.getByRole('link', { name: 'The blue and the black' }).click();
    const entry = page.locator('.programme-item').last();
    await entry.focus();
    const day = await entry.locator('xpath=..').getAttribute('aria-label');
    await entry.press('Enter');
    const opened = page.getByRole('dialog');
    await opened.getByRole('button', { name: 'Take it out' }).waitFor();
    await page.keyboard.press('Escape');
    await opened.waitFor({ state: 'detached' });
    await page.keyboard.press('Alt+ArrowRight');
    const focused = page.locator('.programme-item:focus');
    await expect.poll(() => focused.locator('xpath=..').getAttribute('aria-label')).not.toBe(day);
    await page
      .getByText(/^Moved to (Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)day \d+ \w+$/)
      .waitFor({ state: 'attached' });
    await page.keyboard.press('Alt+ArrowLeft');
    await expect.poll(() => focused.locator('xpath=..').getAttribute('aria-label')).toBe(day);
  });
});
