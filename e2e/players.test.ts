import { clubTablesSchema } from '../core/records/clubTable.ts';
import { randomUUID } from 'node:crypto';
import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { programmesSchema } from '../core/records/programme.ts';
import { choose, reads, signIn } from './lib/actions.ts';
import { demoUrl } from './lib/demoUrl.ts';
import { idOf } from './lib/idOf.ts';
import { openBrowser } from './lib/browser.ts';
import { signedIn } from './lib/signedIn.ts';

let page: Page;
signedIn((opened) => {
  page = opened;
});

describe('the club', () => {
  it('shows every student in a line, those who stayed away by themselves', async () => {
    await page.goto('/players');
    const table = page.getByRole('table', { name: 'Players at a glance' });
    await table.getByRole('link', { name: 'Wren Sallow' }).waitFor();
    expect(await table.getByRole('row').count()).toBe(13);
    await page.getByText('not practised', { exact: true }).first().click();
    await table.getByRole('link', { name: 'Lowen Carrick' }).waitFor();
    expect(await table.getByRole('row').count()).toBe(2);
  });

  it('compares two players on the drills that both have played, the better median bold', async () => {
    await page.goto('/players/compare');
    await choose(page, 'First player', 'Wren Sallow');
    await choose(page, 'Second player', 'Idris Pell');
    const drills = page.getByRole('table', { name: 'Drills of both' });
    await drills.getByRole('cell', { name: /Harbour turn, stage 2/ }).waitFor();
    expect(await drills.getByRole('row').count()).toBeGreaterThan(3);
    expect(new URL(page.url()).searchParams.get('a')).toBe(await idOf(page, 'Wren Sallow'));
  });

  it('has a table for the evening, a line a player and a column a drill', async () => {
    const results: unknown = await (
      await page.request.get(`/api/players/${await idOf(page, 'Wren Sallow')}/results?drill=harbour-turn`)
    ).json();
    const last = (results as { startedAt: string }[]).at(-1)?.startedAt ?? '';
    const day = await page.evaluate((at) => {
      const date = new Date(at);
      return `${date.getFullYear()}-${String(date.getMonth() + 1).padStart(2, '0')}-${String(date.getDate()).padStart(2, '0')}`;
    }, last);
    await page.goto(`/players/evening?day=${day}`);
    const table = page.getByRole('table', { name: 'Results of the evening' });
    await table.getByRole('link', { name: 'Wren Sallow' }).waitFor();
    await table
      .getByRole('columnheader', { name: /Harbour turn/ })
      .first()
      .waitFor();
    await page.goto('/players/evening?day=2020-01-01');
    await page.getByText('Nobody finished a round on this day.').waitFor();
  });
});

describe('a player’s page', () => {
  it('is narrowed by table, period and skill, and the address keeps it', async () => {
    await page.goto(`/players/${await idOf(page, 'Idris Pell')}`);
    const control = page.getByTestId('rating-cue-ball control');
    await control.waitFor();
    const whole = await page.getByRole('region', { name: 'Rating in cue-ball control' }).textContent();
    await choose(page, 'Period', '30 days');
    await page.waitForURL(/days=30/);
    const region = page.getByRole('region', { name: 'Rating in cue-ball control' });
    await region.filter({ hasNotText: whole ?? '' }).waitFor();
    await choose(page, 'skill', 'potting');
    await page.waitForURL(/skill=potting/);
    await control.waitFor({ state: 'detached' });
    await page.reload();
    await page.getByRole('combobox', { name: 'Period' }).waitFor();
    expect(await page.getByRole('combobox', { name: 'skill' }).inputValue()).toBe('potting');
  });

  it('keeps the place of what is still loading', async () => {
    let release: () => void = () => undefined;
    const released = new Promise<void>((resolve) => (release = resolve));
    await page.route('**/api/players/*/results*', async (route) => {
      await released;
      await route.continue();
    });
    await page.goto(`/players/${await idOf(page, 'Idris Pell')}`);
    const breaks = page.getByRole('region', { name: 'Breaks' });
    const top = async () => ((await breaks.boundingBox())?.y ?? NaN) + (await page.evaluate(() => scrollY));
    await page.getByText('Loading the drill').waitFor();
    await page.getByRole('region', { name: 'What to practise next' }).waitFor();
    const before = await top();
    release();
    await page.getByTestId('bias').waitFor();
    // A line of text more or less at the most; the drill alone is several hundred pixels high.
    expect(Math.abs((await top()) - before)).toBeLessThan(30);
    await page.unroute('**/api/players/*/results*');
  });

  it('says of two cues that it is not decided, and how many breaks would', async () => {
    await page.goto(`/players/${await idOf(page, 'Idris Pell')}`);
    await reads(
      page.getByTestId('break-comparison'),
      /^Not decided between .+: about \d+ more breaks each\.$/,
    );
    await choose(page, 'Compare by', /place/);
    await page.getByRole('cell', { name: 'middle', exact: true }).waitFor();
  });

  it('proposes what to practise next with a reason', async () => {
    await page.goto(`/players/${await idOf(page, 'Wren Sallow')}`);
    const next = page.getByRole('region', { name: 'What to practise next' });
    await next.getByRole('listitem').first().waitFor();
    expect(await next.getByRole('listitem').first().textContent()).toMatch(/not rated|behind|trains/);
    await next.getByRole('link', { name: 'Play it' }).first().click();
    await page.getByRole('button', { name: 'Start', exact: true }).waitFor();
  });

  it('works the ledger of a clearance out, shot by shot, and it adds up', async () => {
    await page.goto(`/players/${await idOf(page, 'Wren Sallow')}`);
    await choose(page, 'Rounds of', /^Far shores/);
    await page.getByRole('button', { name: 'Work it out' }).click();
    const rows = page.getByTestId('ledger').locator('tbody tr');
    await rows.first().waitFor();
    await page.getByRole('button', { name: 'Work it out' }).and(page.locator(':enabled')).waitFor();
    const told = await rows.evaluateAll((all) =>
      all.map((row) => [...row.querySelectorAll('td')].map((cell) => cell.textContent)),
    );
    const number = (text: string | undefined) => -Number((text ?? '').replace('−', '-').replace('+', ''));
    for (const [, , before = '', after = '', ...costs] of told) {
      const sum = costs.reduce((total, text) => total + number(text), 0);
      // Rounded to points of a hundred, each of the five.
      expect(Math.abs(parseInt(before, 10) - parseInt(after, 10) - sum)).toBeLessThanOrEqual(3);
    }
    await page.getByTestId('ledger-dearest').waitFor();
    await page.getByRole('button', { name: /^Make a drill of shot \d$/ }).click();
    await page.waitForURL(/drills.new.draft=ledger/);
  });
});

describe('choosing against playing', () => {
  it('adds up what the newest clearances gave away, from the first one on, and stops', async () => {
    await page.goto(`/players/${await idOf(page, 'Osric Vane')}`);
    const part = page.getByRole('region', { name: 'Choosing against playing' });
    await part.getByRole('button', { name: 'Add it up' }).click();
    await reads(
      part.getByTestId('ledger-sum'),
      /lost \d+ points of a hundred by the choice of ball, \d+ by misses and \d+ by position\.$/,
    );
    expect(
      await part.getByRole('table', { name: 'By kind of pot' }).getByRole('row').count(),
    ).toBeGreaterThan(1);
    await part.getByRole('button', { name: 'Stop' }).click();
    await part.getByRole('button', { name: 'Stop' }).waitFor({ state: 'detached' });
  });
});

describe('own rules of thumb', () => {
  it('say for this player where one way ends and the other begins', async () => {
    await page.goto(`/players/${await idOf(page, 'Wren Sallow')}`);
    await page.getByRole('button', { name: 'Work them out' }).click();
    const rules = page.getByTestId('rule-of-thumb');
    await rules.first().waitFor();
    expect(await rules.count()).toBe(4);
    for (const text of await rules.allTextContents()) expect(text).toMatch(/^\d+° cut: .+\.$/);
  });
});

describe('what strays come from', () => {
  it('is told over the newest rounds together, with intervals that hold the shares', async () => {
    await page.goto(`/players/${await idOf(page, 'Junia Marsh')}`);
    await page.getByRole('button', { name: 'Find out' }).click();
    const shares = page.getByRole('region', { name: 'What strays come from' }).getByTestId('cause-shares');
    await shares.waitFor();
    const parts = [...((await shares.textContent()) ?? '').matchAll(/(\d+) % \((\d+) to (\d+)\)/g)];
    expect(parts.length).toBeGreaterThan(1);
    const percents = parts.map((part) => part.slice(1).map(Number));
    for (const [share = NaN, low = NaN, high = NaN] of percents) {
      expect(low).toBeLessThanOrEqual(share);
      expect(high).toBeGreaterThanOrEqual(share);
    }
    expect(percents.reduce((sum, [share = 0]) => sum + share, 0)).toBeLessThanOrEqual(101);
  });
});

describe('a report', () => {
  it('takes words and goals, is kept, and is read by its player but not changed', async () => {
    await page.goto(`/players/${await idOf(page, 'Wren Sallow')}`);
    await page.getByRole('region', { name: 'Reports' }).getByRole('link').first().click();
    await page.getByRole('heading', { name: 'Where you stand' }).waitFor();
    await page.getByRole('heading', { name: 'What moved' }).waitFor();
    // The link stands far down the player's page; the report is seen from its top.
    expect(await page.evaluate(() => window.scrollY)).toBe(0);
    await page.getByRole('button', { name: 'Make it a goal' }).first().click();
    await page.getByLabel('A goal').fill('Play slower');
    await page.getByRole('button', { name: 'Add the goal' }).click();
    await page.getByText('All is stored.').waitFor();
    const address = page.url();

    const other = await openBrowser({ baseURL: demoUrl() });
    const own = await other.context.newPage();
    await signIn(own, /Wren/);
    await own.goto(address);
    await own.getByText('Play slower').waitFor();
    expect(await own.getByLabel('A goal').count()).toBe(0);
    // Something of today, whatever day it is: what is to come cannot be ticked off. Nobody plays a round of it here.
    const planned = await programmesSchema.validate(await (await page.request.get('/api/programmes')).json());
    const wren = planned.find(({ player }) => player.name === 'Wren Sallow');
    if (wren === undefined) throw new Error('Wren has a programme');
    const now = {
      id: randomUUID(),
      day: new Date().toLocaleDateString('sv'),
      drill: 'cabin-turn',
      stage: 1,
      minutes: 7,
      kind: 'homework',
      note: '',
    };
    const document = { ...wren.document, items: [...wren.document.items, now] };
    const put = await page.request.put(`/api/programmes/${wren.id}`, {
      data: { document, basedOn: wren.version },
    });
    expect(put.status()).toBe(200);
    // Today shows the student the week's practice; ticking it off reaches the coach.
    await own.goto('/');
    const homework = own.getByRole('region', { name: 'This week’s practice' });
    await homework.getByRole('checkbox').first().waitFor();
    const ticked = await homework.locator('input:checked').count();
    await homework.getByRole('checkbox', { name: 'Cabin turn, 7 min' }).click();
    await expect.poll(() => homework.locator('input:checked').count()).toBe(ticked + 1);
    // The same programme, whole: it stands as the coach made it, and each entry can be chosen.
    const game = own.getByRole('region', { name: 'Your game' });
    await game.getByRole('link', { name: 'Towards the winter league' }).click();
    await own.locator('.programme-item.open').last().click();
    await own.getByRole('link', { name: 'Score a round of it' }).waitFor();
    expect(await own.getByRole('button', { name: 'Undo' }).count()).toBe(0);
    await own.goto('/players');
    await own.getByRole('heading', { level: 1, name: 'Wren Sallow' }).waitFor();
    expect(await own.getByText('Idris Pell').count()).toBe(0);
    await other.close();
  });
});

describe('a student', () => {
  it('comes in with a code from the coach, once', async () => {
    const name = `Nell ${randomUUID().slice(0, 4)}`;
    await page.goto('/players');
    await page.getByLabel('Name').fill(name);
    await page.getByRole('button', { name: 'Add the player' }).click();
    await page.getByRole('link', { name }).click();
    await page.getByRole('button', { name: 'Sign-in code' }).click();
    const code = (await page.getByTestId('sign-in-code').textContent()) ?? '';
    await page.getByRole('button', { name: 'It is noted' }).click();

    const other = await openBrowser({ baseURL: demoUrl() });
    const own = await other.context.newPage();
    const enter = async () => {
      await own.goto('/sign-in');
      await own.getByRole('button', { name: 'I have a code' }).click();
      await own.getByLabel('Code from a coach').fill(code.toLowerCase());
      await own.getByLabel('E-mail').fill(`${randomUUID()}@kittiwake.example`);
      await own.getByLabel(/A password of your own/).fill('a long password');
      await own.getByRole('button', { name: 'Come in' }).click();
    };
    await enter();
    await own.getByRole('heading', { name: /^Today/ }).waitFor();
    await own.context().clearCookies();
    await enter();
    await own.getByText('ask a coach for a new one').waitFor();
    await other.close();
  });
});

describe('records', () => {
  it('leave as CSV and as a backup, and a file that is none is told so', async () => {
    await page.goto('/players/records');
    const [csv] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'rounds.csv' }).click(),
    ]);
    expect(csv.suggestedFilename()).toBe('rounds.csv');
    // Asked for at once, while the first may still be on its way.
    const [backup] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Take a backup' }).click(),
    ]);
    const file = await backup.path();
    const input = page.locator('input[type="file"]');
    await input.setInputFiles({
      name: 'notes.json',
      mimeType: 'application/json',
      buffer: Buffer.from('{"a":1}'),
    });
    await page.getByText('notes.json is no backup of a club.').waitFor();
    await input.setInputFiles(file);
    await reads(page.getByTestId('backup-summary'), /^\d+ people, \d+ rounds, \d+ attempts\./);
  });

  it('of benchmarks: a coach lets virtual players play, sees how far they are, and stops them', async () => {
    // This server leaves the computing to others: the job waits, and is taken back.
    // What ships is of tables as they come: on a faster cloth nobody has played yet.
    const tables = await clubTablesSchema.validate(await (await page.request.get('/api/tables')).json());
    const fast = tables.find(({ name }) => name === 'Pool room, table 4');
    await page.goto(`/drills/tight-quarters?stage=2&table=${fast?.id ?? ''}`);
    await page.getByRole('button', { name: 'Let virtual players play it' }).click();
    await reads(page.getByTestId('benchmark-job'), /^Waits for its turn, 0 of \d+ parts played\.$/);
    await page.getByRole('button', { name: 'Stop computing' }).click();
    await reads(page.getByTestId('benchmark-job'), /^Stopped, 0 of \d+ parts played; they are kept\.$/);
    await page.getByRole('button', { name: 'Set marks of your own' }).click();
    await page.getByLabel('team').fill('9');
    await page.getByRole('button', { name: 'Keep the marks' }).click();
    await reads(page.getByTestId('fixed-bands'), 'By the coach’s marks: team from 9.');
  });
});
