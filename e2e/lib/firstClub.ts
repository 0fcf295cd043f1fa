/** Who opens a club on an installation that has none, as the first visitor types it. */
const FIRST_COACH = {
  club: 'Tern Wharf',
  name: 'Ada Kelp',
  email: 'ada@tern.example',
  password: 'low tide at six',
} as const;

/** Opens the first club of a server. @returns the cookie of its coach */
export async function openFirstClub(url: string): Promise<string> {
  const made = await fetch(`${url}/api/club`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: url },
    body: JSON.stringify(FIRST_COACH),
  });
  if (made.status !== 201) throw new Error(await made.text());
  return (made.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
}
