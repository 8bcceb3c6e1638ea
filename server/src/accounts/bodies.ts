import { z } from 'zod';

/** What may be sent about accounts. */

export const PASSWORD_AT_LEAST = 10;
export const PASSWORD_AT_MOST = 200;

/** No body of an account is larger; what is, is not read. */
export const AUTH_BODY_LIMIT = '16kb';

const Name = z.string().trim().min(1).max(80);
const Email = z.string().min(3).max(254);

/** How short it may be is for the library to say. */
const Password = z.string().max(PASSWORD_AT_MOST);

const Nothing = z.strictObject({});
const Token = z.string().min(1).max(1000);

/**
 * Confirms an e-mail address. The library takes it as GET, which a mail program that looks at links would use
 * up.
 */
export const CONFIRM = '/confirm';

/**
 * What of the library's interface is open to the outside, and what each takes; everything else is not there.
 */
export const AUTH_BODIES = {
  '/sign-up/email': z.strictObject({ name: Name, email: Email, password: Password }),
  '/sign-in/email': z.strictObject({ email: Email, password: Password, rememberMe: z.boolean().optional() }),
  '/sign-out': Nothing,
  '/revoke-sessions': Nothing,
  // Whoever changes a password ends all other sessions: somebody else may be in one.
  '/change-password': z
    .strictObject({
      currentPassword: Password,
      newPassword: Password,
      revokeOtherSessions: z.boolean().optional(),
    })
    .transform((sent) => ({ ...sent, revokeOtherSessions: true })),
  '/request-password-reset': z.strictObject({ email: Email }),
  '/reset-password': z.strictObject({ token: Token, newPassword: Password }),
  [CONFIRM]: z.strictObject({ token: Token }),
  '/demo/sign-in': Nothing,
} as const satisfies Readonly<Record<string, z.ZodType>>;

/** What is there only where letters are sent. */
export const LETTER_PATHS: ReadonlySet<string> = new Set([
  '/request-password-reset',
  '/reset-password',
  CONFIRM,
]);

export const AUTH_PATHS = Object.keys(AUTH_BODIES) as readonly (keyof typeof AUTH_BODIES)[];
