import type { ComponentProps } from 'react';
import type { Unit } from '../words/lengths.ts';
import { NumberEntry } from './NumberEntry.tsx';

type Entry = ComponentProps<typeof NumberEntry>;

/** A quantity of SI that is shown and typed in the reader's own unit; its name follows the label. */
export type UnitEntryProps = Omit<
  Entry,
  'label' | 'unit' | 'digits' | 'whole' | 'step' | 'value' | 'onClear'
> & {
  readonly label: string;
  readonly in: Unit;
  readonly value: number | null;
  readonly onClear?: () => void;
  /** The label stands beside several fields: here it is only read out. */
  readonly labelHidden?: boolean;
  /** By so much the arrow keys change it, in the unit. */
  readonly step?: number;
};

export function UnitEntry(props: UnitEntryProps) {
  const { label, labelHidden, in: unit, value, min, max, onEnter, onClear, ...field } = props;
  const named = `${label}, ${unit.unit}`;
  const toUnit = (quantity: number) => Number((quantity * unit.scale).toFixed(unit.digits));
  const common = {
    ...field,
    ...(labelHidden === true ? { 'aria-label': named } : { label: named }),
    digits: unit.digits,
    ...(min === undefined ? {} : { min: toUnit(min) }),
    ...(max === undefined ? {} : { max: toUnit(max) }),
    onEnter: (typed: number) => onEnter(typed / unit.scale),
  };
  const shown = value === null ? null : value * unit.scale;
  if (onClear !== undefined) return <NumberEntry {...common} value={shown} onClear={onClear} />;
  return <NumberEntry {...common} value={shown ?? 0} />;
}
