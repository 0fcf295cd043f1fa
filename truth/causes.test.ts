import { expect, it } from 'vitest';
import { causes } from './causes.ts';

it('what is told of why a shot went astray is right as often as is said, with all errors at their real size', () => {
  const figures = causes({ seed: 403, size: 0.4 });
  const value = (name: string) => figures.find((figure) => figure.name === `causes.${name}`)?.value ?? NaN;
  const rightOf = figures.filter(({ unit }) => unit.startsWith('% right'));
  // Two fifths of the strokes: a class has some dozens of answers.
  expect(rightOf.length).toBeGreaterThanOrEqual(3);
  expect(rightOf.filter((figure) => figure.value < 73)).toEqual([]);
  expect(value('calibration')).toBeLessThan(7);
  // A hint that never comes would be right as well, and worth nothing.
  expect(value('told')).toBeGreaterThan(15);
});
