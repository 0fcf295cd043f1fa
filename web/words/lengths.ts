/** The two ways in which lengths and paces are told and entered; what is stored is always metric. */
export type Units = 'metric' | 'imperial';

/** A unit in which a number is shown and typed: `scale` of it are one of SI. */
export interface Unit {
  readonly unit: string;
  readonly scale: number;
  readonly digits: number;
}

const PER_METRE = { mm: 1_000, cm: 100, m: 1, in: 1 / 0.0254, ft: 1 / 0.3048 } as const;
/** Miles an hour in one metre a second. */
const MPH = 3_600 / 1_609.344;
/** Ounces in a kilogram. */
const OUNCES = 1 / 0.028349523125;

/** Parts of an inch on an ordinary tape. */
const TAPE = 8;
const FRACTIONS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];

let units: Units = 'metric';

/** Says in which units lengths and paces are told from now on. */
export function setUnits(next: Units): void {
  units = next;
}

const either = <T>(metric: T, imperial: T): T => (units === 'metric' ? metric : imperial);

/** Unit of a place on the table, as it is typed. */
export function placeUnit(): Unit {
  return either(
    { unit: 'mm', scale: PER_METRE.mm, digits: 1 },
    { unit: 'in', scale: PER_METRE.in, digits: 2 },
  );
}

/** Unit of what is measured across a ball or a gap, where a tenth of a millimetre counts. @param digits of millimetres */
export function fineUnit(digits = 1): Unit {
  return either(
    { unit: 'mm', scale: PER_METRE.mm, digits },
    { unit: 'in', scale: PER_METRE.in, digits: digits + 2 },
  );
}

/** Unit of a landing's error, or of a stretch of the cue ball's way. */
export function shortUnit(): Unit {
  return either(
    { unit: 'cm', scale: PER_METRE.cm, digits: 0 },
    { unit: 'in', scale: PER_METRE.in, digits: 0 },
  );
}

/** Unit of the way across a room or a table. @param digits of metres */
export function longUnit(digits = 1): Unit {
  return either(
    { unit: 'm', scale: 1, digits },
    { unit: 'ft', scale: PER_METRE.ft, digits: Math.max(1, digits - 1) },
  );
}

/** Unit of the cue ball's pace. @param digits of metres a second */
export function speedUnit(digits = 1): Unit {
  return either({ unit: 'm/s', scale: 1, digits }, { unit: 'mph', scale: MPH, digits });
}

/** Unit of what becomes less with the pace, by each metre a second. */
export function perSpeedUnit(): Unit {
  return either({ unit: 'per m/s', scale: 1, digits: 3 }, { unit: 'per mph', scale: 1 / MPH, digits: 4 });
}

/** Unit of the weight of a ball or a cue's end, kept in kilograms. @param digits of grams */
export function weightUnit(digits = 1): Unit {
  return either({ unit: 'g', scale: 1_000, digits }, { unit: 'oz', scale: OUNCES, digits: digits + 1 });
}

/** A value of SI in a unit, without the unit's name. */
export function numberIn({ scale, digits }: Unit, value: number): string {
  return (value * scale).toFixed(digits);
}

const told = (unit: Unit, value: number) => `${numberIn(unit, value)} ${unit.unit}`;

/** A length as it is read from a tape: "635 mm", or to the eighth of an inch: "12½ in". @param metres at least 0 */
export function tapeLength(metres: number): string {
  if (units === 'metric') return `${Math.round(PER_METRE.mm * metres)} mm`;
  const eighths = Math.round(TAPE * PER_METRE.in * metres);
  const whole = Math.floor(eighths / TAPE);
  const part = FRACTIONS[eighths % TAPE] ?? '';
  return `${whole === 0 && part !== '' ? '' : whole}${part} in`;
}

/** A gap of parts of a millimetre: "0.3 mm", "0.012 in". @param metres any sign @param digits of millimetres */
export function fineLength(metres: number, digits = 1): string {
  return told(fineUnit(digits), metres);
}

/** How far off, with the sign dropped: "8 cm", "3 in"; half inches below three. @param metres any sign */
export function shortLength(metres: number): string {
  const length = Math.abs(metres);
  if (units === 'imperial' && length < 0.07) {
    const halves = Math.round(2 * PER_METRE.in * length);
    return tapeLength(halves / 2 / PER_METRE.in);
  }
  return told(shortUnit(), length);
}

/** A way over the table: "2.1 m", "6.9 ft". @param metres any sign @param digits of metres */
export function longLength(metres: number, digits = 1): string {
  return told(longUnit(digits), metres);
}

/** The pace of a ball: "2.3 m/s", "5.1 mph". @param speed in m/s @param digits of metres a second */
export function speedWords(speed: number, digits = 1): string {
  return told(speedUnit(digits), speed);
}

/** A weight: "560 g", "19.8 oz". @param kilograms at least 0 @param digits of grams */
export function weightWords(kilograms: number, digits = 1): string {
  return told(weightUnit(digits), kilograms);
}
