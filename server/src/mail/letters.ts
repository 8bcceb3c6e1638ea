import type { Letter } from '.';

/** What Pause writes to people. Each letter says why it came, and what to do if one did not ask for it. */

interface Recipient {
  readonly name: string;
  readonly email: string;
}

const letter = ({ name, email }: Recipient, subject: string, ...paragraphs: readonly string[]): Letter => ({
  to: email,
  subject,
  text: `${[`Hello ${name},`, ...paragraphs].join('\n\n')}\n`,
});
/** @param origin the address of this server, like `https://pause.example` */
const link = (origin: string, page: string, token?: string) =>
  `${origin}/${page}${token === undefined ? '' : `?token=${encodeURIComponent(token)}`}`;

export const confirmLetter = (to: Recipient, origin: string, token: string): Letter =>
  letter(
    to,
    'Confirm your e-mail address for Pause',
    'Somebody made an account for Pause with this e-mail address. If it was you, open this link and confirm ' +
      'it. It is good for one day.',
    link(origin, 'confirm', token),
    'If it was not you, do nothing: without this link the account stays closed.',
  );

export const resetLetter = (to: Recipient, origin: string, token: string): Letter =>
  letter(
    to,
    'A new password for Pause',
    'Somebody asked for a new password for your account. If it was you, open this link and choose one. It ' +
      'is good for one hour, once.',
    link(origin, 'reset', token),
    'If it was not you, do nothing: your password stays as it is.',
  );

export const knownLetter = (to: Recipient, origin: string): Letter =>
  letter(
    to,
    'You have an account for Pause already',
    'Somebody wanted to make an account for Pause with this e-mail address, but it has one. If it was you, ' +
      'sign in with the password you have, or ask for a new one here:',
    link(origin, 'reset'),
    'If it was not you, do nothing.',
  );
