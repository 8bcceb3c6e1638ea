import { FindRecord, FindSummary, Instant } from '@pause/core';
import { z } from 'zod';
import type { Entry } from './entries';

/** The server, as the store sees it. Whatever comes from it is parsed here, once. */

const Me = z.object({
  id: z.string(), name: z.string(), demo: z.boolean(), now: Instant, guide: z.object({ id: z.string(), version: z.string() }),
});
export type Me = z.infer<typeof Me>;
const Finds = z.object({ finds: z.array(FindSummary) });
const ProblemDetails = z.object({ title: z.string(), status: z.number(), type: z.string() });

/** The server said no, and sending again will not help. */
export class Refused extends Error {
  constructor(readonly status: number, readonly code: string, message: string) {
    super(message);
    this.name = 'Refused';
  }
}
/** The server could not be reached, or could not work just now. Try again later. */
export class Away extends Error {}

export interface Api {
  me(): Promise<Me>;
  finds(): Promise<FindSummary[]>;
  find(id: string): Promise<FindRecord>;
  send(entry: Entry): Promise<void>;
}

const WAIT_MS = 10_000;

async function ask(path: string, init: RequestInit = {}): Promise<unknown> {
  let response: Response;
  try {
    response = await fetch(`/api/v1${path}`, { ...init, signal: AbortSignal.timeout(WAIT_MS) });
  } catch {
    throw new Away('The server does not answer.');
  }
  const text = await response.text();
  let body: unknown;
  try {
    body = text === '' ? undefined : JSON.parse(text);
  } catch {
    throw new Away('The server answered with something that is not JSON.');
  }
  if (response.ok) return body;
  const problem = ProblemDetails.safeParse(body);
  const title = problem.success ? problem.data.title : `The server answered ${response.status}.`;
  if (response.status >= 500 || response.status === 429) throw new Away(title);
  throw new Refused(response.status, problem.success ? problem.data.type.replace('urn:pause:problem:', '') : 'unknown', title);
}

export const httpApi: Api = {
  me: async () => Me.parse(await ask('/me')),
  finds: async () => Finds.parse(await ask('/finds')).finds,
  find: async (id) => FindRecord.parse(await ask(`/finds/${encodeURIComponent(id)}`)),
  send: async (entry) => {
    const path = entry.kind === 'finds' ? '/finds' : `/finds/${encodeURIComponent(entry.find)}/${entry.kind}`;
    await ask(path, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(entry.body) });
  },
};
