import { objectBalls } from '../../core/drill/round.ts';
import { tablesOf } from '../../core/drill/stage.ts';
import type { PracticeNeed } from '../../core/drill/practiceNeed.ts';
import type { ListedDrill } from '../../core/records/listedDrill.ts';
import type { Family, Skill } from '../../core/records/drill.ts';
import { isFoundBy } from './searchDrills.ts';
import type { PresetId } from '../../core/table/preset.ts';

/** What is wanted of a drill; undefined for whatever there is. */
export interface DrillChoice {
  readonly words: string;
  readonly family: Family | undefined;
  readonly skill: Skill | undefined;
  readonly table: PresetId | undefined;
  /** Time that there is. */
  readonly minutes: number | undefined;
  /** Object balls that are to be set, at most. */
  readonly balls: number | undefined;
  readonly only: readonly Mark[];
}

/** What a drill may be marked with: by the viewer, by the club, or by the rounds of a player. */
export const MARKS = ['favourites', 'our own', 'due', 'suits', 'put away'] as const;
export type Mark = (typeof MARKS)[number];

function hasMark(entry: ListedDrill, mark: Mark, need: PracticeNeed | undefined): boolean {
  switch (mark) {
    case 'favourites':
      return entry.favourite;
    case 'our own':
      return entry.own;
    case 'due':
      return need?.due === true;
    case 'suits':
      return need?.suits === true;
    case 'put away':
      return entry.archived;
  }
}

/**
 * The drills that are like the choice, by title. Each word must be one of the drill's; what is put away is shown only when it is asked for.
 * @param needs what the rounds of the player say whom they are chosen for; empty without one
 */
export function chooseDrills(
  entries: readonly ListedDrill[],
  choice: DrillChoice,
  needs: ReadonlyMap<string, PracticeNeed> = new Map(),
): readonly ListedDrill[] {
  return entries
    .filter((entry) => {
      const { document } = entry;
      return (
        (choice.family === undefined || document.family === choice.family) &&
        (choice.skill === undefined || document.skills.includes(choice.skill)) &&
        (choice.table === undefined || tablesOf(document).includes(choice.table)) &&
        (choice.minutes === undefined || document.minutes <= choice.minutes) &&
        (choice.balls === undefined || objectBalls(document).length <= choice.balls) &&
        isFoundBy(document, choice.words) &&
        entry.archived === choice.only.includes('put away') &&
        choice.only.every((mark) => hasMark(entry, mark, needs.get(document.slug)))
      );
    })
    .sort((a, b) => (a.document.title < b.document.title ? -1 : 1));
}
