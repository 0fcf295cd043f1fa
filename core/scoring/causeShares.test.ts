import { describe, expect, it } from 'vitest';
import { simulate } from '../motion/simulate.ts';
import { executed } from '../player/execute.ts';
import { executionErrorOf } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { aimToPot } from '../shot/aim.ts';
import { ball, cueBall, POOL } from '../testing/balls.ts';
import { strokeCloud } from './attribution.ts';
import { causeEvidence, causeShares, type CauseEvidence } from './causeShares.ts';

const certain = (source: number): CauseEvidence => [0, 1, 2, 3, 4].map((k) => (k === source ? 1 : 0));

describe('shares of causes', () => {
  it('of shots that each tell theirs are the counts with a flat prior: (n + 1) / (N + 5)', () => {
    const shots = [
      ...Array.from({ length: 30 }, () => certain(0)),
      ...Array.from({ length: 10 }, () => certain(1)),
    ];
    const shares = new Map(causeShares(shots)!.map((each) => [each.error, each]));
    expect(shares.get('pace')!.share).toBeCloseTo(31 / 45, 1);
    expect(shares.get('line')!.share).toBeCloseTo(11 / 45, 1);
    expect(shares.get('side')!.share).toBeLessThan(0.05);
    for (const { low, share, high } of shares.values()) {
      expect(low).toBeLessThanOrEqual(share);
      expect(high).toBeGreaterThanOrEqual(share);
    }
  });

  it('of shots that say nothing stay as wide as the prior, and of a handful are not told', () => {
    const blank = Array.from({ length: 40 }, () => [1, 1, 1, 1, 1]);
    for (const { low, high } of causeShares(blank)!) expect(high - low).toBeGreaterThan(0.4);
    expect(causeShares(blank.slice(0, 7))).toBeUndefined();
  });

  it('find the pace of a player whose pace alone is off, though no single shot does', () => {
    const balls = [cueBall(1, 0.5), ball('1', 1.8, 0.85)];
    const aim = aimToPot(
      POOL,
      balls,
      { ball: 'cue', speed: 2, tip: { side: 0, height: -0.2 }, elevation: 0 },
      '1',
      'foot-left',
    );
    if (aim.kind !== 'pots') throw new Error(aim.reason);
    const team = executionErrorOf('team', 'pool');
    const cloud = strokeCloud(aim.shot, { object: '1', pocket: 'foot-left' }, team);
    const random = createRandom(12);
    const evidence = Array.from({ length: 60 }, () => {
      const { rest } = simulate(
        executed(aim.shot, { ...team, directionDeg: 0.02, tip: 0.005, elevationDeg: 0.1 }, random),
      );
      return causeEvidence(cloud, rest[0]!, rest[1]!.pocket === 'foot-left');
    }).filter((each) => each !== undefined);
    expect(causeShares(evidence)![0]!.error).toBe('pace');
    expect(causeShares(evidence)![0]!.share).toBeGreaterThan(0.35);
    expect(causeEvidence(cloud, cloud.planned, true)).toBeUndefined();
  });
});
