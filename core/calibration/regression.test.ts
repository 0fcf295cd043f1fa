import { expect, it } from 'vitest';
import { createRandom } from '../random/random.ts';
import { correlationsOf, deviationsOf, likelyGiven, underStandardPrior } from './regression.ts';

/** Two unknowns, standard normal; each read with an error of its own, and their sum with a third. */
function world(seed: number, noise: readonly [number, number], count: number) {
  const random = createRandom(seed);
  const draws = Array.from({ length: count }, () => [random.normal(), random.normal()]);
  const features = draws.map(([a = 0, b = 0]) => [
    a + noise[0] * random.normal(),
    b + noise[1] * random.normal(),
    7,
  ]);
  return { draws, features };
}

it('finds the posterior of normal unknowns that are read with normal errors', () => {
  const noise = [0.5, 2] as const;
  const { draws, features } = world(1, noise, 4_000);
  const likely = likelyGiven(draws, features, [1, -1, 7]);
  const { means } = likely;
  const deviations = deviationsOf(likely);
  const correlations = correlationsOf(likely);
  // By Bayes' rule: mean y/(1+s²), deviation s/√(1+s²).
  noise.forEach((s, i) => {
    const read = i === 0 ? 1 : -1;
    expect(means[i]).toBeCloseTo(read / (1 + s * s), 1);
    expect(deviations[i]).toBeCloseTo(s / Math.hypot(1, s), 1);
  });
  expect(Math.abs(correlations[0]?.[1] ?? 1)).toBeLessThan(0.08);
});

it('tells that two unknowns of which only the sum is read cannot be told apart', () => {
  const random = createRandom(2);
  const draws = Array.from({ length: 3_000 }, () => [random.normal(), random.normal()]);
  const features = draws.map(([a = 0, b = 0]) => [a + b + 0.1 * random.normal()]);
  const likely = likelyGiven(draws, features, [2]);
  const { means } = likely;
  const deviations = deviationsOf(likely);
  const correlations = correlationsOf(likely);
  expect(means[0]).toBeCloseTo(1, 1);
  // Half of the variance is left, all of it in the difference.
  expect(deviations[0]).toBeCloseTo(Math.SQRT1_2, 1);
  expect(correlations[0]?.[1]).toBeLessThan(-0.95);
});

it('its intervals hold the truth as often as they say', () => {
  const noise = [0.3, 1] as const;
  const { draws, features } = world(3, noise, 1_500);
  const tests = world(4, noise, 300);
  let inside = 0;
  tests.draws.forEach((truth, n) => {
    const likely = likelyGiven(draws, features, tests.features[n] ?? []);
    const { means } = likely;
    const deviations = deviationsOf(likely);
    truth.forEach((value, i) => {
      if (Math.abs(value - (means[i] ?? 0)) <= 1.645 * (deviations[i] ?? 0)) inside++;
    });
  });
  expect(inside / 600).toBeGreaterThan(0.86);
  expect(inside / 600).toBeLessThan(0.94);
});

it('draws from elsewhere say the same of standard normal unknowns', () => {
  // One unknown, read as 2 with an error of one: by Bayes' rule 1, with a deviation of √½, wherever it was drawn from.
  const drawn = { centres: [1.5, -1], widths: [0.8, 1] };
  const posterior = (i: number, read: number) => {
    const [c, w] = [drawn.centres[i] ?? 0, drawn.widths[i] ?? 1];
    const precision = 1 + 1 / (w * w);
    return { mean: (read + c / (w * w)) / precision, variance: 1 / precision };
  };
  const [a, b] = [posterior(0, 2), posterior(1, 0.5)];
  const likely = underStandardPrior(
    {
      means: [a.mean, b.mean],
      covariance: [
        [a.variance, 0],
        [0, b.variance],
      ],
      ends: [
        [-1.645, 1.645],
        [-1.5, 2],
      ],
    },
    drawn,
  );
  expect(likely.means[0]).toBeCloseTo(1, 9);
  expect(likely.means[1]).toBeCloseTo(0.25, 9);
  for (const deviation of deviationsOf(likely)) expect(deviation).toBeCloseTo(Math.SQRT1_2, 9);
});

/** The mean and the ends of what is likely of one unknown by one thing that was read. */
function intervalGiven(
  draws: readonly { readonly unknown: number; readonly read: number }[],
  read: number,
): { readonly mean: number; readonly low: number; readonly high: number } {
  const likely = likelyGiven(
    draws.map((each) => [each.unknown]),
    draws.map((each) => [each.read]),
    [read],
  );
  const [mean, deviation] = [likely.means[0] ?? NaN, deviationsOf(likely)[0] ?? NaN];
  const [low, high] = likely.ends[0] ?? [NaN, NaN];
  return { mean, low: mean + low * deviation, high: mean + high * deviation };
}

it('the ends of what is likely are as lopsided as the unknown is, with a twentieth beyond each', () => {
  const random = createRandom(6);
  // What is read is the half-normal size of a number with an error; the number's logarithm is looked for.
  const draw = () => {
    const size = Math.abs(random.normal());
    return { unknown: Math.log(size), read: size + 0.02 * random.normal() };
  };
  const draws = Array.from({ length: 1_500 }, draw);
  const beyond = [0, 0];
  for (let k = 0; k < 200; k++) {
    const { unknown, read } = draw();
    const { mean, low, high } = intervalGiven(draws, read);
    if (unknown < low) beyond[0] = (beyond[0] ?? 0) + 1;
    if (unknown > high) beyond[1] = (beyond[1] ?? 0) + 1;
    // It falls off steeply towards nothing, and slowly upwards.
    expect(mean - low).toBeGreaterThan(high - mean);
  }
  // Three deviations of a share that is counted beside a twentieth.
  for (const count of beyond)
    expect(Math.abs(count / 200 - 0.05)).toBeLessThan(3 * Math.sqrt((0.05 * 0.95) / 200));
});

it('what is likely holds the truth nine times in ten also by few draws', () => {
  const random = createRandom(17);
  const draw = () => {
    const unknown = random.normal();
    return { unknown, read: unknown + random.normal() };
  };
  const repeats = 2_000;
  let inside = 0;
  for (let k = 0; k < repeats; k++) {
    const draws = Array.from({ length: 100 }, draw);
    const { unknown, read } = draw();
    const { low, high } = intervalGiven(draws, read);
    if (low <= unknown && unknown <= high) inside++;
  }
  // Three deviations of a share that is counted.
  expect(Math.abs(inside / repeats - 0.9)).toBeLessThan(3 * Math.sqrt((0.9 * 0.1) / repeats));
});

it('of what nothing that was read tells, no more is said than was known before', () => {
  const off: number[] = [];
  for (let seed = 0; seed < 25; seed++) {
    const random = createRandom(50 + seed);
    const noise = () => Array.from({ length: 60 }, () => random.normal());
    const draws = Array.from({ length: 500 }, () => [random.normal(), random.normal()]);
    const features = draws.map(([a = 0]) => [a + 0.3 * random.normal(), ...noise()]);
    const likely = likelyGiven(draws, features, [random.normal(), ...noise()]);
    const posterior = underStandardPrior(likely, { centres: [0, 0], widths: [1, 1] });
    off.push(posterior.means[1] ?? NaN);
    expect(deviationsOf(posterior)[1]).toBeGreaterThan(0.9);
  }
  expect(Math.hypot(...off) / Math.sqrt(off.length)).toBeLessThan(0.25);
});

it('is refused without draws', () => {
  expect(() => likelyGiven([], [], [])).toThrow('there must be draws');
});
