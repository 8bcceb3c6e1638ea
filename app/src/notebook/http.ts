import { z } from 'zod';
import { Stamp, type Policy, type Verdict } from '@pause/core';
import { parseEntry } from '@pause/core/notebook';
import { t } from '../text/en/notebook';
import { Away, Refused, type Api, type Pulled } from './api';

/** The server over HTTP. Whatever comes from it is parsed here, once. */

const Role = z.enum(['keeper', 'member', 'young']);
const anything = <T>() => z.custom<T>((value) => typeof value === 'object' && value !== null);
const GroupAnswer = z.object({
  id: z.string(),
  name: z.string(),
  role: Role,
  policy: anything<Policy>(),
  members: z.array(z.object({ person: z.string(), name: z.string(), role: Role, joinedAt: z.string() })),
  former: z.array(z.object({ person: z.string(), name: z.string() })),
  reviews: z
    .array(
      z.object({
        taxon: z.string(),
        content: z.string(),
        by: z.string(),
        at: z.string(),
        note: z.string().optional(),
      }),
    )
    .default([]),
});
const Me = z.object({
  id: z.string(),
  name: z.string(),
  demo: z.boolean(),
  now: z.iso.datetime(),
  guide: z.object({ id: z.string(), version: z.string() }),
  groups: z.array(GroupAnswer),
  streams: z.array(z.object({ id: z.string(), last: z.number() })),
});
const ProblemDetails = z.object({
  title: z.string(),
  status: z.number(),
  type: z.string(),
  errors: z.array(z.object({ field: z.string(), reason: z.string() })).optional(),
});
const Pushed = z.object({
  results: z.array(
    z.union([
      z.object({
        status: z.enum(['added', 'known']),
        stream: z.string(),
        seq: z.number(),
        stamp: Stamp,
        at: z.string().optional(),
        arrival: anything<{ verdict: Verdict }>().optional(),
      }),
      z.object({ status: z.literal('refused'), problem: ProblemDetails }),
    ]),
  ),
});
const Page = z.object({
  entries: z.array(z.looseObject({ seq: z.number(), number: z.number().optional() })),
  last: z.number(),
});

const WAIT_MS = 15_000;
type Send = (path: string, init: RequestInit) => Promise<Response>;

async function reach(send: Send, path: string, init: RequestInit): Promise<Response> {
  try {
    return await send(`/api/v1${path}`, { ...init, signal: AbortSignal.timeout(WAIT_MS) });
  } catch {
    throw new Away(t.serverDoesNotAnswer);
  }
}

/** What an answer says. @throws Refused, or Away where trying again may help */
async function bodyOf(response: Response): Promise<unknown> {
  const text = await response.text().catch(() => {
    throw new Away(t.answerBrokeOff);
  });
  let parsed: unknown;
  try {
    parsed = text === '' ? undefined : JSON.parse(text);
  } catch {
    throw new Away(t.answerIsNotJson);
  }
  if (response.ok) return parsed;
  const problem = ProblemDetails.safeParse(parsed).data;
  // The library for accounts says it in its own way.
  const title =
    problem?.title ??
    z.object({ message: z.string() }).safeParse(parsed).data?.message ??
    t.serverAnswered(response.status);
  if (response.status >= 500 || response.status === 429) throw new Away(title);
  throw new Refused(
    response.status,
    problem?.type.replace('urn:pause:problem:', '') ?? 'unknown',
    title,
    problem?.errors,
  );
}

async function askBy(
  send: Send,
  method: 'GET' | 'POST' | 'PATCH' | 'DELETE',
  path: string,
  body?: unknown,
): Promise<unknown> {
  return bodyOf(
    await reach(send, path, {
      method,
      ...(body === undefined
        ? {}
        : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    }),
  );
}

const Received = z.object({ received: z.number().int().nonnegative(), size: z.number().int().positive() });

/** What is not as it should be comes from a server of another time: nothing is taken of it. */
function believed<S extends z.ZodType>(schema: S, parsed: unknown): z.infer<S> {
  const result = schema.safeParse(parsed);
  if (!result.success) throw new Away(t.answerIsNotKnown);
  return result.data;
}

const About = z.object({
  demo: z.boolean(),
  now: z.iso.datetime(),
  mail: z.enum(['none', 'smtp', 'mailbox']).optional(),
});

/** @param send another way than the browser's own, for a harness */
export function http(send: Send = (path, init) => fetch(path, init)): Api {
  const ask: Api['ask'] = (method, path, body) => askBy(send, method, path, body);
  return {
    me: async () => believed(Me, await ask('GET', '/me')),
    about: async () => believed(About, await ask('GET', '/health')),
    push: async (entries) => {
      const { results } = believed(Pushed, await ask('POST', '/sync/push', { entries }));
      if (results.length !== entries.length) throw new Away(t.notAnsweredForEveryEntry);
      return results.map((one) =>
        one.status === 'refused'
          ? { status: 'refused', reason: one.problem.title }
          : { ...one, status: 'arrived' },
      );
    },
    pull: async (stream, after) => {
      const query = new URLSearchParams({ stream, after: String(after) }).toString();
      return pulledOf(believed(Page, await ask('GET', `/sync/pull?${query}`)));
    },
    ...pictures(send),
    ask,
  };
}

/** What can be read of a page of a stream: up to the first entry of a newer application. */
function pulledOf({ entries, last }: z.infer<typeof Page>): Pulled {
  const read = entries.map(({ seq, number, ...raw }) => ({ seq, number, parsed: parseEntry(raw) }));
  const end = read.findIndex(({ parsed }) => 'problems' in parsed);
  return {
    last,
    newer: end >= 0,
    entries: read
      .slice(0, end < 0 ? read.length : end)
      .flatMap(({ seq, number, parsed }) =>
        'entry' in parsed ? [{ seq, number, entry: parsed.entry }] : [],
      ),
  };
}

/** The bytes of pictures, in parts to the server and whole from it. */
function pictures(send: Send): Pick<Api, 'received' | 'sendPart' | 'picture'> {
  const at = (id: string) => `/pictures/${encodeURIComponent(id)}`;
  return {
    received: async (id) => believed(Received, await askBy(send, 'GET', `${at(id)}/received`)),
    sendPart: async (id, from, bytes) =>
      believed(
        Received,
        await bodyOf(
          await reach(send, `${at(id)}?from=${from}`, {
            method: 'PUT',
            headers: { 'content-type': 'application/octet-stream' },
            body: bytes,
          }),
        ),
      ),
    picture: async (id) => {
      const response = await reach(send, at(id), {});
      if (!response.ok) throw new Refused(response.status, 'not-here-yet', t.pictureIsOnItsWay);
      return response.blob().catch(() => {
        throw new Away(t.answerBrokeOff);
      });
    },
  };
}
