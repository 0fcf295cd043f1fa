import { expect, it } from 'vitest';
import type { PlayerOverview } from '../../core/records/clubOverview.ts';
import type { SkillRating } from '../../core/records/rating.ts';
import { arrowOf, standingOf, weekWords } from './overviewWords.ts';

const NOW = Date.parse('2026-11-24T12:00:00Z');
/** A slope that is sure, either way. */
const SURE = { up: { slope: 1, low: 0.3, high: 1.7 }, down: { slope: -1, low: -1.7, high: -0.3 } };
const rating = (course: SkillRating['course']): SkillRating => ({
  skill: 'potting',
  basis: 'rounds',
  rating: 50,
  low: 40,
  high: 60,
  rounds: 9,
  tables: 1,
  course,
  slope: course === 'up' || course === 'down' ? SURE[course] : null,
  comeback: false,
});
const player = (change: Partial<PlayerOverview>): PlayerOverview => ({
  playerId: 'p',
  ratings: [],
  up: 0,
  down: 0,
  plateaus: 0,
  rounds: 9,
  lastAt: '2026-11-20T18:00:00Z',
  week: { planned: 0, done: 0, due: 0 },
  ...change,
});

it('somebody who stayed away is told so before anything else, and somebody new is new', () => {
  const away = player({ lastAt: '2026-11-02T18:00:00Z', ratings: [rating('up')] });
  expect(standingOf(away, NOW)).toBe('not practised');
  expect(standingOf(player({ lastAt: null, rounds: 0 }), NOW)).toBe('new');
});

it('a rating says more than single drills', () => {
  expect(standingOf(player({ ratings: [rating('plateau')], up: 3 }), NOW)).toBe('stuck');
  expect(standingOf(player({ ratings: [rating('up')], plateaus: 3 }), NOW)).toBe('improves');
  expect(standingOf(player({ ratings: [rating('down'), rating('up')] }), NOW)).toBe('falls back');
  // Whoever has won a slump back comes back, also when the year as a whole went down.
  expect(standingOf(player({ ratings: [{ ...rating('down'), comeback: true }] }), NOW)).toBe('comes back');
  // One that was won back does not hide another that falls.
  const other = { ...rating('down'), skill: 'break' as const };
  expect(standingOf(player({ ratings: [{ ...rating('down'), comeback: true }, other] }), NOW)).toBe(
    'falls back',
  );
  expect(standingOf(player({ ratings: [rating('open')], plateaus: 2, up: 1 }), NOW)).toBe('stuck');
  expect(standingOf(player({ up: 1 }), NOW)).toBe('on their way');
  expect(standingOf(player({}), NOW)).toBe('on their way');
});

it('nobody improves who may as well stay, and whoever stays near the top is not stuck', () => {
  const unsure = { ...rating('up'), slope: { slope: 0.5, low: -0.1, high: 1.1 } };
  expect(standingOf(player({ ratings: [unsure] }), NOW)).toBe('on their way');
  const title = { ...rating('plateau'), rating: 88 };
  expect(standingOf(player({ ratings: [title] }), NOW)).toBe('holds a high level');
  expect(standingOf(player({ ratings: [title, rating('plateau')] }), NOW)).toBe('stuck');
});

it('arrows are only of what is sure, and a slump that was won back has both', () => {
  const arrows = (['up', 'down', 'plateau', 'open', 'too few'] as const).map((course) =>
    arrowOf(rating(course)),
  );
  expect(arrows).toEqual(['↗', '↘', '→', '', '']);
  expect(arrowOf({ ...rating('down'), comeback: true })).toBe('↘↗');
  expect(arrowOf({ ...rating('up'), slope: { slope: 0.5, low: -0.1, high: 1.1 } })).toBe('');
});

it('the week says what is due and done, and nothing without a programme', () => {
  expect(weekWords({ planned: 0, done: 0, due: 0 })).toBe('');
  expect(weekWords({ planned: 3, done: 1, due: 2 })).toBe('2 due, 1 of 3 done this week');
  expect(weekWords({ planned: 3, done: 3, due: 0 })).toBe('3 of 3 done this week');
});
