import '../guide';
import * as fc from 'fast-check';
import type { PageRecord } from '@pause/core';
import { METHODS, refusalOf, COOKING_WAYS, cookingRefusal } from '@pause/core/harvest/preparing';
import type { PortionFields, BatchFields } from '@pause/core/pantry';
import { pantryOf, leftIn } from '../../src/notebook/pantry';
import { stepsOf, spoilsFor } from '../../src/screens/pantry/batch';
import { daysWords } from '../../src/screens/pantry/batchStyles';
import { linesOf } from '../../src/screens/pantry/LabelsScreen';
import { portionWords } from '../../src/screens/pantry/PantryParts';
import { harmLine, cautionFor } from '../../src/text/names';
import {
  refusalWords,
  stepWords,
  SPOILS,
  cookingRefusalWords,
  tasteRefusalWords,
  amountWords,
} from '../../src/text/pantry';
import { faultsOf } from '../faulty';
import { parts, expectPlain } from './kit';

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
    changes: Object.entries(fields).map(([field, value]) => ({
      id: `${id}-${field}`,
      at: AT,
      by: 'mirel',
      of: kind,
      field,
      value,
    })),
  }) as unknown as PageRecord;
test('faults are found: holes, doubled words, plurals of one, spans that run backwards', () => {
  for (const bad of [
    'Its sure signs: .',
    'silent for 12 to 2 days',
    'the the cap',
    '1 pieces',
    'undefined left',
    'Bring ()',
    'a, , b',
    'Not answered: ',
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
