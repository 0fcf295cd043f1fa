import { CUSHION_SIDES } from '../../../core/records/drillText/places.ts';
import { ListField } from '../../controls/fields.tsx';

/** Cushions in their order. */
export function CushionsField({
  value,
  onChange,
}: {
  readonly value: readonly (typeof CUSHION_SIDES)[number][];
  readonly onChange: (cushions: (typeof CUSHION_SIDES)[number][]) => void;
}) {
  return (
    <ListField
      label={`By the cushions, of ${CUSHION_SIDES.join(', ')}`}
      value={value}
      onChange={(names) =>
        onChange(names.flatMap((name) => CUSHION_SIDES.filter((side) => side === name.toLowerCase())))
      }
    />
  );
}
