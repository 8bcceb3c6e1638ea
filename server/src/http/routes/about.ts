import { ASKED } from '@pause/core/questions';
import { isMigrated } from '../../db';
import { keptLetters } from '../../mail/mailbox';
import { ping } from '../../notebook';
import { Problem } from '../../problem';
import { openApi, publishedSchema } from '../openapi';
import { parameter, abortSignalOf } from './parameters';
import type { Add, Services } from './types';

/** What a server says of itself, and what it answers to anybody. */

/** The guide and the clock of this server, and how it sends letters. */
export const about = ({ guide, clock, mail }: Pick<Services, 'guide' | 'clock' | 'mail'>) => ({
  guide: { id: guide.guide.id, version: guide.version },
  demo: clock.demo,
  mail: mail ?? 'none',
  now: new Date(clock.now()).toISOString(),
});

export function aboutRoutes(services: Services, add: Add): void {
  addState(services, add);
  addDocuments(services, add);
  for (const asked of ASKED) {
    add(
      'post',
      `/${asked}`,
      'anyone',
      async (request, response) =>
        void response.json(await services.questions.ask(asked, request.body, abortSignalOf(response))),
      'heavy',
    );
  }
}

/** Whether the server runs, and whether it is ready. */
function addState(services: Services, add: Add): void {
  const { pulse, jobs } = services;
  add(
    'get',
    '/health',
    'anyone',
    (_, response) => {
      response.json({ status: 'ok', ...about(services) });
    },
    'uncounted',
  );
  add(
    'get',
    '/ready',
    'anyone',
    async (_, response) => {
      await ping(pulse);
      const missing = [
        ...((await isMigrated(pulse)) ? [] : ['migrations']),
        ...(jobs.running() ? [] : ['queue']),
      ];
      if (missing.length > 0) throw new Problem(503, 'not-ready', `Not ready: ${missing.join(', ')}.`);
      response.json({ status: 'ready' });
    },
    'uncounted',
  );
}

/** The demo's mailbox, the description of the interface, schemas and guides. */
function addDocuments({ db, mail }: Services, add: Add): void {
  if (mail === 'mailbox')
    add(
      'get',
      '/demo/mailbox',
      'anyone',
      async (_, response) => void response.json({ letters: await keptLetters(db) }),
    );
  add('get', '/openapi.json', 'anyone', (_, response) => void response.json(openApi()));
  add('get', '/schemas/:name', 'anyone', (request, response) => {
    const schema = publishedSchema(parameter(request, 'name'));
    if (!schema)
      throw new Problem(404, 'no-such-schema', `There is no schema "${parameter(request, 'name')}".`);
    response.json(schema);
  });
  add('get', '/guides/:version', 'anyone', async (request, response) => {
    const kept = await db
      .selectFrom('guides')
      .select('document')
      .where('version', '=', parameter(request, 'version'))
      .executeTakeFirst();
    if (!kept)
      throw new Problem(
        404,
        'no-such-guide',
        `There is no guide version "${parameter(request, 'version')}".`,
      );
    response.json(kept.document);
  });
}
