import { mkdirSync } from 'node:fs';
import path from 'node:path';
import type { Page } from 'playwright-core';
import { pixelOf, plannedLanding, signIn, startRound } from '../e2e/lib/actions.ts';
import { openBrowser } from '../e2e/lib/browser.ts';
import { startCamera, stopCamera } from './lib/cameraStandIn.ts';
import { CHROMIUM, ensureInstalled } from './lib/debian.ts';
import { withDemoServer } from './lib/demoServer.ts';
import { leaveWith, say, step } from './lib/report.ts';

/** Pictures of the main views from a freshly made demo club, for the README. Words name those to be made again. */
const FOLDER = path.join('docs', 'screenshots');
const wanted = process.argv.slice(2);

type View = (page: Page) => Promise<void>;

async function scoreSome(page: Page): Promise<void> {
  await startRound(page, 'Wren Sallow');
  const planned = plannedLanding('harbour-turn');
  const off = [
    [0.02, 0.05],
    [-0.12, 0.02],
    [0.07, -0.06],
    [-0.2, -0.03],
  ] as const;
  for (const [dx, dy] of off) {
    const at = await pixelOf(page, { x: planned.x + dx, y: planned.y + dy });
    await page.mouse.click(at.x, at.y);
  }
  await page.keyboard.press('x');
  const at = await pixelOf(page, { x: planned.x - 0.16, y: planned.y + 0.01 });
  await page.mouse.click(at.x, at.y);
  await page.getByTestId('last-shot').waitFor();
}

async function showDrill(page: Page, slug: string): Promise<void> {
  await page.goto(`/drills/${slug}`);
  await page.getByText('Mean of a round').waitFor();
  await page.getByText('Planned stroke').waitFor();
}

/** What ends what a view started. */
const afterwards: (() => Promise<void>)[] = [];

const VIEWS: Readonly<Record<string, View>> = {
  today: async (page) => {
    await signIn(page);
    await page.getByText('Just played').waitFor();
  },
  hall: async (page) => {
    await page.goto('/hall');
    await page.getByText('Another table').waitFor();
  },
  drills: async (page) => {
    await page.goto('/drills');
    await page.getByText('Anchor drop').waitFor();
  },
  'drill-pool': async (page) => {
    await showDrill(page, 'harbour-turn');
  },
  designer: async (page) => {
    await page.goto('/drills/new?from=harbour-turn');
    await page.getByText('Everything is there.').waitFor();
    await page.getByRole('tab', { name: 'Task' }).click();
    await page.getByRole('button', { name: 'Play the stroke' }).and(page.locator(':enabled')).waitFor();
  },
  lesson: async (page) => {
    await page.goto('/lesson');
    await page.getByRole('link', { name: /Cue ball on a string/ }).click();
    await page.getByTestId('lesson-summary').waitFor();
  },
  camera: async (page) => {
    const camera = await startCamera(
      '--drill',
      'harbour-turn',
      '--stage',
      '1',
      '--level',
      'match',
      '--seed',
      '4',
    );
    // It looks on until the picture is taken.
    afterwards.push(() => stopCamera(camera.child));
    await startRound(page, 'Idris Pell', 'harbour-turn', 1);
    await page.getByRole('button', { name: 'From a camera' }).click();
    await page.getByLabel('Address').fill(camera.url);
    await page.getByLabel('Code that the camera shows').fill(camera.code);
    await page.getByRole('button', { name: 'Pair with the camera' }).click();
    await page.getByTestId('camera-state').waitFor();
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Potted, and the cue ball stopped here' }).waitFor();
  },
  table: async (page) => {
    await page.goto('/hall');
    await page.getByRole('link', { name: 'Snooker room, table 2' }).first().click();
    await page.getByRole('heading', { name: 'Calibrations' }).first().waitFor();
    await page.getByRole('heading', { name: 'Calibrations' }).first().scrollIntoViewIfNeeded();
  },
  scoring: scoreSome,
  lab: async (page) => {
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto('/lab');
    await page.getByText('What happens').waitFor();
  },
  position: async (page) => {
    await page.goto('/drills/harbour-turn?stage=2');
    await page.getByRole('link', { name: 'Think it through in the lab' }).click();
    await page
      .locator('section[aria-busy="false"]')
      .getByRole('button', { name: 'Use it' })
      .first()
      .waitFor();
    await page.getByText('Safer miss').waitFor();
  },
  order: async (page) => {
    await page.goto('/lab/order');
    await page.locator('section[aria-busy="false"]').getByTestId('plan-chance').waitFor({ timeout: 120_000 });
    await page.getByRole('button', { name: /^2\. / }).click();
  },
  kick: async (page) => {
    await page.goto('/drills/round-the-mast?stage=1');
    const card = page.getByRole('region', { name: 'Lines' });
    await card.getByRole('button', { name: 'Find them' }).click();
    await card.getByRole('button', { name: /^1\. / }).click({ timeout: 60_000 });
    await card.getByRole('link', { name: 'Open in the lab' }).click();
    await page.waitForURL(/lab\/kick/);
    await page.getByTestId('line-facts').waitFor();
    await page.evaluate(() => window.scrollTo(0, 0));
  },
  break: async (page) => {
    await page.goto('/lab/break');
    await page.getByRole('button', { name: 'Break 200 times' }).click();
    await page.getByTestId('study').waitFor({ timeout: 60_000 });
  },
  call: async (page) => {
    await page.goto('/lab/call?kind=does%20it%20pass&level=close');
    await page.getByRole('button', { name: 'Set a position' }).click();
    await page.getByRole('button', { name: 'Yes', exact: true }).click();
    await page.getByRole('button', { name: 'Commit' }).click();
    await page.getByRole('button', { name: 'Reveal' }).click();
    await page.getByTestId('call-truth').waitFor();
    await page.getByRole('button', { name: 'Play it again' }).scrollIntoViewIfNeeded();
  },
  club: async (page) => {
    await page.goto('/players');
    await page.getByRole('table', { name: 'Players at a glance' }).waitFor();
  },
  player: async (page) => {
    await page.goto('/players');
    await page.getByRole('link', { name: 'Junia Marsh' }).click();
    await page.getByTestId('bias').waitFor();
  },
  programme: async (page) => {
    await page.goto('/players');
    await page.getByRole('link', { name: 'Wren Sallow' }).click();
    await page.getByRole('link', { name: 'Towards the winter league' }).click();
    await page.getByTestId('done-planned').waitFor();
    await page.locator('.programme-item').last().click();
  },
  report: async (page) => {
    await page.goto('/players');
    await page.getByRole('link', { name: 'Wren Sallow' }).click();
    await page.getByRole('region', { name: 'Reports' }).getByRole('link').first().click();
    await page.getByRole('heading', { name: 'Where you stand' }).waitFor();
    await page.getByTestId('bias').waitFor();
  },
};

async function takePictures(url: string): Promise<void> {
  const browser = await openBrowser({ baseURL: url });
  try {
    const page = await browser.context.newPage();
    await signIn(page);
    for (const [name, show] of Object.entries(VIEWS)) {
      if (wanted.length > 0 && !wanted.includes(name)) continue;
      await page.emulateMedia({ colorScheme: 'light' });
      await show(page);
      await page.mouse.move(1, 799);
      await page.screenshot({ path: path.join(FOLDER, `${name}.png`) });
      say(`${name}.png`);
    }
  } finally {
    await Promise.all(afterwards.map((end) => end()));
    await browser.close();
  }
}

try {
  await ensureInstalled(CHROMIUM);
  mkdirSync(FOLDER, { recursive: true });
  await step('Making the demo club and its pictures', () =>
    withDemoServer({}, ({ url }) => takePictures(url)),
  );
  process.exit(0);
} catch (error) {
  leaveWith(error);
}
