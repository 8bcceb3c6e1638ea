import { randomUUID } from 'node:crypto';
import {
  collect,
  keeper,
  tell,
  page,
  batch,
  member,
  at,
  recalls,
  until,
  stranger,
  field,
  setUp,
} from './kit';

setUp();

test('a retracted reading recalls all that was made of the find, for everybody, until it is read again', async () => {
  const { find, readings } = await collect(keeper, 'hydnum-repandum');
  const [harvest, jar, own, gift] = Array.from({ length: 4 }, () => randomUUID()) as [
    string,
    string,
    string,
    string,
  ];
  expect(
    new Set(
      await tell(
        keeper,
        ...page(keeper, 'harvest', harvest, {
          find,
          taxon: 'hydnum-repandum',
          part: 'fruiting-body',
          on: '2026-09-14',
        }),
        ...page(keeper, 'batch', jar, batch([harvest], 'harvest')),
      ),
    ),
  ).toEqual(new Set(['added']));
  // A member made something of it in a notebook of their own.
  expect(
    new Set(
      await tell(
        member,
        ...page(member, 'batch', own, batch([jar]), false),
        ...page(
          member,
          'portion',
          gift,
          { what: 'gift', at: at(9), of: [{ of: 'batch', id: own }], toWhom: 'A neighbour' },
          false,
        ),
      ),
    ),
  ).toEqual(new Set(['added']));
  expect(await recalls(member)).toEqual([]);
  expect(
    new Set(
      await tell(
        keeper,
        ...readings
          .slice(0, 4)
          .map((reading) => ({ find, kind: 'withdrawals', body: { id: randomUUID(), at: at(20), reading } })),
      ),
    ),
  ).toEqual(new Set(['added']));
  const mine = await until(
    () => recalls(keeper),
    (all) => all.length > 0,
  );
  expect(mine).toEqual([
    {
      cause: expect.objectContaining({ code: 'verdict', of: find, because: 'record' }) as unknown,
      ids: [find, harvest, jar].sort(),
    },
  ]);
  expect((await recalls(member)).map(({ ids }) => ids)).toEqual([[harvest, jar, own, gift].sort()]);
  expect(await recalls(stranger)).toEqual([]);
});

test('a deadly stray puts the basket in question until it is settled as something else', async () => {
  const { find } = await collect(keeper, 'vaccinium-myrtillus');
  const harvest = randomUUID();
  const sorting = (grades: string[]) => ({ pieces: 80, found: [grades.length], now: 0, grades });
  expect(
    new Set(
      await tell(
        keeper,
        ...page(keeper, 'harvest', harvest, {
          find,
          taxon: 'vaccinium-myrtillus',
          part: 'fruit',
          on: '2026-09-14',
          sorting: sorting(['deadly']),
        }),
      ),
    ),
  ).toEqual(new Set(['added']));
  const has = (all: { cause: { of: string } }[]) => all.some(({ cause }) => cause.of === harvest);
  expect(has(await until(() => recalls(member), has))).toBe(true);
  expect(await tell(keeper, field(keeper, harvest, 'harvest', 'sorting', sorting(['none'])))).toEqual([
    'added',
  ]);
  expect(
    has(
      await until(
        () => recalls(member),
        (all) => !has(all),
      ),
    ),
  ).toBe(false);
});
