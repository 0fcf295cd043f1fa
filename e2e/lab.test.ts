import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { pixelOf, reads } from './lib/actions.ts';
import { signedIn } from './lib/signedIn.ts';

let page: Page;
signedIn((opened) => {
  page = opened;
});

const pixel = (x: number, y: number) => pixelOf(page, { x, y });

const along = () => page.getByLabel('From the head').inputValue();

describe('the lab', () => {
  it('is worked by keys: a ball moves by 1 cm, 1 mm and a quarter diamond, and back again', async () => {
    await page.getByRole('link', { name: 'Lab' }).click();
    await page.getByText('What happens').waitFor();
    await page.getByRole('application').focus();
    await page.keyboard.press('ArrowRight');
    expect(await along()).toBe('772');
    await page.keyboard.press('Alt+ArrowRight');
    expect(await along()).toBe('773');
    // 2540 mm are eight diamonds, a quarter of one 79.375 mm.
    await page.keyboard.press('Shift+ArrowRight');
    expect(await along()).toBe('852.4');
    for (let i = 0; i < 3; i++) await page.keyboard.press('Control+z');
    expect(await along()).toBe('762');
    await page.keyboard.press('Control+Shift+z');
    expect(await along()).toBe('772');
    await page.keyboard.press('n');
    expect(await along()).toBe('1651');
  });

  it('takes a ball by drag and a place by typing, never into another ball', async () => {
    await page.goto('/lab');
    const from = await pixel(0.8 * 2.54, 0.25 * 1.27);
    const to = await pixel(1.0, 1.0);
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(to.x, to.y, { steps: 5 });
    await page.mouse.up();
    expect(Math.abs(Number(await along()) - 1000)).toBeLessThan(4);
    // The whole drag is one step back, and one forth.
    await page.getByRole('button', { name: 'Undo' }).click();
    expect(Math.abs(Number(await along()) - 2032)).toBeLessThan(4);
    await page.getByRole('button', { name: 'Redo' }).click();
    expect(Math.abs(Number(await along()) - 1000)).toBeLessThan(4);
    // Onto the 1, which stands at 1651 mm: a ball's width is kept.
    await page.getByLabel('From the right').fill('698.5');
    // Figure by figure, as it is typed: nothing is taken before the end.
    await page.getByLabel('From the head').fill('');
    await page.getByLabel('From the head').pressSequentially('1651');
    await page.keyboard.press('Enter');
    const [x, y] = [Number(await along()), Number(await page.getByLabel('From the right').inputValue())];
    expect(Math.hypot(x - 1651, y - 698.5)).toBeGreaterThan(57);
  });

  it('says what happens in words, plays it to its end and steps from event to event', async () => {
    await page.goto('/lab');
    await page.getByText('The cue ball and the 1 meet').waitFor();
    await page.getByText(/The cue ball hits the left-hand rail at \d\.\d diamonds/).waitFor();
    await page.getByRole('button', { name: 'Next event' }).click();
    await reads(page.getByTestId('replay-time'), /^0\.32 \//);
    await page.getByRole('button', { name: /^Play/ }).click();
    await page.getByRole('button', { name: /^Pause/ }).waitFor();
    await page.getByRole('button', { name: /^Play/ }).waitFor();
    await reads(page.getByTestId('replay-time'), /^(\d+\.\d\d) \/ \1 s$/);
  });

  it('has an address for each position, and reads and refuses shot files', async () => {
    await page.goto('/lab');
    await page.getByRole('application').focus();
    await page.keyboard.press('ArrowUp');
    await page.getByRole('button', { name: 'Link' }).click();
    await page.waitForURL(/shot=/);
    await page.reload();
    await page.getByText('What happens').waitFor();
    expect(await page.getByLabel('From the right').inputValue()).toBe('518');
    await page.getByRole('button', { name: 'File' }).click();
    const field = page.getByLabel('jolly-rail/shot, version 1');
    const file = await field.inputValue();
    await field.fill(file.replace('"speed": 2.2', '"speed": -2'));
    await page.getByRole('button', { name: 'Read this shot' }).click();
    await page.getByText('strike.speed: must be a number, zero or more').waitFor();
    await field.fill(file.replace('"speed": 2.2', '"speed": 3.3'));
    await page.getByRole('button', { name: 'Read this shot' }).click();
    await page.getByText('3.30 m/s').waitFor();
  });

  it('warns where a stroke can send a ball off the table', async () => {
    await page.goto('/lab');
    expect(await page.getByText('Clear the landing side').count()).toBe(0);
    await page.getByRole('slider', { name: 'Pace' }).focus();
    await page.keyboard.press('End');
    await page.getByText('Clear the landing side').waitFor();
  });
});
