import { Button, Group, Progress, Text, Title, UnstyledButton } from '@mantine/core';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import type { KickFamily } from '../../../core/shot/kicks/kickFamilies.ts';
import { cushionsWords, lineWords, strokeWords } from '../../words/kickWords.ts';
import { useWords } from '../../words/useWords.ts';
import { capital } from '../../words/vocabulary.ts';
import { kickFamiliesOf } from '../../workers/kick.ts';
import type { KickAsked } from '../../workers/kickProtocol.ts';

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

interface Found {
  readonly key: string;
  readonly share: number;
  readonly families?: readonly KickFamily[];
  readonly failed?: string;
}

/** The best stroke of every way to the ball, over paces and sides. */
export function FamiliesCard(props: FamiliesCardProps) {
  const { asked, tableKey, onTake, title = 'Best of all strokes', ask = 'Find it', below } = props;
  const { vocabulary, term } = useWords();
  const [found, setFound] = useState<Found>();
  const stop = useRef<() => void>(() => undefined);
  useEffect(() => () => stop.current(), [tableKey]);
  const now = found?.key === tableKey ? found : undefined;
  const isRunning = now !== undefined && now.families === undefined && now.failed === undefined;
  const search = () => {
    stop.current();
    setFound({ key: tableKey, share: 0 });
    const working = kickFamiliesOf(asked, (share) => setFound({ key: tableKey, share }));
    working.answer.then(
      (families) => setFound({ key: tableKey, share: 1, families }),
      (error: unknown) =>
        setFound({ key: tableKey, share: 1, failed: error instanceof Error ? error.message : String(error) }),
    );
    stop.current = working.stop;
  };
  return (
    <section className="card" aria-labelledby="families-title" aria-busy={isRunning}>
      <Group justify="space-between">
        <Title order={2} size="h4" id="families-title">
          {title}
        </Title>
        {isRunning ? (
          <Button
            size="compact-xs"
            variant="default"
            className="no-print"
            onClick={() => {
              stop.current();
              setFound(undefined);
            }}
          >
            Stop
          </Button>
        ) : (
          <Button size="xs" variant="default" className="no-print" onClick={search}>
            {ask}
          </Button>
        )}
      </Group>
      {now === undefined && (
        <Text size="sm">Over paces and sides: which way is met most often, and how.</Text>
      )}
      {isRunning && <Progress mt={6} value={100 * now.share} aria-label="Strokes tried" />}
      {now?.failed !== undefined && (
        <Text size="sm" role="alert" c="var(--jr-coral-text)">
          The search came to no end: {now.failed}.
        </Text>
      )}
      {now?.families?.length === 0 && <Text size="sm">No stroke of these leads there.</Text>}
      {isOtherWay(asked, now?.families) && (
        <Text size="sm">
          No stroke of these leads there by the {term('cushion')}s that are asked for. Other ways:
        </Text>
      )}
      <ol className="plan-steps">
        {now?.families?.map((family, i) => (
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
      {now?.families !== undefined && below}
    </section>
  );
}
