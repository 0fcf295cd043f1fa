import type { Page } from 'playwright-core';
import { describe, expect, it } from 'vitest';
import { ball, cueBall, POOL, shotOf, SNOOKER } from '../core/testing/balls.ts';
import { shotToLink } from '../web/table/labShot.ts';
import { choose, pixelOf, reads, startRound } from './lib/actions.ts';
import { signedIn } from './lib/signedIn.ts';

let page: Page;
signedIn((opened) => {
  page = opened;
});

/** The 1 behind the 2, the 9 far off. */
const HIDDEN = [cueBall(0.4, 0.3), ball('1', 1.9, 0.9), ball('2', 0.75, 0.42), ball('9', 2.2, 0.3)];
const answers = () => page.getByRole('region', { name: 'What to play' });
const open = (query: Record<string, string>) =>
  page.goto(`/lab/safety?${new URLSearchParams(query).toString()}`);

describe('the bench for safeties', () => {
  it('weighs pots and safeties against each other, the best first, and says why', async () => {
    await open({ shot: shotToLink(shotOf(POOL, HIDDEN)) });
    await answers().getByRole('button', { name: 'Weigh it up' }).click();
    await reads(page.getByTestId('attack'), /^(Play safe|Attack|Pot or safety|No pot)/);
    const worths = await answers()
      .getByRole('button', { name: /^\d\. / })
      .allInnerTexts();
    const values = worths.map((text) => {
      const told = /([+−])(\d+) of 100/.exec(text);
      return Number(told?.[2]) * (told?.[1] === '−' ? -1 : 1);
    });
    expect(values.length).toBeGreaterThan(1);
    expect(values).toEqual([...values].sort((a, b) => b - a));
    await reads(page.getByTestId('answer-facts'), /^\d\.\d m\/s/);

    // Another answer by its key at the table; a ball that is moved makes all of it void.
    const table = page.getByLabel('The table with the answer');
    await table.focus();
    await page.keyboard.press('2');
    await answers().getByRole('button', { name: /^2\. /, pressed: true }).waitFor();
    await page.keyboard.press('n');
    await page.keyboard.press('ArrowLeft');
    await expect.poll(() => page.getByTestId('attack').count()).toBe(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByTestId('attack').waitFor();

    // Against another opponent it has to be weighed anew.
    await choose(page, 'Against', 'First season');
    await page.waitForURL(/opponent=first\+season/);
    await expect.poll(() => page.getByTestId('attack').count()).toBe(0);
  });

  it('counts points at snooker, asks whether a miss is called, and refuses balls of another game', async () => {
    const balls = [
      cueBall(0.6, 0.9, SNOOKER),
      ball('blue', 1.2, 0.95, SNOOKER),
      ball('red 1', 3, 0.9, SNOOKER),
    ];
    await open({ shot: shotToLink(shotOf(SNOOKER, balls)) });
    await page.getByLabel('A miss is called').waitFor();
    await answers().getByRole('button', { name: 'Weigh it up' }).click();
    await reads(page.getByTestId('attack'), /points/);
    // 11 points are left: who is 20 behind needs fouls, and plays for the frame.
    await page.getByLabel('Points ahead in the frame').fill('-20');
    await page.getByLabel('Points ahead in the frame').press('Enter');
    await reads(
      page.getByTestId('frame-score'),
      /^11 points left on the table\. It takes 3 fouls by the opponent/,
    );
    await answers().getByRole('button', { name: 'Weigh it up' }).click();
    await answers()
      .getByRole('button', { name: /^1\. .+ % of the frame/ })
      .waitFor();
    await page.getByLabel('A miss is called').click();
    await page.waitForURL(/miss=no/);
    await open({ shot: shotToLink(shotOf(SNOOKER, [...balls, ball('7', 2, 0.4, SNOOKER)])) });
    await reads(page.getByRole('alert'), /^7: no ball of this game/);
  });
});

describe('a safety drill', () => {
  it('tells on its page what to play, drawn on its own table, and opens it in the lab', async () => {
    await page.goto('/drills/leave-nothing?stage=1');
    await answers().getByRole('button', { name: 'Weigh it up' }).click();
    await reads(page.getByTestId('attack'), /^(Play safe|Attack|Pot or safety|No pot)/);
    await page.getByLabel('The table with the answer').waitFor();
    await answers().getByRole('link', { name: 'Open in the lab' }).click();
    await page.waitForURL(/lab\/safety\?.*opponent=title/);
  });

  it('is judged by two taps: done where nothing is left, and kept by one key', async () => {
    await startRound(page, 'Wren', 'hit-and-hold', 1);
    const tap = async (x: number, y: number) => {
      const at = await pixelOf(page, { x, y }, 'landscape', 'eight-7ft');
      await page.mouse.click(at.x, at.y);
    };
    await tap(0.3, 0.3);
    await tap(1.6, 0.8);
    await reads(page.locator('.scoring-hint'), /As the drill asks|Not what the drill asks to be left/);
    await page.getByRole('button', { name: /^Keep: / }).waitFor();
    await page.keyboard.press('Enter');
    await reads(page.getByTestId('shot'), '2 / 10');
  });
});
