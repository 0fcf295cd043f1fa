import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium, type BrowserContext } from 'playwright-core';

const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-software-rasterizer',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export interface Browser {
  readonly context: BrowserContext;
  close(): Promise<void>;
}

/** Debian's Chromium, the one without windows, with a user-data folder of its own. */
export async function openBrowser(options: {
  readonly baseURL: string;
  readonly size?: { readonly width: number; readonly height: number };
  readonly touch?: boolean;
  /** The application may keep itself on the device; elsewhere it would come between a test and the network. */
  readonly installed?: boolean;
}): Promise<Browser> {
  const folder = mkdtempSync(path.join(tmpdir(), 'jolly-browser-'));
  const context = await chromium.launchPersistentContext(folder, {
    executablePath: '/usr/bin/chromium-headless-shell',
    args: FLAGS,
    baseURL: options.baseURL,
    viewport: options.size ?? { width: 1280, height: 800 },
    serviceWorkers: options.installed === true ? 'allow' : 'block',
    hasTouch: options.touch ?? false,
    colorScheme: 'light',
    reducedMotion: 'reduce',
    locale: 'en-GB',
  });
  context.setDefaultTimeout(150_000);
  return {
    context,
    async close() {
      await context.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
