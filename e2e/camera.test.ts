import AxeBuilder from '@axe-core/playwright';
import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import type { Page } from 'playwright-core';
import { afterEach, describe, expect, it } from 'vitest';
import { object, string } from 'yup';
import { plannedStroke } from '../core/drill/plannedShot.ts';
import { isPositionDrill } from '../core/drill/positionDrill.ts';
import { ballsOfSetUp, setUp } from '../core/drill/setUp.ts';
import { atStage } from '../core/drill/stage.ts';
import type { Shot } from '../core/motion/shot.ts';
import { simulate } from '../core/motion/simulate.ts';
import { clubTablesSchema } from '../core/records/clubTable.ts';
import { drillSchema } from '../core/records/drill.ts';
import { maybeScreenSchema, screenPictureSchema } from '../core/records/screen.ts';
import { rackBalls } from '../core/rack/rack.ts';
import { openRoundSchema } from '../core/records/openRound.ts';
import { buildTable } from '../core/table/table.ts';
import { startCamera as startStandIn, stopCamera, type CameraStandIn } from '../scripts/lib/cameraStandIn.ts';
import { newLesson } from '../server/testing/newLesson.ts';
import { startRound, storedAttempts } from './lib/actions.ts';
import { idOf } from './lib/idOf.ts';
import { signedIn } from './lib/signedIn.ts';

const table = buildTable('pool-9ft');
let page: Page;
signedIn((opened) => {
  page = opened;
});

const cameras: CameraStandIn[] = [];

async function startCamera(...flags: readonly string[]): Promise<CameraStandIn> {
  const camera = await startStandIn(...flags);
  cameras.push(camera);
  return camera;
}

afterEach(async () => {
  await page.evaluate(() => {
    for (const key of ['jolly-camera', 'jolly-camera-by-itself']) localStorage.removeItem(key);
  });
  await Promise.all(cameras.splice(0).map(({ child }) => stopCamera(child)));
});

/** What the stand-in lays or plays: the hand of whoever is at the table. */
async function atTable(
  camera: CameraStandIn,
  { balls, strike }: Pick<Shot, 'balls'> & Partial<Shot>,
): Promise<void> {
  const post = (path: string, body: unknown, token = '') =>
    fetch(`${camera.url}${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', authorization: `Bearer ${token}` },
      body: JSON.stringify(body),
    });
  const { token } = await object({ token: string().required() }).validate(
    await (await post('/pair', { code: camera.code })).json(),
  );
  const lying = balls.map(({ id, x, y }) => ({ ball: id, x: 1000 * x, y: 1000 * y }));
  const body =
    strike === undefined
      ? { balls: lying }
      : {
          balls: lying,
          strike: {
            ball: strike.ball,
            speed: strike.speed,
            direction: strike.direction,
            side: strike.tip.side,
            height: strike.tip.height,
            elevation: strike.elevation,
          },
        };
  expect((await post('/play', body, token)).status).toBe(200);
}

/** The planned stroke of a drill, and where its cue ball stops. */
async function planned() {
  const text: unknown = JSON.parse(await readFile('library/harbour-turn.drill.json', 'utf8'));
  const drill = atStage(await drillSchema.validate(text), 1);
  if (!isPositionDrill(drill)) throw new Error('no position drill');
  const { shot } = plannedStroke(drill, table);
  const cue = simulate(shot).rest.find(({ id }) => id === 'cue');
  if (cue === undefined) throw new Error('no cue ball');
  return { shot, cue };
}

/** A round of a drill with a camera that is paired; its balls lie in their places. */
async function watchedRound(drill: string, balls: Shot['balls']): Promise<CameraStandIn> {
  const camera = await startCamera('--noise', '2');
  await atTable(camera, { balls });
  await startRound(page, await newPlayer(), drill, 1);
  await page.getByRole('button', { name: 'From a camera' }).click();
  await pairWith(camera);
  await page.getByTestId('camera-state').waitFor();
  await page.keyboard.press('Escape');
  await live().getByText('Ready for the shot.').waitFor();
  return camera;
}

async function layoutOf(slug: string): Promise<Shot['balls']> {
  const text: unknown = JSON.parse(await readFile(`library/${slug}.drill.json`, 'utf8'));
  const drill = atStage(await drillSchema.validate(text), 1);
  return ballsOfSetUp(setUp(drill, table.preset, 1));
}

/** A stroke of the cue ball, without side. */
const stroke = (balls: Shot['balls'], speed: number, direction: number): Shot => ({
  table,
  balls,
  strike: { ball: 'cue', speed, direction, tip: { side: 0, height: 0 }, elevation: 0 },
});

async function newPlayer(): Promise<string> {
  const name = `Camera ${randomUUID().slice(0, 6)}`;
  const made = await page.request.post('/api/players', {
    data: { name, hand: 'right', email: null, password: null },
  });
  expect(made.ok()).toBe(true);
  return name;
}

async function pairWith({ url, code }: CameraStandIn, said = code): Promise<void> {
  await page.getByLabel('Address').fill(url);
  await page.getByLabel('Code that the camera shows').fill(said);
  await page.getByRole('button', { name: 'Pair with the camera' }).click();
}

const live = () => page.getByTestId('camera-live');

async function storedLanding(attempt = 0) {
  const round = new URL(page.url()).pathname.split('/').pop() ?? '';
  const { round: open } = openRoundSchema.validateSync(
    await (await page.request.get(`/api/rounds/${round}`)).json(),
  );
  return { attempts: open.attempts.length, landing: open.attempts[attempt]?.log.shots[0]?.landing };
}

describe('a camera over the table', () => {
  it.each([
    ['that sees well', ['--noise', '2']],
    [
      'that loses, invents and breaks things',
      ['--noise', '4', '--drop-outs', '0.05', '--ghosts', '0.1', '--garbage', '0.3', '--lag', '0.3'],
    ],
  ])('%s: offers where the cue ball stopped, and enters it by one tap only', async (_, flags) => {
    const camera = await startCamera(...flags);
    const { shot, cue } = await planned();
    await atTable(camera, { balls: shot.balls });
    await startRound(page, await newPlayer(), 'harbour-turn', 1);
    await page.getByRole('button', { name: 'From a camera' }).click();
    await pairWith(camera, camera.code === '000000' ? '000001' : '000000');
    await page.getByText('This is not the code that the camera shows.').waitFor();
    await pairWith(camera);
    await page.getByTestId('camera-state').waitFor();
    expect((await new AxeBuilder({ page }).include('[role="dialog"]').analyze()).violations).toEqual([]);
    await page.keyboard.press('Escape');
    await live().getByText('Ready for the shot.').waitFor();
    await atTable(camera, shot);
    const take = live().getByRole('button', { name: 'Potted, and the cue ball stopped here' });
    await take.waitFor();
    expect((await storedLanding()).attempts).toBe(0);
    await take.click();
    await storedAttempts(page, 1);
    const { landing } = await storedLanding();
    expect(Math.hypot((landing?.x ?? 0) - cue.x, (landing?.y ?? 0) - cue.y)).toBeLessThan(0.01);
    // What was entered is not offered once more: the balls are to be set again.
    await live().getByText('Not all balls lie in their places.').waitFor();
    expect(await take.count()).toBe(0);
    await atTable(camera, { balls: shot.balls });
    await live().getByText('Ready for the shot.').waitFor();
  });

  it('asks where it is not sure, and says when it is gone', async () => {
    const camera = await startCamera('--noise', '2');
    const { shot } = await planned();
    await startRound(page, await newPlayer(), 'harbour-turn', 1);
    await page.getByRole('button', { name: 'From a camera' }).click();
    await pairWith(camera);
    await page.getByTestId('camera-state').waitFor();
    await page.keyboard.press('Escape');
    // Only the cue ball is there, and not where it should be.
    await live().getByText('Not all balls lie in their places.').waitFor();
    await live().getByText('The 2 is not seen.').waitFor();
    await live()
      .getByText(/^The cue ball lies .* beside its place\.$/)
      .waitFor();
    await atTable(camera, { balls: shot.balls });
    await live().getByText('Ready for the shot.').waitFor();
    // The 1 goes nowhere, the cue ball rolls a little: a miss is no landing after a pot.
    await atTable(camera, {
      ...shot,
      strike: { ...shot.strike, speed: 0.3, direction: shot.strike.direction + 1 },
    });
    await live().getByText('The 1 is still on the table: that is a miss.').waitFor();
    expect(await live().getByRole('button').count()).toBe(0);
    await stopCamera(camera.child);
    await live()
      .getByText('The camera is gone; it is tried again.')
      .or(live().getByText(/^No camera answers/))
      .waitFor();
    expect((await storedLanding()).attempts).toBe(0);
  });

  it('in a lesson tells the second screen what lies wrong, and enters by itself where a coach wants that', async () => {
    const { shot, cue } = await planned();
    const lesson = randomUUID();
    const tables = await clubTablesSchema.validate(await (await page.request.get('/api/tables')).json());
    const document = newLesson({
      playerIds: [await idOf(page, await newPlayer())],
      tableId: tables.find(({ preset }) => preset === 'pool-9ft')?.id ?? '',
    });
    const made = await page.request.put(`/api/lessons/${lesson}`, { data: { document, basedOn: null } });
    expect(made.ok(), await made.text()).toBe(true);
    const opened = await page.request.put(`/api/lessons/${lesson}/screen`, {
      data: { shown: { view: 'set up', set: 0 } },
    });
    const code = (await maybeScreenSchema.validate(await opened.json())).screen?.code ?? '';
    const beside = async () =>
      (
        await screenPictureSchema.validate(await (await page.request.get(`/api/screens/${code}`)).json())
      ).beside.map(({ ball }) => ball);
    const camera = await startCamera('--noise', '2');
    const [first, ...others] = shot.balls;
    if (first === undefined) throw new Error('no balls');
    await atTable(camera, { balls: [{ ...first, x: first.x + 0.05 }, ...others] });
    await page.goto(`/lesson/${lesson}`);
    await page.getByRole('link', { name: 'Play', exact: true }).click();
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    await page.getByRole('button', { name: 'From a camera' }).click();
    await pairWith(camera);
    await page.getByTestId('camera-state').waitFor();
    await page.keyboard.press('Escape');
    await live().getByText('Not all balls lie in their places.').waitFor();
    await expect.poll(beside).toEqual([first.id]);
    await atTable(camera, { balls: shot.balls });
    await live().getByText('Ready for the shot.').waitFor();
    await expect.poll(beside).toEqual([]);

    await live().getByLabel('Enter by itself what the camera is sure of').click();
    await atTable(camera, shot);
    await live().getByRole('button', { name: 'Wait' }).click();
    await live().getByRole('button', { name: 'Potted, and the cue ball stopped here' }).click();
    await storedAttempts(page, 1);
    await atTable(camera, { balls: shot.balls });
    await live().getByText('Ready for the shot.').waitFor();
    await atTable(camera, shot);
    await live().getByText('It is entered by itself in a moment.').waitFor();
    await storedAttempts(page, 2);
    const { landing } = await storedLanding(1);
    expect(Math.hypot((landing?.x ?? 0) - cue.x, (landing?.y ?? 0) - cue.y)).toBeLessThan(0.01);
  });

  it('tells a break: how many are down, how well the cue ball was kept, how open the table lies', async () => {
    const cue = {
      id: 'cue',
      x: 0.6,
      y: 0.6,
      radius: table.preset.cueBallRadius,
      mass: table.preset.cueBallMass,
    };
    const shot = stroke([cue, ...rackBalls('nine', table.preset)], 7, 0.02);
    const lying = simulate(shot).rest.filter(({ pocket, offTable }) => pocket === null && !offTable);
    const camera = await watchedRound('nine-slow', shot.balls);
    await atTable(camera, shot);
    await live()
      .getByRole('button', { name: /The break left this$/ })
      .click();
    const down = 10 - lying.length - (lying.some(({ id }) => id === 'cue') ? 0 : 1);
    const chosen = page.locator('.scoring-rows').getByRole('button', { pressed: true });
    await expect.poll(() => chosen.count()).toBeGreaterThanOrEqual(3);
    expect(await chosen.first().innerText()).toContain(String(down));
    expect((await storedLanding()).attempts).toBe(0);
  });

  it('tells a kick by where both balls stopped', async () => {
    const balls = await layoutOf('leave-nothing');
    const [cue, one] = ['cue', '1'].map((id) => balls.find((ball) => ball.id === id));
    if (cue === undefined || one === undefined) throw new Error('no such balls');
    const shot = stroke(balls, 1.2, Math.atan2(one.y - cue.y, one.x - cue.x) + 0.01);
    const stopped = simulate(shot).rest.find(({ id }) => id === 'cue');
    const camera = await watchedRound('leave-nothing', balls);
    await atTable(camera, shot);
    await live()
      .getByRole('button', { name: /The balls stopped here$/ })
      .click();
    // How the ball was met is the coach's to say in a safety.
    await page.keyboard.press('2');
    await page.getByRole('button', { name: /Keep this kick/ }).click();
    await storedAttempts(page, 1);
    const { landing } = await storedLanding();
    expect(
      Math.hypot((landing?.x ?? 0) - (stopped?.x ?? 9), (landing?.y ?? 0) - (stopped?.y ?? 9)),
    ).toBeLessThan(0.01);
  });

  it('tells a shot of a clearance: what fell, what moved, where the cue ball stopped', async () => {
    const balls = await layoutOf('far-shores');
    // To where nothing lies: a miss ends the attempt.
    const shot = stroke(balls, 0.5, Math.PI);
    const stopped = simulate(shot).rest.find(({ id }) => id === 'cue');
    const camera = await watchedRound('far-shores', balls);
    await atTable(camera, shot);
    await live()
      .getByRole('button', { name: /The balls lie here after the shot$/ })
      .click();
    await storedAttempts(page, 1);
    const { landing } = await storedLanding();
    expect(
      Math.hypot((landing?.x ?? 0) - (stopped?.x ?? 9), (landing?.y ?? 0) - (stopped?.y ?? 9)),
    ).toBeLessThan(0.01);
  });

  it('is not asked for where the club wants none', async () => {
    await page.goto('/players/club');
    const allows = page.getByLabel('A camera may look on while a round is scored');
    await allows.click();
    await page.getByText('Saved.').waitFor();
    await startRound(page, await newPlayer(), 'harbour-turn', 1);
    await page.getByRole('button', { name: 'From a picture' }).waitFor();
    expect(await page.getByRole('button', { name: 'From a camera' }).count()).toBe(0);
    await page.goto('/players/club');
    await allows.click();
    await page.getByText('Saved.').waitFor();
  });
});
