import { useLocalStorage } from '@mantine/hooks';
import {
  BREAK_AIMS,
  BREAK_PACES,
  RACK_BY,
  RACK_QUALITY,
  type BreakLog,
} from '../../../core/records/breakLog.ts';
import { blockAt, type BlockPlace } from '../../../core/scoring/blocks.ts';

/** What is the same from one break to the next: kept on the device. */
export type Habits = Pick<BreakLog, 'rack' | 'rackBy' | 'cue' | 'aim' | 'pace'>;

const NO_HABITS: Habits = { rack: null, rackBy: null, cue: null, aim: null, pace: null };
const MOST_IN_BLOCK = 20;

function habitsFrom(text: string | undefined): Habits {
  try {
    const value: unknown = JSON.parse(text ?? '{}');
    const given = typeof value === 'object' && value !== null ? value : {};
    const word = <T extends string>(name: string, values: readonly T[]): T | null =>
      values.find((each) => name in given && Reflect.get(given, name) === each) ?? null;
    const cue: unknown = Reflect.get(given, 'cue');
    return {
      rack: word('rack', RACK_QUALITY),
      rackBy: word('rackBy', RACK_BY),
      aim: word('aim', BREAK_AIMS),
      pace: word('pace', BREAK_PACES),
      cue: typeof cue === 'string' && cue !== '' ? cue.slice(0, 40) : null,
    };
  } catch {
    return NO_HABITS;
  }
}

function sizeFrom(text: string | undefined): number {
  const size = Math.trunc(Number(text));
  return size > 0 && size <= MOST_IN_BLOCK ? size : 0;
}

/** What breaks have in common, and the blocks in which two ways to break alternate. */
export interface BreakHabits {
  readonly habits: Habits;
  readonly put: (change: Partial<Habits>) => void;
  /** Breaks in a block; 0 where nothing alternates. */
  readonly size: number;
  readonly setSize: (size: number) => void;
  /** Where the next break stands; undefined where nothing alternates. */
  readonly block: BlockPlace | undefined;
}

const kept = (key: string) => ({
  key,
  defaultValue: NO_HABITS,
  getInitialValueInEffect: false,
  deserialize: habitsFrom,
});

/** @param number of the next break, from 1 */
export function useBreakHabits(number: number): BreakHabits {
  const [first, setFirst] = useLocalStorage<Habits>(kept('jolly-break-habits'));
  const [second, setSecond] = useLocalStorage<Habits>(kept('jolly-break-habits-b'));
  const [size, setSize] = useLocalStorage<number>({
    key: 'jolly-break-block',
    defaultValue: 0,
    getInitialValueInEffect: false,
    deserialize: sizeFrom,
  });
  const block = size === 0 ? undefined : blockAt(number, size);
  const [habits, setHabits] = block?.part === 'B' ? [second, setSecond] : [first, setFirst];
  return { habits, put: (change) => setHabits({ ...habits, ...change }), size, setSize, block };
}
