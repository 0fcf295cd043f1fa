import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { findDrill, LIBRARY } from '../db/queries/drills.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './club.ts';
import { routesOf } from './routes.ts';

/** Status for nobody, another player of the club, another club's coach, and the own coach. */
type Expected = readonly [nobody: number, otherPlayer: number, otherCoach: number, ownCoach: number];

/** A route as it is asked for. */
export interface AccessCase {
  readonly expected: Expected;
  /** Parameters of the address, and the body, for the own club's player. */
  readonly path?: (w: AccessWorld) => string;
  readonly body?: (w: AccessWorld) => unknown;
  /** The session that asks is over afterwards, so each comes with one that nothing else needs. */
  readonly endsSession?: true;
}

/** Two clubs, and the names of what the own one's player has. */
export interface AccessWorld {
  readonly test: TestApp;
  readonly club: TestClub;
  readonly stranger: TestClub;
  readonly round: string;
  readonly attempt: string;
  readonly note: string;
  readonly lesson: string;
  readonly programme: string;
  readonly item: string;
  readonly report: string;
  /** A drill's document that a club may take in. */
  readonly document: object;
}

/** The router's routes by what they are about; each area has its own test file. */
export const AREAS = {
  people: [
    'health',
    'welcome',
    'club',
    'sign-in',
    'sign-out',
    'me',
    'today',
    'players',
    'calls',
    'export',
    'password',
    'coaches',
    'halls',
    'cues',
  ],
  plans: ['programmes', 'reports', 'lessons', 'evenings', 'screens'],
  drills: ['drills', 'tables'],
  rounds: ['rounds'],
} as const;
type Area = keyof typeof AREAS;

/** "GET /api/rounds/:id" is about "rounds". */
const subjectOf = (route: string) => route.split('/')[2] ?? '';

/** The routes that no area has. */
export function routesWithoutArea(test: TestApp): readonly string[] {
  const subjects: readonly string[] = Object.values(AREAS).flat();
  return routesOf(test).filter((route) => !subjects.includes(subjectOf(route)));
}

async function openWorld(): Promise<AccessWorld> {
  const test = await createTestApp();
  const entry = await findDrill(test.pool, LIBRARY, 'harbour-turn', 1);
  if (entry === undefined) throw new Error('the library has no harbour-turn');
  return {
    test,
    club: await createTestClub(test, 'gannet'),
    stranger: await createTestClub(test, 'puffin'),
    round: randomUUID(),
    attempt: randomUUID(),
    note: randomUUID(),
    lesson: randomUUID(),
    programme: randomUUID(),
    item: randomUUID(),
    report: randomUUID(),
    document: entry.document,
  };
}

/**
 * Asks for every route of an area as nobody, another player, another club's coach and the own coach, in the order in
 * which the cases stand; a route of the area that has no case fails.
 * @param prepare makes what the cases ask for
 * @returns gives the world, once the tests run
 */
export function describeAccess(
  area: Area,
  cases: Readonly<Record<string, AccessCase>>,
  prepare: (w: AccessWorld) => Promise<unknown> = () => Promise.resolve(),
): () => AccessWorld {
  let opened: AccessWorld | undefined;
  const world = () => {
    if (opened === undefined) throw new Error('the world is not open yet');
    return opened;
  };
  beforeAll(async () => {
    opened = await openWorld();
    await prepare(opened);
  });
  afterAll(() => opened?.test.close());

  describe(`every route about ${area} checks who asks`, () => {
    it('and every one is listed here', () => {
      const subjects: readonly string[] = AREAS[area];
      const here = routesOf(world().test).filter((route) => subjects.includes(subjectOf(route)));
      expect(here).toEqual(Object.keys(cases).sort());
    });

    it.each(Object.entries(cases))('%s', async (route, { expected, path, body, endsSession }) => {
      const [method = '', pattern = ''] = route.split(' ');
      const { test, club, stranger } = world();
      const asking =
        endsSession === true
          ? await createTestClub(test, `razorbill-${randomUUID().slice(0, 8)}`).then(
              ({ other, player, coach }) => [other, player, coach],
            )
          : [club.other, stranger.coach, club.coach];
      const statuses: number[] = [];
      for (const cookie of [undefined, ...asking]) {
        const response = await send(test.app, method, path?.(world()) ?? pattern, {
          cookie,
          ...(body === undefined ? {} : { body: body(world()) }),
        });
        statuses.push(response.status);
        // A file that is left half read is kept from the next who asks.
        await response.arrayBuffer();
      }
      expect(statuses).toEqual(expected);
    });
  });
  return world;
}
