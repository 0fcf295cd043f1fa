import AxeBuilder from '@axe-core/playwright';
import { randomUUID } from 'node:crypto';
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { setOrder } from '../core/drill/setOrder.ts';
import { atStage } from '../core/drill/stage.ts';
import { clubTablesSchema } from '../core/records/clubTable.ts';
import { buildTable } from '../core/table/table.ts';
import { drawnAt, type Viewpoint } from '../scripts/lib/renderedTable.ts';
import { newLesson } from '../server/testing/newLesson.ts';
import { readDrill, reads } from './lib/actions.ts';
import { openBrowser, type Browser } from './lib/browser.ts';
import { demoUrl } from './lib/demoUrl.ts';
import { idOf } from './lib/idOf.ts';
import { signedIn } from './lib/signedIn.ts';

let coach: Page;
signedIn((opened) => {
  coach = opened;
});
/** The television: nobody is signed in on it. */
let television: Browser;
let screen: Page;
let code = '';
beforeAll(async () => {
  television = await openBrowser({ baseURL: demoUrl() });
  screen = await television.context.newPage();
});
afterAll(() => television.close());

const table = buildTable('pool-9ft');
const balls = setOrder(atStage(readDrill('harbour-turn'), 1), table.preset);
const control = () => coach.getByRole('region', { name: 'Second screen' });

async function openLesson(): Promise<void> {
  const tables = await clubTablesSchema.validate(await (await coach.request.get('/api/tables')).json());
  const tableId = tables.find(({ name }) => name === 'Pool room, table 2')?.id ?? '';
  const document = newLesson(
    { playerIds: [await idOf(coach, 'Idris Pell')], tableId },
    { title: 'On the screen' },
  );
  const id = randomUUID();
  const made = await coach.request.put(`/api/lessons/${id}`, { data: { document, basedOn: null } });
  expect(made.ok(), await made.text()).toBe(true);
  await coach.goto(`/lesson/${id}`);
  await control().getByRole('button', { name: 'Open it' }).click();
  code = (await control().getByTestId('screen-code').textContent()) ?? '';
}

describe('the second screen', () => {
  it('is opened by a code without a sign-in, and shows the balls one by one as the coach goes on', async () => {
    await openLesson();
    await screen.goto('/screen');
    await screen.getByLabel('Six letters, from the lesson').fill(code.toLowerCase());
    await screen.getByRole('button', { name: 'Open' }).click();
    await screen.getByRole('heading', { level: 1, name: 'Harbour turn' }).waitFor();
    await reads(screen.getByTestId('turn'), 'Idris');
    for (let set = 0; set < balls.length; set++) {
      await screen.getByRole('img', { name: `The balls that are set: ${set} of ${balls.length}` }).waitFor();
      const { id = '' } = balls[set] ?? {};
      await reads(
        screen.getByTestId('screen-words'),
        id === 'cue' ? /^Cue ball: .*\d/ : new RegExp(`^The ${id}: .*\\d`),
      );
      await control().getByRole('button', { name: 'Next ball' }).click();
    }
    await reads(screen.getByTestId('screen-words'), 'All balls are set.');
    expect(await screen.getByTestId('next-ball').count()).toBe(0);
    await control().getByText('Task', { exact: true }).click();
    await screen.getByRole('img', { name: /^Harbour turn: the balls on the/ }).waitFor();
    await control().getByText('Plan', { exact: true }).click();
    await reads(screen.getByTestId('screen-plan'), /^[A-Z].*, \d\.\d m\/s\.$/);
    const { violations } = await new AxeBuilder({ page: screen }).options({ preload: false }).analyze();
    expect(violations.map(({ id }) => id)).toEqual([]);
  });

  it('shows a position that is called, and the answer only once the coach reveals it', async () => {
    await control().getByText('Call it', { exact: true }).click();
    await control().getByRole('link', { name: 'Set a position to call' }).click();
    await coach.getByTestId('on-screen').getByText('Shown on the second screen as well').waitFor();
    await coach.getByRole('button', { name: 'Set a position' }).click();
    const question = coach.locator('#call-question');
    await question.waitFor();
    await screen.getByRole('heading', { level: 1, name: (await question.textContent()) ?? '' }).waitFor();
    await reads(screen.getByTestId('screen-words'), /Say it before you see it\.$/);
    // The same position: the balls lie where they lie at the coach's.
    const places = (page: Page) =>
      page
        .getByRole('img', { name: 'The position to be called' })
        .locator('circle')
        .evaluateAll((all) => all.map((each) => `${each.getAttribute('cx')} ${each.getAttribute('cy')}`));
    await expect.poll(() => places(screen)).toEqual(await places(coach));
    await coach.getByRole('button', { name: 'No', exact: true }).click();
    await coach.getByRole('button', { name: 'Commit' }).click();
    await coach.getByText('Committed.').waitFor();
    await reads(screen.getByTestId('screen-words'), /Say it before you see it\.$/);
    await coach.getByRole('button', { name: 'Reveal' }).click();
    const truth = (await coach.getByTestId('call-truth').textContent()) ?? '';
    await screen.getByText(truth).waitFor();
    await reads(screen.getByTestId('screen-words'), /^Called: no\. /);
    const { violations } = await new AxeBuilder({ page: screen }).options({ preload: false }).analyze();
    expect(violations.map(({ id }) => id)).toEqual([]);
    await coach.getByTestId('on-screen').getByRole('link', { name: 'Back to the lesson' }).click();
    await control().getByText('Task', { exact: true }).click();
    await screen.getByRole('heading', { level: 1, name: 'Harbour turn' }).waitFor();
  });

  it('comes back by itself after the network was lost', async () => {
    await television.context.setOffline(true);
    await screen.reload().catch(() => undefined);
    await television.context.setOffline(false);
    await screen.goto(`/screen/${code}`);
    await screen.getByRole('heading', { level: 1, name: 'Harbour turn' }).waitFor();
    // The stream breaks, and the server's next answers are lost for a while.
    await screen.route('**/api/screens/**', (route) => route.abort());
    await screen.reload();
    await screen.getByText('Looking for the server.').waitFor();
    await screen.unroute('**/api/screens/**');
    await screen.getByRole('heading', { level: 1, name: 'Harbour turn' }).waitFor();
  });

  it('for a projector throws lines that fall on the cloth to within a tenth of a ball', async () => {
    // The projector hangs askew: what it throws is what an eye in its place would see.
    const view: Viewpoint = {
      eye: [1.5, 0.4, 2.4],
      towards: [1.25, 0.66, 0],
      roll: 0.06,
      focal: 0.62,
      distortion: 0,
      width: 1280,
      height: 800,
    };
    const corners = {
      'head, right': [0, 0],
      'head, left': [0, table.width],
      'foot, left': [table.length, table.width],
      'foot, right': [table.length, 0],
    } as const;
    await control().getByText('Set up', { exact: true }).click();
    await screen.goto(`/screen/${code}/projector`);
    await screen.getByRole('img', { name: 'What is thrown on the table' }).waitFor();
    for (const [name, [x, y]] of Object.entries(corners)) {
      const handle = screen.getByRole('button', { name: `Corner: ${name}` });
      const box = await handle.boundingBox();
      if (box === null) throw new Error(`${name} is not drawn`);
      const [u, v] = drawnAt(view, [x, y, 0]);
      await screen.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
      await screen.mouse.down();
      await screen.mouse.move(u, v, { steps: 4 });
      await screen.mouse.up();
    }
    await screen.getByRole('button', { name: 'The corners fit' }).click();
    await expect.poll(() => screen.getByRole('button').count()).toBe(0);
    const rings = screen.locator('.projector-lines circle');
    await expect.poll(() => rings.count()).toBe(balls.length);
    const drawn = await rings.evaluateAll((circles) =>
      circles.map((circle) => {
        if (!(circle instanceof SVGCircleElement)) return { u: 0, v: 0 };
        const point = new DOMPoint(circle.cx.baseVal.value, circle.cy.baseVal.value);
        const at = new DOMMatrix(getComputedStyle(circle.ownerSVGElement ?? circle).transform).transformPoint(
          point,
        );
        return { u: at.x / at.w, v: at.y / at.w };
      }),
    );
    balls.forEach((ball, i) => {
      const [u, v] = drawnAt(view, [ball.x, ball.y, 0]);
      const [edge] = drawnAt(view, [ball.x + 0.2 * ball.radius, ball.y, 0]);
      const [, far] = drawnAt(view, [ball.x, ball.y + 0.2 * ball.radius, 0]);
      const tenth = Math.max(Math.abs(edge - u), Math.abs(far - v));
      expect(Math.hypot((drawn[i]?.u ?? 0) - u, (drawn[i]?.v ?? 0) - v)).toBeLessThan(tenth);
    });
    // Targets, where the drill has some, and the planned way are lines as well.
    await control().getByText('Plan', { exact: true }).click();
    await screen.locator('.projector-lines path').first().waitFor();
    await control().getByText('Set up', { exact: true }).click();
    await expect.poll(() => screen.locator('.projector-lines path').count()).toBe(0);
    // The corners are kept on this device.
    await screen.reload();
    await expect.poll(() => rings.count()).toBe(balls.length);
    expect(await screen.getByRole('button').count()).toBe(0);
    await screen.keyboard.press('c');
    await screen.getByRole('button', { name: 'Corner: head, left' }).waitFor();
  });

  it('is over when the coach closes it', async () => {
    await screen.goto(`/screen/${code}`);
    await screen.getByRole('heading', { level: 1, name: 'Harbour turn' }).waitFor();
    await control().getByRole('button', { name: 'Close it' }).click();
    await screen.getByText('This screen is closed. The lesson has its code.').waitFor();
    await screen.goto('/screen/QQQQQQ');
    await screen.getByText('This screen is closed. The lesson has its code.').waitFor();
  });
});
