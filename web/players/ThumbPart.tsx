import { Text } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import type { SkillRating } from '../../core/records/rating.ts';
import { groupBy } from '../../core/statistics/groupBy.ts';
import type { PresetId } from '../../core/table/preset.ts';
import { WELL_PLACED } from '../../core/virtual/rulesOfThumb.ts';
import { chooseShipped } from '../table/tableChoice.ts';
import { rulesOfThumbOf } from '../workers/solver.ts';
import { capital } from '../words/vocabulary.ts';
import { shortLength } from '../words/lengths.ts';
import { thumbWords } from './thumbWords.ts';
import { WorkedOutCard } from './WorkedOutCard.tsx';

interface ThumbPartProps {
  readonly ratings: readonly SkillRating[];
  /** The kind of table on which the player plays. */
  readonly preset: PresetId;
}

/** The player's own rules of thumb: where two schools cross for somebody with these errors. */
export function ThumbPart({ ratings, preset }: ThumbPartProps) {
  const rating = ratings.find(({ skill }) => skill === 'cue-ball control');
  const working = useMutation({
    mutationFn: ({ rating: middle, low, high }: SkillRating) =>
      rulesOfThumbOf(chooseShipped(preset).on, [middle, low, high]),
    networkMode: 'always',
  });
  if (rating === undefined) return null;
  const [middle = [], ...ends] = working.data ?? [];
  return (
    <WorkedOutCard
      title="Own rules of thumb"
      ask="Work them out"
      onAsk={() => working.mutate(rating)}
      working={working.isPending}
      error={working.error}
    >
      {middle.length === 0 ? (
        <Text size="sm">
          Practitioners disagree on side and on draw or follow. For a player with these errors it can be
          worked out which way pots the ball and places the cue ball more often.
        </Text>
      ) : (
        [...groupBy(middle, ({ school }) => school)].map(([school, rules]) => (
          <div key={school}>
            <Text fw={700} mt={6}>
              {capital(school)}
            </Text>
            {rules.map((rule) => (
              <Text key={rule.cutDeg} size="sm" data-testid="rule-of-thumb">
                {thumbWords(
                  rule,
                  ends.flatMap(
                    (each) =>
                      each.find((end) => end.school === rule.school && end.cutDeg === rule.cutDeg) ?? [],
                  ),
                )}
              </Text>
            ))}
          </div>
        ))
      )}
      {middle.length > 0 && (
        <Text size="xs" c="dimmed" mt={4}>
          By the way of the cue ball after the hit, for a rating of {Math.round(rating.rating)} (
          {Math.round(rating.low)} to {Math.round(rating.high)}): pot made and cue ball within{' '}
          {shortLength(WELL_PLACED)} of the planned place, 300 executions each.
        </Text>
      )}
    </WorkedOutCard>
  );
}
