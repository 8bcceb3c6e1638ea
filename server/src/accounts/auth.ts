import { randomBytes } from 'node:crypto';
import { betterAuth, type BetterAuthOptions } from 'better-auth';
import { createAuthEndpoint } from 'better-auth/api';
import { setSessionCookie } from 'better-auth/cookies';
import { sql } from 'kysely';
import type { Db } from '../db';
import type { Mail } from '../mail';
import { confirmLetter, knownLetter, resetLetter } from '../mail/letters';
import { notifyPerson } from '../notebook/news';
import { record } from './audit';
import { PASSWORD_AT_MOST, PASSWORD_AT_LEAST } from './bodies';
import type { Session } from './sessions';

const DAY_SECONDS = 86_400;
/** Set by this server to where the request came from; whatever a client sends under this name is dropped. */
export const FROM_HEADER = 'x-pause-from';

export interface AuthOptions {
  readonly db: Db;
  readonly secret: string;
  /** Who the demo signs in as; undefined where there is no demo. */
  readonly demoPerson?: string | undefined;
  /** The address under which people reach this server, where it is known; https makes the cookie secure. */
  readonly publicUrl?: string | undefined;
  /** Left out: no letters are sent, addresses are not confirmed, and a lost password stays lost. */
  readonly mail?: Mail | undefined;
}

/**
 * Accounts by e-mail address and password (scrypt), sessions in the database by a cookie that scripts cannot
 * read.
 */
export function openAuth({ db, secret, demoPerson, publicUrl, mail }: AuthOptions) {
  /**
   * Where the links of letters lead. A mail server is only used with an address that is set; the mailbox's
   * letters are read on this server.
   */
  const origin = (request: Request | undefined) => publicUrl ?? (request ? new URL(request.url).origin : '');
  return betterAuth({
    database: { db: db as never, type: 'postgres' },
    secret,
    basePath: '/api/v1/auth',
    ...(publicUrl === undefined ? {} : { baseURL: publicUrl }),
    // The page and the interface are one origin; that a request comes from there is checked before it gets
    // here, too.
    trustedOrigins: (request) => (request ? [new URL(request.url).origin] : []),
    emailAndPassword: {
      enabled: true,
      minPasswordLength: PASSWORD_AT_LEAST,
      maxPasswordLength: PASSWORD_AT_MOST,
      autoSignIn: true,
      ...(mail === undefined ? {} : byMail(db, mail, origin)),
    },
    ...(mail === undefined ? {} : { emailVerification: confirmedByMail(db, mail, origin) }),
    verification: { storeIdentifier: 'hashed' },
    session: { expiresIn: 90 * DAY_SECONDS, updateAge: DAY_SECONDS },
    rateLimit: RATE_LIMIT,
    advanced: {
      cookiePrefix: 'pause',
      useSecureCookies: publicUrl?.startsWith('https:') === true,
      defaultCookieAttributes: { httpOnly: true, sameSite: 'lax', path: '/' },
      ipAddress: { ipAddressHeaders: [FROM_HEADER] },
    },
    databaseHooks: hooksOn(db),
    logger: { disabled: true },
    telemetry: { enabled: false },
    plugins: demoPerson === undefined ? [] : [demoSignIn(demoPerson)],
  });
}
export type Auth = ReturnType<typeof openAuth>;

const RATE_LIMIT = {
  enabled: true,
  storage: 'database' as const,
  window: 60,
  max: 300,
  customRules: {
    '/sign-in/email': { window: 60, max: 10 },
    '/sign-up/email': { window: 3600, max: 20 },
    '/demo/sign-in': { window: 60, max: 300 },
    '/change-password': { window: 60, max: 10 },
    '/request-password-reset': { window: 60, max: 10 },
    '/reset-password': { window: 60, max: 10 },
  },
};

/** Every account is a person, and what becomes of it is on record. */
const hooksOn = (db: Db): BetterAuthOptions['databaseHooks'] => ({
  user: {
    create: {
      after: async ({ id, name }) => {
        await db
          .insertInto('people')
          .values({ id, name })
          .onConflict((conflict) => conflict.column('id').doNothing())
          .execute();
        await record(db, id, 'account-made');
      },
    },
  },
  session: { create: { after: async ({ userId }) => record(db, userId, 'signed-in') } },
  account: {
    update: {
      after: async ({ userId }) => {
        if (userId) await record(db, userId, 'password-changed');
      },
    },
  },
});

/** Signs in as the person of the demo, without a password. */
const demoSignIn = (person: string) => ({
  id: 'demo',
  endpoints: {
    demoSignIn: createAuthEndpoint('/demo/sign-in', { method: 'POST' }, async (ctx) => {
      const user = await ctx.context.internalAdapter.findUserById(person);
      if (!user) throw ctx.error('NOT_FOUND');
      const session = await ctx.context.internalAdapter.createSession(user.id);
      await setSessionCookie(ctx, { session, user });
      return ctx.json({ id: user.id });
    }),
  },
});

type Origin = (request: Request | undefined) => string;
interface Account {
  readonly id: string;
  readonly name: string;
  readonly email: string;
}

/**
 * With letters, signing up says nothing about who has an account: the answer is the same, and the letter
 * tells whoever owns the address.
 */
function byMail(db: Db, mail: Mail, origin: Origin) {
  return {
    requireEmailVerification: true,
    resetPasswordTokenExpiresIn: 3600,
    revokeSessionsOnPasswordReset: true,
    sendResetPassword: (
      { user, token }: { readonly user: Account; readonly token: string },
      request?: Request,
    ) => Promise.resolve(mail.send(resetLetter(user, origin(request), token))),
    onExistingUserSignUp: ({ user }: { readonly user: Account }, request?: Request) =>
      Promise.resolve(mail.send(knownLetter(user, origin(request)))),
    onPasswordReset: async ({ user }: { readonly user: Account }) => {
      // Whoever has the letter owns the address.
      await db.updateTable('user').set({ emailVerified: true }).where('id', '=', user.id).execute();
      await record(db, user.id, 'password-reset');
      await notifyPerson(db, user.id);
    },
  };
}

function confirmedByMail(db: Db, mail: Mail, origin: Origin) {
  return {
    sendOnSignUp: true,
    sendOnSignIn: true,
    autoSignInAfterVerification: true,
    expiresIn: DAY_SECONDS,
    sendVerificationEmail: (
      { user, token }: { readonly user: Account; readonly token: string },
      request?: Request,
    ) => Promise.resolve(mail.send(confirmLetter(user, origin(request), token))),
    afterEmailVerification: async (user: Account) => record(db, user.id, 'address-confirmed'),
  };
}

/** The hash of somebody's password; none where they have no password. */
async function hashOf(db: Db, person: string): Promise<string | undefined> {
  const {
    rows: [account],
  } = await sql<{
    password: string | null;
  }>`select password from account where "userId" = ${person} and "providerId" = 'credential'`.execute(db);
  return account?.password ?? undefined;
}
export const hasPassword = async (db: Db, person: string): Promise<boolean> =>
  (await hashOf(db, person)) !== undefined;

/** Whether it is this person's password; whoever has none needs none. */
export async function passwordFits(auth: Auth, db: Db, person: string, password: string): Promise<boolean> {
  const hash = await hashOf(db, person);
  if (hash === undefined) return true;
  const context = await auth.$context;
  return context.password.verify({ hash, password });
}

/** However often it is used, a session ends after this. */
const LONGEST_SESSION_MS = 180 * DAY_SECONDS * 1000;

/**
 * Who asks. A session that is used goes on for a while: then `renewed` holds the cookies for the browser.
 */
export async function sessionOf(
  auth: Auth,
  db: Db,
  headers: Headers,
): Promise<{ readonly session: Session; readonly renewed: readonly string[] } | undefined> {
  const { headers: set, response: found } = await auth.api.getSession({ headers, returnHeaders: true });
  if (!found) return undefined;
  const { id, userId, createdAt } = found.session;
  if (Date.now() - new Date(createdAt).getTime() > LONGEST_SESSION_MS) {
    await sql`delete from session where id = ${id}`.execute(db);
    return undefined;
  }
  return { session: { person: userId, id }, renewed: set.getSetCookie() };
}

/**
 * The secret that signs cookies: the one given, or one made once and kept in the database, so that several
 * servers share it.
 */
export async function sharedSecret(db: Db, given: string | undefined): Promise<string> {
  if (given !== undefined) return given;
  await db
    .insertInto('server_secret')
    .values({ secret: randomBytes(32).toString('hex') })
    .onConflict((conflict) => conflict.column('only').doNothing())
    .execute();
  return (await db.selectFrom('server_secret').select('secret').executeTakeFirstOrThrow()).secret;
}
