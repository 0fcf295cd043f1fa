import { Text, UnstyledButton } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import type { KickFamily, RatedLine } from '../../../core/shot/kicks/kickFamilies.ts';
import { cushionsWords, lineWords, strokeWords } from '../../words/kickWords.ts';
import { useWords } from '../../words/useWords.ts';
import { capital } from '../../words/vocabulary.ts';
import { kickFamiliesOf } from '../../workers/kick.ts';
import type { KickAsked } from '../../workers/kickProtocol.ts';
import { RunHead } from '../RunHead.tsx';
import { useOneRun } from '../useOneRun.ts';

interface FamiliesCardProps {
  readonly asked: KickAsked;
  /** Tells tables apart. */
  readonly tableKey: string;
  readonly onTake: (family: KickFamily) => void;
  readonly title?: string;
  /** What the button says. */
  readonly ask?: string;
  /** What stands under the families, once there are some. */
  readonly below?: ReactNode;
}

/** Whether what was found goes by other cushions than those that are asked for. */
function isOtherWay({ wish }: KickAsked, families: readonly KickFamily[] | undefined): boolean {
  const first = families?.[0];
  return first !== undefined && wish.cushions !== undefined && first.cushions.join() !== wish.cushions.join();
}

/** The best stroke of every way to the ball, over paces and sides. */
export function FamiliesCard(props: FamiliesCardProps) {
  const { asked, tableKey, onTake, title = 'Best of all strokes', ask = 'Find it', below } = props;
  const { vocabulary, term } = useWords();
  const [first, setFirst] = useState<{ readonly key: string; readonly line: RatedLine }>();
  const run = useOneRun<readonly KickFamily[]>(tableKey, (onShare) =>
    kickFamiliesOf(asked, onShare, (line) => setFirst({ key: tableKey, line })),
  );
  const families = run.answer;
  const early = run.isRunning && first?.key === tableKey ? first.line : undefined;
  return (
    <section className="card" aria-labelledby="families-title" aria-busy={run.isRunning}>
      <RunHead title={title} id="families-title" ask={ask} counted="Strokes tried" run={run} />
      {!run.isBegun && <Text size="sm">Over paces and sides: which way is met most often, and how.</Text>}
      {early !== undefined && (
        <Text size="sm" data-testid="first-line">
          So far: {cushionsWords(early.cushions, vocabulary)}, {strokeWords(early.stroke, vocabulary)};{' '}
          {lineWords(early)}.
        </Text>
      )}
      {families?.length === 0 && <Text size="sm">No stroke of these leads there.</Text>}
      {isOtherWay(asked, families) && (
        <Text size="sm">
          No stroke of these leads there by the {term('cushion')}s that are asked for. Other ways:
        </Text>
      )}
      <ol className="plan-steps">
        {families?.map((family, i) => (
          <li key={i}>
            <UnstyledButton className="plan-step" onClick={() => onTake(family)}>
              <Text fw={600} size="sm">
                {i + 1}. {capital(cushionsWords(family.cushions, vocabulary))}
              </Text>
              <Text size="xs" c="dimmed">
                {strokeWords(family.best.stroke, vocabulary)}; {lineWords(family.best)}
              </Text>
            </UnstyledButton>
          </li>
        ))}
      </ol>
      {families !== undefined && below}
    </section>
  );
}
