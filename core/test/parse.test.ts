import { createHash } from 'node:crypto';
import { shippedGuide } from '@pause/guide';
import { canonicalJson, compileGuide, contentHash } from '../src';
import { CaseError, parseCase } from '../src/case/parse';
import { GuideError, parseGuide } from '../src/guide/parse';
import { at, find, guide, reading } from './finds';

type Json = Record<string, unknown>;
const rawGuide = () =>
  JSON.parse(JSON.stringify(shippedGuide())) as Json & {
    taxa: (Json & { statements: Json[] })[];
    characters: Json[];
  };

function guideProblems(change: (raw: ReturnType<typeof rawGuide>) => void) {
  const raw = rawGuide();
  change(raw);
  try {
    parseGuide(raw);
  } catch (error) {
    if (error instanceof GuideError) return error.problems;
    throw error;
  }
  return [];
}

describe('a guide with a mistake is refused with the taxon, the character and the reason', () => {
  const first = (raw: ReturnType<typeof rawGuide>) => {
    const taxon = raw.taxa[0];
    const statement = taxon?.statements[0];
    if (!taxon || !statement) throw new Error('the guide has taxa');
    return { taxon, statement };
  };
  const CHANTERELLE = 'cantharellus-cibarius';

  test.each<[string, (raw: ReturnType<typeof rawGuide>) => void, Json]>([
    [
      'a character that is not there',
      (raw) => {
        first(raw).statement.character = 'cap.sheen';
      },
      { taxon: CHANTERELLE, character: 'cap.sheen', reason: 'the character is not in the guide' },
    ],
    [
      'a state that is not there',
      (raw) => {
        first(raw).statement.usual = ['teeth'];
      },
      { taxon: CHANTERELLE, character: 'hymenophore', reason: 'state "teeth" is not in the character' },
    ],
    [
      'a state said twice',
      (raw) => {
        first(raw).statement.occasional = ['ridges'];
      },
      { taxon: CHANTERELLE, character: 'hymenophore', reason: 'a state is named twice' },
    ],
    [
      'an empty statement',
      (raw) => {
        first(raw).statement.usual = [];
      },
      { taxon: CHANTERELLE, character: 'hymenophore' },
    ],
    [
      'a stage of the other kingdom',
      (raw) => {
        first(raw).statement.stages = ['flowering'];
      },
      { taxon: CHANTERELLE, character: 'hymenophore' },
    ],
    [
      'a stage stated twice',
      (raw) => {
        first(raw).taxon.statements.push({ character: 'hymenophore', usual: ['gills'] });
      },
      { taxon: CHANTERELLE, character: 'hymenophore', reason: 'stage "young" is stated twice' },
    ],
    [
      'a reading that is not there',
      (raw) => {
        first(raw).statement.readBy = ['somebody'];
      },
      {
        taxon: CHANTERELLE,
        character: 'hymenophore',
        reason: 'reading "somebody" is not among the readings of the guide',
      },
    ],
    [
      'a reading named twice',
      (raw) => {
        first(raw).statement.readBy = ['first', 'first'];
      },
      { taxon: CHANTERELLE, character: 'hymenophore', reason: 'a reading is named twice' },
    ],
    [
      'a shade of nothing',
      (raw) => {
        const c = raw.characters[0];
        if (c) c.shades = [['gills', 'mist']];
      },
      { character: 'hymenophore', reason: 'state "mist" is not in the character' },
    ],
    [
      'a signature from one group',
      (raw) => {
        first(raw).taxon.signature = ['hymenophore'];
      },
      { taxon: CHANTERELLE, reason: 'the signature of a wanted taxon comes from at least two groups' },
    ],
    [
      'a range upside down',
      (raw) => {
        const s = first(raw).taxon.statements.find((x) => x.character === 'cap.width');
        if (s) s.range = { usual: [100, 30], outer: [10, 150], unit: 'mm' };
      },
      { taxon: CHANTERELLE, character: 'cap.width', reason: 'a range runs from small to large' },
    ],
    [
      'an outer range inside the usual',
      (raw) => {
        const s = first(raw).taxon.statements.find((x) => x.character === 'cap.width');
        if (s) s.range = { usual: [30, 100], outer: [40, 90], unit: 'mm' };
      },
      { taxon: CHANTERELLE, character: 'cap.width', reason: 'the outer range must hold the usual one' },
    ],
    [
      'a measure without unit',
      (raw) => {
        const s = first(raw).taxon.statements.find((x) => x.character === 'cap.width');
        if (s) s.range = { usual: [30, 100], outer: [10, 150] };
      },
      { taxon: CHANTERELLE, character: 'cap.width', reason: 'a measure needs its unit' },
    ],
    [
      'a lookalike that is not there',
      (raw) => {
        first(raw).taxon.lookalikes = ['amanita-nowhere'];
      },
      { taxon: CHANTERELLE, reason: 'lookalike "amanita-nowhere" is not in the guide' },
    ],
    [
      'two taxa of one id',
      (raw) => {
        raw.taxa.push(first(raw).taxon);
      },
      { reason: '"cantharellus-cibarius" is there twice' },
    ],
    [
      'an unknown harm grade',
      (raw) => {
        (first(raw).taxon.harm as Json).grade = 'mild';
      },
      { taxon: CHANTERELLE, path: 'taxa[0].harm.grade' },
    ],
    [
      'a member nobody knows',
      (raw) => {
        first(raw).taxon.edible = true;
      },
      { taxon: CHANTERELLE },
    ],
    [
      'too many states',
      (raw) => {
        const c = raw.characters[0];
        if (c) c.states = Array.from({ length: 33 }, (_, i) => ({ id: `s${i}`, label: 'x' }));
      },
      { character: 'hymenophore' },
    ],
    [
      'a fading character that cannot be absent',
      (raw) => {
        const c = raw.characters[0];
        if (c) {
          c.fades = true;
          c.states = [
            { id: 'ridges', label: 'a' },
            { id: 'gills', label: 'b' },
          ];
        }
      },
      { character: 'hymenophore', reason: 'what fades needs a state marked absent' },
    ],
  ])('%s', (_, change, problem) => {
    expect(guideProblems(change)).toContainEqual(expect.objectContaining(problem));
  });

  test('what is no guide at all', () => {
    for (const raw of [null, 3, [], {}, 'guide']) expect(() => parseGuide(raw)).toThrow(GuideError);
  });
});

function caseProblems(change: (raw: Json) => void) {
  const raw = JSON.parse(
    JSON.stringify(
      find('cantharellus-cibarius', [
        reading('hymenophore', 'ridges', { id: 'a' }),
        reading('cap.width', { kind: 'measure', number: 5, unit: 'cm' }, { id: 'b' }),
      ]),
    ),
  ) as Json;
  change(raw);
  try {
    parseCase(raw, guide);
  } catch (error) {
    if (error instanceof CaseError) return error.problems;
    throw error;
  }
  return [];
}

describe('a case that is wrong names its field', () => {
  const nth = (raw: Json, index: number) =>
    (raw.readings as (Json & { value: Json })[])[index] as Json & { value: Json };
  test.each<[string, (raw: Json) => void, string]>([
    [
      'unknown taxon',
      (raw) => {
        raw.target = 'morchella-nowhere';
      },
      'target',
    ],
    [
      'other guide',
      (raw) => {
        raw.guide = { id: 'elsewhere' };
      },
      'guide.id',
    ],
    [
      'other guide version',
      (raw) => {
        raw.guide = { id: 'ostrel', version: '0'.repeat(64) };
      },
      'guide.version',
    ],
    [
      'state not in the character',
      (raw) => {
        nth(raw, 0).value.states = ['teeth'];
      },
      'readings[0].value.states[0]',
    ],
    [
      'state named twice',
      (raw) => {
        nth(raw, 0).value.states = ['ridges', 'ridges'];
      },
      'readings[0].value.states[1]',
    ],
    [
      'number without unit',
      (raw) => {
        delete nth(raw, 1).value.unit;
      },
      'readings[1].value.unit',
    ],
    [
      'negative number',
      (raw) => {
        nth(raw, 1).value.number = -1;
      },
      'readings[1].value.number',
    ],
    [
      'states for a measure',
      (raw) => {
        nth(raw, 1).value = { kind: 'states', states: ['ridges'] };
      },
      'readings[1].value.kind',
    ],
    [
      'unknown character',
      (raw) => {
        nth(raw, 0).character = 'cap.sheen';
      },
      'readings[0].character',
    ],
    [
      'character of the other kingdom',
      (raw) => {
        nth(raw, 0).character = 'leaf.margin';
        nth(raw, 0).value.states = ['entire'];
      },
      'readings[0].character',
    ],
    [
      'piece that does not exist',
      (raw) => {
        nth(raw, 0).piece = 'p9';
      },
      'readings[0].piece',
    ],
    [
      'reading twice',
      (raw) => {
        nth(raw, 1).id = 'a';
      },
      'readings[1].id',
    ],
    [
      'no such day',
      (raw) => {
        nth(raw, 0).at = '2026-02-30T00:00:00.000Z';
      },
      'readings[0].at',
    ],
    [
      'no piece',
      (raw) => {
        raw.pieces = [];
      },
      'pieces',
    ],
    [
      'nothing to decide',
      (raw) => {
        raw.pieces = [{ id: 'p1', startedAt: at(0), purpose: 'compare' }];
      },
      'pieces',
    ],
    [
      'piece twice',
      (raw) => {
        raw.pieces = [...(raw.pieces as Json[]), ...(raw.pieces as Json[])];
      },
      'pieces[1].id',
    ],
    [
      'stage of the other kingdom',
      (raw) => {
        (raw.context as Json).stages = ['flowering'];
      },
      'context.stages[0]',
    ],
    [
      'body plan that is not there',
      (raw) => {
        raw.bodyPlan = 'polypore';
      },
      'bodyPlan',
    ],
    [
      'taking back nothing',
      (raw) => {
        raw.withdrawals = [{ reading: 'zz', at: at(1) }];
      },
      'withdrawals[0].reading',
    ],
    [
      'skip of nothing',
      (raw) => {
        raw.skips = [{ character: 'zz', piece: 'p1', at: at(1) }];
      },
      'skips[0].character',
    ],
    [
      'unknown sureness',
      (raw) => {
        nth(raw, 0).sureness = 'absolutely';
      },
      'readings[0].sureness',
    ],
  ])('%s', (_, change, field) => {
    expect(caseProblems(change).map((p) => p.field)).toContain(field);
  });

  test('what is no case at all', () => {
    for (const raw of [null, 3, [], 'x']) expect(() => parseCase(raw, guide)).toThrow(CaseError);
  });
});

describe('one text for one value', () => {
  test('members are sorted, absent ones left out', () => {
    expect(canonicalJson({ b: [1, null], a: { d: undefined, c: 'é' } })).toBe('{"a":{"c":"é"},"b":[1,null]}');
    expect(() => canonicalJson({ a: Number.NaN })).toThrow(TypeError);
  });
  test('the version is the SHA-256 of it', () => {
    expect(contentHash({ b: 1, a: 'ä' })).toBe(createHash('sha256').update('{"a":"ä","b":1}').digest('hex'));
  });
  test('any change of the guide changes its version', () => {
    const raw = rawGuide();
    const version = compileGuide(parseGuide(raw)).version;
    expect(version).toBe(guide.version);
    raw.title = 'another';
    expect(compileGuide(parseGuide(raw)).version).not.toBe(version);
  });
});
