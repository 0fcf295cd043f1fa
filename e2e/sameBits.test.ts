import { build } from 'vite';
import { expect, it } from 'vitest';
import { thousandShots } from '../core/testing/thousandShots.ts';
import { openBrowser } from './lib/browser.ts';
import { demoUrl } from './lib/demoUrl.ts';

/** The function as one script for a page. */
async function script(): Promise<string> {
  const built = await build({
    configFile: false,
    logLevel: 'error',
    build: {
      write: false,
      minify: true,
      lib: { entry: 'core/testing/thousandShots.ts', formats: ['iife'], name: 'jolly' },
    },
  });
  const [first] = [built].flat();
  if (first === undefined || !('output' in first)) throw new Error('nothing was built');
  return first.output[0].code;
}

it('a thousand seeded shots are the same to the last bit in Node.js and in Chromium', async () => {
  const browser = await openBrowser({ baseURL: demoUrl() });
  const page = await browser.context.newPage();
  const inBrowser = await page.evaluate(`${await script()}; jolly.thousandShots()`);
  await browser.close();
  const here = thousandShots();
  expect(Number(here.split(' of ')[1])).toBeGreaterThan(15_000);
  expect(inBrowser).toBe(here);
});
