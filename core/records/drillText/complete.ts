type Fields = Readonly<Record<string, unknown>>;

function isFields(value: unknown): value is Fields {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** What a drill's text may leave out. */
const DEFAULTS = {
  technique: null,
  alsoOn: [],
  minutes: 15,
  advice: [],
  schools: [],
  cautions: [],
  balls: [],
  thrown: null,
  rack: null,
  cueBall: { start: 'placed', area: null },
  targets: [],
  conditions: [],
  faults: {},
  repair: 'play on',
  plan: null,
  routes: [],
  unchecked: null,
} as const;

const EVERY_FAULT_ENDS = {
  missed: 'ends the attempt',
  'in-off': 'ends the attempt',
  'wrong ball': 'ends the attempt',
  'condition broken': 'ends the attempt',
} as const;

const STAGE_DEFAULTS = {
  bands: [],
  moved: [],
  without: [],
  conditions: [],
  marks: [],
  scoring: null,
} as const;

/** A drill of the first version, as one of the second: it could only ask for position. */
function upgraded(drill: Fields): Fields {
  if (drill['version'] !== 1) return drill;
  const task = isFields(drill['task']) ? { kind: 'position', ...drill['task'] } : drill['task'];
  return { ...drill, version: 2, skills: ['cue-ball control'], task };
}

/**
 * A drill's text with everything that it may leave out filled in, and an older version brought up to date; what is no
 * object is given back as it is, for the schema to refuse.
 */
export function completeDrill(text: unknown): unknown {
  if (!isFields(text)) return text;
  const drill: Fields = { ...DEFAULTS, ...upgraded(text) };
  const { cueBall, faults, stages } = drill;
  return {
    ...drill,
    cueBall: isFields(cueBall) ? { ...DEFAULTS.cueBall, ...cueBall } : cueBall,
    faults: isFields(faults) ? { ...EVERY_FAULT_ENDS, ...faults } : faults,
    stages: Array.isArray(stages)
      ? stages.map((stage: unknown) => (isFields(stage) ? { ...STAGE_DEFAULTS, ...stage } : stage))
      : stages,
  };
}
