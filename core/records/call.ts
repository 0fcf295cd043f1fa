import { array, lazy, object, type InferType } from 'yup';
import { CALL_KINDS, DIFFICULTIES } from '../judgement/kinds.ts';
import { answerKindOf, type CallAnswer } from '../judgement/question.ts';
import { PRESET_IDS } from '../table/preset.ts';
import {
  choice,
  count,
  finite,
  instant,
  MISSING,
  noneOf,
  pointSchema,
  UNKNOWN,
  uuid,
  slug,
  text,
} from './fields.ts';

function memberOf(value: unknown, members: readonly string[]): string | undefined {
  if (typeof value !== 'object' || value === null || !('kind' in value)) return undefined;
  return members.find((name) => name === value.kind);
}

const SOURCES = {
  seed: object({ kind: choice(['seed']), seed: count(1, 2 ** 31), difficulty: choice(DIFFICULTIES) }).exact(
    UNKNOWN,
  ),
  drill: object({ kind: choice(['drill']), slug: slug(), stage: count(1, 9) }).exact(UNKNOWN),
} as const;

export const callSourceSchema = lazy((value: unknown) => {
  const kind = memberOf(value, Object.keys(SOURCES));
  return kind === 'seed'
    ? SOURCES.seed
    : kind === 'drill'
      ? SOURCES.drill
      : noneOf('kind', Object.keys(SOURCES));
});

const ANSWERS = {
  verdict: object({ kind: choice(['verdict']), verdict: choice(['yes', 'no', 'too close']) }).exact(UNKNOWN),
  path: object({
    kind: choice(['path']),
    points: array(pointSchema.required(MISSING))
      .required(MISSING)
      .min(2, '${path} needs at least two points')
      .max(60, '${path} has at most 60 points'),
  }).exact(UNKNOWN),
  length: object({
    kind: choice(['length']),
    metres: finite().min(0, '${path} must be at least 0').max(20, '${path} must be at most 20'),
  }).exact(UNKNOWN),
  side: object({ kind: choice(['side']), side: choice(['left', 'full', 'right']) }).exact(UNKNOWN),
  place: object({ kind: choice(['place']), at: pointSchema.required(MISSING) }).exact(UNKNOWN),
  order: object({
    kind: choice(['order']),
    order: array(text(12))
      .required(MISSING)
      .min(2, '${path} needs at least two balls')
      .max(9, '${path} has at most nine balls'),
  }).exact(UNKNOWN),
  pick: object({ kind: choice(['pick']), pick: text(12) }).exact(UNKNOWN),
} as const;

export const callAnswerSchema = lazy((value: unknown) => {
  const kind = memberOf(value, Object.keys(ANSWERS));
  switch (kind) {
    case 'verdict':
      return ANSWERS.verdict.required(MISSING);
    case 'path':
      return ANSWERS.path.required(MISSING);
    case 'length':
      return ANSWERS.length.required(MISSING);
    case 'side':
      return ANSWERS.side.required(MISSING);
    case 'pick':
      return ANSWERS.pick.required(MISSING);
    case 'order':
      return ANSWERS.order.required(MISSING);
    case 'place':
      return ANSWERS.place.required(MISSING);
    default:
      return noneOf('kind', Object.keys(ANSWERS));
  }
});

/** What a call was worth. */
export const callScore = () =>
  finite().min(0, '${path} must be at least 0').max(1, '${path} must be at most 1');

/** A second opinion that was locked before the reveal. */
const coachCallSchema = object({ answer: callAnswerSchema, score: callScore() }).exact(UNKNOWN);

const fields = {
  kind: choice(CALL_KINDS),
  preset: choice(PRESET_IDS),
  source: callSourceSchema,
  answer: callAnswerSchema,
  /** What the call was worth, 0…1. */
  score: callScore(),
  coach: coachCallSchema.nullable().defined(MISSING),
  calledAt: instant(),
};

/** A call as a device sends it; the id comes with the address, so that it is kept once however often it is sent. */
export const newCallSchema = object({ playerId: uuid(), ...fields })
  .exact('${properties} is not a field of this request')
  .required()
  .test('answers', 'answer.kind does not answer this kind of question', ({ kind, answer, coach }) => {
    const wanted = answerKindOf(kind);
    return answer.kind === wanted && (coach === null || coach.answer.kind === wanted);
  });
export type NewCall = InferType<typeof newCallSchema>;

export const callSchema = object({ id: uuid(), ...fields }).required();
export type StoredCall = InferType<typeof callSchema>;
/** What a rating needs of a call. */
export const calledSchema = object({
  kind: fields.kind,
  preset: fields.preset,
  source: fields.source,
  score: fields.score,
}).required();
export type Called = InferType<typeof calledSchema>;
export const callsSchema = array(callSchema).required();

/** An answer as it is written down. */
export function writtenAnswer(answer: CallAnswer): NewCall['answer'] {
  switch (answer.kind) {
    case 'path':
      return { ...answer, points: [...answer.points] };
    case 'order':
      return { ...answer, order: [...answer.order] };
    default:
      return answer;
  }
}
