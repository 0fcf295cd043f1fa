import type { Page } from 'playwright-core';
import { playersSchema } from '../../core/records/player.ts';

/** The id of a player of the demo by their name; empty for nobody. */
export async function idOf(page: Page, name: string): Promise<string> {
  const players = await playersSchema.validate(await (await page.request.get('/api/players')).json());
  return players.find((player) => player.name === name)?.id ?? '';
}
