import { APIError } from 'better-auth/api';
import { fromNodeHeaders } from 'better-auth/node';
import type { Request, Response } from 'express';
import { PASSWORD_AT_LEAST, isSoonGuessed, type Auth, AUTH_BODIES, CONFIRM } from '../accounts';
import { invalid } from '../problem';

/** What is done about accounts beside the library's own work. */

/** Whether a password that somebody wants to have is soon guessed. */
export function soonGuessed(sent: object): boolean {
  // One that is too short is for the library to refuse.
  const [password, about]: readonly [unknown, readonly string[]] =
    'newPassword' in sent
      ? [sent.newPassword, []]
      : 'password' in sent && 'name' in sent && 'email' in sent
        ? [sent.password, [String(sent.name), String(sent.email), ...String(sent.email).split('@')]]
        : [undefined, []];
  return (
    typeof password === 'string' && password.length >= PASSWORD_AT_LEAST && isSoonGuessed(password, about)
  );
}

/** Whose password a request tries, if any. */
export function accountOf(path: string, sent: object, person: string | undefined): string | undefined {
  if (path === '/sign-in/email')
    return 'email' in sent && typeof sent.email === 'string' ? sent.email.trim().toLowerCase() : undefined;
  return path === '/change-password' ? person : undefined;
}

const SESSION_COOKIE = /session_token=[^;]/;

/** Confirms an e-mail address, and signs in whoever does so for the first time. */
export async function confirm(auth: Auth, request: Request, response: Response): Promise<void> {
  const { token } = AUTH_BODIES[CONFIRM].parse(request.body);
  try {
    const { headers } = await auth.api.verifyEmail({
      query: { token },
      headers: fromNodeHeaders(request.headers),
      returnHeaders: true,
    });
    const cookies = headers.getSetCookie();
    for (const cookie of cookies) response.append('Set-Cookie', cookie);
    // Whoever confirms an address a second time signs in with the password.
    response.json({ signedIn: cookies.some((cookie) => SESSION_COOKIE.test(cookie)) });
  } catch (error) {
    if (!(error instanceof APIError)) throw error;
    throw invalid([
      { field: 'token', reason: 'this link is no longer good: sign in, and a new letter is sent' },
    ]);
  }
}
