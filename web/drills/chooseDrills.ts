import { tablesOf } from '../../core/drill/stage.ts';
import type { DrillEntry } from '../../core/records/club.ts';
import type { Family, Skill } from '../../core/records/drill.ts';
import type { PresetId } from '../../core/table/preset.ts';

/** What is wanted of a drill; undefined for whatever there is. */
export interface DrillChoice {
  readonly words: string;
  readonly family: Family | undefined;
  readonly skill: Skill | undefined;
  readonly table: PresetId | undefined;
  /** Time that there is. */
  readonly minutes: number | undefined;
}

/** The drills that are like the choice, by family and title. Each word must stand somewhere in the drill's text. */
export function chooseDrills(entries: readonly DrillEntry[], choice: DrillChoice): readonly DrillEntry[] {
  const words = choice.words
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  return entries
    .filter(({ document }) => {
      const text = [document.title, document.purpose, document.family, ...document.skills, ...document.advice]
        .join(' ')
        .toLowerCase();
      return (
        (choice.family === undefined || document.family === choice.family) &&
        (choice.skill === undefined || document.skills.includes(choice.skill)) &&
        (choice.table === undefined || tablesOf(document).includes(choice.table)) &&
        (choice.minutes === undefined || document.minutes <= choice.minutes) &&
        words.every((word) => text.includes(word))
      );
    })
    .sort((a, b) => (a.document.title < b.document.title ? -1 : 1));
}
