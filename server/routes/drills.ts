import { Hono } from 'hono';
import {
  archivedSchema,
  drillChangeSchema,
  favouriteSchema,
  importSchema,
  type ListedDrill,
} from '../../core/records/listedDrill.ts';
import type { Viewer } from '../../core/records/account.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import {
  listDrills,
  listRevisions,
  ownerOf,
  revisionOf,
  setArchived,
  setFavourite,
} from '../db/queries/drills.ts';
import { importDrill, saveDrill } from '../drills/ownDrills.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { notFound, Refusal } from '../http/errors.ts';
import { requireSlug, wholeNumber } from '../http/parameters.ts';

export function drillRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  /** A drill as the viewer's club has it. */
  async function listed({ clubId, id }: Viewer, slug: string): Promise<ListedDrill> {
    const [drill] = await listDrills(deps.pool, clubId, id, slug);
    if (drill === undefined) throw notFound('this drill');
    return drill;
  }

  app.get('/', async (c) => {
    const { clubId, id } = c.get('viewer');
    return c.json(await listDrills(deps.pool, clubId, id));
  });

  // A drill that a file brings. Its name may be another drill's of the library: then it gets one of its own.
  app.post('/import', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const { document } = await readBody(c, importSchema);
    return c.json(await importDrill(deps.pool, viewer, document));
  });

  app.get('/:slug', async (c) => c.json(await listed(c.get('viewer'), requireSlug(c.req.param('slug')))));

  app.put('/:slug', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const { document, basedOn } = await readBody(c, drillChangeSchema);
    if (document.slug !== requireSlug(c.req.param('slug'))) {
      throw new Refusal(400, 'document.slug is not that of the address', 'document.slug');
    }
    await saveDrill(deps.pool, viewer, document, basedOn);
    return c.json(await listed(viewer, document.slug));
  });

  app.put('/:slug/archived', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const { archived } = await readBody(c, archivedSchema);
    const slug = requireSlug(c.req.param('slug'));
    const at = archived ? new Date(deps.now()) : null;
    if (!(await setArchived(deps.pool, viewer.clubId, slug, at))) throw notFound('this drill of the club');
    return c.json(await listed(viewer, slug));
  });

  app.put('/:slug/favourite', async (c) => {
    const viewer = c.get('viewer');
    const { favourite } = await readBody(c, favouriteSchema);
    const { document } = await listed(viewer, requireSlug(c.req.param('slug')));
    await setFavourite(deps.pool, viewer.id, document.slug, favourite);
    return c.json(await listed(viewer, document.slug));
  });

  app.get('/:slug/revisions', async (c) => {
    const { clubId } = c.get('viewer');
    const slug = requireSlug(c.req.param('slug'));
    const revisions = await listRevisions(deps.pool, clubId, await ownerOf(deps.pool, clubId, slug), slug);
    if (revisions.length === 0) throw notFound('this drill');
    return c.json(revisions);
  });

  app.get('/:slug/revisions/:revision', async (c) => {
    const slug = requireSlug(c.req.param('slug'));
    const owner = await ownerOf(deps.pool, c.get('viewer').clubId, slug);
    const number = wholeNumber(c.req.param('revision'), 'revision');
    const entry = await revisionOf(deps.pool, owner, slug, number);
    if (entry === undefined) throw notFound('this revision of the drill');
    return c.json({ revision: entry.revision, document: entry.document });
  });

  return app;
}
