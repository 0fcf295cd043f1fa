import { Group, MultiSelect, Select, SimpleGrid, Switch, Title } from '@mantine/core';
import { memo } from 'react';
import { POCKET_NAMES } from '../../../core/table/pockets.ts';
import { OneOf, PocketField } from '../../controls/fields.tsx';
import { PlayerFields } from '../../planner/PlayerFields.tsx';
import { pocketWords } from '../../words/places.ts';
import { useWords } from '../../words/useWords.ts';
import { capital } from '../../words/vocabulary.ts';
import type { PositionSetting } from '../../planner/positionSetting.ts';

interface QuestionCardProps {
  readonly setting: PositionSetting;
  /** Object balls on the table. */
  readonly balls: readonly string[];
  /** Undefined until they are known. */
  readonly players: readonly { readonly id: string; readonly name: string }[] | undefined;
  /** A player whose fitted errors count instead of the level's. */
  readonly player: string | null;
  readonly onPlayer: (id: string | null) => void;
  readonly onChange: (change: Partial<PositionSetting>) => void;
}

/** What is to be potted, what is to be on next, and for whom. */
export const QuestionCard = memo(function QuestionCard({
  setting,
  balls,
  players,
  player,
  onPlayer,
  onChange,
}: QuestionCardProps) {
  const { vocabulary } = useWords();
  const rest = balls.filter((id) => id !== setting.pot);
  return (
    <section className="card" aria-labelledby="question-title">
      <Title order={2} size="h4" id="question-title">
        Asked
      </Title>
      <SimpleGrid cols={2} spacing={8} verticalSpacing={6}>
        <OneOf label="Pot the" value={setting.pot} values={balls} onChange={(pot) => onChange({ pot })} />
        <PocketField label="into" value={setting.pocket} onChange={(pocket) => onChange({ pocket })} />
        <MultiSelect
          label="On next"
          size="xs"
          data={[...rest]}
          value={[...setting.next]}
          onChange={(next) => next.length > 0 && onChange({ next })}
          hidePickedOptions
        />
        <Select
          label="into its"
          size="xs"
          clearable
          placeholder="any pocket"
          data={POCKET_NAMES.map((name) => ({ value: name, label: capital(pocketWords(name, vocabulary)) }))}
          value={setting.nextPocket}
          onChange={(name) => onChange({ nextPocket: POCKET_NAMES.find((each) => each === name) ?? null })}
        />
        <Select
          label="Then the"
          size="xs"
          clearable
          placeholder="any angle"
          data={rest.filter((id) => !setting.next.includes(id))}
          value={setting.after}
          onChange={(after) => onChange({ after })}
        />
        <PlayerFields
          level={setting.level}
          onLevel={(level) => onChange({ level })}
          players={players}
          player={player}
          onPlayer={onPlayer}
        />
      </SimpleGrid>
      <Group mt={8} gap="lg">
        <Switch
          size="xs"
          label="Left-handed"
          checked={setting.hand === 'left'}
          onChange={(event) => onChange({ hand: event.currentTarget.checked ? 'left' : 'right' })}
        />
        <Switch
          size="xs"
          label="Side allowed"
          checked={setting.side}
          onChange={(event) => onChange({ side: event.currentTarget.checked })}
        />
      </Group>
    </section>
  );
});
