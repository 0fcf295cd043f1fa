import { readFile } from 'node:fs/promises';
import type { Download, Page } from 'playwright-core';
import type { Point } from '../core/math/point.ts';
import { describe, expect, inject, it } from 'vitest';
import { readDrillFile, writeDrillFile } from '../core/formats/drillFile.ts';
import type { Drill } from '../core/records/drill.ts';
import { choose, dragOnTable, pixelOf, reads, storedAttempts } from './lib/actions.ts';
import { openBrowser, type Browser } from './lib/browser.ts';
import { signedIn } from './lib/signedIn.ts';

let browser: Browser;
let page: Page;
signedIn((opened, own) => {
  page = opened;
  browser = own;
});

const tool = (name: string) =>
  page.getByRole('radiogroup', { name: 'What a drag does' }).getByText(name, { exact: true }).click();
const part = (name: string) =>
  page.getByRole('radiogroup', { name: 'Which part is changed' }).getByText(name, { exact: true }).click();
const tab = (name: string) => page.getByRole('tab', { name, exact: true }).click();
const title = () => page.getByRole('textbox', { name: 'Title', exact: true });
const save = () => page.getByRole('button', { name: /^Save/ });

const drag = (from: Point, to: Point) => dragOnTable(page, from, to);

async function saved(download: Promise<Download>): Promise<string> {
  return readFile(await (await download).path(), 'utf8');
}

/** The file that "More" saves on a drill's page. */
async function fileOf(item: string): Promise<string> {
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: item }).click();
  return saved(download);
}

describe('targets', () => {
  it('are drawn on the cloth, earn what they are given, and are taken away', async () => {
    await page.goto('/drills/new');
    await tab('Task');
    await choose(page, 'The player is to', 'Pot and land in targets');
    const missing = page.getByRole('status', { name: 'What is missing' });
    await missing.getByText('Targets are missing: draw where the cue ball should stop').waitFor();
    await tab('Balls');
    for (const [name, from, to] of [
      ['Rings', { x: 0.6, y: 0.9 }, { x: 0.75, y: 0.95 }],
      ['Rectangle', { x: 0.3, y: 0.2 }, { x: 0.6, y: 0.5 }],
      ['Way', { x: 1.2, y: 0.3 }, { x: 1.5, y: 0.35 }],
    ] as const) {
      await tool(name);
      await drag(from, to);
    }
    const targets = page.getByRole('region', { name: 'Targets' });
    await targets.getByLabel('Points of target 2').fill('4');
    await tool('Corners');
    for (const place of [
      { x: 1.7, y: 0.2 },
      { x: 2.1, y: 0.25 },
      { x: 2, y: 0.5 },
      { x: 1.7, y: 0.2 },
    ]) {
      const { x, y } = await pixelOf(page, place);
      await page.mouse.click(x, y);
    }
    await tool('Cushion');
    await drag({ x: 0.8, y: 1.2 }, { x: 1.1, y: 1.2 });
    await targets.getByText('Stretch of cushion').waitFor();
    await page.getByRole('button', { name: 'Undo' }).click();
    await targets.getByRole('button', { name: 'A ball to be met at a thickness' }).click();
    await targets.getByLabel('Covered').fill('25');
    await expect.poll(() => targets.getByLabel('Covered').inputValue()).toBe('25');
    await targets.getByRole('button', { name: 'Take away' }).last().click();
    const buttons = targets.getByRole('button', { name: 'Take away' });
    await expect.poll(() => buttons.count()).toBe(4);
    await page.locator('svg.table-drawing text', { hasText: '4' }).waitFor();
    await buttons.nth(1).click();
    await expect.poll(() => buttons.count()).toBe(3);
    await page.getByRole('button', { name: 'Start afresh' }).click();
    await targets.getByText('None drawn.').waitFor();
  });
});

describe('a stage', () => {
  it('that was chosen and is undone leaves the base to be looked at', async () => {
    await page.goto('/drills/new');
    await tab('Stages');
    await page.getByRole('button', { name: 'One stage more' }).click();
    await part('Stage 2');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect.poll(() => page.getByRole('region', { name: /^Stage/ }).count()).toBe(1);
    await page.getByRole('radio', { name: 'All stages', checked: true }).waitFor({ state: 'attached' });
    await page.getByRole('application').waitFor();
    await page.getByRole('button', { name: 'Start afresh' }).click();
  });
});

describe('a drill from nothing', () => {
  let exported: Drill;

  it('says what is missing, is set by drag and by figures, and every step can be undone', async () => {
    await page.goto('/drills');
    await page.getByRole('link', { name: 'New drill' }).click();
    const missing = page.getByRole('status', { name: 'What is missing' });
    await missing.getByText('The title is missing').waitFor();
    await missing.getByText('What it is for is missing').waitFor();
    expect(await save().isDisabled()).toBe(true);
    // The 2 lies at three quarters of the length and a quarter of the width; it is dragged to the foot spot.
    await drag({ x: 1.905, y: 0.3175 }, { x: 1.91, y: 0.63 });
    await page.getByText('Lies on the foot spot.').waitFor();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByText('Lies in proportion to the table.').waitFor();
    await page.getByRole('button', { name: 'Redo' }).click();
    await page.getByText('Lies on the foot spot.').waitFor();
    await page.getByLabel('From the right, mm').fill('320');
    await page.keyboard.press('Enter');
    await page.getByText('Lies in proportion to the table.').waitFor();
    await page.getByRole('button', { name: '3', exact: true }).click();
    await page.getByRole('button', { name: 'Take off' }).click();
    await title().fill('Slack water');
    await tab('Text');
    await page.getByLabel('What it is for').fill('Come back up the table for the two.');
    await missing.getByText('Everything is there.').waitFor();
  });

  it('keeps the draft on the device whatever happens', async () => {
    await page.getByText(/Draft kept here at/).waitFor();
    await page.reload();
    await expect.poll(() => title().inputValue()).toBe('Slack water');
    await page.getByText('Everything is there.').waitFor();
  });

  it('keeps another stroke as a route, and changes places with it', async () => {
    await tab('Task');
    await page.getByRole('button', { name: 'Keep as another route' }).click();
    await page.getByRole('slider', { name: 'Pace' }).focus();
    await page.keyboard.press('ArrowLeft');
    await page.getByText('2.35 m/s').first().waitFor();
    await page.getByRole('button', { name: 'Change places' }).click();
    await page.getByText('2.40 m/s').first().waitFor();
    await page.getByLabel('Route 1').fill('A little softer');
    await page.getByText('Everything is there.').waitFor();
  });

  it('is tried at once by a virtual player, gets a stage more, and is saved', async () => {
    await tab('Try');
    await page.getByRole('button', { name: 'Play a round' }).click();
    await reads(page.getByTestId('tried'), /^\d+ of 30 points$/);
    await tab('Stages');
    await page.getByRole('button', { name: 'One stage more' }).click();
    await page.getByText('The title of stage 2 is missing').waitFor();
    await page
      .getByRole('region', { name: 'Stage 2' })
      .getByRole('textbox', { name: 'Stage 2' })
      .fill('Farther');
    await part('Farther');
    await tab('Balls');
    await page.getByRole('button', { name: 'cue ball', exact: true }).click();
    await page.getByRole('application').focus();
    for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowLeft');
    await tab('Stages');
    await page.getByText('Moved: cue.').waitFor();
    await save().click();
    await page.getByRole('heading', { name: 'Slack water' }).waitFor();
    await page.getByText('the club’s own, revision 1').waitFor();
  });

  it('of any kind is tried by a virtual player, whose attempts are told', async () => {
    const other = await browser.context.newPage();
    await other.goto('/drills/new?from=harbour-rounds');
    await other.getByRole('tab', { name: 'Try', exact: true }).click();
    await other.getByRole('button', { name: 'Play a round' }).click();
    await reads(other.getByTestId('tried'), /^\d+ of \d+ balls$/);
    await other.getByText(/^The middle one of \d+ rounds: \d+ of \d+ balls\.$/).waitFor({ timeout: 200_000 });
    expect(await other.getByRole('cell', { name: /^(cleared|\d+ made)$/ }).count()).toBeGreaterThan(2);
    await other.close();
  });

  it('is found among the club’s own, and as a favourite once it is one', async () => {
    await page.getByRole('button', { name: 'Favourite: Slack water' }).click();
    await page.goto('/drills?only=our+own');
    await reads(page.getByTestId('count'), '1 drill');
    await page.goto('/drills');
    await choose(page, 'Only', 'Favourites');
    await page.getByRole('link', { name: /Slack water/ }).waitFor();
    await reads(page.getByTestId('count'), '1 drill');
  });

  it('is saved as a file, as SVG and as PNG', async () => {
    await page.getByRole('link', { name: /Slack water/ }).click();
    const [read] = readDrillFile(await fileOf('Save as a drill file'));
    if (read?.kind !== 'read') throw new Error('the file holds no drill');
    exported = read.drill;
    expect(exported.title).toBe('Slack water');
    expect(exported.stages.map((stage) => [stage.title, stage.moved.map(({ id }) => id)])).toEqual([
      ['Open window', []],
      ['Farther', ['cue']],
    ]);
    expect(exported.routes).toMatchObject([{ title: 'A little softer', plan: { speed: 2.35 } }]);
    const svg = await fileOf('Diagram as SVG');
    expect(svg).toMatch(/^<svg[^>]+xmlns="http:\/\/www\.w3\.org\/2000\/svg"/);
    expect(svg).not.toContain('var(--');
    expect(svg).toContain('</svg>');
    const png = await fileOf('Diagram as PNG');
    expect(png.slice(1, 4)).toBe('PNG');
  });

  it('is taken in by another club, recognised when it comes again, and a bad one beside it is told', async () => {
    const other = await openBrowser({ baseURL: inject('otherUrl') });
    try {
      const there = await other.context.newPage();
      await there.goto('/sign-in');
      await there.getByLabel('Club').fill('Curlew Bridge');
      await there.getByLabel('Your name').fill('Isolde Fenn');
      await there.getByLabel('E-mail').fill('isolde@curlew.example');
      await there.getByLabel('Password', { exact: true }).fill('a bridge of birds');
      await there.getByRole('button', { name: 'Open the club' }).click();
      await there.getByRole('heading', { name: /^Today/ }).waitFor();
      await there.goto('/drills');
      await there.getByRole('button', { name: 'From a file' }).click();
      const take = async (name: string, text: string) => {
        const chooser = there.waitForEvent('filechooser');
        await there.getByRole('button', { name: 'Choose a file' }).click();
        await (
          await chooser
        ).setFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text, 'utf8') });
      };
      const results = there.getByRole('list', { name: 'What became of the drills' }).getByRole('listitem');
      await take('slack-water.drill.json', writeDrillFile([exported]));
      await reads(results, 'Slack water added');
      const wrong = { ...exported, title: 'Ebb', family: 'dancing' };
      const set = { format: 'jolly-rail/drills', version: 1, drills: [exported, wrong] };
      await take('set.json', JSON.stringify(set, null, 2));
      await reads(results.first(), 'Slack water is here already, word for word');
      await reads(results.last(), /^Ebb was refused\. line \d+: family must be one of/);
      await take('broken.json', '{\n"format": ');
      await there.getByText(/^line 2: this is not JSON/).waitFor();
      await there.keyboard.press('Escape');
      await there.goto('/drills/slack-water');
      await there.getByText('the club’s own, revision 1').waitFor();
    } finally {
      await other.close();
    }
  });

  it('with rounds gets a new revision; the rounds keep theirs, and comparisons say so', async () => {
    await page.goto('/lesson/round?drill=slack-water');
    await choose(page, 'Player', 'Wren Sallow');
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    await page.getByRole('button', { name: /^Missed/ }).waitFor();
    for (let shot = 1; shot <= 10; shot++) await page.keyboard.press('x');
    await page.getByTestId('placing').waitFor();
    await storedAttempts(page, 10);
    await page.goto('/drills/slack-water/edit');
    await tab('Text');
    await page.getByLabel('What it is for').fill('Come back up the table, whatever it takes.');
    await page.getByRole('button', { name: 'Save as revision 2' }).click();
    await page.getByText('the club’s own, revision 2').waitFor();
    await page.getByRole('listitem').filter({ hasText: '1: Slack water' }).getByText('1 round').waitFor();
    await page.getByText('whatever it takes').waitFor();
    await page.goto('/players');
    await page.getByRole('link', { name: /Wren Sallow/ }).click();
    await choose(page, 'Rounds of', /Slack water/);
    await page.getByText('Played by revision 1. The drill has been changed since').waitFor();
  });

  it('is put away and brought back', async () => {
    await page.goto('/drills/slack-water');
    await page.getByRole('button', { name: 'More' }).click();
    await page.getByRole('menuitem', { name: 'Put away' }).click();
    await page.getByText('put away', { exact: false }).first().waitFor();
    await page.goto('/drills?only=our+own');
    await reads(page.getByTestId('count'), '0 drills');
    await page.goto('/drills');
    await choose(page, 'Only', 'Put away');
    await page.getByRole('link', { name: /Slack water/ }).click();
    await page.getByRole('button', { name: 'More' }).click();
    await page.getByRole('menuitem', { name: 'Bring back' }).click();
    await page.goto('/drills?only=our+own');
    await reads(page.getByTestId('count'), '1 drill');
  });
});

describe('the stations of a kick', () => {
  it('are added where the cue ball stands, need two, and are taken away again', async () => {
    await page.goto('/drills/new');
    await tab('Task');
    await choose(page, 'The player is to', 'Kick to a ball');
    await tab('Balls');
    const add = page.getByRole('button', { name: 'Add where it stands' });
    await page.getByText('The cue ball always lies here.').waitFor();
    await add.click();
    const missing = page.getByRole('status', { name: 'What is missing' });
    await missing.getByText(/needs at least two places/).waitFor();
    const rings = () => page.locator('svg.table-drawing [data-station]').count();
    await page.getByRole('button', { name: 'cue ball', exact: true }).click();
    await page.getByLabel('From the right, mm').fill('900');
    await add.click();
    await page.getByText('The cue ball lies at 2 places in turn.').waitFor();
    await expect.poll(() => missing.getByText(/needs at least two places/).count()).toBe(0);
    await expect.poll(rings).toBe(2);
    const remove = page.getByRole('button', { name: 'Remove the last place' });
    await remove.click();
    await remove.click();
    await page.getByText('The cue ball always lies here.').waitFor();
    await expect.poll(rings).toBe(0);
  });
});
