import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { preparationsOf, Character, compileGuide, isCollectable, Statement } from '@pause/core';
import { dayOf, isoOf } from '@pause/core/lib/day';
import { readLesson } from '@pause/core/practice/lesson';
import { applyPack, lint, parsePack } from '@pause/core/questions';
import { Forecaster } from '@pause/core/season';
import { simulateWeather } from '@pause/core/season/weather';
import { shippedGuide } from '../src';

const guide = compileGuide(shippedGuide());
const wanted = guide.taxa.filter((t) => t.taxon.parts.length > 0);
const dangerous = guide.taxa.filter((t) => t.grade !== 'none');
const collectable = guide.taxa.filter(isCollectable);

test('whatever does harm where it is meant for is in it: many more than are wanted', () => {
  expect(guide.taxa.length).toBeGreaterThanOrEqual(140);
  expect(wanted.length).toBeGreaterThanOrEqual(38);
  expect(collectable.length).toBeGreaterThanOrEqual(24);
  expect(dangerous.length).toBeGreaterThan(2 * wanted.length);
});

test('nothing in it has to be mended', () => {
  const found = lint(guide);
  expect(found.filter(({ level }) => level !== 'note')).toEqual([]);
  // What fewer than two readings support gives no bar; what is so is known, and is little.
  expect([...new Set(found.map(({ code }) => code))].sort()).toEqual(['unconfirmed', 'unreviewed']);
  expect(found.filter(({ code }) => code === 'unconfirmed').length).toBeLessThan(20);
});

test('nobody has reviewed it, and it says so', () => {
  for (const { taxon } of guide.taxa) expect(taxon.review.reviewedBy).toBeNull();
  expect(guide.guide.about).toMatch(/reviewed by no local expert/);
});

test('names in three languages, author and family', () => {
  for (const { taxon } of guide.taxa) {
    expect(Object.keys(taxon.vernacularNames).sort()).toEqual(['de', 'en', 'fr']);
    expect(taxon.scientificNameAuthorship.length).toBeGreaterThan(1);
    expect(taxon.family).toMatch(/ceae$/);
  }
});

test('whatever is wanted says what it waits for, and that agrees with the months and heights', () => {
  const usual = new Forecaster(simulateWeather(11, 2006, dayOf('2027-01-01')), 2026, dayOf('2026-01-01'));
  const [first, last] = [
    (month: number) => dayOf(`2026-${String(month).padStart(2, '0')}-01`),
    (month: number) => dayOf(`2026-${String(month).padStart(2, '0')}-28`),
  ];
  const wrong = wanted.flatMap((taxon) =>
    (taxon.taxon.needs ?? []).flatMap(({ stage }) =>
      (taxon.taxon.phenology ?? [])
        .filter((one) => one.stage === stage)
        .flatMap(({ elevation: [low, high], months: [from, to] }) => {
          const begins = usual.part(
            taxon,
            { stages: [stage] },
            { id: '', site: { elevation: (Math.max(low, 300) + Math.min(high, 1500)) / 2 } },
          )?.begins.mid;
          // A month either way: the guide's months are of many slopes and years.
          return begins !== undefined && begins >= first(from) - 30 && (begins <= last(to) + 15 || to < from)
            ? []
            : [
                `${taxon.id} ${stage} ${low}-${high}: ${begins === undefined ? 'never' : isoOf(begins)}, ` +
                  `not ${from}-${to}`,
              ];
        }),
    ),
  );
  expect(wrong).toEqual([]);
  for (const { taxon } of wanted)
    for (const part of taxon.parts)
      expect([
        taxon.id,
        part.stages.filter((stage) => !taxon.needs?.some((need) => need.stage === stage)),
      ]).toEqual([taxon.id, []]);
});

test('every taxon says when and how high its stages stand', () => {
  for (const { taxon } of guide.taxa) {
    expect([
      taxon.id,
      taxon.stages.filter((stage) => !taxon.phenology?.some((p) => p.stage === stage)),
    ]).toEqual([taxon.id, []]);
  }
});

test('every taxon says where it grows', () => {
  const places = new Set(guide.characters.filter((c) => c.place).map((c) => c.index));
  for (const taxon of guide.taxa)
    expect([taxon.id, [...taxon.atStage.keys()].some((c) => places.has(c))]).toEqual([taxon.id, true]);
});

test('what is wanted says what it gives, what must be done first, how it lives on, and what to mind', () => {
  for (const { taxon } of wanted) {
    expect([taxon.id, taxon.parts.every((part) => part.before.length > 0)]).toEqual([taxon.id, true]);
    expect([taxon.id, taxon.regrowth === undefined]).toEqual([taxon.id, false]);
    const eaten = taxon.parts.some((part) => part.route === undefined || part.route === 'eaten');
    if (eaten) expect([taxon.id, taxon.food === undefined]).toEqual([taxon.id, false]);
    if (taxon.kingdom === 'Fungi') expect([taxon.id, taxon.cautions.length > 0]).toEqual([taxon.id, true]);
    expect(taxon.signature.length).toBeGreaterThanOrEqual(2);
  }
});

test('what is deadly or serious says what it does, and how long it stays silent', () => {
  for (const { taxon, grade } of dangerous) {
    expect([taxon.id, taxon.harm.effects === undefined]).toEqual([taxon.id, false]);
    if (grade === 'unpleasant') continue;
    expect([taxon.id, taxon.harm.syndrome === undefined, taxon.harm.onsetHours === undefined]).toEqual([
      taxon.id,
      false,
      false,
    ]);
  }
});

test('amatoxins, orellanine and colchicine are said to be silent for hours', () => {
  const silent = guide.taxa.filter((t) =>
    /amatoxins|orellanus|colchicine|gyromitrin/.test(t.taxon.harm.syndrome ?? ''),
  );
  expect(silent.length).toBeGreaterThanOrEqual(8);
  for (const { taxon } of silent)
    expect([taxon.id, (taxon.harm.onsetHours?.[0] ?? 0) >= 2]).toEqual([taxon.id, true]);
});

test('no benefit gives a dose', () => {
  for (const { taxon } of guide.taxa) {
    for (const benefit of taxon.benefits ?? []) expect(benefit.text).not.toMatch(/\d/);
  }
});

test('a fungus is never eaten raw', () => {
  for (const { taxon } of wanted.filter((t) => t.taxon.kingdom === 'Fungi')) {
    for (const part of taxon.parts)
      expect([taxon.id, preparationsOf(part).some(({ text }) => /[Cc]ook|Boil/.test(text))]).toEqual([
        taxon.id,
        true,
      ]);
  }
});

test('each wanted fungus and each wanted plant of a dangerous family lists what it is taken for', () => {
  for (const { taxon } of collectable) {
    if (['agaricoid', 'umbellifer', 'lily', 'conifer', 'morchelloid', 'gasteroid'].includes(taxon.bodyPlan)) {
      expect([taxon.id, taxon.lookalikes.length > 0]).toEqual([taxon.id, true]);
    }
  }
});

test('a near-double says why, and does harm', () => {
  for (const { taxon } of guide.taxa) {
    for (const double of taxon.nearDoubles ?? []) {
      expect(double.why.length).toBeGreaterThan(40);
      expect([taxon.id, guide.taxon(double.taxon)?.grade]).toEqual([
        taxon.id,
        expect.stringMatching(/^(deadly|serious)$/),
      ]);
    }
  }
  expect(guide.taxon('kuehneromyces-mutabilis')?.taxon.nearDoubles?.map((d) => d.taxon)).toEqual([
    'galerina-marginata',
  ]);
});

test('the examples of the format are of the format', () => {
  const blocks = [
    ...readFileSync(join(__dirname, '../../docs/guide-format.md'), 'utf8').matchAll(
      /```json\n([\s\S]*?)```/g,
    ),
  ].map(([, text]) => text ?? '');
  const [character, statements, pack, lesson] = blocks;
  expect(blocks).toHaveLength(4);
  expect(Character.parse(JSON.parse(character!)).id).toBe('stem.marks');
  for (const line of statements!.trim().split('\n'))
    expect(Statement.safeParse(JSON.parse(line)).success).toBe(true);
  const { held } = applyPack(shippedGuide(), parsePack(JSON.parse(pack!)));
  expect(held).toEqual([
    {
      taxon: 'conium-maculatum',
      character: 'stem.marks',
      stages: ['vegetative', 'flowering', 'fruiting'],
      why: 'only-widened',
    },
  ]);
  expect(readLesson(lesson!)).toHaveProperty('file.lesson.pairs', [
    { target: 'agaricus-campestris', other: 'amanita-virosa', note: 'Dig out the base.' },
  ]);
});
