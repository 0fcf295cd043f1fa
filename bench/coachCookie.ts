import { DEMO_SIGN_INS } from '../server/demo/people.ts';

/** Signs in as the demo's coach. @returns the cookie of the session */
export async function coachCookie(url: string): Promise<string> {
  const coach = DEMO_SIGN_INS[0];
  const entry = await fetch(`${url}/api/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: url },
    body: JSON.stringify({ email: coach?.email, password: coach?.password }),
  });
  return (entry.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
}
