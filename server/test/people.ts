/** Signs people in against a running server, as a browser would. */

const COOKIE = /^pause\.session_token=[^;]+/;

/** The session cookie that an answer sets. @throws where it sets none */
export async function cookieOf(response: Response): Promise<string> {
  const set = response.headers
    .getSetCookie()
    .map((line) => COOKIE.exec(line)?.[0])
    .find(Boolean);
  if (set === undefined) throw new Error(`no session: ${response.status} ${await response.text()}`);
  return set;
}

const auth = (url: string, path: string, body: unknown) =>
  fetch(`${url}/api/v1/auth${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: url },
    body: JSON.stringify(body),
  });

export const demoCookie = async (url: string): Promise<string> =>
  cookieOf(await auth(url, '/demo/sign-in', {}));

export interface Someone {
  readonly id: string;
  readonly name: string;
  readonly cookie: string;
}
export const PASSWORD = 'a long enough password';

/** A new account. */
export async function someone(url: string, name: string): Promise<Someone> {
  const response = await auth(url, '/sign-up/email', {
    name,
    email: `${name.toLowerCase().replace(/[^a-z]/g, '')}@ostrel.example`,
    password: PASSWORD,
  });
  const cookie = await cookieOf(response);
  return { id: ((await response.json()) as { user: { id: string } }).user.id, name, cookie };
}
export const signIn = (url: string, email: string, password: string) =>
  auth(url, '/sign-in/email', { email, password });

type Json = Record<string, unknown>;
export interface Asking {
  readonly ask: (
    who: Someone,
    method: string,
    path: string,
    body?: unknown,
  ) => Promise<{ status: number; body: Json }>;
  /** What became of entries: `added`, `known`, or the status and the first field that was refused. */
  readonly tell: (who: Someone, ...entries: unknown[]) => Promise<string[]>;
}
/** @param url of the server, known once it runs */
export function asking(url: () => string): Asking {
  const ask: Asking['ask'] = async (who, method, path, body) => {
    const response = await fetch(`${url()}/api/v1${path}`, {
      method,
      headers: { cookie: who.cookie, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const text = await response.text();
    return { status: response.status, body: (text ? JSON.parse(text) : {}) as Json };
  };
  return {
    ask,
    tell: async (who, ...entries) => {
      const { body } = await ask(who, 'POST', '/sync/push', { entries });
      return (
        body.results as { status: string; problem?: { status: number; errors?: { field: string }[] } }[]
      ).map(({ status, problem }) =>
        problem ? `${problem.status} ${problem.errors?.[0]?.field ?? ''}`.trim() : status,
      );
    },
  };
}
