import { describe, expect, it } from 'vitest';
import { ballAt, somewhere } from '../../judgement/pose/randomPot.ts';
import { simulate } from '../../motion/simulate.ts';
import { executed } from '../../player/execute.ts';
import { executionErrorOf } from '../../player/levels.ts';
import { createRandom } from '../../random/random.ts';
import { acceptanceOf } from '../acceptance.ts';
import { POCKET_NAMES } from '../../table/pockets.ts';
import { ball, cueBall, SNOOKER } from '../../testing/balls.ts';
import { aimedPot, potChance } from '../potChance.ts';

const TITLE = executionErrorOf('title', 'snooker');

/** Thin cuts on a snooker table of which the planned stroke meets the ball a second time, and how often they really fall. */
function spoiltCuts(wanted: number) {
  const random = createRandom(12);
  const cuts = [];
  for (let tries = 0; tries < 60_000 && cuts.length < wanted; tries++) {
    const pocket = POCKET_NAMES[Math.floor(6 * random.uniform())]!;
    const object = ballAt(SNOOKER, '1', somewhere(SNOOKER, random, 0.03));
    const cue = cueBall(0, 0, SNOOKER);
    const at = { ...cue, ...somewhere(SNOOKER, random, 0.03) };
    const acceptance = acceptanceOf(SNOOKER, object, pocket);
    if (acceptance === undefined) continue;
    const stroke = { tip: { side: 0, height: 0.2 }, elevation: 0, speed: 4 };
    const aimed = aimedPot(SNOOKER, at, { object, acceptance }, TITLE, stroke);
    if (aimed === undefined || aimed.cut > 0.6 || aimed.arrives * aimed.falls < 0.5) continue;
    const balls = [at, ball('1', object.x, object.y, SNOOKER)];
    const shot = {
      table: SNOOKER,
      balls,
      strike: { ball: 'cue', speed: 4, direction: aimed.leaves, tip: stroke.tip, elevation: 0 },
    };
    const planned = simulate(shot);
    if (planned.events.filter(({ kind }) => kind === 'ball-ball').length < 2) continue;
    const draws = createRandom(3);
    let made = 0;
    for (let k = 0; k < 300; k++) {
      const { rest } = simulate(executed(shot, TITLE, draws), { events: false });
      if (rest.some(({ id, pocket: fell }) => id === '1' && fell === pocket)) made++;
    }
    const target = { object, acceptance };
    cuts.push({
      played: made / 300,
      claimed: potChance(SNOOKER, at, target, TITLE, stroke),
      without: aimed.arrives * aimed.falls,
    });
  }
  return cuts;
}

describe('the chance of a thin cut after which the cue ball comes back to the ball', () => {
  it('is nearer to what play-outs come to than without that', () => {
    const cuts = spoiltCuts(12);
    const off = (claim: (cut: (typeof cuts)[number]) => number) =>
      cuts.reduce((sum, cut) => sum + Math.abs(claim(cut) - cut.played), 0) / cuts.length;
    expect(cuts.length).toBeGreaterThan(5);
    expect(off(({ without }) => without)).toBeGreaterThan(0.2);
    expect(off(({ claimed }) => claimed)).toBeLessThan(0.12);
  });
});
