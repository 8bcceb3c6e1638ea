import { z } from 'zod';
import { parseEntry } from '@pause/core/notebook';
import { actorOf, mayRead, streamsOf } from '../../access';
import { pull, push, type Pushed } from '../../notebook';
import { invalid, Problem } from '../../problem';
import { body, parsed } from '../body';
import { UNKEEPABLE, unkeepable } from '../keepable';
import { whole } from './parameters';
import { PUSH } from './paths';
import { pushOptions } from './pushing';
import type { Add, Services } from './types';

/** What devices send, fetch and hear. */

const PULLED_AT_ONCE = 1000;
const PUSHED_AT_ONCE = 500;
const Push = z.strictObject({ entries: z.array(z.unknown()).min(1).max(PUSHED_AT_ONCE) });
const Pull = z.strictObject({
  stream: z
    .string()
    .min(3)
    .max(80)
    .refine((text) => !text.includes('\0'), 'no such notebook'),
  after: whole(Number.MAX_SAFE_INTEGER).default(0),
  most: whole(PULLED_AT_ONCE).default(500),
});

export function notebookRoutes(services: Services, add: Add): void {
  const { db, clock, metrics, live, whoAsks } = services;
  add('post', PUSH, 'person', async (request, response, actor) => {
    const parsed = body(Push, request).entries.map((raw) => {
      const field = unkeepable(raw);
      return field === undefined
        ? parseEntry(raw)
        : { problems: [{ field: field || 'entry', reason: UNKEEPABLE }] };
    });
    const sound = parsed.flatMap((one) => ('entry' in one ? [one.entry] : []));
    const pushed = sound.length > 0 ? await push(db, actor, sound, pushOptions(services, response)) : [];
    let next = 0;
    response.json({
      results: parsed.map((one) => {
        const result: Pushed =
          'entry' in one
            ? (pushed[next++] ?? { status: 'refused', problem: invalid([]) })
            : { status: 'refused', problem: invalid(one.problems) };
        metrics?.entries.inc({ status: result.status });
        return result.status === 'refused' ? { status: 'refused', problem: result.problem.body() } : result;
      }),
      now: new Date(clock.now()).toISOString(),
    });
  });
  add('get', '/sync/pull', 'person', async (request, response, actor) => {
    const { stream, after, most } = parsed(Pull, request.query);
    if (!mayRead(actor, stream))
      throw new Problem(404, 'no-such-stream', `There is no notebook "${stream}".`);
    response.json(await pull(db, actor.person, stream, after, most));
  });
  add('get', '/sync/events', 'person', (request, response, actor) => {
    live.follow(response, {
      person: actor.person,
      streams: streamsOf(actor),
      again: async () =>
        (await whoAsks(request))?.person === actor.person
          ? streamsOf(await actorOf(db, actor.person))
          : undefined,
    });
  });
}
