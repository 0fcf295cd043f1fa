import { useLocalStorage } from '@mantine/hooks';

type PadSide = 'left' | 'right';

/** On which side of the table the buttons stand while scoring: kept on the device, under the hand that taps it. */
export function usePadSide() {
  const [side, setSide] = useLocalStorage<PadSide>({
    key: 'jolly-pad-side',
    defaultValue: 'right',
    getInitialValueInEffect: false,
    deserialize: (text) => (text === 'left' ? 'left' : 'right'),
    serialize: (value) => value,
  });
  return { side, setSide };
}
