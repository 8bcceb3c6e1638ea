import {
  jpeg,
  JFIF,
  segment,
  PLACE,
  type ActorName,
  group,
  ask,
  push,
  entry,
  idOf,
  find,
  BYTES,
  pictured,
  server,
  people,
  type Json,
  database,
  setUp,
} from './kit';

setUp();

const CAMERA = jpeg(
  JFIF,
  segment(
    0xe1,
    Buffer.concat([
      Buffer.from('Exif\0\0MM\0*\0\0\0\x08\0\x01\x01\x0f\0\x02\0\0\0\x04Cam\0\0\0\0\0', 'latin1'),
    ]),
  ),
);

describe('a place', () => {
  const position = { decimalLatitude: 46.512345, decimalLongitude: 12.198765 };
  const secrets = [PLACE, '46.512345', '12.198765'];
  /** Everything a person can read of a find, by whichever route. */
  async function everything(as: ActorName, id: string): Promise<string> {
    const texts = await Promise.all(
      [
        '/finds',
        `/finds/${id}`,
        `/sync/pull?stream=g:${group}&most=1000`,
        '/me/export',
        '/me',
        `/groups/${group}`,
      ].map(async (path) => (await ask(as, 'GET', path)).text),
    );
    return texts.join('\n');
  }
  const choose = (as: ActorName, id: string, field: string, value: unknown) =>
    push(as, [entry(id, 'edits', { field, value, by: idOf(as) })]);

  test.each<[string, unknown, ActorName[]]>([
    ['nobody else', undefined, ['member']],
    ['only the finder', 'finder', ['member']],
    ['the group', 'group', ['member', 'keeper', 'young']],
    ['one of the group', ['young'], ['member', 'young']],
  ])('chosen for %s: by no route does anybody else learn it', async (_, exactFor, knowing) => {
    const { find: id } = await find('member', true);
    const value = Array.isArray(exactFor) ? exactFor.map((as) => idOf(as as ActorName)) : exactFor;
    if (value !== undefined) await choose('member', id, 'exactFor', value);
    await choose('member', id, 'position', position);
    await choose('member', id, 'placeNote', `${PLACE} ${id}`);
    for (const as of ['member', 'keeper', 'young', 'former', 'stranger'] as const) {
      const read = await everything(as, id);
      expect([as, read.includes(`${PLACE} ${id}`)]).toEqual([as, knowing.includes(as)]);
    }
  });

  test('the square it lies in, where the finder chose that, and nothing nearer', async () => {
    const { find: id } = await find('member', true);
    await choose('member', id, 'position', position);
    // The seconds of a clock may show the same digits.
    expect((await ask('keeper', 'GET', `/finds/${id}`)).text).not.toMatch(/(?<!\d:)46\.5/);
    await choose('member', id, 'others', 'cell');
    const { text } = await ask('keeper', 'GET', `/finds/${id}`);
    expect(text).toContain('"decimalLatitude":46.55');
    for (const secret of secrets) expect(text).not.toContain(secret);
    // What is chosen later counts for what was recorded before, too.
    await choose('member', id, 'others', 'nothing');
    expect((await ask('keeper', 'GET', `/finds/${id}`)).text).not.toMatch(/(?<!\d:)46\.55/);
  });
});

describe('a picture', () => {
  const part = (id: string, from: number, to?: number, as: ActorName = 'member') =>
    ask(as, 'PUT', `/pictures/${id}?from=${from}`, BYTES.subarray(from, to));

  test('comes in parts, goes on where it broke off, and is there when all of it is', async () => {
    const { id } = await pictured();
    expect((await part(id, 0, 10)).body).toEqual({ received: 10, size: BYTES.length });
    expect((await part(id, 0, 10)).body).toEqual({ received: 10, size: BYTES.length });
    expect((await ask('keeper', 'GET', `/pictures/${id}`)).status).toBe(404);
    expect(await part(id, 20)).toMatchObject({
      status: 409,
      body: { received: 10, errors: [{ field: 'from' }] },
    });
    expect((await ask('member', 'GET', `/pictures/${id}/received`)).body).toEqual({
      received: 10,
      size: BYTES.length,
    });
    expect((await part(id, 10)).body).toEqual({ received: BYTES.length, size: BYTES.length });
    const got = await fetch(`${server.url}/api/v1/pictures/${id}`, {
      headers: { cookie: people.keeper.cookie },
    });
    expect([
      got.headers.get('content-type'),
      got.headers.get('content-security-policy'),
      got.headers.get('x-content-type-options'),
    ]).toEqual(['image/jpeg', expect.stringMatching(/sandbox/), 'nosniff']);
    expect(Buffer.from(await got.arrayBuffer()).equals(BYTES)).toBe(true);
  });

  test('is not taken where it is something else than was announced, or holds what the camera wrote', async () => {
    const { id } = await pictured();
    expect(
      (await ask('member', 'PUT', `/pictures/${id}?from=0`, Buffer.alloc(BYTES.length, 7))).body,
    ).toEqual({ received: 0, size: BYTES.length });
    expect(
      (await ask('member', 'PUT', `/pictures/${id}?from=0`, Buffer.alloc(BYTES.length + 1))).status,
    ).toBe(422);
    const { id: taken } = await pictured(false, CAMERA);
    const cut = CAMERA.indexOf('if\0\0MM');
    // In parts that hide it, too.
    for (const parts of [
      [0, CAMERA.length],
      [0, cut, CAMERA.length],
    ]) {
      const answers = [];
      for (const [n, from] of parts.slice(0, -1).entries())
        answers.push(
          await ask('member', 'PUT', `/pictures/${taken}?from=${from}`, CAMERA.subarray(from, parts[n + 1])),
        );
      expect(answers.at(-1)).toMatchObject({
        status: 422,
        body: { errors: [{ field: 'body', reason: expect.stringMatching(/camera/) as string }] },
      });
      expect((await ask('member', 'GET', `/pictures/${taken}/received`)).body).toMatchObject({ received: 0 });
    }
    const text = Buffer.from('not really a photo, but bytes all the same');
    const { id: none } = await pictured(false, text);
    expect(await ask('member', 'PUT', `/pictures/${none}?from=0`, text)).toMatchObject({
      status: 422,
      body: { errors: [{ field: 'body', reason: 'it is no photo' }] },
    });
    expect((await ask('member', 'PUT', `/pictures/${id}?from=0`, { bytes: 1 })).status).toBe(415);
    expect((await ask('member', 'GET', `/pictures/${id}/received`)).body).toMatchObject({ received: 0 });
  });

  test('is taken out again only by whoever made it, and then by nobody seen', async () => {
    const { id, find: of } = await pictured(true);
    const drop = (as: ActorName) => push(as, [entry(of, 'drops', { by: idOf(as), picture: id })]);
    expect(((await drop('keeper')).body.results as Json[])[0]?.status).toBe('refused');
    expect((await ask('keeper', 'GET', `/pictures/${id}`)).status).toBe(200);
    expect(((await drop('member')).body.results as Json[])[0]?.status).toBe('added');
    expect((await ask('keeper', 'GET', `/pictures/${id}`)).status).toBe(404);
    expect((await ask('member', 'GET', `/pictures/${id}`)).status).toBe(404);
    expect(
      await database.db.selectFrom('picture_parts').select('at_byte').where('picture_id', '=', id).execute(),
    ).toEqual([]);
  });
});
