/** What a typed number is taken for. */
export type NumberTyped =
  { readonly kind: 'number'; readonly value: number } | { readonly kind: 'refused'; readonly words: string };

const NUMBER = /^[+-]?(\d+([.,]\d*)?|[.,]\d+)$/;

/** Reads a number as people type it, with comma or point, within bounds. */
export function entryOf(
  typed: string,
  {
    min = -Infinity,
    max = Infinity,
    whole = false,
  }: {
    readonly min?: number | undefined;
    readonly max?: number | undefined;
    /** Whether only a whole number is one. */
    readonly whole?: boolean;
  },
): NumberTyped {
  const text = typed.replace(/\s/g, '').replace('−', '-');
  if (!NUMBER.test(text)) return { kind: 'refused', words: `A number, for example ${whole ? '12' : '12.5'}` };
  const value = Number(text.replace(',', '.'));
  if (whole && !Number.isInteger(value)) return { kind: 'refused', words: 'A whole number' };
  if (value >= min && value <= max) return { kind: 'number', value };
  if (min === -Infinity) return { kind: 'refused', words: `At most ${max}` };
  return { kind: 'refused', words: max === Infinity ? `At least ${min}` : `From ${min} to ${max}` };
}
