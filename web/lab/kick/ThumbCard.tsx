import { Anchor, Button, Group, Switch, Text, Title, UnstyledButton } from '@mantine/core';
import { Link } from 'react-router';
import { THUMB_PACES } from '../../../core/shot/kicks/thumb/thumbRules.ts';
import type { TablePreset } from '../../../core/table/preset.ts';
import { ChoiceControl } from '../../controls/ChoiceControl.tsx';
import { ThumbMapKey } from '../../planner/kick/ThumbMapMark.tsx';
import { aimsWords, passingWords, ruleWords } from '../../words/thumbWords.ts';
import { percent } from '../../words/units.ts';
import { useWords } from '../../words/useWords.ts';
import type { Thumbs } from './useThumbs.ts';

interface ThumbCardProps {
  readonly thumbs: Thumbs;
  readonly preset: TablePreset;
  /** Where the crib card of this table is. */
  readonly crib: string;
}

/** What rules of thumb say here, beside where the ball really goes. */
export function ThumbCard({ thumbs, preset, crib }: ThumbCardProps) {
  const { vocabulary } = useWords();
  const { isAsked, answers, current, failed, chosen, map } = thumbs;
  return (
    <section className="card" aria-labelledby="thumbs-title" aria-busy={isAsked && !current}>
      <Group justify="space-between">
        <Title order={2} size="h4" id="thumbs-title">
          Rules of thumb
        </Title>
        {!isAsked && (
          <Button size="compact-sm" onClick={thumbs.ask}>
            Try them
          </Button>
        )}
      </Group>
      {!isAsked && <Text size="sm">What they say here, and by how much this table puts them wrong.</Text>}
      {failed !== undefined && (
        <Text size="sm" role="alert" c="var(--jr-coral-text)">
          They could not be tried: {failed.message}. Move a ball to try again.
        </Text>
      )}
      {isAsked && (
        <ChoiceControl label="Pace" value={thumbs.pace} values={THUMB_PACES} onChange={thumbs.setPace} />
      )}
      {isAsked && answers === undefined && failed === undefined && (
        <Text size="sm">This table is being learned …</Text>
      )}
      {answers?.length === 0 && <Text size="sm">No rule has an answer for this ball.</Text>}
      <ol className="plan-steps">
        {answers?.map((answer) => {
          const isChosen = chosen !== undefined && chosen.question === answer.question;
          return (
            <li key={ruleWords(answer, vocabulary)}>
              <UnstyledButton
                className="plan-step"
                aria-pressed={isChosen}
                onClick={() => thumbs.choose(isChosen ? undefined : answer)}
              >
                <Text fw={600} size="sm">
                  {ruleWords(answer, vocabulary)}
                </Text>
                <Text size="xs" c="dimmed">
                  {passingWords(answer)}
                </Text>
              </UnstyledButton>
              {isChosen && (
                <div data-testid="thumb-facts">
                  <Text size="sm">{aimsWords(answer, preset, vocabulary)}</Text>
                  <Switch
                    size="xs"
                    my={6}
                    label="From where it can be trusted"
                    checked={thumbs.isMapShown}
                    onChange={(event) => thumbs.showMap(event.currentTarget.checked)}
                  />
                  {map !== undefined && (
                    <>
                      <Text size="sm" data-testid="trusted">
                        {map.trusted === undefined
                          ? 'It leads to this ball from nowhere.'
                          : `It meets this ball from ${percent(map.trusted)} of the places from which it has an answer.`}
                      </Text>
                      <ThumbMapKey />
                    </>
                  )}
                </div>
              )}
            </li>
          );
        })}
      </ol>
      {isAsked && (
        <Text size="xs" c="dimmed">
          Other balls are left out of account.{' '}
          <Anchor component={Link} to={crib} size="xs" underline="always">
            A card of this table to print
          </Anchor>
        </Text>
      )}
    </section>
  );
}
