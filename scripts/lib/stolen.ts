import { readFile } from 'node:fs/promises';

/** Counts of a processor's time since the machine began, in ticks: in all, and how much of it others had. */
interface Ticks {
  readonly all: number;
  readonly stolen: number;
}

/** The place of the time that the host gave to other machines in the line of a Linux kernel. */
const STOLEN = 7;
/** What follows it is counted in what stands before it already. */
const COUNTED = 8;

/** The times that a kernel's first line tells; nothing is stolen where it tells none. */
export function ticksOf(stat: string): Ticks {
  const [name, ...numbers] = stat.split('\n', 1)[0]?.split(/\s+/) ?? [];
  if (name !== 'cpu') return { all: 0, stolen: 0 };
  const counts = numbers.slice(0, COUNTED).map(Number);
  return { all: counts.reduce((sum, each) => sum + each, 0), stolen: counts[STOLEN] ?? 0 };
}

/** Share of the processors' time that was given to other machines between two looks, 0…1. */
export function stolenShare(before: Ticks, after: Ticks): number {
  const all = after.all - before.all;
  return all <= 0 ? 0 : (after.stolen - before.stolen) / all;
}

/** Looks at the kernel's count; where there is none nothing is ever stolen. */
export async function lookAtTicks(): Promise<Ticks> {
  return ticksOf(await readFile('/proc/stat', 'utf8').catch(() => ''));
}
