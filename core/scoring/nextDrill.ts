import { LEVELS } from '../player/levels.ts';
import type { Skill } from '../records/drill.ts';
import { expectation, type Distribution } from '../statistics/distribution.ts';
import { mean } from '../statistics/summary.ts';
import type { Course } from './progress.ts';

/** A drill at a stage that a player could practise next. */
export interface DrillCandidate {
  readonly drill: string;
  readonly stage: number;
  readonly skills: readonly Skill[];
  /** How virtual players of the five levels score; undefined where none have played it. */
  readonly levels: readonly Distribution[] | undefined;
  /** Days since the player's last round of it; undefined for none. */
  readonly restDays: number | undefined;
  readonly course: Course | undefined;
}

export interface KnownRating {
  readonly skill: Skill;
  /** 0…100. */
  readonly rating: number;
  /** Ends of its 90 % interval. */
  readonly low: number;
  readonly high: number;
}

/** Why a drill is proposed, in figures; words are made of them elsewhere. */
export interface DrillProposal {
  readonly drill: string;
  readonly stage: number;
  /** The skill for which it is proposed. */
  readonly skill: Skill;
  /** How far the skill lies below the player's mean, rating points; undefined while it is not rated. */
  readonly behind: number | undefined;
  /** Whether that is sure: all of the skill's interval lies below the mean. */
  readonly isSurelyBehind: boolean;
  /** How clearly ten rating points more would show in one round: the change of the mean in its standard deviations. */
  readonly shows: number | undefined;
  readonly restDays: number | undefined;
  readonly course: Course | undefined;
  readonly score: number;
}

/** Weights of the rule; a rule of thumb, not a measurement. */
const WEIGHT = { behind: 1, unrated: 0.5, shows: 0.8, rest: 0.5, plateau: 0.6 } as const;
/** Rating points behind the mean that count in full. */
const FAR_BEHIND = 20;
/** An interval of a rating that is no wider than this is well known, rating points. */
const WELL_KNOWN = 25;
/** What shows in one round as clearly as this counts in full, standard deviations. */
const SHOWS_WELL = 0.6;
/** Days of rest after which a drill may come again in full. */
const RESTED_DAYS = 14;
/** Rating points of which it is asked whether they show. */
const STEP = 10;
/** What is assumed of a drill of which nothing is known. */
const UNKNOWN = { rating: 45, shows: 0.3, rest: 0.7 };

/**
 * The mean and deviation of scores at a rating, straight between the levels.
 * @param levels how virtual players of the five levels score @param rating 0…100
 */
export function scoresAt(
  levels: readonly Distribution[],
  rating: number,
): { readonly mean: number; readonly deviation: number } {
  const at = (index: number) => {
    const d = levels[index] ?? [1];
    const average = expectation(d);
    return { mean: average, variance: d.reduce((sum, p, value) => sum + p * (value - average) ** 2, 0) };
  };
  const last = LEVELS.length - 1;
  const upper = Math.max(
    1,
    LEVELS.findIndex((level, i) => rating <= level.rating || i === last),
  );
  const [a, b] = [at(upper - 1), at(upper)];
  const [from, to] = [LEVELS[upper - 1]?.rating ?? 0, LEVELS[upper]?.rating ?? 100];
  const t = Math.min(1, Math.max(0, (rating - from) / (to - from)));
  return {
    mean: a.mean + t * (b.mean - a.mean),
    deviation: Math.sqrt(a.variance + t * (b.variance - a.variance)),
  };
}

/**
 * How clearly a step of ten rating points, half below and half above, shows in one round of a drill: the change of the
 * mean score over its standard deviation. Too easy and too hard drills show nothing.
 * @param rating 0…100; @param levels how virtual players of the five levels score
 */
export function stepShows(levels: readonly Distribution[], rating: number): number {
  const [below, here, above] = [-STEP / 2, 0, STEP / 2].map((by) => scoresAt(levels, rating + by));
  const change = Math.abs((above?.mean ?? 0) - (below?.mean ?? 0));
  // A whole score is the least that can change.
  return change / Math.max(0.5, here?.deviation ?? 0);
}

function proposalFor(
  candidate: DrillCandidate,
  skill: Skill,
  ratings: readonly KnownRating[],
): DrillProposal {
  const known = ratings.find((each) => each.skill === skill);
  const own = known?.rating;
  const average = ratings.length === 0 ? undefined : mean(ratings.map(({ rating }) => rating));
  const behind = own === undefined || average === undefined ? undefined : average - own;
  const isSurelyBehind = known !== undefined && average !== undefined && known.high < average;
  // What is hardly known says little of lying behind.
  const sureness = known === undefined ? 0 : Math.min(1, WELL_KNOWN / Math.max(1, known.high - known.low));
  const { drill, stage, levels, restDays, course } = candidate;
  const shows = levels && stepShows(levels, own ?? average ?? UNKNOWN.rating);
  const score =
    (behind === undefined
      ? WEIGHT.unrated
      : WEIGHT.behind * sureness * Math.max(-1, Math.min(1, behind / FAR_BEHIND))) +
    WEIGHT.shows * Math.min(1, (shows ?? UNKNOWN.shows) / SHOWS_WELL) +
    WEIGHT.rest * (restDays === undefined ? UNKNOWN.rest : Math.min(1, restDays / RESTED_DAYS)) -
    (course === 'plateau' ? WEIGHT.plateau : 0);
  return { drill, stage, skill, behind, isSurelyBehind, shows, restDays, course, score };
}

/**
 * Ranks the drills that a player could practise next: by the skill that lies behind the others or is not rated yet, by how
 * clearly getting better would show, and by rest; what has come to a plateau waits. Of each drill the best stage and skill
 * stand, and no skill has more than two of the first places.
 * @param ratings of the player, as far as they are known
 */
export function nextDrills(
  candidates: readonly DrillCandidate[],
  ratings: readonly KnownRating[],
): readonly DrillProposal[] {
  const all = candidates
    .flatMap((candidate) => candidate.skills.map((skill) => proposalFor(candidate, skill, ratings)))
    .sort((a, b) => b.score - a.score || a.drill.localeCompare(b.drill) || a.stage - b.stage);
  const taken = new Set<string>();
  const ranked = all.filter(({ drill }) => !taken.has(drill) && taken.add(drill));
  const count = new Map<Skill, number>();
  const [first, later]: [DrillProposal[], DrillProposal[]] = [[], []];
  for (const proposal of ranked) {
    const before = count.get(proposal.skill) ?? 0;
    count.set(proposal.skill, before + 1);
    (before < MOST_OF_A_SKILL ? first : later).push(proposal);
  }
  return [...first, ...later];
}
const MOST_OF_A_SKILL = 2;
