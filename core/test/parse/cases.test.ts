import { createHash } from 'node:crypto';
import { canonicalJson, contentHash, compileGuide } from '../../src';
import { parseCase, CaseError } from '../../src/case/parse';
import { parseGuide } from '../../src/guide/parse';
import { find, reading, guide, at } from '../finds';
import { type Json, rawGuide } from './kit';

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
