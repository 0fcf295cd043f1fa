import type { Mark } from '../../../core/motion/marks.ts';
import { useWords } from '../../words/useWords.ts';
import { eventWords } from '../../words/eventWords.ts';
import { useReplayed, type Replay } from '../../table/replay.ts';

interface EventListProps {
  readonly marks: readonly Mark[];
  readonly replay: Replay;
}

/** Everything that happens in a shot, in words; the last thing that has happened is lit, and a tap goes there. */
export function EventList({ marks, replay }: EventListProps) {
  const { vocabulary } = useWords();
  const current = useReplayed(replay, (r) => {
    const t = r.time();
    return t === undefined ? -1 : marks.findLastIndex(({ event }) => event.t <= t + 1e-9);
  });
  return (
    <ol className="lab-events">
      {marks.map((mark, i) => (
        <li key={i}>
          <button
            type="button"
            className="lab-event"
            aria-current={i === current}
            onClick={() => replay.seek(mark.event.t)}
          >
            <span className="muted">{mark.event.t.toFixed(2)} s</span>
            <span>{eventWords(mark, vocabulary)}</span>
          </button>
        </li>
      ))}
    </ol>
  );
}
