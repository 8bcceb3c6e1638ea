import { randomUUID } from 'node:crypto';
import { guide } from '../../../core/test/finds';
import { begin, at, PERSON, counts, post, type Json, verdictOf, record, ask, setUp } from './kit';

setUp();

describe('what is wrong is refused with its field, and nothing is stored', () => {
  test.each<[string, string, (b: Awaited<ReturnType<typeof begin>>) => unknown, number, string]>([
    [
      'unknown taxon',
      'targets',
      () => ({ id: randomUUID(), at: at(3), taxon: 'morchella-nowhere' }),
      422,
      'taxon',
    ],
    [
      'state not in the character',
      'readings',
      ({ reading }) => reading('hymenophore', { kind: 'states', states: ['teeth'] }),
      422,
      'value.states[0]',
    ],
    [
      'number without unit',
      'readings',
      ({ reading }) => reading('cap.width', { kind: 'measure', number: 40 }),
      422,
      'value.unit',
    ],
    [
      'absurd number',
      'readings',
      ({ reading }) => reading('cap.width', { kind: 'measure', number: 1e9, unit: 'mm' }),
      422,
      'value.number',
    ],
    [
      'reading on a piece that does not exist',
      'readings',
      ({ reading }) => reading('hymenophore', { kind: 'states', states: ['ridges'] }, { piece: 'nowhere' }),
      422,
      'piece',
    ],
    [
      'unknown character',
      'readings',
      ({ reading }) => reading('cap.sheen', { kind: 'states', states: ['dull'] }),
      422,
      'character',
    ],
    [
      'unknown person',
      'readings',
      ({ reading }) => reading('hymenophore', { kind: 'states', states: ['ridges'] }, { by: 'nobody' }),
      422,
      'by',
    ],
    [
      'a member nobody knows',
      'readings',
      ({ reading }) => reading('hymenophore', { kind: 'states', states: ['ridges'] }, { edible: true }),
      422,
      'body',
    ],
    [
      'no time',
      'readings',
      ({ reading }) => reading('hymenophore', { kind: 'states', states: ['ridges'] }, { at: 'noon' }),
      422,
      'at',
    ],
    [
      'a stage of the other kingdom',
      'contexts',
      () => ({ id: randomUUID(), at: at(3), context: { stages: ['flowering'] } }),
      422,
      'context.stages[0]',
    ],
    [
      'taking back what was not read',
      'withdrawals',
      () => ({ id: randomUUID(), at: at(3), reading: 'nothing' }),
      422,
      'reading',
    ],
    [
      'skipping what cannot be asked',
      'skips',
      ({ piece }) => ({ id: randomUUID(), at: at(3), piece, character: 'cap.sheen' }),
      422,
      'character',
    ],
    [
      'deciding on no verdict',
      'decisions',
      () => ({ id: randomUUID(), at: at(3), verdict: randomUUID(), choice: 'leave', by: PERSON }),
      422,
      'verdict',
    ],
    [
      'collecting without a verdict',
      'decisions',
      () => ({ id: randomUUID(), at: at(3), choice: 'collect', reason: 'It looks right.', by: PERSON }),
      422,
      'verdict',
    ],
  ])('%s', async (_, path, body, status, field) => {
    const begun = await begin();
    const before = await counts();
    const answer = await post(`/finds/${begun.find}/${path}`, body(begun));
    expect(answer.status).toBe(status);
    expect(answer.type).toMatch('application/problem+json');
    expect((answer.body.errors as Json[]).map((e) => e.field)).toContain(field);
    expect(answer.body.title).not.toBe('');
    expect(await counts()).toEqual(before);
  });

  test('a verdict that differs from the server’s is kept beside it, and both are given', async () => {
    const { find, reading } = await begin();
    await post(`/finds/${find}/readings`, reading('hymenophore', { kind: 'states', states: ['ridges'] }));
    const verdict = verdictOf(await record(find));
    const forged = { id: randomUUID(), at: at(90), verdict: { ...verdict, outcome: 'collect' } };
    expect(await post(`/finds/${find}/verdicts`, forged)).toMatchObject({
      status: 201,
      body: { arrival: { because: 'record', verdict: { outcome: 'pause' } } },
    });
    expect(await post(`/finds/${find}/verdicts`, forged)).toMatchObject({
      status: 200,
      body: { arrival: { because: 'record' } },
    });
    const older = { ...verdict, guide: { id: 'ostrel', version: 'f'.repeat(64) } };
    const same = await post(`/finds/${find}/verdicts`, { id: randomUUID(), at: at(91), verdict: older });
    expect([same.status, same.body.arrival]).toEqual([201, undefined]);
    expect(
      await post(`/finds/${find}/verdicts`, {
        id: randomUUID(),
        at: at(92),
        verdict: { ...older, outcome: 'leave' },
      }),
    ).toMatchObject({ status: 201, body: { arrival: { because: 'guide' } } });
    expect((await record(find)).verdicts.map((v) => [v.verdict.outcome, v.arrival?.verdict.outcome])).toEqual(
      [
        ['collect', 'pause'],
        ['pause', undefined],
        ['leave', 'pause'],
      ],
    );
    const elsewhere = await post(`/finds/${find}/verdicts`, {
      id: randomUUID(),
      at: at(93),
      verdict: { ...verdict, guide: { id: 'elsewhere', version: guide.version } },
    });
    expect(elsewhere).toMatchObject({ status: 422, body: { errors: [{ field: 'verdict.guide.id' }] } });
  });

  test('what has no verdict can be left', async () => {
    const { find } = await begin();
    const left = { id: randomUUID(), at: at(91), choice: 'leave', by: PERSON };
    expect((await post(`/finds/${find}/decisions`, left)).status).toBe(201);
    expect((await record(find)).decisions).toMatchObject([{ choice: 'leave' }]);
  });

  test('collecting against the verdict without a reason', async () => {
    const { find } = await begin();
    const id = randomUUID();
    await post(`/finds/${find}/verdicts`, { id, at: at(90), verdict: verdictOf(await record(find)) });
    const decision = { id: randomUUID(), at: at(91), verdict: id, choice: 'collect', by: PERSON };
    expect(await post(`/finds/${find}/decisions`, decision)).toMatchObject({
      status: 422,
      body: { errors: [{ field: 'reason' }] },
    });
    expect(
      (await post(`/finds/${find}/decisions`, { ...decision, reason: 'A guide of the valley named it.' }))
        .status,
    ).toBe(201);
  });

  test('malformed JSON, no JSON, a 2 MB body', async () => {
    const before = await counts();
    expect(await post('/finds', '{"id": ')).toMatchObject({
      status: 400,
      body: { type: 'urn:pause:problem:not-json' },
    });
    expect((await ask('POST', '/finds', 'id=3', 'application/x-www-form-urlencoded')).status).toBe(415);
    const large = await post('/finds', { id: randomUUID(), placeNote: 'x'.repeat(2 * 1024 * 1024) });
    expect(large).toMatchObject({ status: 413, body: { title: 'body: at most 1024 kB are taken at once' } });
    expect(await counts()).toEqual(before);
  });

  test('addresses that lead nowhere', async () => {
    expect(await ask('GET', '/finds/none-such')).toMatchObject({
      status: 404,
      body: { type: 'urn:pause:problem:no-such-find' },
    });
    expect(
      (await post('/finds/none-such/targets', { id: randomUUID(), at: at(1), taxon: 'boletus-edulis' }))
        .status,
    ).toBe(404);
    expect((await ask('GET', '/nothing')).status).toBe(404);
    expect((await ask('GET', `/guides/${'0'.repeat(64)}`)).status).toBe(404);
  });
});
