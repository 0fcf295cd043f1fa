import { readdirSync, readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import { drillSchema } from './drill.ts';

const validate = new Ajv2020({ allowUnionTypes: true }).compile(
  JSON.parse(readFileSync('docs/schema/drill.schema.json', 'utf8')) as object,
);

type Json = null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json };

const library = readdirSync('library').map((name) => ({
  name,
  text: JSON.parse(readFileSync(`library/${name}`, 'utf8')) as { readonly [key: string]: Json },
}));
/** Drills of the second version; the schema publishes no older one. */
const drills = library.filter(({ text }) => text['version'] === 2);

/** What a part of a file is put in place of, one after the other. */
const WRONG: readonly Json[] = [null, '', 'nobody knows this', -1, 1e6, 0.5, true, [], {}];

interface Mutant {
  readonly what: string;
  readonly text: Json;
}

function isObject(text: Json): text is { readonly [key: string]: Json } {
  return typeof text === 'object' && text !== null && !Array.isArray(text);
}

/** The text with one of its parts left out, replaced by something else, or with a field more. */
function* mutants(text: Json, path: string): Generator<Mutant> {
  for (const wrong of WRONG) yield { what: `${path} = ${JSON.stringify(wrong)}`, text: wrong };
  if (Array.isArray(text)) {
    for (const [i, part] of (text as readonly Json[]).entries()) {
      for (const { what, text: changed } of mutants(part, `${path}[${String(i)}]`)) {
        yield { what, text: (text as readonly Json[]).map((each, k) => (k === i ? changed : each)) };
      }
    }
  } else if (isObject(text)) {
    yield { what: `${path}.more`, text: { ...text, more: 1 } };
    for (const [key, part] of Object.entries(text)) {
      const without = Object.fromEntries(Object.entries(text).filter(([name]) => name !== key));
      yield { what: `without ${path}.${key}`, text: without };
      for (const { what, text: changed } of mutants(part, `${path}.${key}`)) {
        yield { what, text: { ...text, [key]: changed } };
      }
    }
  }
}

/** Rules between parts of a file, which a JSON Schema cannot say; the published text names them in words. */
const BETWEEN_PARTS =
  /must rise|must grow|must have lowest|must be at most .*\.of|two balls of one name|names a level twice|must lie farther/;

describe('the published schema of a drill', () => {
  it('takes every drill of the library, as the code does', () => {
    for (const { name, text } of drills) {
      expect(validate(text), `${name}: ${JSON.stringify(validate.errors)}`).toBe(true);
      expect(drillSchema.isValidSync(text), name).toBe(true);
    }
  });

  // A few whole drills of unlike kinds; every part of each is changed in every way.
  it.each([
    'two-fleets',
    'moored',
    'one-bounce',
    'gap-or-tight',
    'cast-and-clear',
    'frozen-pair',
    'slipway',
    'in-or-out',
    'five-buoys',
  ])('takes and refuses the same as the code, whatever part of %s is changed', (slug) => {
    const { text } = drills.find(({ name }) => name === `${slug}.drill.json`)!;
    const unlike: string[] = [];
    let tried = 0;
    for (const mutant of mutants(text, 'drill')) {
      tried++;
      const published = validate(mutant.text);
      let refusal: string | undefined;
      try {
        drillSchema.validateSync(mutant.text);
      } catch (error) {
        refusal = (error as Error).message;
      }
      if (published === (refusal === undefined)) continue;
      if (published && refusal !== undefined && BETWEEN_PARTS.test(refusal)) continue;
      unlike.push(`${mutant.what}: published ${String(published)}, code ${refusal ?? 'takes it'}`);
    }
    expect(tried).toBeGreaterThan(300);
    expect(unlike).toEqual([]);
  });
});
