import type { MouseEvent } from 'react';
import { KeyCap } from '../../controls/KeyCap.tsx';
import { keyWord, type PadAction } from '../../controls/padAction.ts';

/** Does what a button says and gives the keyboard back to the screen when it was a finger or a mouse. */
export function pressed(action: () => void) {
  return (event: MouseEvent<HTMLButtonElement>) => {
    if (event.detail > 0) event.currentTarget.blur();
    action();
  };
}

interface PadButtonProps {
  readonly action: PadAction;
  /** One of several in a row. */
  readonly small?: boolean;
}

/** A large target with its key on it. */
export function PadButton({ action, small = false }: PadButtonProps) {
  const { key, label, run, main = false, chosen, disabled = false } = action;
  const kind = `${main ? ' main' : ''}${small ? ' small' : ''}${chosen === true ? ' chosen' : ''}`;
  return (
    <button
      type="button"
      className={`scoring-button${kind}`}
      onClick={pressed(run)}
      disabled={disabled}
      aria-pressed={chosen}
    >
      <span>{label}</span> {label !== keyWord(key) && <KeyCap>{keyWord(key)}</KeyCap>}
    </button>
  );
}

interface PadRowProps {
  readonly label: string;
  readonly actions: readonly PadAction[];
}

/** A choice in a row, with its name. */
export function PadRow({ label, actions }: PadRowProps) {
  return (
    <div role="group" aria-label={label}>
      <span className="pad-row-label">{label}</span>
      <div className="pad-row">
        {actions.map((action) => (
          <PadButton key={`${action.key} ${action.label}`} action={action} small />
        ))}
      </div>
    </div>
  );
}
