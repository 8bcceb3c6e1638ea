import '../guide';
import * as fc from 'fast-check';
import type { FieldsOf } from '@pause/core';
import {
  LIVES,
  type LifeForm,
  type TakeQuestion,
  type Count,
  usualWeights,
  take,
  type AmountUnit,
  estimateOf,
} from '@pause/core/harvest/taking';
import { isoOf } from '@pause/core/lib/day';
import { Aspect, Shade, Hazard, Moisture } from '@pause/core/notebook/page';
import { kitFor } from '@pause/core/outings';
import { guide } from '../../src/deciding/guide';
import { bindsWords, valueOf, patchWords, weightOf, seenAs, amountOf } from '../../src/text/harvest';
import { kitReason } from '../../src/text/kit';
import { siteWords, mayWords, isoDayName, whyWords, pickingWords, shapeWords } from '../../src/text/places';
import { parts, expectPlain } from './kit';

jest.mock('@expo-google-fonts/atkinson-hyperlegible-next/400Regular', () => ({
  AtkinsonHyperlegibleNext_400Regular: 'regular.ttf',
}));
jest.mock('@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold', () => ({
  AtkinsonHyperlegibleNext_600SemiBold: 'bold.ttf',
}));

test('how much to take, and why no more', () => {
  const grams = fc.option(fc.integer({ min: 0, max: 60_000 }), { nil: undefined });
  fc.assert(
    fc.property(
      fc.constantFrom(...parts),
      fc.option(fc.constantFrom(...(Object.keys(LIVES) as LifeForm[])), { nil: undefined }),
      fc.constantFrom<TakeQuestion['permission']>('allowed', 'forbidden', 'unknown'),
      fc.integer({ min: 1, max: 4 }),
      grams,
      fc.option(fc.integer({ min: 0, max: 3000 }), { nil: undefined }),
      fc.boolean(),
      fc.integer({ min: 0, max: 900 }),
      fc.option(fc.double({ min: 0.2, max: 40, noNaN: true }), { nil: undefined }),
      ({ part }, lifeForm, permission, persons, perDay, counted, invader, daysAgo, basketLitres) => {
        const count: Count | undefined =
          counted === undefined ? undefined : { how: 'counted', number: counted };
        const weights = usualWeights(part.part);
        const answer = take({
          need: { eaters: persons, servings: 2, servingGrams: 150, yield: 0.75 },
          permission,
          persons,
          weights,
          ...(perDay === undefined ? {} : { perDay: { amount: perDay, unit: 'g' as AmountUnit } }),
          ...(basketLitres === undefined ? {} : { hands: { basketLitres } }),
          patch: {
            lifeForm,
            part: part.part,
            invader,
            taken: [{ daysAgo, share: 0.33 }],
            ...(count ? { count: estimateOf(count, part.part) } : {}),
          },
        });
        expectPlain(
          [
            bindsWords(answer),
            ...answer.ceilings.map(valueOf),
            ...answer.patch.reasons.map(patchWords),
            ...(answer.grams === undefined ? [] : [weightOf(answer.grams), seenAs(answer.grams, weights)]),
          ].filter((line) => line !== ''),
        );
      },
    ),
    { numRuns: 600 },
  );
  expectPlain(
    (['g', 'piece', 'handful', 'litre'] as const).flatMap((of) =>
      [0, 1, 1.5, 20].map((many) => amountOf(many, of)),
    ),
  );
});

test('places, permission, what to bring and why it comes when it comes', () => {
  const iso = fc.integer({ min: 20_000, max: 22_000 }).map(isoOf);
  const place = fc.record({
    elevation: fc.option(fc.integer({ min: -100, max: 3000 }), { nil: undefined }),
    aspect: fc.option(fc.constantFrom(...Aspect.options), { nil: undefined }),
    shade: fc.option(fc.constantFrom(...Shade.options), { nil: undefined }),
    picking: fc.option(
      fc.oneof(
        fc.record({ may: fc.constantFrom('yes', 'no', 'ask') }),
        fc.record({ may: fc.constant('permit'), permitUntil: iso }),
      ),
      { nil: undefined },
    ),
  }) as unknown as fc.Arbitrary<Partial<FieldsOf<'place'>>>;
  fc.assert(
    fc.property(
      place,
      iso,
      fc.integer({ min: -40, max: 40 }),
      fc.integer({ min: -40, max: 40 }),
      fc.integer({ min: -40, max: 40 }),
      (fields, day, of, records, year) => {
        expectPlain(
          [
            siteWords(fields),
            mayWords(fields, day),
            isoDayName(day),
            whyWords({
              place: of,
              records,
              year,
              metres: of * 20,
              warmer: { aspect: records, shade: year },
            } as never),
          ].filter((line) => line !== ''),
        );
      },
    ),
  );
  const reasons = [
    { code: 'not-known' },
    { code: 'ask-first' },
    { code: 'ask-first', owner: 'The miller' },
    { code: 'forbidden' },
    { code: 'forbidden', owner: 'The miller' },
    { code: 'permit-missing' },
    { code: 'permit-ended', on: '2026-01-31' },
    { code: 'permit-ends', on: '2026-09-20' },
    { code: 'old', on: '2020-05-05' },
    ...[{}, { taxon: 'vaccinium-myrtillus' }, { part: 'fruiting-body' }].flatMap((what) => [
      { code: 'allowance', allowance: { ...what, may: 'no' } },
      { code: 'allowance', allowance: { ...what, may: 'yes', perDay: { amount: 1, unit: 'piece' } } },
      { code: 'allowance', allowance: { ...what, may: 'yes', perDay: { amount: 2, unit: 'litre' } } },
    ]),
  ];
  expectPlain(reasons.map((reason) => pickingWords(reason as never)));
  expectPlain([
    shapeWords({ type: 'Point', coordinates: [14.5, 46.25] }),
    shapeWords({
      type: 'LineString',
      coordinates: [
        [14.5, 46.25],
        [14.501, 46.25],
      ],
    }),
  ]);
  for (const { taxon, part } of parts) {
    const compiled = guide.taxon(taxon.id);
    if (!compiled) throw new Error(taxon.id);
    const kit = kitFor(
      [{ taxon: compiled, part: part.part }],
      new Map([[taxon.id, ['knife', 'paper', 'lens']]]),
      [...Hazard.options],
      { child: true, moisture: [...Moisture.options] },
    );
    expectPlain(kit.map(({ reason }) => kitReason(reason)).filter((line) => line !== ''));
  }
});
