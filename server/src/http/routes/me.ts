import { z } from 'zod';
import { notSignedIn } from '../../access';
import { deletePerson, endSession, exportPerson, hasPassword, sessionsOf } from '../../accounts';
import { groupViews } from '../../groups';
import { streamEnds } from '../../notebook';
import { invalid } from '../../problem';
import { body } from '../body';
import { about } from './about';
import { parameter } from './parameters';
import type { Add, Services } from './types';

/** A person, and what is theirs. */

const Delete = z.strictObject({ name: z.string().max(80), password: z.string().max(200).optional() });

export function meRoutes(services: Services, add: Add): void {
  const { db, whoAsks, checkPassword } = services;
  add('get', '/me', 'person', async (_, response, actor) => {
    const me = await db
      .selectFrom('people')
      .select(['id', 'name'])
      .where('id', '=', actor.person)
      .executeTakeFirst();
    if (!me) throw notSignedIn();
    response.json({
      ...me,
      ...about(services),
      groups: await groupViews(db, actor),
      streams: await streamEnds(db, actor),
    });
  });
  add(
    'get',
    '/me/export',
    'person',
    async (_, response, actor) => {
      response
        .set('Content-Disposition', 'attachment; filename="pause-notebook.json"')
        .json(await exportPerson(db, actor.person));
    },
    'heavy',
  );
  add('delete', '/me', 'person', async (request, response, actor) => {
    const { name, password } = body(Delete, request);
    if (await hasPassword(db, actor.person)) {
      if (password === undefined) throw invalid([{ field: 'password', reason: 'write your password' }]);
      if (!(await checkPassword(actor.person, password)))
        throw invalid([{ field: 'password', reason: 'this is not your password' }]);
    }
    await deletePerson(db, actor.person, name);
    response.status(204).end();
  });
  add('get', '/me/sessions', 'person', async (request, response, actor) => {
    const session = await whoAsks(request);
    if (!session) throw notSignedIn();
    response.json({
      sessions: await sessionsOf(db, session),
      hasPassword: await hasPassword(db, actor.person),
    });
  });
  add('delete', '/me/sessions/:session', 'person', async (request, response, actor) => {
    await endSession(db, actor.person, parameter(request, 'session'));
    response.status(204).end();
  });
}
