import type { ProgressFilter } from '../api/players.ts';

/** Periods to look back over, days. */
export const PERIODS = [
  { value: '30', label: '30 days' },
  { value: '91', label: 'a quarter' },
  { value: '182', label: 'half a year' },
  { value: '365', label: 'a year' },
  { value: '3650', label: 'ten years' },
] as const;

const YEAR = '365';

/** What the address says of what is looked at. */
export function filterOf(params: URLSearchParams): ProgressFilter & { readonly days: number } {
  const period = PERIODS.find(({ value }) => value === params.get('days'))?.value ?? YEAR;
  return {
    days: Number(period),
    table: params.get('table') ?? undefined,
    drill: params.get('drill') ?? undefined,
    skill: params.get('skill') ?? undefined,
  };
}
