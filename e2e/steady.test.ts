import { randomUUID } from 'node:crypto';
import type { Page } from 'playwright-core';
import { expect, it } from 'vitest';
import { object } from 'yup';
import { openRoundSchema } from '../core/records/openRound.ts';
import { playersSchema } from '../core/records/player.ts';
import { clubTablesSchema } from '../core/records/clubTable.ts';
import { newRound } from '../server/testing/newRound.ts';
import { readText } from './lib/actions.ts';
import { signedIn } from './lib/signedIn.ts';
import type { Browser } from './lib/browser.ts';

/** Five rounds are scored at once on one device, in five tabs that share its journal and outbox, for half a minute. */

const TABS = 5;
const ENTRIES = 100;
/** Three entries a second in each tab. */
const EVERY_MS = 333;
/** All is sent by then also where the machine has little time for it; how fast is not asked here, ms. */
const SENT_MS = 120_000;

let page: Page;
let browser: Browser;
signedIn((opened, from) => {
  page = opened;
  browser = from;
});

const made = (k: number) => k % 3 !== 0;

/** Presses the keys at their pace inside the page, and watches what it shows: the count must never go back. */
function scoreInPage({ keys, everyMs }: { readonly keys: readonly string[]; readonly everyMs: number }) {
  return new Promise<{ readonly steps: readonly number[]; readonly conflicts: number }>((resolve) => {
    const steps: number[] = [];
    let conflicts = 0;
    const look = () => {
      const shown = parseInt(document.querySelector('[data-testid=shot]')?.textContent ?? '', 10);
      if (shown !== steps.at(-1)) steps.push(shown);
      if (document.querySelector('[aria-label="Told twice"]') !== null) conflicts++;
    };
    const observer = new MutationObserver(look);
    observer.observe(document.body, { subtree: true, childList: true, characterData: true });
    look();
    let next = 0;
    const timer = setInterval(() => {
      const key = keys[next++];
      if (key !== undefined) window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      // The questions to the server go on for a while after the last entry.
      if (next > keys.length + 12) {
        clearInterval(timer);
        observer.disconnect();
        resolve({ steps, conflicts });
      }
    }, everyMs);
  });
}

it('500 entries at three a second are all there, once, and no shot ever leaves the screen', async () => {
  const text = object()
    .required()
    .validateSync(JSON.parse(readText('frozen-pair')));
  const slug = 'long-pair';
  const document = {
    ...text,
    slug,
    title: 'Long pair',
    scoring: { method: 'success-rate', attempts: ENTRIES },
  };
  const ask = async (method: 'PUT' | 'GET', path: string, data?: unknown): Promise<unknown> => {
    const reply = await page.request.fetch(`/api${path}`, {
      method,
      headers: { origin: new URL(page.url()).origin },
      ...(data === undefined ? {} : { data }),
    });
    expect(reply.ok()).toBe(true);
    return reply.json();
  };
  await ask('PUT', `/drills/${slug}`, { document, basedOn: null });
  const [player] = await playersSchema.validate(await ask('GET', '/players'));
  const table = (await clubTablesSchema.validate(await ask('GET', '/tables'))).find(
    ({ preset }) => preset === 'pool-9ft',
  );
  const rounds = await Promise.all(
    Array.from({ length: TABS }, async () => {
      const id = randomUUID();
      const where = { playerId: player?.id ?? '', tableId: table?.id ?? '' };
      const startedAt = new Date().toISOString();
      await ask('PUT', `/rounds/${id}`, newRound(where, { drill: slug, stage: 1, startedAt }));
      return id;
    }),
  );
  const tabs = await Promise.all(
    rounds.map(async (id) => {
      const tab = await browser.context.newPage();
      await tab.goto(`/lesson/rounds/${id}`);
      await tab.getByTestId('shot').waitFor();
      return tab;
    }),
  );
  const keys = Array.from({ length: ENTRIES }, (_, k) => (made(k) ? ' ' : 'x'));
  const seen = await Promise.all(tabs.map((tab) => tab.evaluate(scoreInPage, { keys, everyMs: EVERY_MS })));
  for (const { steps, conflicts } of seen) {
    expect(steps).toEqual([...steps].sort((a, b) => a - b));
    expect(steps.at(-1)).toBe(ENTRIES);
    expect(conflicts).toBe(0);
  }
  for (const id of rounds) {
    const stored = async () => openRoundSchema.validate(await ask('GET', `/rounds/${id}`));
    await expect.poll(async () => (await stored()).round.attempts.length, { timeout: SENT_MS }).toBe(ENTRIES);
    const { round, conflicts } = await stored();
    expect(round.attempts.map(({ ordinal }) => ordinal)).toEqual(keys.map((_, k) => k + 1));
    expect(round.attempts.map(({ counted }) => counted.done)).toEqual(keys.map((_, k) => made(k)));
    expect(conflicts).toEqual([]);
  }
  await Promise.all(tabs.map((tab) => tab.close()));
  // Others count the club's own drills.
  await ask('PUT', `/drills/${slug}/archived`, { archived: true });
}, 300_000);
