import type { Point } from '../math/point.ts';
import type { BallOnTable, Shot } from '../motion/shot.ts';
import type { PositionWindow } from '../planning/grid.ts';
import type { Verdict } from '../planning/foresee.ts';
import type { ContactSide } from '../shot/plants.ts';
import type { PocketName } from '../table/pockets.ts';
import { BREAK_PICKS, type BreakCallQuestion } from './breakQuestion.ts';
import type { KickQuestion } from './kickQuestion.ts';
import { BREAK_KIND, KICK_KINDS, type CallKind, type Difficulty, type KickKind } from './kinds.ts';
import type { Worth } from './worth.ts';

/** Where a question's position comes from: a seed, or a drill's planned stroke. */
export type CallSource =
  | { readonly kind: 'seed'; readonly seed: number; readonly difficulty: Difficulty }
  | { readonly kind: 'drill'; readonly slug: string; readonly stage: number };

/** A position that a player is asked about, with what is true of it. */
export type CallQuestion = PotQuestion | KickQuestion | BreakCallQuestion;

/** A question about a stroke that pots a ball. */
export type PotQuestion = {
  readonly shot: Shot;
  /** The ball that is potted, and where. */
  readonly pot: string;
  readonly pocket: PocketName;
} & (
  | {
      readonly kind: 'in-off or not';
      readonly truth: Verdict;
      /** Millimetres from the border; undefined where the cue ball comes near no pocket. */
      readonly marginMm: number | undefined;
      readonly near: PocketName | undefined;
      /** Share of executions by a team player in which it happens. */
      readonly share: number;
    }
  | {
      readonly kind: 'does it pass';
      readonly obstacle: BallOnTable;
      readonly truth: Verdict;
      readonly marginMm: number | undefined;
      readonly share: number;
    }
  | { readonly kind: 'draw the path'; readonly truth: readonly Point[] }
  | {
      readonly kind: 'how long is the window';
      readonly next: string;
      readonly nextPocket: PocketName;
      /** Metres. */
      readonly truth: number;
    }
  | {
      readonly kind: 'which side of the plant';
      readonly first: string;
      readonly truth: ContactSide;
      readonly gapMm: number;
      /** Millimetres; undefined when no gap flips it. */
      readonly flipMm: number | undefined;
    }
  | {
      readonly kind: 'which ball first' | 'which suit';
      /** The pick that is worth most; suits are "lower" and "higher". */
      readonly truth: string;
      /** A team player's chance to clear with each pick, the best one first; what no plan begins with is not there. */
      readonly worth: Worth;
    }
  | {
      readonly kind: 'key ball';
      readonly truth: string;
      /** The ball that could be played in its place. */
      readonly instead: string;
      /** The balls as a team player's plan has them. */
      readonly order: readonly string[];
      /** What another ball in the place of each one costs of the chance to clear, the most first. */
      readonly worth: Worth;
    }
  | {
      readonly kind: 'whole order';
      /** The balls in the order that is worth most. */
      readonly truth: readonly string[];
      /** A team player's chance to clear in each order, the best one first. */
      readonly worth: readonly OrderWorth[];
    }
  | {
      readonly kind: 'where to be';
      /** The balls that come after the pot, in their order. */
      readonly after: readonly string[];
      /** The best place for the cue ball, metres. */
      readonly truth: Point;
      /** A team player's chance to clear them from there, and from every place, 0…1. */
      readonly best: number;
      readonly worth: PositionWindow;
    }
);

/** An order of balls, and what it is worth, 0…1. */
export interface OrderWorth {
  readonly order: readonly string[];
  readonly value: number;
}

/** What a question gives to pick from. */
export function picksOf(question: CallQuestion): readonly string[] {
  const { kind, shot } = question;
  if (kind === 'which suit') return ['lower', 'higher'];
  if (kind === 'pot or safe') return ['pot', 'safe'];
  if (kind === BREAK_KIND) return BREAK_PICKS;
  if (kind === 'which line') return question.lines.map(({ pick }) => pick);
  return shot.balls.flatMap(({ id }) => (id === shot.strike.ball ? [] : [id]));
}

/** A player's call. */
export type CallAnswer =
  | { readonly kind: 'verdict'; readonly verdict: Verdict }
  | { readonly kind: 'path'; readonly points: readonly Point[] }
  | { readonly kind: 'length'; readonly metres: number }
  | { readonly kind: 'side'; readonly side: ContactSide }
  | { readonly kind: 'pick'; readonly pick: string }
  | { readonly kind: 'order'; readonly order: readonly string[] }
  | { readonly kind: 'place'; readonly at: Point };

/** How a question of a kind is answered. */
export function answerKindOf(kind: CallKind): CallAnswer['kind'] {
  switch (kind) {
    case 'in-off or not':
    case 'does it pass':
      return 'verdict';
    case 'draw the path':
      return 'path';
    case 'how long is the window':
      return 'length';
    case 'which side of the plant':
    case 'which way to miss':
      return 'side';
    case 'which ball first':
    case 'which suit':
    case 'key ball':
    case 'which line':
    case 'pot or safe':
    case 'what will be on':
      return 'pick';
    case 'whole order':
      return 'order';
    case 'where to be':
    case 'where on the cushion':
      return 'place';
  }
}

/** The sides that may be answered: a plant may be hit full, a miss is off to one side. */
export function sidesToPick({ kind }: CallQuestion): readonly ContactSide[] {
  return kind === 'which way to miss' ? ['left', 'right'] : ['left', 'full', 'right'];
}

/** Whether a question is answered by tapping the table: a way, or a place. */
export function isTapped(kind: CallKind): boolean {
  return ['path', 'place'].includes(answerKindOf(kind));
}

/** What of an answer can be drawn on the table: the way, or the place. */
export function drawnOf(answer: CallAnswer): readonly (readonly Point[])[] {
  if (answer.kind === 'path') return [answer.points];
  return answer.kind === 'place' ? [[answer.at]] : [];
}

/** How much of the stroke may be seen before the answer: of some questions its line, or all of it, is the answer. */
export function shownOf({ kind }: CallQuestion): 'stroke and line' | 'stroke' | 'nothing' {
  if (kind === 'which line' || kind === 'where on the cushion') return 'stroke';
  if (kind === 'which side of the plant' || kind === 'pot or safe' || isPlanned(kind)) return 'nothing';
  return 'stroke and line';
}

/** Whether a question is about a kick or a safety. */
export function isKickKind(kind: CallKind): kind is KickKind {
  return KICK_KINDS.some((each) => each === kind);
}

/** Whether a question is about the plan of a clearance. */
export function isPlanned(kind: CallKind): boolean {
  return !isKickKind(kind) && kind !== BREAK_KIND && ['pick', 'order', 'place'].includes(answerKindOf(kind));
}
