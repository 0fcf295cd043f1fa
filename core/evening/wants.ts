import type { Want } from '../records/evening.ts';
import { nextDrills, type DrillCandidate, type KnownRating } from '../scoring/nextDrill.ts';
import type { PresetId } from '../table/preset.ts';

/** A drill's stage that a player could play tonight. */
export interface EveningCandidate extends DrillCandidate {
  readonly tables: readonly PresetId[];
  /** What the player can expect to make of it, as a share of the best, 0…1; undefined while nobody knows. */
  readonly ease: number | undefined;
}

/** The score of a proposal that counts as the most that can be gained, and the least that any drill is worth. */
const MOST = 2.3;
const LEAST = 0.05;
/** Drills that are kept: enough for variety. */
const MAIN = 12;
const WARM_UPS = 4;
/** What is gained by warming up, and the share from which a drill is easy enough for it. */
const WARM_GAIN = 0.35;
const EASY = 0.6;

/**
 * What a player could play tonight: drills to warm up with (known ones that go well, the easiest first; else the easiest there
 * is), and those by which most is gained, as `nextDrills` ranks them.
 */
export function wantsOf(
  candidates: readonly EveningCandidate[],
  ratings: readonly KnownRating[],
): readonly Want[] {
  const tablesOf = (drill: string, stage: number) => [
    ...(candidates.find((each) => each.drill === drill && each.stage === stage)?.tables ?? []),
  ];
  const main = nextDrills(candidates, ratings)
    .slice(0, MAIN)
    .map(({ drill, stage, skill, behind, isSurelyBehind, shows, restDays, course, score }): Want => ({
      drill,
      stage,
      kind: 'main',
      skill,
      gain: Math.max(LEAST, Math.min(1, score / MOST)),
      tables: tablesOf(drill, stage),
      behind: behind ?? null,
      isSurelyBehind,
      shows: shows ?? null,
      restDays: restDays ?? null,
      course: course ?? null,
    }));
  const ease = ({ ease: own = 0 }: EveningCandidate) => own;
  const byEase = candidates.filter(({ skills }) => skills.length > 0).toSorted((a, b) => ease(b) - ease(a));
  const known = byEase.filter((each) => each.restDays !== undefined && ease(each) >= EASY);
  const taken = new Set<string>();
  const warm = [...known, ...byEase]
    .filter(({ drill }) => !taken.has(drill) && taken.add(drill))
    .slice(0, WARM_UPS)
    .map(({ drill, stage, skills: [skill], tables, restDays, course }, rank): Want => ({
      drill,
      stage,
      kind: 'warm-up',
      skill: skill ?? 'potting',
      // The easiest is a little better than the next.
      gain: WARM_GAIN * (1 - 0.05 * rank),
      tables: [...tables],
      behind: null,
      isSurelyBehind: false,
      shows: null,
      restDays: restDays ?? null,
      course: course ?? null,
    }));
  return [...warm, ...main];
}
