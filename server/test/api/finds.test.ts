import { randomUUID } from 'node:crypto';
import { canonicalJson, decide } from '@pause/core';
import { lookedAtTwice, allUsual, followChecks, guide } from '../../../core/test/finds';
import { begin, post, verdictOf, record, at, PERSON, ask, type Json, server, counts, setUp } from './kit';

setUp();

describe('a find, from beginning to decision', () => {
  test('is stored, judged the same on both sides, decided, and read back whole', async () => {
    const { find, reading } = await begin();
    for (const usual of lookedAtTwice(allUsual('cantharellus-cibarius'))) {
      expect((await post(`/finds/${find}/readings`, reading(usual.character, usual.value))).status).toBe(201);
    }
    const verdict = verdictOf(await record(find));
    expect(verdict.outcome).toBe('collect');
    const id = randomUUID();
    expect((await post(`/finds/${find}/verdicts`, { id, at: at(90), verdict })).status).toBe(201);
    expect(
      (
        await post(`/finds/${find}/decisions`, {
          id: randomUUID(),
          at: at(91),
          verdict: id,
          choice: 'collect',
          by: PERSON,
        })
      ).status,
    ).toBe(201);

    const kept = await record(find);
    expect(kept.readings).toHaveLength(2 * allUsual('cantharellus-cibarius').length);
    expect(kept.decisions.map((d) => d.choice)).toEqual(['collect']);
    expect(canonicalJson(kept.verdicts[0]?.verdict)).toBe(canonicalJson(verdict));
    const [line] = (await ask('GET', '/finds')).body.finds as Json[];
    expect((await ask('GET', '/finds')).body.finds).toContainEqual(
      expect.objectContaining({ id: find, outcome: 'collect', choice: 'collect' }),
    );
    expect(line).toBeDefined();
  });

  test('the stateless decision gives the same bytes as the core', async () => {
    const find = followChecks('boletus-edulis');
    const response = await fetch(`${server.url}/api/v1/decide`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(find),
    });
    expect(canonicalJson(await response.json())).toBe(canonicalJson(decide(guide, find)));
  });

  test('withdrawals, skips and a second piece come back as they were sent', async () => {
    const { find, piece, reading } = await begin();
    const slip = reading('hymenophore', { kind: 'states', states: ['gills'] });
    await post(`/finds/${find}/readings`, slip);
    await post(`/finds/${find}/withdrawals`, { id: randomUUID(), at: at(11), reading: slip.id });
    await post(`/finds/${find}/skips`, { id: randomUUID(), at: at(12), piece, character: 'spore.print' });
    await post(`/finds/${find}/pieces`, { id: randomUUID(), at: at(13), purpose: 'compare' });
    const noted = reading(
      'cap.shape',
      { kind: 'states', states: ['funnel'] },
      { at: at(14), note: 'the far side' },
    );
    await post(`/finds/${find}/readings`, noted);
    expect((await record(find)).readings.at(-1)).toEqual(noted);
    const kept = await record(find);
    expect(kept.withdrawals).toEqual([{ reading: slip.id, at: at(11) }]);
    expect(kept.skips).toEqual([{ character: 'spore.print', piece, at: at(12) }]);
    expect(kept.pieces.map((p) => p.purpose)).toEqual(['decide', 'compare']);
    expect(verdictOf(kept).reasons).toContainEqual({
      weight: 'pause',
      code: 'taken-back',
      character: 'hymenophore',
      piece,
    });
  });
});

describe('sending twice', () => {
  test('the same content changes nothing', async () => {
    const { find, reading } = await begin();
    const body = reading('hymenophore', { kind: 'states', states: ['ridges'] });
    expect((await post(`/finds/${find}/readings`, body)).status).toBe(201);
    const before = await counts();
    expect(await post(`/finds/${find}/readings`, body)).toMatchObject({
      status: 200,
      body: { status: 'known' },
    });
    expect(await counts()).toEqual(before);
  });

  test('at the same moment, too', async () => {
    const { find, reading } = await begin();
    const body = reading('hymenophore', { kind: 'states', states: ['ridges'] });
    const statuses = await Promise.all(
      Array.from({ length: 8 }, async () => (await post(`/finds/${find}/readings`, body)).status),
    );
    expect(statuses.sort()).toEqual([200, 200, 200, 200, 200, 200, 200, 201]);
  });

  test('the same id with other content is refused', async () => {
    const { find, reading } = await begin();
    const body = reading('hymenophore', { kind: 'states', states: ['ridges'] });
    await post(`/finds/${find}/readings`, body);
    const before = await counts();
    const answer = await post(`/finds/${find}/readings`, {
      ...body,
      value: { kind: 'states', states: ['gills'] },
    });
    expect(answer).toMatchObject({
      status: 409,
      body: { type: 'urn:pause:problem:duplicate-id', errors: [{ field: 'id' }] },
    });
    expect(await counts()).toEqual(before);
  });

  test('the same id on another find is refused', async () => {
    const one = await begin();
    const other = await begin();
    const body = one.reading('hymenophore', { kind: 'states', states: ['ridges'] });
    await post(`/finds/${one.find}/readings`, body);
    expect((await post(`/finds/${other.find}/readings`, { ...body, piece: other.piece })).status).toBe(409);
  });

  test('a verdict that came through once is known when it comes again', async () => {
    const { find, reading } = await begin();
    await post(`/finds/${find}/readings`, reading('hymenophore', { kind: 'states', states: ['ridges'] }));
    const body = { id: randomUUID(), at: at(90), verdict: verdictOf(await record(find)) };
    expect((await post(`/finds/${find}/verdicts`, body)).status).toBe(201);
    await post(`/finds/${find}/readings`, reading('cap.shape', { kind: 'states', states: ['funnel'] }));
    expect((await post(`/finds/${find}/verdicts`, body)).status).toBe(200);
  });
});
