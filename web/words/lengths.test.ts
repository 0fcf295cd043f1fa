import { afterEach, describe, expect, it } from 'vitest';
import {
  fineLength,
  longLength,
  numberIn,
  perSpeedUnit,
  placeUnit,
  setUnits,
  shortLength,
  speedUnit,
  speedWords,
  tapeLength,
  weightWords,
} from './lengths.ts';

afterEach(() => {
  setUnits('metric');
});

describe('lengths and paces', () => {
  it('are metric where nothing is said', () => {
    expect(tapeLength(0.635)).toBe('635 mm');
    expect(fineLength(0.0003)).toBe('0.3 mm');
    expect(shortLength(-0.084)).toBe('8 cm');
    expect(longLength(2.06)).toBe('2.1 m');
    expect(speedWords(2.25, 2)).toBe('2.25 m/s');
    expect(weightWords(0.17)).toBe('170.0 g');
  });

  it('are read from an inch tape to the eighth', () => {
    setUnits('imperial');
    // 2540 mm are a hundred inches; 50 inches and a half are 1282.7 mm.
    expect(tapeLength(2.54)).toBe('100 in');
    expect(tapeLength(1.2827)).toBe('50½ in');
    expect(tapeLength(0.0254 * (3 / 8))).toBe('⅜ in');
    expect(tapeLength(0.0254 * 0.99)).toBe('1 in');
    expect(tapeLength(0)).toBe('0 in');
  });

  it('are told in the unit that fits them', () => {
    setUnits('imperial');
    expect(shortLength(0.0762)).toBe('3 in');
    expect(shortLength(0.0381)).toBe('1½ in');
    expect(longLength(3.048)).toBe('10.0 ft');
    // A mile has 1609.344 metres.
    expect(speedWords(1609.344 / 3600)).toBe('1.0 mph');
    expect(numberIn(speedUnit(0), 8.9408)).toBe('20');
    // A pound has 453.59237 grams and sixteen ounces.
    expect(weightWords(0.45359237 / 16)).toBe('1.00 oz');
    expect(fineLength(0.0254)).toBe('1.000 in');
  });

  it('lose nothing of a place that is typed, there and back', () => {
    setUnits('imperial');
    const { scale, digits } = placeUnit();
    for (let mm = 0; mm < 3600; mm += 37) {
      const typed = Number(((mm / 1000) * scale).toFixed(digits));
      // A hundredth of an inch is a quarter of a millimetre.
      expect(Math.abs((1000 * typed) / scale - mm)).toBeLessThan(0.13);
    }
  });

  it('of a value by pace turn the other way round', () => {
    setUnits('imperial');
    // What a cushion loses for each m/s it loses for 2.237 mph: for one it is less.
    expect(Number(numberIn(perSpeedUnit(), 0.1))).toBeCloseTo(0.0447, 4);
  });
});
