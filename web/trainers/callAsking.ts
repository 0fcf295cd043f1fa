import type { Drill } from '../../core/records/drill.ts';
import { CALL_KINDS, DIFFICULTIES, type CallKind, type Difficulty } from '../../core/judgement/kinds.ts';
import type { CallQuestion, CallSource } from '../../core/judgement/question.ts';
import { PRESET_IDS, type PresetId } from '../../core/table/preset.ts';
import { poseSource } from '../planner/poseSource.ts';

/** What is asked for: all of it stands in the address. */
export interface Asking {
  readonly kind: CallKind;
  readonly difficulty: Difficulty | 'library';
  readonly preset: PresetId;
}

/** What an address asks for, the rest as it begins. */
export function askingFrom(params: URLSearchParams): Asking {
  return {
    kind: CALL_KINDS.find((kind) => kind === params.get('kind')) ?? 'in-off or not',
    difficulty: [...DIFFICULTIES, 'library' as const].find((each) => each === params.get('level')) ?? 'plain',
    preset: PRESET_IDS.find((id) => id === params.get('table')) ?? 'pool-9ft',
  };
}

/** A drill and one of its stages. */
export interface PositionOfDrill {
  readonly drill: Drill;
  readonly stage: number;
}

/** Makes up the next position; seeds go on from a random one, a drill is drawn at random. */
export async function pose(
  { kind, difficulty, preset }: Asking,
  seed: number,
  drills: readonly PositionOfDrill[],
): Promise<{ readonly question: CallQuestion; readonly source: CallSource } | undefined> {
  if (difficulty !== 'library') {
    const source: CallSource = { kind: 'seed', seed, difficulty };
    const question = await poseSource(kind, preset, source, undefined);
    return question && { question, source };
  }
  for (let k = 0; k < drills.length; k++) {
    const chosen = drills[(seed + k) % drills.length];
    if (chosen === undefined) continue;
    const source: CallSource = { kind: 'drill', slug: chosen.drill.slug, stage: chosen.stage };
    const question = await poseSource(kind, preset, source, chosen.drill);
    if (question !== undefined) return { question, source };
  }
  return undefined;
}
