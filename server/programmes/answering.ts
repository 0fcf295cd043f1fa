import { withChanges, withoutChanges } from '../../core/programme/adapt.ts';
import { inTransaction, type DatabasePool } from '../db/pool.ts';
import { deleteAnswer, findAnswer, insertAnswer } from '../db/queries/programmeAnswers.ts';
import { findProgramme, lockProgramme, updateProgramme } from '../db/queries/programmes.ts';
import { notFound, Refusal } from '../http/errors.ts';
import { proposalsFor, type ProgrammeAsked } from './proposals.ts';

interface Answer {
  readonly key: string;
  readonly accepted: boolean;
  readonly basedOn: number;
  readonly personId: string;
}

const elsewhere = () => new Refusal(409, 'this programme was changed elsewhere in the meantime', 'key');

/**
 * Answers a proposal: a yes changes the programme and is kept with what it changed, in one transaction. Sent twice it is
 * answered once.
 * @throws Refusal 409 for something that is not proposed any more
 */
export async function answerProposal(
  pool: DatabasePool,
  asked: ProgrammeAsked,
  answer: Answer,
): Promise<void> {
  const { clubId, programme } = asked;
  if ((await findAnswer(pool, programme.id, answer.key)) !== undefined) return;
  if (answer.basedOn !== programme.version) throw elsewhere();
  const proposal = (await proposalsFor(pool, asked)).find(({ key }) => key === answer.key);
  if (proposal === undefined) {
    throw new Refusal(409, 'key: this is not proposed any more: look at the programme again', 'key');
  }
  await inTransaction(pool, async (db) => {
    await lockProgramme(db, programme.id);
    if ((await findAnswer(db, programme.id, answer.key)) !== undefined) return;
    const here = await findProgramme(db, clubId, programme.id);
    if (here === undefined || here.version !== programme.version) throw elsewhere();
    const touched = new Set(proposal.changes.map(({ item }) => item));
    await insertAnswer(db, {
      programmeId: here.id,
      personId: answer.personId,
      accepted: answer.accepted,
      at: new Date(asked.now),
      kept: { proposal, before: here.document.items.filter(({ id }) => touched.has(id)) },
    });
    if (answer.accepted) {
      await updateProgramme(db, here.id, here.version, withChanges(here.document, proposal.changes));
    }
  });
}

/** Takes an answer back: what a yes has changed is as it was, as far as nobody has changed it since. */
export async function takeAnswerBack(
  pool: DatabasePool,
  { clubId, programme }: Pick<ProgrammeAsked, 'clubId' | 'programme'>,
  key: string,
): Promise<void> {
  await inTransaction(pool, async (db) => {
    await lockProgramme(db, programme.id);
    const answer = await findAnswer(db, programme.id, key);
    const here = await findProgramme(db, clubId, programme.id);
    if (here === undefined) throw notFound('this programme');
    if (answer === undefined) return;
    await deleteAnswer(db, programme.id, key);
    if (!answer.accepted) return;
    const { proposal, before } = answer.kept;
    await updateProgramme(db, here.id, here.version, withoutChanges(here.document, proposal.changes, before));
  });
}
