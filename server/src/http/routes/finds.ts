import type { Response } from 'express';
import { FIND_KIND_NAMES } from '@pause/core';
import { BODIES, type Entry } from '@pause/core/notebook';
import { noSuchFind, type Actor } from '../../access';
import { listFinds, push } from '../../notebook';
import { invalid } from '../../problem';
import { recallsFor } from '../../recall';
import { body } from '../body';
import { parameter, abortSignalOf } from './parameters';
import { pushOptions } from './pushing';
import type { Add, Services } from './types';

/** Finds, and what belongs to them. */

const FINDS_LISTED = 200;

export function findRoutes(services: Services, add: Add): void {
  const { db, guide, reading } = services;
  /** Puts one entry on record: 201 for what is new, 200 for what had arrived before. */
  const one = async (entry: Entry, actor: Actor, response: Response) => {
    const [result] = await push(db, actor, [entry], pushOptions(services, response));
    if (!result || result.status === 'refused') throw result?.problem ?? invalid([]);
    response.status(result.status === 'added' ? 201 : 200).json(result);
  };
  add(
    'get',
    '/recalls',
    'person',
    async (_, response, actor) => void response.json(await recallsFor(db, actor, guide.version)),
  );
  add(
    'get',
    '/finds',
    'person',
    async (_, response, actor) => void response.json({ finds: await listFinds(db, actor, FINDS_LISTED) }),
  );
  add('get', '/finds/:find', 'reader', async (request, response, actor) => {
    const find = parameter(request, 'find');
    const json = await reading.find(db, find, actor.person, abortSignalOf(response));
    if (json === undefined) throw noSuchFind(find);
    response.type('json').send(json);
  });
  for (const kind of FIND_KIND_NAMES) {
    const schema = BODIES[kind];
    if (kind === 'finds') {
      add('post', '/finds', 'person', async (request, response, actor) => {
        const made = body(BODIES.finds, request);
        await one({ kind, find: made.id, body: made }, actor, response);
      });
    } else {
      add('post', `/finds/:find/${kind}`, 'reader', async (request, response, actor) => {
        await one(
          { kind, find: parameter(request, 'find'), body: body(schema, request) } as Entry,
          actor,
          response,
        );
      });
    }
  }
}
