import { describe, expect, it } from 'vitest';
import { notPlain } from './plain.ts';

const nested = (levels: number): unknown => (levels === 0 ? 1 : { a: nested(levels - 1) });

describe('what comes from elsewhere', () => {
  it('is plain when it is made of values, lists and objects with names of their own', () => {
    for (const value of [null, 1, 'x', [], {}, [1, { a: [{ b: null }] }], nested(24)]) {
      expect(notPlain(value)).toBeUndefined();
    }
  });

  it.each(['constructor', '__proto__', 'toString', 'valueOf', 'hasOwnProperty'])(
    'is not with the name %s',
    (name) => {
      const value: unknown = JSON.parse(`{"a":[{"b":1},{"${name}":2}]}`);
      expect(notPlain(value)?.path).toBe(`a.1.${name}`);
    },
  );

  it('is not when it is nested deeper than any record, and is not followed to its end', () => {
    expect(notPlain(nested(26))?.what).toContain('24');
    expect(notPlain(nested(5_000))?.path.split('.')).toHaveLength(25);
  });
});
