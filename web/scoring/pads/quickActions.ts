import type { Drill } from '../../../core/records/drill.ts';
import { NOTHING_ENTERED, type Entered } from '../../../core/records/entered.ts';
import type { PadAction } from '../../controls/padAction.ts';

/** Buttons of a clearance's result: cleared or not, or how many balls; points are typed. */
export function quickActions(
  drill: Drill,
  balls: number,
  enter: (entered: Entered) => void,
): readonly PadAction[] {
  const cleared: PadAction = {
    key: ' ',
    label: 'Cleared',
    run: () => enter({ ...NOTHING_ENTERED, done: true, balls, penalty: 0 }),
    main: true,
  };
  switch (drill.scoring.method) {
    case 'break-points':
      return [];
    case 'balls-made':
    case 'clear-or-restart':
      return [
        cleared,
        ...Array.from({ length: balls }, (_, made): PadAction => ({
          key: made < 10 ? String(made) : (['a', 'b', 'c', 'd', 'g', 'h'][made - 10] ?? 'z'),
          label: `${made} made`,
          run: () => enter({ ...NOTHING_ENTERED, balls: made, penalty: 0 }),
        })),
      ];
    default:
      return [
        cleared,
        { key: 'x', label: 'Not cleared', run: () => enter({ ...NOTHING_ENTERED, penalty: 0 }) },
      ];
  }
}
