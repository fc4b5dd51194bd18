import { SIGN_INS } from '@toile/demo';

/** Signs the demo's owner in at a server; the cookie to ask with. */
export async function signIn(url: string): Promise<string> {
  const [{ email, password }] = SIGN_INS;
  const answer = await fetch(`${url}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email, password }),
  });
  if (!answer.ok) throw new Error(`sign-in at ${url}: ${answer.status}`);
  return answer.headers
    .getSetCookie()
    .map((cookie) => cookie.split(';')[0])
    .join('; ');
}
