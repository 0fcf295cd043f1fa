import { array, boolean, lazy, object } from 'yup';
import { choice, noneOf, text, texts } from '../fields.ts';
import { UNKNOWN } from './places.ts';

/** In which order the balls are to be potted. */
export type Order =
  | { readonly kind: 'any' }
  /** The lowest number first. */
  | { readonly kind: 'rotation' }
  | { readonly kind: 'listed'; readonly balls: readonly string[] }
  /** All balls of a group before those of the next. */
  | { readonly kind: 'groups'; readonly groups: readonly (readonly string[])[] }
  /** One suit, then the last ball; which suit the player chooses by the first ball, or must be all of both. */
  | {
      readonly kind: 'suits';
      readonly suits: readonly (readonly string[])[];
      readonly last: string;
      readonly both: boolean;
    }
  /** A red and a colour in turn, the colours respotted; then the colours in the order of their values. */
  | { readonly kind: 'red and colour' }
  /** The money ball after every other ball; it is respotted until no other is left. */
  | { readonly kind: 'money ball'; readonly ball: string };

const ORDER_KINDS = ['any', 'rotation', 'listed', 'groups', 'suits', 'red and colour', 'money ball'] as const;

const ids = () => texts(12).min(1, '${path} needs at least one ball');
const plain = object({ kind: choice(['any', 'rotation', 'red and colour']) }).exact(UNKNOWN);
const listed = object({ kind: choice(['listed']), balls: ids() }).exact(UNKNOWN);
const groups = object({
  kind: choice(['groups']),
  groups: array(ids()).strict().required('${path} is missing').min(2, '${path} needs at least two groups'),
}).exact(UNKNOWN);
const suits = object({
  kind: choice(['suits']),
  suits: array(ids()).strict().required('${path} is missing').length(2, '${path} must be two'),
  last: text(12),
  both: boolean().strict().required('${path} is missing'),
}).exact(UNKNOWN);
const money = object({ kind: choice(['money ball']), ball: text(12) }).exact(UNKNOWN);

const SCHEMAS = {
  any: plain,
  rotation: plain,
  'red and colour': plain,
  listed,
  groups,
  suits,
  'money ball': money,
} as const;

function isKind(name: unknown): name is Order['kind'] {
  return ORDER_KINDS.some((each) => each === name);
}

export const orderSchema = lazy((value: unknown) => {
  const name = typeof value === 'object' && value !== null && 'kind' in value ? value.kind : undefined;
  return isKind(name) ? SCHEMAS[name] : noneOf('kind', ORDER_KINDS);
});
