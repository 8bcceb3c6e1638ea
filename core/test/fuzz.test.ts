import fc from 'fast-check';
import { shippedGuide } from '@pause/guide';
import { canonicalJson, compileGuide, decide } from '../src';
import { CaseError, parseCase } from '../src/case/parse';
import { GuideError, parseGuide } from '../src/guide/parse';
import { ask, applyPack, lint, parsePack } from '../src/questions';
import { followChecks, guide, targets } from './finds';

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

/** What somebody's editor, script or transfer does to a file. */
type Damage = {
  readonly at: number;
  readonly how:
    'drop' | 'null' | 'wrong-type' | 'empty' | 'twice' | 'swap-word' | 'huge' | 'negative' | 'unknown-member';
};
const damage: fc.Arbitrary<Damage> = fc.record({
  at: fc.nat(1_000_000),
  how: fc.constantFrom(
    'drop',
    'null',
    'wrong-type',
    'empty',
    'twice',
    'swap-word',
    'huge',
    'negative',
    'unknown-member',
  ),
});

/** Every place in a value that can be damaged: its holder and its key. */
function places(
  value: Json,
  found: { holder: Json[] | { [key: string]: Json }; key: number | string }[] = [],
) {
  if (value === null || typeof value !== 'object') return found;
  const keys = Array.isArray(value) ? value.map((_, i) => i) : Object.keys(value);
  for (const key of keys) {
    found.push({ holder: value, key });
    places((value as { [key: string]: Json })[key] as Json, found);
  }
  return found;
}

function spoil(original: Json, damages: readonly Damage[]): Json {
  const value = JSON.parse(JSON.stringify(original)) as Json;
  for (const { at, how } of damages) {
    const all = places(value);
    const place = all[at % Math.max(1, all.length)];
    if (!place) continue;
    const holder = place.holder as { [key: string]: Json };
    const old = holder[place.key] as Json;
    if (how === 'drop') {
      if (Array.isArray(place.holder)) place.holder.splice(Number(place.key), 1);
      else Reflect.deleteProperty(holder, place.key);
    } else if (how === 'twice' && Array.isArray(place.holder)) place.holder.push(old);
    else if (how === 'unknown-member' && old !== null && typeof old === 'object' && !Array.isArray(old))
      old.surprise = 1;
    else if (how === 'swap-word') holder[place.key] = typeof old === 'string' ? `${old}-x` : 'word';
    else
      holder[place.key] = {
        null: null,
        'wrong-type': typeof old === 'string' ? 7 : 'text',
        empty: Array.isArray(old) ? [] : '',
        huge: 1e300,
        negative: -1,
      }[how as 'null'];
  }
  return value;
}

const spoiled = (original: Json) =>
  fc.array(damage, { minLength: 1, maxLength: 4 }).map((damages) => spoil(original, damages));
const RUNS = { numRuns: 700, seed: 20 };

// A guide of a few taxa breaks in the same ways as a large one, and many of them are soon tried.
const whole = JSON.parse(JSON.stringify(shippedGuide())) as {
  id: string;
  taxa: { id: string; lookalikes: string[] }[];
};
const few = (...ids: string[]) =>
  whole.taxa
    .filter((t) => ids.includes(t.id))
    .map((t) => ({ ...t, lookalikes: t.lookalikes.filter((other) => ids.includes(other)) }));
const small = {
  ...whole,
  taxa: few('hydnum-repandum', 'veratrum-album', 'gentiana-lutea'),
} as unknown as Json;

function refusal(error: unknown): void {
  expect(error).toBeInstanceOf(GuideError);
  const { problems } = error as GuideError;
  expect(problems.length).toBeGreaterThan(0);
  for (const problem of problems)
    expect([typeof problem.path, problem.reason.length > 0]).toEqual(['string', true]);
}

test('700 broken guides end in clear errors only', () => {
  let refused = 0;
  expect(() => parseGuide(small)).not.toThrow();
  fc.assert(
    fc.property(spoiled(small), (raw) => {
      try {
        const parsed = compileGuide(parseGuide(raw));
        lint(parsed);
      } catch (error) {
        refusal(error);
        refused += 1;
      }
    }),
    RUNS,
  );
  expect(refused).toBeGreaterThan(350);
});

test('700 broken packs end in clear errors only', () => {
  let refused = 0;
  const under = parseGuide(small);
  const pack = {
    format: 'pause-pack/1',
    id: 'valley',
    title: 'Valley',
    licence: 'CC0-1.0',
    about: 'Local',
    over: whole.id,
    taxa: few('colchicum-autumnale').map((t) => ({ ...t, lookalikes: [] })),
    characters: [
      {
        id: 'leaf.sound',
        kingdom: 'Plantae',
        organ: 'leaf',
        name: 'Sound',
        question: 'Does it squeak?',
        how: 'Rub.',
        group: 'leaf.sound',
        observe: 'rub',
        seconds: 5,
        damage: 'none',
        misread: 0.1,
        kind: 'states',
        states: [
          { id: 'yes', label: 'Yes' },
          { id: 'no', label: 'No' },
        ],
      },
    ],
    names: { 'gentiana-lutea': { it: ['genziana'] } },
    lookalikes: { 'gentiana-lutea': ['colchicum-autumnale'] },
    statements: [
      {
        taxon: 'veratrum-album',
        statement: { character: 'leaf.sound', usual: ['no'] },
        reviewedBy: 'Jorun Ask',
      },
      {
        taxon: 'veratrum-album',
        statement: {
          character: 'plant.height',
          stages: ['flowering'],
          range: { usual: [60, 160], outer: [20, 210], unit: 'cm' },
        },
      },
      { taxon: 'gentiana-lutea', statement: { character: 'leaf.arrangement', usual: ['opposite'] } },
    ],
  } as unknown as Json;
  expect(applyPack(under, parsePack(pack)).held).toHaveLength(1);
  fc.assert(
    fc.property(spoiled(pack), (raw) => {
      try {
        compileGuide(applyPack(under, parsePack(raw)).guide);
      } catch (error) {
        refusal(error);
        refused += 1;
      }
    }),
    RUNS,
  );
  expect(refused).toBeGreaterThan(350);
});

test('700 broken cases end in clear errors only', () => {
  let refused = 0;
  const cases = targets.map(
    (t) =>
      JSON.parse(
        JSON.stringify({
          ...followChecks(t.id),
          skips: [],
          withdrawals: [],
          policy: { secondLook: ['serious'] },
        }),
      ) as Json,
  );
  fc.assert(
    fc.property(fc.constantFrom(...cases).chain(spoiled), (raw) => {
      try {
        const verdict = decide(guide, parseCase(raw, guide));
        expect(['leave', 'pause', 'collect']).toContain(verdict.outcome);
        expect(canonicalJson(verdict).length).toBeGreaterThan(100);
      } catch (error) {
        expect(error).toBeInstanceOf(CaseError);
        for (const problem of (error as CaseError).problems)
          expect([problem.field.length > 0, problem.reason.length > 0]).toEqual([true, true]);
        refused += 1;
      }
    }),
    RUNS,
  );
  expect(refused).toBeGreaterThan(350);
});

test('other questions, broken, too', () => {
  const find = JSON.parse(JSON.stringify(followChecks('boletus-edulis'))) as Json;
  const { target: _target, earlierTargets: _earlier, ...unnamed } = find as { [key: string]: Json };
  const questions = [
    ['plan', { find, hands: { gear: ['knife'], longest: 60 } }],
    ['pieces', { find }],
    ['identify', { find: unnamed }],
    ['next', find],
  ] as const;
  for (const [asked, question] of questions) {
    fc.assert(
      fc.property(spoiled(question as Json), (raw) => {
        try {
          ask(asked, raw, guide);
        } catch (error) {
          expect(error).toBeInstanceOf(CaseError);
        }
      }),
      { numRuns: 150, seed: 21 },
    );
  }
});
