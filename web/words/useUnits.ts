import { useLocalStorage } from '@mantine/hooks';
import { setUnits, type Units } from './lengths.ts';

/** The chosen units: kept on the device, since they are a habit of whoever reads it. */
export function useUnits() {
  const [units, choose] = useLocalStorage<Units>({
    key: 'jolly-units',
    defaultValue: 'metric',
    getInitialValueInEffect: false,
    deserialize: (text) => (text === 'imperial' ? 'imperial' : 'metric'),
    serialize: (value) => value,
  });
  setUnits(units);
  return { units, chooseUnits: choose };
}
