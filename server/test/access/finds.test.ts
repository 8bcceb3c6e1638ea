import { randomUUID } from 'node:crypto';
import { at } from '../../../core/test/finds';
import { type Json, type ActorName, find, entry, idOf, group, push, setUp } from './kit';

setUp();

describe('what can be recorded of a find of the group', () => {
  const refusedField = (body: Json) =>
    (((body.results as Json[])[0]?.problem as Json | undefined)?.errors as Json[] | undefined)?.[0]?.field;
  type Case = [string, ActorName, (of: Awaited<ReturnType<typeof find>>) => unknown, string | undefined];
  test.each<Case>([
    [
      'a reading in one’s own name',
      'young',
      ({ find: id, piece }) =>
        entry(id, 'readings', {
          piece,
          character: 'cap.shape',
          value: { kind: 'cant-tell' },
          sureness: 'sure',
          by: idOf('young'),
        }),
      undefined,
    ],
    [
      'a reading in somebody else’s name',
      'keeper',
      ({ find: id, piece }) =>
        entry(id, 'readings', {
          piece,
          character: 'cap.shape',
          value: { kind: 'cant-tell' },
          sureness: 'sure',
          by: idOf('member'),
        }),
      'by',
    ],
    [
      'taking back one’s own reading',
      'member',
      ({ find: id, reading }) => entry(id, 'withdrawals', { reading }),
      undefined,
    ],
    [
      'taking back somebody else’s reading',
      'keeper',
      ({ find: id, reading }) => entry(id, 'withdrawals', { reading }),
      'reading',
    ],
    [
      'a decision in somebody else’s name',
      'keeper',
      ({ find: id, verdict }) => entry(id, 'decisions', { verdict, choice: 'leave', by: idOf('member') }),
      'by',
    ],
    [
      'a young member collects',
      'young',
      ({ find: id, verdict }) => entry(id, 'decisions', { verdict, choice: 'collect', by: idOf('young') }),
      'choice',
    ],
    [
      'a young member walks away',
      'young',
      ({ find: id, verdict }) => entry(id, 'decisions', { verdict, choice: 'leave', by: idOf('young') }),
      undefined,
    ],
    [
      'a young member agrees',
      'young',
      ({ find: id, verdict }) => entry(id, 'consents', { verdict, by: idOf('young') }),
      'by',
    ],
    [
      'the finder tells the place',
      'member',
      ({ find: id }) => entry(id, 'edits', { field: 'placeNote', value: 'Here', by: idOf('member') }),
      undefined,
    ],
    [
      'somebody else tells the place',
      'keeper',
      ({ find: id }) => entry(id, 'edits', { field: 'placeNote', value: 'Here', by: idOf('keeper') }),
      'field',
    ],
    [
      'somebody else tells more people',
      'keeper',
      ({ find: id }) => entry(id, 'edits', { field: 'exactFor', value: 'group', by: idOf('keeper') }),
      'field',
    ],
    [
      'asking another one of the group',
      'member',
      ({ find: id, piece }) =>
        entry(id, 'asks', {
          by: idOf('member'),
          of: idOf('keeper'),
          here: false,
          piece,
          characters: ['cap.shape'],
        }),
      undefined,
    ],
    [
      'asking a stranger from afar',
      'member',
      ({ find: id, piece }) =>
        entry(id, 'asks', {
          by: idOf('member'),
          of: idOf('stranger'),
          here: false,
          piece,
          characters: ['cap.shape'],
        }),
      'of',
    ],
    [
      'asking oneself',
      'member',
      ({ find: id, piece }) =>
        entry(id, 'asks', {
          by: idOf('member'),
          of: idOf('member'),
          here: true,
          piece,
          characters: ['cap.shape'],
        }),
      'of',
    ],
    [
      'asking about what the guide does not have',
      'member',
      ({ find: id, piece }) =>
        entry(id, 'asks', {
          by: idOf('member'),
          of: idOf('keeper'),
          here: false,
          piece,
          characters: ['cap.sheen'],
        }),
      'characters[0]',
    ],
    [
      'a blind reading by the finder',
      'member',
      ({ find: id, piece }) =>
        entry(id, 'readings', {
          piece,
          character: 'cap.shape',
          value: { kind: 'cant-tell' },
          sureness: 'sure',
          by: idOf('member'),
          blind: true,
        }),
      'blind',
    ],
    [
      'a blind reading by another',
      'keeper',
      ({ find: id, piece }) =>
        entry(id, 'readings', {
          piece,
          character: 'cap.shape',
          value: { kind: 'cant-tell' },
          sureness: 'sure',
          by: idOf('keeper'),
          blind: true,
        }),
      undefined,
    ],
    [
      'a find under somebody else’s name',
      'keeper',
      () => {
        const id = randomUUID();
        return {
          find: id,
          kind: 'finds',
          body: { id, startedAt: at(0), kingdom: 'Fungi', person: idOf('member') },
        };
      },
      'person',
    ],
    [
      'a find in the notebook of a group that one left',
      'former',
      () => {
        const id = randomUUID();
        return {
          find: id,
          kind: 'finds',
          body: { id, startedAt: at(0), kingdom: 'Fungi', person: idOf('former'), group },
        };
      },
      'group',
    ],
  ])('%s', async (_, as, make, field) => {
    const { body } = await push(as, [make(await find('member', true))]);
    expect([(body.results as Json[])[0]?.status, refusedField(body)]).toEqual(
      field === undefined ? ['added', undefined] : ['refused', field],
    );
  });

  test('face to face the second answers on the finder’s device; blind only before seeing the first', async () => {
    const { find: id, piece } = await find('member', true);
    const blind = (by: string) =>
      entry(id, 'readings', {
        piece,
        character: 'cap.shape',
        value: { kind: 'cant-tell' },
        sureness: 'sure',
        by,
        blind: true,
      });
    const status = async (as: ActorName, entry: unknown) =>
      ((await push(as, [entry])).body.results as Json[])[0]?.status;
    expect(await status('member', blind('guest-of-member'))).toBe('refused');
    expect(
      await status(
        'member',
        entry(id, 'asks', {
          by: idOf('member'),
          of: 'guest-of-member',
          name: 'Ilse',
          here: true,
          piece,
          characters: ['cap.shape'],
        }),
      ),
    ).toBe('added');
    expect(await status('member', blind('guest-of-member'))).toBe('added');
    expect(await status('keeper', blind('guest-of-member'))).toBe('refused');
    expect(await status('keeper', entry(id, 'reveals', { by: idOf('keeper') }))).toBe('added');
    expect(await status('keeper', blind(idOf('keeper')))).toBe('refused');
  });

  test('a young member collects once an adult has agreed', async () => {
    const { find: id, verdict } = await find('young', true);
    const collect = () =>
      push('young', [entry(id, 'decisions', { verdict, choice: 'collect', by: idOf('young') })]);
    expect(((await collect()).body.results as Json[])[0]?.status).toBe('refused');
    await push('member', [entry(id, 'consents', { verdict, by: idOf('member') })]);
    expect(((await collect()).body.results as Json[])[0]?.status).toBe('added');
  });
});
