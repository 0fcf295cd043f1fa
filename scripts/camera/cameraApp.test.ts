import { describe, expect, it } from 'vitest';
import { buildTable } from '../../core/table/table.ts';
import { ballAt, cameraApp } from './cameraApp.ts';
import { Scene } from './scene.ts';

const table = buildTable('pool-9ft');

function open() {
  const scene = new Scene([ballAt(table, 'cue', 0.6, 0.6)]);
  let clock = 10;
  const { app } = cameraApp({ table, scene, now: () => clock, lines: () => [] }, '123456');
  const post = (path: string, body: unknown, token = '') =>
    app.request(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json', authorization: `Bearer ${token}` },
      body: JSON.stringify(body),
    });
  const pair = async () =>
    ((await (await post('/pair', { code: '123456' })).json()) as { token: string }).token;
  return { app, scene, post, pair, at: (time: number) => (clock = time) };
}

describe('the camera stand-in', () => {
  it('says what it is to anybody, and what it sees to whoever has its code', async () => {
    const { app, post } = open();
    expect(await (await app.request('/camera')).json()).toMatchObject({
      camera: 1,
      length: 2540,
      width: 1270,
    });
    expect((await app.request('/frames')).status).toBe(401);
    expect((await post('/play', { balls: [] })).status).toBe(401);
    for (let k = 0; k < 5; k++) expect((await post('/pair', { code: '000000' })).status).toBe(403);
    // Who guesses waits, also with the right one.
    expect((await post('/pair', { code: '123456' })).status).toBe(429);
  });

  it('sets balls under a hand and plays strokes; what cannot be is refused', async () => {
    const { scene, post, pair, at } = open();
    const token = await pair();
    const cue = { ball: 'cue', x: 1000, y: 600 };
    expect((await post('/play', { balls: [cue] }, token)).status).toBe(200);
    expect(scene.at(10.5)).toMatchObject({ isCovered: true });
    expect(scene.at(12).balls.get('cue')).toMatchObject({ x: 1, y: 0.6 });
    expect((await post('/play', { balls: [cue, { ...cue, ball: '1', x: 1010 }] }, token)).status).toBe(400);
    expect((await post('/play', { balls: [{ ball: 'cue' }] }, token)).status).toBe(400);
    at(20);
    const strike = { ball: 'cue', speed: 1, direction: 0, side: 0, height: 0, elevation: 0 };
    expect((await post('/play', { balls: [cue], strike }, token)).status).toBe(200);
    expect(scene.at(20).balls.get('cue')?.x).toBeCloseTo(1, 6);
    expect(scene.at(20.5).balls.get('cue')?.x).toBeGreaterThan(1.2);
  });
});
