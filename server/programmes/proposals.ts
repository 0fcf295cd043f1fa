import { atStage } from '../../core/drill/stage.ts';
import { adaptProgramme, type DrillEvidence, type Replacement } from '../../core/programme/adapt.ts';
import { dayIn } from '../../core/programme/days.ts';
import { donePlanned } from '../../core/programme/donePlanned.ts';
import type { Programme } from '../../core/records/programme.ts';
import type { ProgrammeProposal } from '../../core/records/programmeProposal.ts';
import { adviceAfter } from '../../core/scoring/advice.ts';
import type { Course } from '../../core/scoring/progress.ts';
import { nextDrills } from '../../core/scoring/nextDrill.ts';
import type { DatabasePool } from '../db/pool.ts';
import { LIBRARY, readableRevision } from '../db/queries/drills.ts';
import { listAnsweredKeys } from '../db/queries/programmeAnswers.ts';
import { listRoundsOfPlayer } from '../db/queries/rounds.ts';
import { candidatesOf } from '../players/nextDrills.ts';
import { withResults } from '../rounds/counting.ts';
import { roundsOfWeeks } from './rounds.ts';

/** Rounds of a drill that are looked at, the newest ones. */
const ROUNDS = 6;
const YEAR_MS = 365 * 86_400_000;

/** What is asked of a programme: whose it is, when, and by which clock. */
export interface ProgrammeAsked {
  readonly clubId: string;
  readonly programme: Programme;
  readonly now: number;
  readonly zone: string;
}

/** What the newest rounds of a drill say; undefined where none was played, or nothing can be read of them. */
async function evidenceOf(
  pool: DatabasePool,
  { clubId, programme, zone }: ProgrammeAsked,
  drill: string,
  courseAt: (stage: number) => Course | undefined,
): Promise<DrillEvidence | undefined> {
  const choice = { drill, revision: undefined, stage: undefined, fingerprint: undefined };
  const stored = await listRoundsOfPlayer(pool, clubId, programme.player.id, choice, ROUNDS);
  const rounds = (await withResults(pool, clubId, stored)).filter(({ result }) => result.complete);
  const last = rounds.at(-1);
  if (last === undefined) return undefined;
  const owner = last.ownDrill ? clubId : LIBRARY;
  const entry = await readableRevision(pool, owner, drill, last.revision);
  if (entry === undefined) return undefined;
  // Rounds of another text, or on a table that plays otherwise, are not thrown together.
  const alike = rounds.filter(
    ({ revision, table }) => revision === last.revision && table.fingerprint === last.table.fingerprint,
  );
  const played = alike.map((round) => ({ ...round, attempts: round.attempts.map(({ counted }) => counted) }));
  return {
    skills: entry.document.skills,
    last: { id: last.id, day: dayIn(last.startedAt, zone) },
    advice: adviceAfter(atStage(entry.document, last.stage), last.stage, played),
    course: courseAt(last.stage) ?? 'too few',
  };
}

/** What could be changed in the weeks to come of a programme, as far as nobody has answered it. */
export async function proposalsFor(
  pool: DatabasePool,
  asked: ProgrammeAsked,
): Promise<readonly ProgrammeProposal[]> {
  const { clubId, programme, now, zone } = asked;
  const { document, ticks, player } = programme;
  const today = dayIn(new Date(now), zone);
  const coming = document.items.filter(({ day }) => day >= today);
  if (programme.archived || coming.length === 0) return [];
  const rounds = (await roundsOfWeeks(pool, clubId, programme)).map(({ id, drill, startedAt }) => ({
    id,
    drill,
    day: dayIn(startedAt, zone),
  }));
  const states = donePlanned(document.items, new Set(ticks.map(({ item }) => item)), rounds, today);
  const period = { from: new Date(now - YEAR_MS), to: new Date(now) };
  const { candidates, ratings } = await candidatesOf(pool, { clubId, id: player.id }, period);
  const evidence = new Map<string, DrillEvidence>();
  for (const drill of new Set(coming.map((item) => item.drill))) {
    const courseAt = (stage: number) =>
      candidates.find((each) => each.drill === drill && each.stage === stage)?.course;
    const own = await evidenceOf(pool, asked, drill, courseAt);
    if (own !== undefined) evidence.set(drill, own);
  }
  const next: readonly Replacement[] = nextDrills(candidates, ratings);
  const practised = new Set([...rounds.map(({ day }) => day), ...ticks.map(({ at }) => dayIn(at, zone))]);
  const all = adaptProgramme({ document, states, today, practised, evidence, next });
  const answered = await listAnsweredKeys(pool, programme.id);
  return all.filter(({ key }) => !answered.has(key));
}
