import { createTransport } from 'nodemailer';
import type { Logger } from 'pino';
import type { Db } from '../db';
import { letterLimit } from '../http/limits';
import { keepLetter } from './mailbox';

/** Letters to the addresses of accounts. */

export interface Letter {
  /** An e-mail address. */
  readonly to: string;
  readonly subject: string;
  readonly text: string;
}

/**
 * Where letters go: to a mail server, or to the simulated mailbox of the demo, out of which nothing is sent.
 */
export type MailSettings =
  { readonly kind: 'smtp'; readonly url: string; readonly from: string } | { readonly kind: 'mailbox' };

export interface Mail {
  readonly kind: MailSettings['kind'];
  /**
   * Sends a letter, without waiting for it: how long an answer takes must not tell whether there was anybody
   * to write to. It is tried again for a while if the mail server does not take it.
   */
  readonly send: (letter: Letter) => void;
  readonly close: () => void;
}

/** How long to wait before each further try. */
const AGAIN_AFTER_MS = [2000, 20_000, 120_000];

export function openMail(settings: MailSettings, db: Db, log: Logger): Mail {
  const { deliver, close } =
    settings.kind === 'smtp'
      ? bySmtp(settings.url, settings.from)
      : { deliver: (letter: Letter) => keepLetter(db, letter), close: () => undefined };
  const limit = letterLimit(db);
  const waiting = new Set<NodeJS.Timeout>();
  let closed = false;
  const attempt = async (letter: Letter, tried: number): Promise<void> => {
    try {
      await deliver(letter);
    } catch (error) {
      const wait = AGAIN_AFTER_MS[tried];
      log.error({ err: error, triedAgain: wait !== undefined && !closed }, 'a letter could not be sent');
      if (wait === undefined || closed) return;
      const timer = setTimeout(() => {
        waiting.delete(timer);
        void attempt(letter, tried + 1);
      }, wait);
      waiting.add(timer);
    }
  };
  const send = async (letter: Letter): Promise<void> => {
    if (await limit.allows(letter.to)) await attempt(letter, 0);
    else log.warn('an address had its letters of this hour: one more was not sent');
  };
  return {
    kind: settings.kind,
    send: (letter) =>
      void send(letter).catch((error: unknown) => log.error({ err: error }, 'a letter could not be sent')),
    close: () => {
      closed = true;
      for (const timer of waiting) clearTimeout(timer);
      close();
    },
  };
}

function bySmtp(
  url: string,
  from: string,
): { readonly deliver: (letter: Letter) => Promise<void>; readonly close: () => void } {
  const transport = createTransport(url, { from });
  return {
    deliver: async ({ to, subject, text }) => {
      await transport.sendMail({ to, subject, text });
    },
    close: () => transport.close(),
  };
}
