import { z } from 'zod';
import { picture, receive, received } from '../../pictures';
import { Problem } from '../../problem';
import { parsed } from '../body';
import { parameter, whole } from './parameters';
import type { Add, Services } from './types';

/** Pictures, in parts. */

const Part = z.strictObject({ from: whole(10_000_000) });

export function pictureRoutes({ db, objects }: Services, add: Add): void {
  add('get', '/pictures/:picture', 'viewer', async (request, response) => {
    const { type, bytes } = await picture(db, objects, parameter(request, 'picture'));
    // A sketch is a drawing that could hold more than a drawing: nothing of it may run, wherever it is
    // opened.
    response
      .set({
        'Content-Type': type,
        'Content-Security-Policy': "default-src 'none'; style-src 'unsafe-inline'; sandbox",
        'Content-Disposition': 'attachment',
        'Cache-Control': 'private, max-age=31536000, immutable',
      })
      .send(bytes);
  });
  add(
    'get',
    '/pictures/:picture/received',
    'viewer',
    async (request, response) => void response.json(await received(db, parameter(request, 'picture'))),
  );
  add('put', '/pictures/:picture', 'viewer', async (request, response, actor) => {
    if (!Buffer.isBuffer(request.body))
      throw new Problem(415, 'not-bytes', 'body: send application/octet-stream');
    const { from } = parsed(Part, request.query);
    response.json(await receive(db, objects, actor, parameter(request, 'picture'), from, request.body));
  });
}
