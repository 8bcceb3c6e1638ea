import { isIP } from 'node:net';
import type { RequestHandler } from 'express';
import { invalid, Problem } from '../problem';
import { unkeepable, UNKEEPABLE } from './keepable';
import { PUSH } from './routes';

/** Requests that are refused before anything reads them. */

export const CHANGES_NOTHING = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * A name that is not this server's is refused: a page elsewhere could have its own name lead here (DNS
 * rebinding), and would then be of one origin with it. An address in numbers is nobody's name.
 */
export function onlyOwnNames(publicUrl: string | undefined): RequestHandler {
  const own = publicUrl === undefined ? undefined : new URL(publicUrl).host;
  return (request, _response, next) => {
    const host = request.headers.host ?? '';
    const name = host.replace(/:\d+$/, '');
    const known = host === own || name === 'localhost' || isIP(name.replace(/^\[|\]$/g, '')) !== 0;
    next(known ? undefined : new Problem(421, 'other-host', 'This server is not reached under that name.'));
  };
}

/**
 * A request that changes something must come from a page of this server: another page could send it along
 * with the cookie.
 */
export const fromOwnPages: RequestHandler = (request, _response, next) => {
  const { origin, host } = request.headers;
  const site = request.headers['sec-fetch-site'];
  const foreign =
    (origin !== undefined && !sameHost(origin, host)) ||
    (site !== undefined && site !== 'same-origin' && site !== 'none');
  next(
    foreign && !CHANGES_NOTHING.has(request.method)
      ? new Problem(403, 'other-origin', 'This was sent from a page that does not belong to Pause.')
      : undefined,
  );
};

function sameHost(origin: string, host: string | undefined): boolean {
  try {
    return new URL(origin).host === host;
  } catch {
    return false;
  }
}

export const onlyKeepable: RequestHandler = (request, _response, next) => {
  // Entries are looked at one by one: what cannot be kept of one keeps the others in nobody's way.
  const field = request.path === PUSH ? undefined : unkeepable(request.body);
  if (field !== undefined) throw invalid([{ field: field || 'body', reason: UNKEEPABLE }]);
  next();
};
