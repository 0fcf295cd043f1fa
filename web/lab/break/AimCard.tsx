import { SimpleGrid, Text, Title } from '@mantine/core';
import type { RackKind } from '../../../core/rack/rack.ts';
import type { BreakStroke } from '../../../core/virtual/breaks/breakShot.ts';
import { OneOf } from '../../controls/fields.tsx';
import { SliderField } from '../../controls/SliderField.tsx';
import { PlayerFields, type PlayerFieldsProps } from '../../planner/PlayerFields.tsx';
import { percent } from '../../words/units.ts';
import { aimsOf } from './breakSetting.ts';

const PAST = ['left', 'right'] as const;

interface AimCardProps {
  readonly kind: RackKind;
  readonly stroke: BreakStroke;
  readonly onChange: (change: Partial<BreakStroke>) => void;
  readonly player: PlayerFieldsProps;
  /** What is known of the player who is chosen. */
  readonly told: string | undefined;
}

/** On which ball, how full, and who breaks. */
export function AimCard(props: AimCardProps) {
  const { kind, stroke, onChange, player, told } = props;
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
        <PlayerFields {...player} />
      </SimpleGrid>
      {told !== undefined && (
        <Text size="xs" c="dimmed" mt={4}>
          {told}
        </Text>
      )}
      <SliderField
        name="Covered"
        told={covered === 1 ? 'full' : percent(covered)}
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
