import type { Conditions } from '../../core/table/cardChoices.ts';

/** What is not ordinary tonight: "damp air, cold room, dirty balls". */
export function conditionsInWords({ air, warmth, balls }: Conditions): string {
  const parts = [
    ...(air === 'ordinary' ? [] : [`${air} air`]),
    ...(warmth === 'ordinary' ? [] : [`${warmth} room`]),
    ...(balls === 'ordinary' ? [] : [`${balls} balls`]),
  ];
  return parts.length === 0 ? 'ordinary' : parts.join(', ');
}
