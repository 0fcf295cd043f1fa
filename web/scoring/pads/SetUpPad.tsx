import { Button, Group, Select } from '@mantine/core';
import type { Drill } from '../../../core/records/drill.ts';
import { SUIT_REASONS, type AttemptLog } from '../../../core/records/attempt.ts';

interface SetUpPadProps {
  readonly drill: Drill;
  readonly underWay: AttemptLog | null;
  readonly settingUp: 'balls' | 'places' | undefined;
  readonly onSettingUp: (what: 'balls' | 'places' | undefined) => void;
  readonly onPrepare: (change: Partial<Pick<AttemptLog, 'set' | 'places' | 'suit'>>) => void;
}

/** What lies otherwise than the drill says: balls that a break left down, a throw by hand; and the suit that is chosen. */
export function SetUpPad({ drill, underWay, settingUp, onSettingUp, onPrepare }: SetUpPadProps) {
  const order = drill.task.kind === 'clear' ? drill.task.order : undefined;
  const suits = order?.kind === 'suits' ? order.suits : [];
  const choose = (what: 'balls' | 'places') => onSettingUp(settingUp === what ? undefined : what);
  const suit = underWay?.suit ?? null;
  if (drill.rack === null && drill.thrown === null && suits.length === 0) return null;
  return (
    <section className="card" aria-label="Set-up of this attempt">
      <Group gap={6}>
        {drill.rack !== null && (
          <Button
            size="compact-sm"
            variant={settingUp === 'balls' ? 'filled' : 'default'}
            onClick={() => choose('balls')}
          >
            {settingUp === 'balls' ? 'Done' : 'Down on the break'}
          </Button>
        )}
        {drill.thrown !== null && (
          <Button
            size="compact-sm"
            variant={settingUp === 'places' ? 'filled' : 'default'}
            onClick={() => {
              onPrepare({ places: null });
              choose('places');
            }}
          >
            {settingUp === 'places' ? 'Done' : 'Place what was thrown'}
          </Button>
        )}
      </Group>
      {suits.length > 0 && (
        <Group gap={6} mt={6} wrap="nowrap">
          <Select
            label="Suit chosen"
            size="xs"
            clearable
            placeholder="by the first ball"
            data={suits.map((balls, i) => ({ value: String(i), label: `with the ${balls[0] ?? ''}` }))}
            value={suit === null ? null : String(suit.taken)}
            onChange={(value) =>
              onPrepare({ suit: value === null ? null : { taken: Number(value), why: suit?.why ?? null } })
            }
          />
          <Select
            label="Why"
            size="xs"
            clearable
            disabled={suit === null}
            data={[...SUIT_REASONS]}
            value={suit?.why ?? null}
            onChange={(value) => {
              const why = SUIT_REASONS.find((each) => each === value) ?? null;
              if (suit !== null) onPrepare({ suit: { ...suit, why } });
            }}
          />
        </Group>
      )}
    </section>
  );
}
