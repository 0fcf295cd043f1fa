import { Button } from '@mantine/core';
import type { TableState } from '../../core/records/clubTable.ts';
import type { Drill } from '../../core/records/drill.ts';
import { planMoments } from '../../core/scoring/planMoments.ts';
import { drillFromTrouble } from '../../core/scoring/troubleShot.ts';
import { tableOfCard } from '../../core/table/card.ts';
import type { PocketName } from '../../core/table/pockets.ts';
import type { LedgerEntry } from '../../core/virtual/ledger.ts';
import { useViewer } from '../api/viewer.ts';
import { useDraftDrill } from '../controls/useDraftDrill.ts';
import { asPlayed } from '../table/tableChoice.ts';
import type { LedgerAttempt } from './ledgerAttempts.ts';
import { costOf, dearestOf, LEAST_COST } from './ledgerWords.ts';

interface DearestDrillProps {
  readonly entries: readonly LedgerEntry[];
  readonly asked: LedgerAttempt;
  readonly drill: Drill;
  readonly state: TableState;
}

/** The costliest shot as a drill, with the position filled in. */
export function DearestDrill({ entries, asked, drill, state }: DearestDrillProps) {
  const viewer = useViewer();
  const openDraft = useDraftDrill();
  const dearest = dearestOf(entries);
  if (viewer.role !== 'coach' || dearest?.pocket === undefined || costOf(dearest) < LEAST_COST) return null;
  const { shot, ball, pocket } = dearest;
  const follower = entries.find((each) => each.shot === shot + 1);
  const next = follower?.pocket === undefined ? undefined : { ball: follower.ball, pocket: follower.pocket };
  async function makeDrill(at: PocketName) {
    const { card, conditions } = asPlayed(state);
    const table = tableOfCard(card, conditions);
    const moment = planMoments(drill, table, asked.attempt.log, asked.seed)[shot - 1];
    if (moment === undefined || moment.cue === undefined || moment.cue === 'in hand') return;
    const { cue, balls } = moment;
    const made = drillFromTrouble(table, { cue, balls, ball, pocket: at, next }, drill);
    await openDraft(`ledger ${asked.attempt.id}`, made);
  }
  return (
    <Button mt={6} variant="default" className="no-print" onClick={() => void makeDrill(pocket)}>
      Make a drill of shot {shot}
    </Button>
  );
}
