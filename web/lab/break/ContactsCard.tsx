import { Text, UnstyledButton } from '@mantine/core';
import { RunHead } from '../../planner/RunHead.tsx';
import { useOneRun } from '../../planner/useOneRun.ts';
import { effectWords } from '../../words/breakStudyWords.ts';
import type { ContactEffect } from '../../../core/virtual/breaks/contactEffects.ts';
import { contactEffectsOf } from '../../workers/break.ts';
import type { BreakAsked } from '../../workers/breakProtocol.ts';
import { fineLength } from '../../words/lengths.ts';

/** By so much each contact is opened, metres: a gap that a hand leaves and nobody sees. */
export const CONTACT_GAP = 0.1e-3;
/** Breaks with each contact open. */
const BREAKS = 40;
/** So many contacts are listed, those that change most. */
const LISTED = 6;

interface ContactsCardProps {
  readonly asked: BreakAsked;
  /** Takes a contact up: the rack is then shown with that gap. */
  readonly onTake: (between: readonly [number, number]) => void;
}

/** Which contact of the rack matters, and for which ball. */
export function ContactsCard({ asked, onTake }: ContactsCardProps) {
  // The gaps that are set do not count here: each contact is opened by itself.
  const question: BreakAsked = { ...asked, rack: { ...asked.rack, gaps: undefined }, breaks: BREAKS };
  const run = useOneRun<readonly ContactEffect[]>(JSON.stringify(question), (onShare) =>
    contactEffectsOf(question, CONTACT_GAP, onShare),
  );
  const effects = run.answer;
  return (
    <section className="card" aria-labelledby="contacts-title" aria-busy={run.isRunning}>
      <RunHead
        title="Which contact matters"
        id="contacts-title"
        ask="Open each"
        counted="Breaks played"
        run={run}
      />
      {!run.isBegun && (
        <Text size="sm">
          Each in turn is opened by {fineLength(CONTACT_GAP)} in a perfect rack: which balls fall more often,
          or less?
        </Text>
      )}
      {effects?.length === 0 && <Text size="sm">None changes what falls by as much as can be told.</Text>}
      <ol className="plan-steps">
        {effects?.slice(0, LISTED).map((effect) => {
          const [a, b] = effect.between;
          return (
            <li key={effect.between.join('-')}>
              <UnstyledButton className="plan-step" onClick={() => onTake(effect.between)}>
                <Text fw={600} size="sm">
                  Between {a + 1} and {b + 1}
                </Text>
                <Text size="xs" c="dimmed">
                  {effectWords(effect)}
                </Text>
              </UnstyledButton>
            </li>
          );
        })}
      </ol>
      {effects !== undefined && effects.length > 0 && (
        <Text size="xs" c="dimmed">
          In a hundred breaks; balls by their places in the rack. Tap one to open it.
        </Text>
      )}
    </section>
  );
}
