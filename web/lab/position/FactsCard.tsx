import { Text, Title } from '@mantine/core';
import { memo } from 'react';
import type { Foresight } from '../../../core/planning/foresee.ts';
import type { MissSides } from '../../../core/planning/missSide.ts';
import type { NoPicture, ShotOutlook, ShotPicture } from '../../../core/planning/position/question.ts';
import { gapWords, inOffGapWords } from '../../words/marginWords.ts';
import { paceRange, waitsWords } from '../../words/strokeWords.ts';
import { percent } from '../../words/units.ts';
import { capital, termIn, type Vocabulary } from '../../words/vocabulary.ts';
import { useWords } from '../../words/useWords.ts';
import { fineLength, tapeLength } from '../../words/lengths.ts';

const NO_WAY: Readonly<Record<NoPicture['reason'], string>> = {
  'pocket-closed': 'From where it lies the ball cannot reach this pocket.',
  'too-thin': 'No cut is thin enough to send it there.',
  blocked: 'Something is in the way, or the pace is not enough.',
};

function foresightWords(
  { verdict, marginMm, share }: Foresight,
  marginWords: (mm: number) => string,
): string {
  const margin = marginMm === undefined ? '' : ` by ${marginWords(marginMm)}`;
  return `${verdict}${verdict === 'too close' ? ' to call' : ''}${margin}, ${percent(share.share)}`;
}

function cueingWords({ verdict, because }: ShotPicture['cueing'], vocabulary: Vocabulary): string {
  const rest = termIn(vocabulary, 'rest');
  const parts: readonly string[] = [
    verdict === 'rest' ? rest : verdict,
    ...because.filter((each) => each !== 'with the rest'),
  ];
  return parts.join(', ');
}

function missWords({ thick, thin, safer, enough }: MissSides): string {
  if (thick.share + thin.share < 0.02) return 'hardly ever missed';
  const leaves = (each: MissSides['thick']) =>
    each.leaves === undefined ? 'none seen' : `leaves ${percent(each.leaves)}`;
  const told = safer ?? (enough ? 'no side is safer' : 'too few misses to tell');
  return `${told}: thick ${leaves(thick)}, thin ${leaves(thin)}`;
}

interface FactsCardProps {
  readonly picture: ShotPicture | NoPicture | undefined;
  readonly outlook: ShotOutlook | undefined;
}

/** What the stroke is, in figures with their units. */
export const FactsCard = memo(function FactsCard({ picture, outlook }: FactsCardProps) {
  const { vocabulary, term } = useWords();
  return (
    <section className="card" aria-labelledby="facts-title">
      <Title order={2} size="h4" id="facts-title">
        This shot
      </Title>
      {picture?.kind === 'no-way' && <Text size="sm">{NO_WAY[picture.reason]}</Text>}
      {picture?.kind === 'pots' && (
        <dl className="facts">
          {factsOf(picture, outlook, vocabulary, term('inOff')).map(([name, value]) => (
            <div key={name}>
              <dt>{name}</dt>
              <dd>{value}</dd>
            </div>
          ))}
        </dl>
      )}
    </section>
  );
});

function factsOf(
  { cut, margin, cueing, pace, onNext }: ShotPicture,
  outlook: ShotOutlook | undefined,
  vocabulary: Vocabulary,
  inOff: string,
): readonly (readonly [string, string])[] {
  const facts: (readonly [string, string])[] = [
    ['Cut', `${Math.abs(Math.round(cut.degrees))}°, ${cut.thickness}`],
    ['Pocket takes', `±${margin.objectDeg.toFixed(1)}°, ±${tapeLength(margin.mouthMm / 1_000)}`],
    ['Your line', `±${margin.cueDeg.toFixed(2)}°, ±${fineLength(margin.contactMm / 1_000)} at the ball`],
    ['Cueing', cueingWords(cueing, vocabulary)],
    ['Pace', paceRange(pace)],
  ];
  if (pace.length > 0) {
    facts.push(
      ['Softer', waitsWords(pace.softer, vocabulary)],
      ['Harder', waitsWords(pace.harder, vocabulary)],
    );
  }
  if (onNext !== undefined) facts.push(['Then on', `the ${onNext}`]);
  if (outlook !== undefined) {
    facts.push(
      ['Potted', percent(outlook.cloud.potted.share)],
      ['On next', percent(outlook.cloud.on.share)],
      [capital(inOff), foresightWords(outlook.inOff, inOffGapWords)],
      ...outlook.passes.map(
        ({ ball, foresight }) => [`Passes the ${ball}`, foresightWords(foresight, gapWords)] as const,
      ),
      ['Safer miss', missWords(outlook.misses)],
    );
  }
  return facts;
}
