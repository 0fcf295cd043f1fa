import { useWords } from '../words/useWords.ts';
import { Text, Title } from '@mantine/core';
import { LEVELS } from '../../core/player/levels.ts';
import type { PlayerProgress } from '../../core/records/progress.ts';
import type { SkillRating } from '../../core/records/rating.ts';
import { colour, TEXT_FONT } from '../theme.ts';
import { ratingWords } from '../words/ratingWords.ts';
import { courseWords } from '../words/courseWords.ts';
import { capital } from '../words/vocabulary.ts';

/** A player's ratings by skill, each with the interval that the rounds leave open. */
export function Ratings({ progress }: { readonly progress: PlayerProgress }) {
  const { ratings, unrated } = progress;
  if (ratings.length === 0 && unrated === 0) return null;
  return (
    <section aria-labelledby="ratings-title">
      <Title order={2} size="h3" id="ratings-title" mb={6}>
        Ratings
      </Title>
      <div className="rating-cards">
        {ratings.map((rating) => (
          <RatingCard key={rating.skill} rating={rating} />
        ))}
      </div>
      <Text size="xs" c="dimmed" mt={6}>
        The level on the scale from 0 to 100 whose virtual player explains the rounds best, as it is today: a
        level may move. The bar is the 90 % interval. Judgement is the level that calls as this player does.
        {unrated > 0
          ? ` ${unrated === 1 ? '1 round' : `${unrated} rounds`} left out: no levels are computed yet, or the drill tells levels apart too little to judge by.`
          : ''}
      </Text>
    </section>
  );
}

function RatingCard({ rating }: { readonly rating: SkillRating }) {
  const { skill, rounds, tables, basis } = rating;
  const { skillName } = useWords();
  const what = basis === 'calls' ? 'call' : 'round';
  return (
    <section className="card" aria-label={`Rating in ${skill}`}>
      <div style={{ display: 'flex', justifyContent: 'space-between', alignItems: 'baseline' }}>
        <Text fw={700}>{capital(skillName(skill))}</Text>
        <Text className="big" data-testid={`rating-${skill}`}>
          {Math.round(rating.rating)}
        </Text>
      </div>
      <RatingBar rating={rating} />
      <Text size="sm">
        {ratingWords(rating)} By {rounds === 1 ? `1 ${what}` : `${rounds} ${what}s`}
        {tables > 1 ? ` on ${tables} tables that play unlike, each against its own levels` : ''}.
      </Text>
      <Text size="sm" c="dimmed">
        {courseWords(rating)}
      </Text>
    </section>
  );
}

const WIDTH = 210;
const at = (rating: number) => (WIDTH * rating) / 100;

/** The scale with the five levels, the interval as a bar, the rating as a diamond. */
function RatingBar({ rating: shown }: { readonly rating: SkillRating }) {
  const { rating, low, high } = shown;
  return (
    <svg viewBox={`-6 0 ${WIDTH + 12} 40`} width="100%" style={{ maxWidth: 300 }} aria-hidden="true">
      <line x1={0} y1={12} x2={WIDTH} y2={12} stroke={colour('line')} strokeWidth={2} />
      <rect
        x={at(low)}
        y={7}
        width={at(high) - at(low)}
        height={10}
        fill={colour('indigo')}
        fillOpacity={0.3}
      />
      <path d={`M${at(rating)} 1l6 11l-6 11l-6 -11Z`} fill={colour('indigo')} />
      {LEVELS.map((level) => (
        <text
          key={level.name}
          x={at(level.rating)}
          y={36}
          textAnchor="middle"
          fontFamily={TEXT_FONT}
          fontSize={11.5}
          fill={colour('muted')}
        >
          {level.name.split(' ')[0]}
        </text>
      ))}
    </svg>
  );
}
