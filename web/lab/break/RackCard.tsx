import { SimpleGrid, Text, Title } from '@mantine/core';
import type { RackGap } from '../../../core/rack/drawnRack.ts';
import type { RackKind } from '../../../core/rack/rack.ts';
import { RACKERS, type Racker } from '../../../core/rack/rackers.ts';
import type { TablePreset } from '../../../core/table/preset.ts';
import { OneOf } from '../../controls/fields.tsx';
import { racksOn } from './breakSetting.ts';
import { RackPicture } from './RackPicture.tsx';
import { fineUnit } from '../../words/lengths.ts';

interface RackCardProps {
  readonly preset: TablePreset;
  readonly kind: RackKind;
  readonly racker: Racker;
  readonly gaps: readonly RackGap[];
  readonly onSet: (change: { readonly rack?: RackKind; readonly racker?: Racker | null }) => void;
  readonly onGaps: (gaps: readonly RackGap[]) => void;
}

/** Which balls, racked by whom, with which gaps. */
export function RackCard({ preset, kind, racker, gaps, onSet, onGaps }: RackCardProps) {
  return (
    <section className="card" aria-labelledby="rack-title">
      <Title order={2} size="h4" id="rack-title">
        Rack
      </Title>
      <SimpleGrid cols={2} spacing={8}>
        <OneOf
          label="Balls"
          value={kind}
          values={racksOn(preset)}
          onChange={(next) => onSet({ rack: next })}
        />
        <OneOf
          label="Racked by"
          value={racker}
          values={RACKERS}
          wordOf={(each) => (each === 'tight' ? 'nobody: perfect' : each)}
          onChange={(next) => onSet({ racker: next === 'template' ? null : next })}
        />
      </SimpleGrid>
      <RackPicture kind={kind} preset={preset} gaps={gaps} onChange={onGaps} />
      <Text size="xs" c="dimmed">
        {gaps.length === 0
          ? 'Tap between two balls to open a gap there. Without one, gaps are drawn anew for each break.'
          : `The gaps that you see, in ${fineUnit().unit}; all other balls touch, as far as they can.`}
      </Text>
    </section>
  );
}
