import { Group, Select, SimpleGrid, Slider, Text, Title } from '@mantine/core';
import { LEVEL_NAMES, type LevelName } from '../../../core/player/levels.ts';
import type { RackKind } from '../../../core/rack/rack.ts';
import type { BreakStroke } from '../../../core/virtual/breaks/breakShot.ts';
import { OneOf } from '../../controls/fields.tsx';
import { percent } from '../../words/units.ts';
import { aimsOf } from './breakSetting.ts';

const PAST = ['left', 'right'] as const;

interface AimCardProps {
  readonly kind: RackKind;
  readonly stroke: BreakStroke;
  readonly onChange: (change: Partial<BreakStroke>) => void;
  readonly level: LevelName;
  readonly onLevel: (level: LevelName) => void;
  /** Whose own errors may count; undefined until they are known. */
  readonly players: readonly { readonly id: string; readonly name: string }[] | undefined;
  readonly player: string | null;
  readonly onPlayer: (id: string | null) => void;
  /** What is known of the player who is chosen. */
  readonly told: string | undefined;
}

/** On which ball, how full, and who breaks. */
export function AimCard(props: AimCardProps) {
  const { kind, stroke, onChange, level, onLevel, players, player, onPlayer, told } = props;
  const { at, covered, past } = stroke;
  return (
    <section className="card" aria-labelledby="aim-title">
      <Title order={2} size="h4" id="aim-title">
        Aim
      </Title>
      <SimpleGrid cols={2} spacing={8} verticalSpacing={6}>
        <OneOf
          label="Ball"
          value={String(at)}
          values={aimsOf(kind).map(String)}
          wordOf={(place) => String(Number(place) + 1)}
          onChange={(place) => onChange({ at: Number(place) })}
        />
        <OneOf label="Past its" value={past} values={PAST} onChange={(side) => onChange({ past: side })} />
        <OneOf label="A player of" value={level} values={LEVEL_NAMES} onChange={onLevel} />
        <Select
          label="as fitted to"
          size="xs"
          clearable
          placeholder="the level"
          data={(players ?? []).map(({ id, name }) => ({ value: id, label: name }))}
          value={player}
          onChange={onPlayer}
        />
      </SimpleGrid>
      {told !== undefined && (
        <Text size="xs" c="dimmed" mt={4}>
          {told}
        </Text>
      )}
      <Group justify="space-between" mt={6}>
        <Text size="sm" id="covered-label">
          Covered
        </Text>
        <Text size="sm">{covered === 1 ? 'full' : percent(covered)}</Text>
      </Group>
      <Slider
        aria-labelledby="covered-label"
        thumbLabel="Covered"
        min={0.1}
        max={1}
        step={0.05}
        value={covered}
        label={(value) => percent(value)}
        onChange={(value) => onChange({ covered: value })}
      />
    </section>
  );
}
