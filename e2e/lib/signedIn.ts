import type { Page } from 'playwright-core';
import { afterAll, beforeAll } from 'vitest';
import { signIn } from './actions.ts';
import { openBrowser, type Browser } from './browser.ts';
import { demoUrl } from './demoUrl.ts';

/**
 * For the tests of one file: a browser with a page that is signed in to the demo as a coach, opened before them and
 * closed after them.
 * @param take called with both before the first test
 */
export function signedIn(take: (page: Page, browser: Browser) => void): void {
  let browser: Browser | undefined;
  beforeAll(async () => {
    browser = await openBrowser({ baseURL: demoUrl() });
    const page = await browser.context.newPage();
    await signIn(page);
    take(page, browser);
  });
  afterAll(() => browser?.close());
}
