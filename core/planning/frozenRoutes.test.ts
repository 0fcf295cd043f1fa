import { describe, expect, it } from 'vitest';
import { executionErrorOf } from '../player/levels.ts';
import { acceptanceOf } from '../shot/acceptance.ts';
import { ball, cueBall, POOL } from '../testing/balls.ts';
import { potLines } from './potOptions.ts';
import { searchRoutes, techniqueOf, type Route } from './routes.ts';
import { windowAmong } from './windowAmong.ts';

const RADIUS = POOL.preset.ballRadius;
/** Half a cue's thickness: it passes over the nose. */
const CUE_HALF = 0.007;

/** Routes for a thin enough cut half a metre away, with the next ball back beside the cue ball. @param x of the cue ball */
function routesFrom(x: number): readonly Route[] {
  const error = executionErrorOf('match', 'pool');
  const object = ball('1', x + 0.55, 0.62);
  const balls = [cueBall(x, 0.6), object, ball('2', x + 0.35, 0.25)];
  const others = balls.filter(({ id }) => id === '2');
  const window = windowAmong(POOL, potLines(POOL, others, ['2'], acceptanceOf), others, error, {
    step: 0.06,
  });
  const acceptance = acceptanceOf(POOL, object, 'foot-left');
  if (acceptance === undefined) throw new Error('the pocket takes the ball');
  const aims = {
    task: { object: '1', pocket: 'foot-left' as const },
    wanted: { balls: ['2'] },
    window,
    error,
    confidence: 0.7,
  };
  let routes: readonly Route[] = [];
  for (const step of searchRoutes({ table: POOL, balls, cue: 'cue', acceptance, aims, side: true }, 7)) {
    routes = step.routes;
  }
  return routes;
}

describe('routes of a cue ball that is frozen to the cushion behind it', () => {
  const frozen = routesFrom(RADIUS);

  it('have no draw, which no cue could play; on the open cloth there is one', () => {
    expect(frozen.length).toBeGreaterThan(0);
    expect(frozen.map(({ strike }) => techniqueOf(strike.tip))).not.toContain('draw');
    expect(routesFrom(0.9).map(({ strike }) => techniqueOf(strike.tip))).toContain('draw');
  });

  it('bring a butt that clears the cushion, and more of it for a lower tip', () => {
    for (const { strike } of frozen) {
      const tip = RADIUS * (1 + strike.tip.height);
      const least = Math.atan((POOL.parameters.noseHeight + CUE_HALF - tip) / RADIUS);
      expect(strike.elevation).toBeGreaterThan(least);
    }
    const byHeight = frozen.toSorted((a, b) => a.strike.tip.height - b.strike.tip.height);
    for (const [i, { strike }] of byHeight.entries()) {
      const above = byHeight[i + 1]?.strike;
      if (above !== undefined) expect(strike.elevation).toBeGreaterThanOrEqual(above.elevation);
    }
  });
});
