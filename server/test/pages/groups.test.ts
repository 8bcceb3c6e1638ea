import { randomUUID } from 'node:crypto';
import { decide } from '@pause/core';
import { followChecks, guide, find as aFind } from '../../../core/test/finds';
import type { Someone } from '../people';
import {
  field,
  group,
  ask,
  member,
  tell,
  keeper,
  pulled,
  at,
  type Json,
  young,
  stranger,
  begin,
  setUp,
} from './kit';

setUp();

const rule = (who: Someone, name: string, value: unknown, second = 1, device = 'tollar') =>
  field(who, group, 'group', name, value, second, device);
describe('what a group agrees on', () => {
  const agreed = async () => {
    const { name, policy } = (await ask(member, 'GET', `/groups/${group}`)).body;
    return { name, policy };
  };

  test('merges field by field, the last value counts whenever it arrives', async () => {
    // Two devices that were apart: the one that wrote its field last was heard of first.
    expect(
      await tell(
        keeper,
        rule(keeper, 'extraBars', { deadly: 1 }, 20, 'karrow'),
        rule(keeper, 'familyHint', false, 5, 'karrow'),
      ),
    ).toEqual(['added', 'added']);
    expect(
      await tell(
        keeper,
        rule(keeper, 'extraBars', { deadly: 2 }, 10, 'tollar'),
        rule(keeper, 'place', 'ignored', 11, 'tollar'),
      ),
    ).toEqual(['added', 'added']);
    expect(await agreed()).toEqual({
      name: 'The Karrow walkers',
      policy: {
        secondLookWhenUnreviewed: true,
        extraBars: { deadly: 1 },
        familyHint: false,
        place: 'ignored',
      },
    });
  });

  test('a rule taken back is none, and everything recorded stays in the notebook', async () => {
    expect(
      await tell(
        keeper,
        rule(keeper, 'place', null, 30),
        rule(keeper, 'name', 'Karrow and Tollar', 31),
        rule(keeper, 'name', null, 32),
      ),
    ).toEqual(['added', 'added', '422 value']);
    expect(await agreed()).toEqual({
      name: 'Karrow and Tollar',
      policy: { secondLookWhenUnreviewed: true, extraBars: { deadly: 1 }, familyHint: false },
    });
    expect(await pulled(member, `g:${group}`)).toMatch(/"deadly":2.*"ignored"/);
  });

  test('decides from then on what is recorded of the group’s finds', async () => {
    const id = randomUUID();
    const piece = randomUUID();
    const find = followChecks('hydnum-repandum');
    expect(await tell(keeper, rule(keeper, 'protectedTaxa', ['hydnum-repandum'], 40))).toEqual(['added']);
    await tell(
      member,
      {
        find: id,
        kind: 'finds',
        body: { id, startedAt: at(50), kingdom: 'Fungi', person: member.id, group },
      },
      { find: id, kind: 'pieces', body: { id: piece, at: at(51), purpose: 'decide' } },
      { find: id, kind: 'targets', body: { id: randomUUID(), at: at(52), taxon: 'hydnum-repandum' } },
      { find: id, kind: 'contexts', body: { id: randomUUID(), at: at(53), context: find.context } },
    );
    const { body } = await ask(member, 'POST', '/sync/push', {
      entries: [
        {
          find: id,
          kind: 'verdicts',
          body: {
            id: randomUUID(),
            at: at(54),
            verdict: { ...decide(guide, aFind('hydnum-repandum', [])), outcome: 'pause' },
          },
        },
      ],
    });
    const [result] = body.results as { arrival?: { verdict: { outcome: string; reasons: Json[] } } }[];
    expect(result?.arrival?.verdict.outcome).toBe('leave');
    expect(result?.arrival?.verdict.reasons).toContainEqual({
      code: 'protected',
      by: 'group',
      weight: 'leave',
    });
  });

  test.each<[string, () => Someone, () => unknown, string]>([
    ['a member tells a rule', () => member, () => rule(member, 'familyHint', true), '422 by'],
    ['a young member tells a rule', () => young, () => rule(young, 'familyHint', true), '422 by'],
    ['a stranger tells a rule', () => stranger, () => rule(stranger, 'familyHint', true), '404'],
    ['a keeper tells it in another’s name', () => keeper, () => rule(member, 'familyHint', true), '422 by'],
    [
      'a taxon that the guide does not have',
      () => keeper,
      () => rule(keeper, 'forgoneTaxa', ['boletus-edulis', 'nothing-known']),
      '422 value[1]',
    ],
    ['a rule that is none', () => keeper, () => rule(keeper, 'quickly', true), '422 body.field'],
    ['a field of a place', () => keeper, () => field(keeper, group, 'place', 'note', 'here'), '422 of'],
    [
      'somebody begins the group’s page anew',
      () => keeper,
      () => ({
        ...begin(keeper, 'place', true),
        page: group,
        body: { ...begin(keeper, 'place', true, group).body },
      }),
      '409 id',
    ],
  ])('is left as it is where %s', async (_, who, entry, refusal) => {
    const before = await agreed();
    expect(await tell(who(), entry())).toEqual([refusal]);
    expect(await agreed()).toEqual(before);
  });
});
