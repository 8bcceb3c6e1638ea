import type { Request } from 'express';
import { mustBeIn, mustRead, notSignedIn, type Actor } from '../../access';
import { mustView } from '../../pictures';
import { aboutRoutes } from './about';
import { findRoutes } from './finds';
import { groupRoutes } from './groups';
import { meRoutes } from './me';
import { notebookRoutes } from './notebook';
import { parameter } from './parameters';
import { pictureRoutes } from './pictures';
import type { Add, Route, Services } from './types';

export { PUSH } from './paths';
export type { Pace, Route, Services, Who } from './types';

/** Every address of the interface, with who may use it. What is not here is not there. */
export function routes(services: Services): Route[] {
  const all: Route[] = [];
  const add: Add = (method, path, who, handle, pace = 'usual') =>
    void all.push({ method, path, who, pace, handle });
  // Routes are tried in this order, and pushes are the most frequent requests.
  for (const of of [notebookRoutes, aboutRoutes, meRoutes, findRoutes, pictureRoutes, groupRoutes])
    of(services, add);
  return all;
}

/** Who asks, if that may use the route. @throws Problem 401, 403 or 404 */
export async function admitted(
  route: Route,
  request: Request,
  { db, whoAsks, actorFor }: Pick<Services, 'db' | 'whoAsks' | 'actorFor'>,
): Promise<Actor> {
  if (route.who === 'anyone') return { person: '', groups: [] };
  const session = await whoAsks(request);
  if (session === undefined) throw notSignedIn();
  const actor = await actorFor(session.person);
  if (route.who === 'reader') await mustRead(db, actor, parameter(request, 'find'));
  if (route.who === 'viewer') await mustView(db, actor, parameter(request, 'picture'));
  if (route.who === 'member' || route.who === 'keeper')
    mustBeIn(actor, parameter(request, 'group'), route.who);
  return actor;
}
