/** Pictures in an object store: against a stand-in that speaks the part of the S3 protocol that is used. */
import { randomUUID } from 'node:crypto';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { bytesHash } from '@pause/core/notebook';
import { startServer, type RunningServer } from '../src';
import { openObjects, sweep } from '../src/pictures';
import { freshDatabase } from './database';
import { asking, PASSWORD, someone, type Someone } from './people';

interface StandIn {
  readonly url: string;
  readonly objects: Map<string, { bytes: Buffer; type: string }>;
  down: boolean;
  readonly close: () => Promise<void>;
}
/** Keeps objects by their path, and takes only requests that are signed for its key. */
async function standIn(): Promise<StandIn> {
  const objects = new Map<string, { bytes: Buffer; type: string }>();
  const state = { down: false };
  const server: Server = createServer((request, response) => {
    const parts: Buffer[] = [];
    request.on('data', (part: Buffer) => parts.push(part));
    request.on('end', () => {
      const path = (request.url ?? '').split('?')[0] ?? '';
      const signed =
        /^AWS4-HMAC-SHA256 Credential=ostrel-key\/\d{8}\/eu-test-1\/s3\/aws4_request, SignedHeaders=[^,]*host[^,]*, Signature=[0-9a-f]{64}$/.test(
          request.headers.authorization ?? '',
        );
      const answer = (status: number, body: string | Buffer = '') =>
        response.writeHead(status, { 'content-type': 'application/xml' }).end(body);
      if (state.down) return answer(503, '<Error><Code>SlowDown</Code></Error>');
      if (!signed) return answer(403, '<Error><Code>SignatureDoesNotMatch</Code></Error>');
      const object = objects.get(path);
      if (request.method === 'PUT') {
        objects.set(path, { bytes: Buffer.concat(parts), type: request.headers['content-type'] ?? '' });
        return answer(200);
      }
      if (request.method === 'DELETE') {
        objects.delete(path);
        return answer(204);
      }
      return object
        ? response.writeHead(200, { 'content-type': object.type }).end(object.bytes)
        : answer(404, '<Error><Code>NoSuchKey</Code></Error>');
    });
  });
  await new Promise<void>((resolve) => {
    server.listen(0, '127.0.0.1', resolve);
  });
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    objects,
    get down() {
      return state.down;
    },
    set down(down) {
      state.down = down;
    },
    close: () =>
      new Promise((resolve) => {
        server.closeAllConnections();
        server.close(() => resolve());
      }),
  };
}

const SKETCH = Buffer.from(
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9">${'<path d="M1 1L8 8"/>'.repeat(40)}</svg>`,
);
const at = (second: number) => new Date(Date.now() - 600_000 + second * 1000).toISOString();
let database: Awaited<ReturnType<typeof freshDatabase>>;
let store: StandIn;
let server: RunningServer;
let finder: Someone;
const settings = () => ({ bucket: 'pause-pictures', region: 'eu-test-1', endpoint: store.url });
const { ask, tell } = asking(() => server.url);
const env = { ...process.env };
beforeAll(async () => {
  [process.env.AWS_ACCESS_KEY_ID, process.env.AWS_SECRET_ACCESS_KEY] = ['ostrel-key', 'ostrel-secret'];
  [database, store] = [await freshDatabase('pause_objects'), await standIn()];
  server = await startServer({
    databaseUrl: database.url,
    port: 0,
    demo: false,
    logLevel: 'silent',
    objects: settings(),
  });
  finder = await someone(server.url, 'Una');
});
afterAll(async () => {
  await server.stop();
  await store.close();
  await database.close();
  process.env = env;
});

async function pictured(): Promise<{ id: string; find: string; key: string }> {
  const [find, id] = [randomUUID(), randomUUID()];
  const results = await tell(
    finder,
    { find, kind: 'finds', body: { id: find, startedAt: at(0), kingdom: 'Fungi', person: finder.id } },
    {
      find,
      kind: 'pictures',
      body: {
        id,
        at: at(1),
        by: finder.id,
        picture: 'sketch',
        type: 'image/svg+xml',
        size: SKETCH.length,
        content: bytesHash(SKETCH),
      },
    },
  );
  expect(results).toEqual(['added', 'added']);
  return { id, find, key: `/pause-pictures/pictures/${id}` };
}
const send = (id: string, from: number, to?: number) =>
  fetch(`${server.url}/api/v1/pictures/${id}?from=${from}`, {
    method: 'PUT',
    headers: { cookie: finder.cookie, 'content-type': 'application/octet-stream' },
    body: new Uint8Array(SKETCH.subarray(from, to)),
  });
const view = (id: string) =>
  fetch(`${server.url}/api/v1/pictures/${id}`, { headers: { cookie: finder.cookie } });
const parts = async (id: string) =>
  (await database.db.selectFrom('picture_parts').select('at_byte').where('picture_id', '=', id).execute())
    .length;
const swept = async () => {
  const objects = await openObjects(settings());
  await sweep(database.db, objects);
  objects.close();
};

test('a whole picture lies in the store and no more in the database, and is seen as before', async () => {
  const { id, key } = await pictured();
  expect(await (await send(id, 0, 100)).json()).toEqual({ received: 100, size: SKETCH.length });
  expect([store.objects.has(key), await parts(id)]).toEqual([false, 1]);
  expect(await (await send(id, 100)).json()).toEqual({ received: SKETCH.length, size: SKETCH.length });
  expect([
    store.objects.get(key)?.bytes.equals(SKETCH),
    store.objects.get(key)?.type,
    await parts(id),
  ]).toEqual([true, 'image/svg+xml', 0]);
  // Sent again, it is there.
  expect(await (await send(id, 0)).json()).toEqual({ received: SKETCH.length, size: SKETCH.length });
  expect((await ask(finder, 'GET', `/pictures/${id}/received`)).body).toEqual({
    received: SKETCH.length,
    size: SKETCH.length,
  });
  const seen = await view(id);
  expect([seen.headers.get('content-type'), Buffer.from(await seen.arrayBuffer()).equals(SKETCH)]).toEqual([
    'image/svg+xml',
    true,
  ]);
});

test('a store that is away loses nothing: the last part is sent again', async () => {
  const { id, key } = await pictured();
  await send(id, 0, 100);
  store.down = true;
  expect((await send(id, 100)).status).toBe(503);
  expect((await ask(finder, 'GET', `/pictures/${id}/received`)).body).toMatchObject({ received: 100 });
  store.down = false;
  expect((await send(id, 100)).status).toBe(200);
  expect(store.objects.get(key)?.bytes.equals(SKETCH)).toBe(true);
  store.down = true;
  expect((await view(id)).status).toBe(503);
  store.down = false;
  expect((await view(id)).status).toBe(200);
});

test('what is taken out is seen by nobody at once, and removed from the store, however often that fails', async () => {
  const { id, find, key } = await pictured();
  await send(id, 0);
  expect(
    await tell(finder, {
      find,
      kind: 'drops',
      body: { id: randomUUID(), at: at(3), by: finder.id, picture: id },
    }),
  ).toEqual(['added']);
  expect((await view(id)).status).toBe(404);
  store.down = true;
  await expect(swept()).rejects.toThrow('store of pictures');
  store.down = false;
  expect(store.objects.has(key)).toBe(true);
  await swept();
  expect(store.objects.has(key)).toBe(false);
  expect(await database.db.selectFrom('stored_pictures').select('id').where('id', '=', id).execute()).toEqual(
    [],
  );
});

test('what was in the database before there was a store is still seen', async () => {
  const { id } = await pictured();
  await database.db
    .insertInto('picture_parts')
    .values({ picture_id: id, find_id: 'none', at_byte: 0, bytes: SKETCH })
    .execute();
  expect(Buffer.from(await (await view(id)).arrayBuffer()).equals(SKETCH)).toBe(true);
});

test('with an account its pictures are removed from the store', async () => {
  const { id, key } = await pictured();
  await send(id, 0);
  expect(store.objects.has(key)).toBe(true);
  expect((await ask(finder, 'DELETE', '/me', { name: finder.name, password: PASSWORD })).status).toBe(204);
  await swept();
  expect([...store.objects.keys()]).toEqual([]);
});
