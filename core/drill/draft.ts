import { ValidationError } from 'yup';
import { DRILL_FORMAT, DRILL_VERSION, drillSchema, type Drill } from '../records/drill.ts';
import type { CountingMethodName } from '../records/drillText/counting.ts';
import type { TaskKind } from '../records/drillText/task.ts';
import { foulCost } from '../rules/foulCost.ts';
import type { PresetId } from '../table/preset.ts';
import { TABLE_PRESETS } from '../table/presets.ts';
import { CUE_BALL } from './layout.ts';

/** The settings with which each way of counting begins. */
export const FIRST_SCORING: Readonly<Record<CountingMethodName, Drill['scoring']>> = {
  'attempts-to-clear': { method: 'attempts-to-clear', giveUpAfter: 10 },
  'balls-made': { method: 'balls-made', trials: 5 },
  lives: { method: 'lives', lives: 3 },
  'ladder-by-racks': { method: 'ladder-by-racks', rungs: [3, 5, 7], wins: 2, of: 3 },
  'ladder-by-single': {
    method: 'ladder-by-single',
    start: 3,
    lowest: 1,
    top: 9,
    onMiss: 'down one',
    attempts: 10,
  },
  'clear-or-restart': { method: 'clear-or-restart', layouts: [4, 6, 8], attempts: 10 },
  'break-points': { method: 'break-points', visits: 5 },
  'zone-points': { method: 'zone-points', shots: 10, windowLevel: 'team' },
  'graded-contact': {
    method: 'graded-contact',
    stations: 10,
    points: { full: 1, thick: 3, thin: 3, 'cushion first': 1, miss: 0 },
  },
  'success-rate': { method: 'success-rate', attempts: 10 },
  kick: {
    method: 'kick',
    attempts: 10,
    penalty: 1,
    leaveCosts: { 'nothing on': 0, 'half a chance': 1, 'wide open': 2 },
  },
  'break-score': {
    method: 'break-score',
    attempts: 6,
    weights: { balls: 1, control: 2, layout: 1 },
    mostBalls: 4,
    dryBelow: 1,
    afterInOff: 0,
  },
  'call-it': { method: 'call-it', positions: 10 },
  streak: { method: 'streak', attempts: 10 },
};

/** The settings with which a way of counting begins in a drill: a kick at snooker gives points away. */
export function firstScoring(method: CountingMethodName, drill: Drill): Drill['scoring'] {
  const first = FIRST_SCORING[method];
  const game = TABLE_PRESETS[drill.table].game === 'snooker' ? 'snooker' : 'nine-ball';
  const cost = foulCost(game);
  return first.method === 'kick' && cost.kind === 'points' ? { ...first, penalty: cost.points } : first;
}

/** The task with which each kind begins. @param balls object balls of the drill */
export function firstTask(kind: TaskKind, balls: readonly string[]): Drill['task'] {
  const [one = '1', two = '2'] = balls;
  const pocket = 'foot-left';
  switch (kind) {
    case 'position':
      return { kind, pot: one, pocket, next: { ball: two, pocket: 'foot-right' } };
    case 'land':
      return { kind, pot: { ball: one, pocket } };
    case 'clear':
      return { kind, order: { kind: 'any' } };
    case 'break':
      return { kind, hit: 'head ball' };
    case 'kick':
      return { kind, target: one, cushions: ['right'] };
    case 'plant':
      return { kind, first: one, pot: two, pocket };
    case 'double':
      return { kind, pot: one, pocket: 'middle-left', cushions: ['right'] };
    case 'safety':
      return { kind, target: one, aim: 'hide' };
    case 'call':
      return { kind, question: 'in-off or not', positions: 10, difficulty: 0.5 };
  }
}

const ENDS = 'ends the attempt';

/** A drill from which a coach starts: two balls to pot and the cue ball, a stroke, one stage. Its title is missing. */
export function blankDrill(table: PresetId): Drill {
  const names = TABLE_PRESETS[table].markings === 'colours' ? ['red', 'blue'] : ['1', '2'];
  const [one = '1', two = '2'] = names;
  const place = (along: number, across: number) => ({ share: { along, across } });
  return {
    format: DRILL_FORMAT,
    version: DRILL_VERSION,
    slug: '',
    title: '',
    family: 'position',
    skills: ['cue-ball control'],
    technique: null,
    table,
    alsoOn: [],
    minutes: 15,
    purpose: '',
    advice: [],
    schools: [],
    cautions: [],
    balls: [
      { id: CUE_BALL, at: place(0.6, 0.5) },
      { id: one, at: place(0.8, 0.7) },
      { id: two, at: place(0.75, 0.25) },
    ],
    thrown: null,
    rack: null,
    cueBall: { start: 'placed', area: null },
    task: firstTask('position', names),
    targets: [],
    conditions: [],
    faults: { missed: ENDS, 'in-off': ENDS, 'wrong ball': ENDS, 'condition broken': ENDS },
    repair: 'play on',
    plan: { speed: 2.4, tip: { side: 0, height: 0.35 }, elevationDeg: 0 },
    routes: [],
    unchecked: null,
    scoring: FIRST_SCORING['zone-points'],
    stages: [{ ...EMPTY_STAGE, title: 'Open window', bands: [...FIRST_BANDS] }],
  };
}

/** Bands of the window with which a stage begins. */
const FIRST_BANDS = [
  { chance: 0.5, points: 1 },
  { chance: 0.65, points: 2 },
  { chance: 0.8, points: 3 },
] as const;

const EMPTY_STAGE: Drill['stages'][number] = {
  title: '',
  bands: [],
  moved: [],
  without: [],
  conditions: [],
  marks: [],
  scoring: null,
};

/** A stage more: like the last one, its title yet to be written. */
export function nextStage({ stages }: Drill): Drill['stages'][number] {
  return { ...(stages.at(-1) ?? EMPTY_STAGE), title: '' };
}

/**
 * A draft as it was kept: a drill in which something may still be missing or wrong, but everything is of its kind.
 * @returns undefined for a value that is no such thing
 */
export function readDraft(value: unknown): Drill | undefined {
  try {
    return drillSchema.validateSync(value, { abortEarly: false });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    // What is only not written yet has a value; what is of another kind cannot be worked on.
    const unfinished = error.inner.every((inner) => UNFINISHED.includes(inner.type ?? '') && isThere(inner));
    return unfinished && error.inner.length > 0 ? drillSchema.cast(value) : undefined;
  }
}

/** Kinds of errors that a draft may have. */
const UNFINISHED = ['required', 'not-blank', 'matches', 'min', 'max', 'rising', 'growing', 'once', 'names'];

function isThere(error: ValidationError): boolean {
  return error.value !== undefined && error.value !== null && error.path !== 'version';
}

const LONGEST_SLUG = 60;

/** An address that is taken: there new drills are made. */
const TAKEN = 'new';

/** The name of a drill's file and address, made of its title; empty when nothing of that is left. */
export function slugOf(title: string): string {
  const slug = title
    .normalize('NFD')
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, ' ')
    .trim()
    .replaceAll(' ', '-')
    .slice(0, LONGEST_SLUG)
    .replace(/-$/, '');
  return slug === TAKEN ? `${slug}-drill` : slug;
}
