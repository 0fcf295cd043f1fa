import type { PoolConnection } from 'mysql2/promise';
import { addDays, mondayOf } from '../../core/programme/days.ts';
import { beforeMatches, spreadBlock, type PracticeBlock } from '../../core/programme/spreadBlock.ts';
import type { ProgrammeDocument, ProgrammeItem } from '../../core/records/programme.ts';
import { insertProgramme, tickItem } from '../db/queries/programmes.ts';
import { insertAnswer } from '../db/queries/programmeAnswers.ts';
import { insertReport } from '../db/queries/reports.ts';
import { idOf } from './ids.ts';
import { DEMO_COACHES } from './people.ts';

const DAY_MS = 86_400_000;
const WEEKS = 5;
/** The programmes began so many weeks ago. */
const BEGUN_WEEKS_AGO = 2;

interface DemoProgramme {
  readonly player: string;
  readonly title: string;
  readonly blocks: readonly Omit<PracticeBlock, 'fromWeek' | 'weeks' | 'stage'>[];
  /** Played for a quarter of an hour before each match. */
  readonly beforeMatch: string | undefined;
  readonly ticked: number;
}

const PROGRAMMES: readonly DemoProgramme[] = [
  {
    player: 'Wren Sallow',
    title: 'Towards the winter league',
    blocks: [
      {
        drill: 'harbour-turn',
        minutes: 30,
        kind: 'homework',
        timesAWeek: 2,
        note: 'Look at the window first.',
      },
      { drill: 'frozen-pair', minutes: 15, kind: 'practice', timesAWeek: 1, note: '' },
    ],
    beforeMatch: 'long-pier',
    ticked: 3,
  },
  {
    player: 'Idris Pell',
    title: 'Off the plateau',
    blocks: [
      {
        drill: 'back-to-the-quay',
        minutes: 40,
        kind: 'homework',
        timesAWeek: 2,
        note: 'Softer than you think.',
      },
      { drill: 'far-shores', minutes: 20, kind: 'practice', timesAWeek: 1, note: '' },
    ],
    beforeMatch: undefined,
    ticked: 1,
  },
  {
    player: 'Tamsin Gull',
    title: 'The blue and the black',
    blocks: [
      { drill: 'held-for-the-black', minutes: 25, kind: 'homework', timesAWeek: 2, note: '' },
      { drill: 'round-to-the-blue', minutes: 25, kind: 'homework', timesAWeek: 1, note: '' },
    ],
    beforeMatch: undefined,
    ticked: 2,
  },
];

const REPORTS = [
  {
    player: 'Wren Sallow',
    coach: 0,
    words:
      '<p>Wren came as somebody who hit everything hard. She now lets the cloth do the work, and it shows: the cue ball stops where she looks.</p><p>What still costs her is the <strong>pace of the draw</strong>. That is where the next weeks go.</p>',
    goals: ['Twenty points at Back to the quay, three rounds in a row', 'A clearance of Far shores'],
  },
  {
    player: 'Idris Pell',
    coach: 0,
    words:
      '<p>Idris has stood at the same level since the autumn. That is no bad level, and there is a way on: fewer balls hit at full pace, more of them played twice in the mind.</p>',
    goals: ['Half of the landings of Back to the quay within 25 cm'],
  },
] as const;

/** A day of rest that Idris did not want: what was answered stands below what is asked. */
async function answerOne(db: PoolConnection, now: number): Promise<void> {
  const day = dayOf(now - 6 * DAY_MS);
  await insertAnswer(db, {
    programmeId: idOf('Idris Pell programme'),
    personId: idOf(DEMO_COACHES[0].name),
    accepted: false,
    at: new Date(now - 7 * DAY_MS),
    kept: {
      proposal: { key: `rest|${day}`, kind: 'rest', drill: null, shown: null, changes: [] },
      before: [],
    },
  });
}

const dayOf = (at: number) => new Date(at).toISOString().slice(0, 10);

/** Programmes that are under way, with some of their entries ticked off, and reports on the last months. */
export async function storeProgrammes(
  db: PoolConnection,
  { clubId, now }: { readonly clubId: string; readonly now: number },
): Promise<void> {
  const today = dayOf(now);
  for (const { player, title, blocks, beforeMatch, ticked } of PROGRAMMES) {
    const id = idOf(`${player} programme`);
    const startDay = addDays(mondayOf(today), -7 * BEGUN_WEEKS_AGO);
    let document: ProgrammeDocument = {
      title,
      playerId: idOf(player),
      startDay,
      weeks: WEEKS,
      matchDays: beforeMatch === undefined ? [] : [5, 19, 33].map((days) => addDays(startDay, days)),
      items: [],
    };
    let number = 0;
    const newId = () => idOf(`${player} entry ${String(++number)}`);
    const add = (items: readonly ProgrammeItem[]) => {
      document = { ...document, items: [...document.items, ...items] };
    };
    for (const block of blocks) {
      add(spreadBlock(document, { ...block, stage: 1, fromWeek: 1, weeks: WEEKS }, newId));
    }
    if (beforeMatch !== undefined) {
      add(beforeMatches(document, { drill: beforeMatch, stage: 1, minutes: 15, note: '' }, newId));
    }
    await insertProgramme(db, { id, clubId, document });
    const past = document.items.filter(({ day }) => day < today).sort((a, b) => a.day.localeCompare(b.day));
    for (const item of past.slice(0, ticked)) await tickItem(db, id, item.id, new Date(now - DAY_MS));
  }
  await answerOne(db, now);
  for (const { player, coach, words, goals } of REPORTS) {
    await insertReport(db, {
      id: idOf(`${player} report`),
      clubId,
      writtenBy: idOf(DEMO_COACHES[coach].name),
      document: {
        playerId: idOf(player),
        from: dayOf(now - 91 * DAY_MS),
        to: today,
        words,
        goals: [...goals],
      },
    });
  }
}
