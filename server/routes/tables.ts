import { randomUUID } from 'node:crypto';
import { Hono } from 'hono';
import type { Viewer } from '../../core/records/account.ts';
import { newTableSchema, tableHallSchema } from '../../core/records/clubTable.ts';
import { cardText } from '../../core/records/tableCard.ts';
import { takenCalibrationSchema } from '../../core/records/calibration.ts';
import { newConditionsSchema } from '../../core/records/conditions.ts';
import { tableChangeSchema, type ClubTable } from '../../core/records/clubTable.ts';
import { auditAt } from '../access/audit.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import { noteConditions, tableOfConditions, withdrawConditions } from '../db/queries/conditions.ts';
import {
  changeTable,
  findTable,
  insertTable,
  listTables,
  placeTable,
  tableLog,
} from '../db/queries/tables.ts';
import { isDuplicate } from '../db/errors.ts';
import { inTransaction } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { notFound, Refusal } from '../http/errors.ts';
import { requireUuid, wholeNumber } from '../http/parameters.ts';
import { stateOf } from '../tables/states.ts';
import { changedMeanwhile, takeCalibration } from '../tables/takeCalibration.ts';
import { watchOf } from '../tables/watch.ts';

const OTHER_KIND = () =>
  new Refusal(400, 'card.preset cannot change: another kind is another table', 'card.preset');
const NAME_TAKEN = () => new Refusal(409, 'name is already that of another table', 'name');

export function tableRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();
  const now = () => new Date(deps.now());
  const note = auditAt(deps.now);

  async function tableOf(viewer: Viewer, id: string): Promise<ClubTable> {
    const table = await findTable(deps.pool, viewer.clubId, requireUuid(id, 'table'), now());
    if (table === undefined) throw notFound('this table');
    return table;
  }

  app.get('/', async (c) => c.json(await listTables(deps.pool, c.get('viewer').clubId, now())));

  app.post('/', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const body = await readBody(c, newTableSchema);
    const id = randomUUID();
    try {
      await inTransaction(deps.pool, (db) =>
        insertTable(db, viewer.clubId, { id, name: body.name.trim(), preset: body.preset }),
      );
    } catch (error) {
      throw isDuplicate(error) ? NAME_TAKEN() : error;
    }
    return c.json({ id }, 201);
  });

  app.put('/:id', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const table = await tableOf(viewer, c.req.param('id'));
    const body = await readBody(c, tableChangeSchema);
    if (body.card.preset !== table.preset) throw OTHER_KIND();
    const sameCard = cardText(body.card) === cardText(table.state.card);
    try {
      const done = await inTransaction(deps.pool, async (db) => {
        const changed = await changeTable(db, {
          id: table.id,
          name: body.name.trim(),
          archivedAt: body.archived ? now() : null,
          card: sameCard ? null : body.card,
          basedOn: body.basedOn,
          changedBy: viewer.id,
          changedAt: now(),
        });
        if (changed)
          await note(db, viewer, { action: 'table changed', subject: 'table', subjectId: table.id });
        return changed;
      });
      if (!done) throw changedMeanwhile();
    } catch (error) {
      throw isDuplicate(error) ? NAME_TAKEN() : error;
    }
    return c.json(await tableOf(viewer, table.id));
  });

  app.put('/:id/hall', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const table = await tableOf(viewer, c.req.param('id'));
    const { hallId } = await readBody(c, tableHallSchema);
    await inTransaction(deps.pool, async (db) => {
      if (!(await placeTable(db, viewer.clubId, table.id, hallId))) {
        throw new Refusal(404, 'hallId: this hall was not found', 'hallId');
      }
      await note(db, viewer, { action: 'table changed', subject: 'table', subjectId: table.id });
    });
    return c.json(await tableOf(viewer, table.id));
  });

  app.get('/:id/log', async (c) => {
    const table = await tableOf(c.get('viewer'), c.req.param('id'));
    return c.json(await tableLog(deps.pool, table.id));
  });

  app.get('/:id/watch', async (c) => {
    const viewer = c.get('viewer');
    const table = await tableOf(viewer, c.req.param('id'));
    return c.json(await watchOf(deps.pool, viewer.clubId, table, deps.now()));
  });

  app.put('/:id/calibrations/:calibration', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const table = await tableOf(viewer, c.req.param('id'));
    const id = requireUuid(c.req.param('calibration'), 'calibration');
    const body = await readBody(c, takenCalibrationSchema);
    if (body.card.preset !== table.preset) throw OTHER_KIND();
    await takeCalibration(deps, viewer, table, { id, ...body });
    return c.json(await tableOf(viewer, table.id));
  });

  // A state that was: what rounds of the past were played on.
  app.get('/:id/states/:revision', async (c) => {
    const conditions = c.req.query('conditions');
    const played = await stateOf(deps.pool, c.get('viewer').clubId, {
      id: requireUuid(c.req.param('id'), 'table'),
      revision: wholeNumber(c.req.param('revision'), 'revision'),
      conditionsId: conditions === undefined ? null : requireUuid(conditions, 'conditions'),
    });
    if (played === undefined) throw notFound('this state of the table');
    return c.json(played.state);
  });

  app.put('/:id/conditions/:note', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const table = await tableOf(viewer, c.req.param('id'));
    const id = requireUuid(c.req.param('note'), 'note');
    const body = await readBody(c, newConditionsSchema);
    const owner = await tableOfConditions(deps.pool, id);
    if (owner !== undefined && owner !== table.id) {
      throw new Refusal(409, 'note has an id that another note has', 'note');
    }
    await noteConditions(deps.pool, {
      id,
      tableId: table.id,
      conditions: body.conditions,
      note: body.note.trim(),
      notedBy: viewer.id,
      // A device whose clock is ahead notes what is so now.
      notedAt: new Date(Math.min(new Date(body.notedAt).getTime(), deps.now())),
    });
    return c.json(await tableOf(viewer, table.id));
  });

  app.delete('/:id/conditions/:note', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const table = await tableOf(viewer, c.req.param('id'));
    await withdrawConditions(deps.pool, table.id, requireUuid(c.req.param('note'), 'note'), now());
    return c.json(await tableOf(viewer, table.id));
  });

  return app;
}
