import { useWords } from '../words/useWords.ts';
import { Text, Title } from '@mantine/core';
import type { PlayerProgress } from '../../core/records/progress.ts';
import { colour, TEXT_FONT } from '../theme.ts';
import { LEVELS } from '../../core/player/levels.ts';
import { courseWords } from '../words/courseWords.ts';
import { ratingWords } from '../words/ratingWords.ts';
import { capital } from '../words/vocabulary.ts';

const WIDTH = 420;
const at = (rating: number) => (WIDTH * rating) / 100;

/** The ratings as they are read by parents: a bar each, the level in words, how sure it is. */
export function WhereTheyStand({ progress }: { readonly progress: PlayerProgress }) {
  const { skillName } = useWords();
  const { ratings, kinds } = progress;
  const rounds = kinds.reduce((sum, kind) => sum + kind.rounds, 0);
  return (
    <section aria-labelledby="stand-title">
      <Title order={2} size="h3" id="stand-title">
        Where you stand
      </Title>
      <Text>
        {rounds === 0
          ? 'No complete round in this time.'
          : `${rounds === 1 ? '1 round' : `${rounds} rounds`} of ${kinds.length === 1 ? 'one drill' : `${kinds.length} drills`} in this time.`}
      </Text>
      {ratings.map((rating) => (
        <div key={rating.skill} className="report-rating">
          <div>
            <b>{capital(skillName(rating.skill))}</b>
            <br />
            {`${Math.round(rating.rating)} of 100`}
          </div>
          <svg viewBox={`-4 0 ${WIDTH + 8} 34`} role="img" aria-label={`${Math.round(rating.rating)} of 100`}>
            <rect x={0} y={9} width={WIDTH} height={6} fill={colour('line')} />
            <rect
              x={at(rating.low)}
              y={6}
              width={Math.max(2, at(rating.high) - at(rating.low))}
              height={12}
              fill={colour('indigo')}
              fillOpacity={0.35}
            />
            <path d={`M${at(rating.rating)} 1l6 11l-6 11l-6 -11Z`} fill={colour('indigo')} />
            {LEVELS.map((level) => (
              <text
                key={level.name}
                x={at(level.rating)}
                y={32}
                textAnchor="middle"
                fontSize={10}
                fontFamily={TEXT_FONT}
                fill={colour('muted')}
              >
                {level.name}
              </text>
            ))}
          </svg>
          <Text size="sm">
            {ratingWords(rating)} {courseWords(rating)}
          </Text>
        </div>
      ))}
    </section>
  );
}
