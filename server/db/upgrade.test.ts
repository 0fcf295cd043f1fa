import { describe, expect, it } from 'vitest';
import { backupPieces } from '../exports/backup.ts';
import { readBackup } from '../exports/readBackup.ts';
import { createTestDatabase, openApp, send } from '../testing/club.ts';
import { makeOldInstallation, migrationNumbers, OLD_COOKIES, OLD_IDS } from '../testing/oldData.ts';

const { coach, player } = OLD_COOKIES;
const { player: playerId, round, openRound, table, lesson, programme, report } = OLD_IDS;

/** Every page with what it is made of, and from which migration on there is something on it. */
const PAGES: readonly (readonly [since: string, path: string, cookie: string, shows: string])[] = [
  ['0001', '/api/me', coach, 'Old Coach'],
  ['0001', '/api/tables', coach, 'By the window'],
  ['0001', `/api/tables/${table}/log`, coach, 'revisions'],
  ['0001', '/api/players', coach, 'Old Player'],
  ['0001', '/api/coaches', coach, 'Old Coach'],
  ['0001', '/api/club/overview?today=2026-11-24', coach, playerId],
  ['0001', '/api/drills', player, 'harbour-turn'],
  ['0002', '/api/today', coach, openRound],
  ['0002', '/api/today', player, round],
  ['0002', `/api/rounds/${round}`, player, '"value":2'],
  ['0002', `/api/rounds/${openRound}`, coach, 'harbour-turn'],
  ['0002', `/api/players/${playerId}/rounds`, player, round],
  ['0002', `/api/players/${playerId}/results?days=400`, player, '['],
  // The old benchmark is read: nothing is without levels.
  ['0002', `/api/players/${playerId}/progress?days=400`, player, '"unrated":0'],
  ['0002', `/api/players/${playerId}/next`, player, '['],
  ['0002', `/api/drills/harbour-turn/revisions/1/stages/1/benchmark`, coach, '"benchmark":{'],
  ['0006', `/api/players/${playerId}/calls`, player, 'does it pass'],
  ['0008', '/api/lessons', player, 'An old evening'],
  ['0008', `/api/lessons/${lesson}`, coach, 'An old evening'],
  ['0011', '/api/programmes', player, 'Old weeks'],
  ['0011', `/api/programmes/${programme}`, player, 'harbour-turn'],
  ['0011', `/api/programmes/${programme}/calendar.ics`, player, 'BEGIN:VEVENT'],
  ['0011', '/api/reports', coach, report],
];

describe('an installation from before', () => {
  it.each(migrationNumbers())('when migration %s was the newest shows all its pages', async (number) => {
    const database = await createTestDatabase();
    await makeOldInstallation(database.url, number);
    const { app, pool } = await openApp(database.url, {});
    try {
      for (const [since, path, cookie, shows] of PAGES.filter(([since]) => since <= number)) {
        const response = await send(app, 'GET', path, { cookie });
        const told = await response.text();
        expect([since, path, response.status, told.includes(shows) || told.slice(0, 300)]).toEqual([
          since,
          path,
          200,
          true,
        ]);
      }
      // What it held is all of it a backup's, which is one that can be brought back.
      const connection = await pool.openConnection(60);
      let text = '';
      for await (const piece of backupPieces(
        connection,
        { id: OLD_IDS.club, name: 'Quay Street' },
        new Date(),
      )) {
        text += piece;
      }
      connection.destroy();
      expect(readBackup(text).rowsOf('people')).toHaveLength(2);
    } finally {
      await pool.end();
      await database.drop();
    }
  });
});
