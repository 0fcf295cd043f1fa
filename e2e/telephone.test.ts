import { expect, it } from 'vitest';
import { playersSchema } from '../core/records/player.ts';
import { clubTablesSchema } from '../core/records/clubTable.ts';
import { signIn } from './lib/actions.ts';
import { openBrowser } from './lib/browser.ts';
import { demoUrl } from './lib/demoUrl.ts';

const WIDTH = 390;
/** What a finger hits, pixels. */
const FINGER = 40;

it('no page is wider than a telephone, no button smaller than a finger, and no key is named there', async () => {
  const browser = await openBrowser({
    baseURL: demoUrl(),
    size: { width: WIDTH, height: 844 },
    touch: true,
  });
  try {
    const page = await browser.context.newPage();
    await signIn(page);
    const players = await playersSchema.validate(await (await page.request.get('/api/players')).json());
    const [table] = await clubTablesSchema.validate(await (await page.request.get('/api/tables')).json());
    const wren = players.find(({ name }) => name === 'Wren Sallow');
    const pages = [
      [`/hall/${table?.id ?? ''}`, 'Card 1:'],
      ['/lab/position', 'Your line'],
      ['/lab', 'What happens'],
      [`/players/${wren?.id ?? ''}`, 'What to practise next'],
      ['/drills/far-shores', 'Set up'],
      ['/lesson/round', 'Start a round'],
    ] as const;
    for (const [path, text] of pages) {
      await page.goto(path);
      await page.getByText(text).first().waitFor();
      const seen = await page.evaluate(() => ({
        width: document.documentElement.scrollWidth,
        low: [...document.querySelectorAll('.mantine-Button-root, .mantine-ActionIcon-root')]
          .map((button) => button.getBoundingClientRect().height)
          .filter((height) => height > 0)
          .reduce((least, height) => Math.min(least, height), 99),
        keys: [...document.querySelectorAll('button .key-cap')].filter(
          (key) => key.getBoundingClientRect().height > 0,
        ).length,
      }));
      expect([path, seen.width]).toEqual([path, WIDTH]);
      expect([path, seen.low >= FINGER]).toEqual([path, true]);
      expect([path, seen.keys]).toEqual([path, 0]);
    }
  } finally {
    await browser.close();
  }
});
