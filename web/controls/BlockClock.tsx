import { useEffect, useState } from 'react';
import type { LessonBlock } from '../../core/records/lesson.ts';

const SECOND_MS = 1_000;

/** "12:05 left", "0:40 over": minutes and seconds of a block by the clock of this device. */
export function clockWords(
  block: Pick<LessonBlock, 'minutes' | 'startedAt' | 'endedAt'>,
  now: number,
): string | undefined {
  if (block.startedAt === null) return undefined;
  const until = block.endedAt === null ? now : Date.parse(block.endedAt);
  // A clock that was set back shows the whole time, not more.
  const gone = Math.max(0, until - Date.parse(block.startedAt));
  const left = block.minutes * 60_000 - gone;
  const seconds = Math.round(Math.abs(left) / SECOND_MS);
  const text = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
  return left >= 0 ? `${text} left` : `${text} over`;
}

/** How long a block still goes. It only shows: nothing stops when the time is over. */
export function BlockClock({
  block,
}: {
  readonly block: Pick<LessonBlock, 'minutes' | 'startedAt' | 'endedAt'>;
}) {
  const [now, setNow] = useState(() => Date.now());
  const running = block.startedAt !== null && block.endedAt === null;
  useEffect(() => {
    if (!running) return;
    const timer = setInterval(() => setNow(Date.now()), SECOND_MS);
    return () => clearInterval(timer);
  }, [running]);
  const words = clockWords(block, now);
  if (words === undefined) return null;
  return (
    <span className="big" role="timer" aria-label="Time of this block">
      {words}
    </span>
  );
}
