import { Text } from '@mantine/core';
import type { Attempt } from '../../../core/drill/rules.ts';
import { PadButton } from './PadButton.tsx';
import type { PadAction } from '../../controls/padAction.ts';
import { counted } from '../../words/units.ts';

interface ClearancePadProps {
  readonly attempt: Attempt;
  readonly actions: readonly PadAction[];
  readonly toggle: PadAction;
  /** What is needed now and then. */
  readonly more: readonly PadAction[];
}

/** More legal balls than this are tapped on the table, with smaller buttons beside it. */
const MOST_LARGE = 2;

/** Shot by shot: the balls that may be played, and the ways to fail. */
export function ClearancePad({ attempt, actions, toggle, more }: ClearancePadProps) {
  const pots = actions.filter(({ label }) => label.startsWith('Potted'));
  const faults = actions.filter((action) => !pots.includes(action));
  return (
    <div className="scoring-buttons">
      <Text size="sm" data-testid="under-way">
        {attempt.made} made
        {attempt.points > 0 ? `, ${counted(attempt.points, 'point')}` : ''}
        {attempt.penalty > 0 ? `, ${attempt.penalty} given away` : ''}
        {attempt.faults.length > 0 ? `, ${attempt.faults.length} noted` : ''}
      </Text>
      {pots.length <= MOST_LARGE ? (
        pots.map((action, i) => <PadButton key={action.label} action={{ ...action, main: i === 0 }} />)
      ) : (
        <div className="pad-row">
          {pots.map((action) => (
            <PadButton
              key={action.label}
              action={{ ...action, label: action.label.replace(/^Potted (the|a) /, '') }}
              small
            />
          ))}
        </div>
      )}
      <div className="pad-row">
        {faults.map((action) => (
          <PadButton key={action.label} action={action} small />
        ))}
      </div>
      <div className="pad-row">
        <PadButton action={toggle} small />
        {more.map((action) => (
          <PadButton key={action.label} action={action} small />
        ))}
      </div>
    </div>
  );
}
