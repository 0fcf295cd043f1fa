import { Text, Title } from '@mantine/core';
import type { PlayerProgress } from '../../core/records/progress.ts';
import { allBreaks } from '../../core/scoring/breakComparison.ts';
import { allKicks } from '../../core/scoring/kickSums.ts';
import { addSums } from '../../core/scoring/roundSums.ts';
import { driftWords } from '../words/kickSumWords.ts';
import { interval } from '../words/units.ts';
import { useWords } from '../words/useWords.ts';

/** What came of the breaks and kicks of the time, with how sure it is. */
export function BreaksAndKicks({ progress }: { readonly progress: PlayerProgress }) {
  const { term } = useWords();
  const sums = addSums(progress.months.map((month) => month.sums));
  const breaks = allBreaks(sums.breaks);
  const kicks = allKicks(sums.kicks ?? []);
  if (breaks.breaks === 0 && kicks.kicks === 0) return null;
  return (
    <section aria-labelledby="breaks-title">
      <Title order={2} size="h3" id="breaks-title">
        Breaks and {term('kick')}s
      </Title>
      {breaks.breaks > 0 && (
        <Text>
          {breaks.breaks} {breaks.breaks === 1 ? 'break' : 'breaks'}: a ball down and the cue ball kept in{' '}
          {interval(breaks.good)}, {breaks.ballsEach.toFixed(1)} balls a break, in-off in{' '}
          {interval(breaks.inOffs)}.{Number.isNaN(breaks.dry.share) ? '' : ` Dry: ${interval(breaks.dry)}.`}
          {breaks.followed > 0 && ` Run out afterwards: ${interval(breaks.runOuts)} of ${breaks.followed}.`}
        </Text>
      )}
      {kicks.kicks > 0 && (
        <Text>
          {kicks.kicks} {kicks.kicks === 1 ? term('kick') : `${term('kick')}s`}: the ball met in{' '}
          {interval(kicks.hits)}. {driftWords(kicks)}
        </Text>
      )}
      <Text size="sm" c="dimmed">
        In brackets: where the share lies in nine of ten cases.
      </Text>
    </section>
  );
}
