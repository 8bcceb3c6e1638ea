/**
 * Every line about the kitchen, the harvest, walks and places, over every taxon and whatever was told: it
 * reads as a person would write it.
 */
import './guide';
import * as fc from 'fast-check';
import type { FieldsOf, PageRecord } from '@pause/core';
import { COOKING_WAYS, cookingRefusal, METHODS, refusalOf } from '@pause/core/harvest/preparing';
import {
  estimateOf,
  LIVES,
  take,
  usualWeights,
  type AmountUnit,
  type Count,
  type LifeForm,
  type TakeQuestion,
} from '@pause/core/harvest/taking';
import { isoOf } from '@pause/core/lib/day';
import { Aspect, Hazard, Moisture, Shade } from '@pause/core/notebook/page';
import { kitFor } from '@pause/core/outings';
import type { BatchFields, PortionFields } from '@pause/core/pantry';
import { guide } from '../src/deciding/guide';
import { leftIn, pantryOf } from '../src/notebook/pantry';
import { spoilsFor, stepsOf } from '../src/screens/pantry/batch';
import { daysWords } from '../src/screens/pantry/batchStyles';
import { linesOf } from '../src/screens/pantry/LabelsScreen';
import { portionWords } from '../src/screens/pantry/PantryParts';
import { amountOf, bindsWords, patchWords, seenAs, valueOf, weightOf } from '../src/text/harvest';
import { kitReason } from '../src/text/kit';
import { cautionFor, harmLine } from '../src/text/names';
import {
  amountWords,
  cookingRefusalWords,
  refusalWords,
  SPOILS,
  stepWords,
  tasteRefusalWords,
} from '../src/text/pantry';
import { isoDayName, mayWords, pickingWords, shapeWords, siteWords, whyWords } from '../src/text/places';
import { faultsOf } from './faulty';

jest.mock('@expo-google-fonts/atkinson-hyperlegible-next/400Regular', () => ({
  AtkinsonHyperlegibleNext_400Regular: 'regular.ttf',
}));
jest.mock('@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold', () => ({
  AtkinsonHyperlegibleNext_600SemiBold: 'bold.ttf',
}));

const AT = '2026-09-14T08:00:00.000Z';
const page = (id: string, kind: string, fields: Record<string, unknown>): PageRecord =>
  ({
    id,
    kind,
    at: AT,
    person: 'mirel',
    sightings: [],
    told: Object.entries(fields).map(([field, value]) => ({
      id: `${id}-${field}`,
      at: AT,
      by: 'mirel',
      of: kind,
      field,
      value,
    })),
  }) as unknown as PageRecord;

/** Fails with the lines that are wrong, and what is wrong with each. */
function expectPlain(lines: readonly string[]): void {
  const faults = lines.flatMap((line) => {
    const found = faultsOf(line);
    return found.length > 0 ? [`${line} <- ${found.join(', ')}`] : [];
  });
  expect(faults).toEqual([]);
}

test('faults are found: holes, doubled words, plurals of one, spans that run backwards', () => {
  for (const bad of [
    'Its own marks: .',
    'silent for 12 to 2 days',
    'the the cap',
    '1 pieces',
    'undefined left',
    'Bring ()',
    'a, , b',
    'Passed over: ',
    '3 weeks to 2 days',
    '12 hours to 3 hours',
  ])
    expect([bad, faultsOf(bad)]).not.toEqual([bad, []]);
  for (const good of [
    'silent for 12 hours to 2 days',
    '1 to 2 pieces',
    '11 pieces',
    'About 0.5 litres',
    'It says that that is enough.',
    '2.5 cm',
    'deadly · within 4 hours',
  ])
    expect([good, faultsOf(good)]).toEqual([good, []]);
});

const parts = guide.taxa.flatMap(({ taxon }) => taxon.parts.map((part) => ({ taxon, part })));
const unit = fc.constantFrom<'g' | 'ml' | 'piece'>('g', 'ml', 'piece');
const amount = fc.record({
  amount: fc.oneof(fc.constantFrom(1, 0.5, 1000, 999.6), fc.double({ min: 0.01, max: 5000, noNaN: true })),
  unit,
});

test.each(parts.map(({ taxon, part }) => [`${taxon.id}, ${part.part}, ${part.use}`, taxon, part] as const))(
  'made of %s',
  (_, taxon, part) => {
    const made = { kingdom: taxon.kingdom, part };
    const lines: string[] = [];
    for (const method of METHODS) {
      const refusal = refusalOf(made, method);
      if (refusal) {
        lines.push(refusalWords(refusal));
        continue;
      }
      for (const dried of [false, true]) {
        const flowers = page('batch-before', 'batch', {
          name: 'Before',
          from: [{ of: 'harvest', id: 'h' }],
          contents: [{ taxon: taxon.id, part: part.part }],
          method: 'dry',
          on: '2026-09-01',
        });
        const batch = page('batch-one', 'batch', {
          name: 'One',
          from: [dried ? { of: 'batch', id: 'batch-before' } : { of: 'harvest', id: 'h' }],
          contents: [{ taxon: taxon.id, part: part.part }],
          method,
          on: '2026-09-02',
        });
        const pantry = pantryOf({ 'batch-before': flowers, 'batch-one': batch });
        const one = pantry.batches.find(({ id }) => id === 'batch-one');
        if (!one) throw new Error('no batch');
        lines.push(
          ...linesOf(one, pantry, 'Mirel'),
          ...stepsOf(one.fields, pantry).map(stepWords),
          ...spoilsFor(one.fields).map((code) => SPOILS[code]),
        );
        // What is said of a fungus is no word of a leaf or a stalk.
        if (taxon.kingdom === 'Fungi')
          for (const line of lines)
            expect(line).not.toMatch(/\b(leaf(?! litter)|leaves|berries|the plant)\b/i);
      }
    }
    for (const how of COOKING_WAYS)
      for (const minutes of [0, 1, 60]) {
        const refusal = cookingRefusal(made, { how, minutes });
        if (refusal) lines.push(cookingRefusalWords(refusal));
      }
    lines.push(
      harmLine(taxon.id),
      ...taxon.cautions.map((caution) => `${cautionFor(caution.for)}: ${caution.text}`),
    );
    expectPlain(lines);
  },
);

test('amounts, days and what was eaten of what', () => {
  expectPlain([1, 2, 7, 13, 14, 29, 60, 200, 365, 1095].map((count) => `It keeps ${daysWords(count)}.`));
  expectPlain([
    ...['recalled', 'not-eaten', 'child', 'pregnant'].map((code) => tasteRefusalWords({ code } as never)),
    tasteRefusalWords({ code: 'not-ready', kingdom: 'Fungi' }),
    tasteRefusalWords({ code: 'harmful', grade: 'deadly' }),
  ]);
  fc.assert(
    fc.property(
      amount,
      fc.option(amount, { nil: undefined }),
      fc.constantFrom<PortionFields['what']>('meal', 'outward', 'gift', 'thrown-out'),
      fc.subarray(['Lune', 'Mirel', 'Osk']),
      (made, eaten, what, who) => {
        const batch = page('batch-one', 'batch', {
          name: 'Bilberry syrup',
          from: [],
          contents: [],
          method: 'syrup',
          on: '2026-09-02',
          made,
        } satisfies Partial<BatchFields>);
        const portion = page('meal', 'portion', {
          what,
          at: AT,
          of: [{ of: 'batch', id: 'batch-one', ...(eaten ? { amount: eaten } : {}) }],
          who,
          ...(what === 'gift' ? { toWhom: 'The miller' } : {}),
        });
        const pantry = pantryOf({ 'batch-one': batch, meal: portion });
        const [one, meal] = [pantry.batches[0], pantry.portions[0]];
        if (!one || !meal) throw new Error('no pantry');
        const left = leftIn(pantry, one);
        expectPlain([
          amountWords(made),
          ...(left ? [`${amountWords(left)} left`] : []),
          portionWords(pantry, meal),
        ]);
      },
    ),
  );
});

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
