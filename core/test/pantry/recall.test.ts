import * as fc from 'fast-check';
import { shippedGuide } from '@pause/guide';
import { compileGuide, type FindRecord } from '../../src';
import { parseGuide } from '../../src/guide/parse';
import { descentOf, type Descendant } from '../../src/pantry';
import { causeOf, strayCause, type Cause, recall, strayCauses, recallPlainly } from '../../src/pantry/recall';
import { guide } from '../finds';
import { collected } from './kit';

const corrected = (() => {
  const raw = JSON.parse(JSON.stringify(shippedGuide())) as {
    taxa: { id: string; scientificName: string; statements: unknown[] }[];
  };
  raw.taxa.push({
    ...raw.taxa.find((t) => t.id === 'cortinarius-rubellus')!,
    id: 'cortinarius-nowhere',
    scientificName: 'Cortinarius nowhere',
    statements: [],
  });
  return compileGuide(parseGuide(raw));
})();
describe('recall', () => {
  const record = collected('find-one', 'cantharellus-cibarius');

  test('a corrected guide says which statement changed, and whose reading found it', () => {
    const raw = JSON.parse(JSON.stringify(shippedGuide())) as {
      taxa: { id: string; statements: { character: string; usual?: string[]; readBy?: string[] }[] }[];
    };
    const webcap = raw.taxa.find(({ id }) => id === 'cortinarius-rubellus')!;
    for (const one of webcap.statements)
      if (one.character === 'hymenophore.bond')
        Object.assign(one, {
          usual: [...new Set([...one.usual!, 'inseparable'])],
          readBy: ['fungi', 'second'],
        });
    const cause = causeOf(record, compileGuide(parseGuide(raw)));
    expect(cause).toMatchObject({
      because: 'guide',
      outcome: 'pause',
      changed: [
        { taxon: 'cortinarius-rubellus', character: 'hymenophore.bond', readBy: ['fungi', 'second'] },
      ],
    });
  });

  test('a stored verdict that says no more than its outcome is recalled all the same', () => {
    const [{ verdict, ...rest }] = record.verdicts as [(typeof record.verdicts)[number]];
    const bare = {
      ...record,
      verdicts: [{ ...rest, verdict: { outcome: verdict.outcome, guide: verdict.guide } as typeof verdict }],
    };
    expect(causeOf(bare, corrected)).toEqual({
      code: 'verdict',
      of: 'find-one',
      because: 'guide',
      outcome: 'pause',
      grade: 'deadly',
    });
  });

  test('what the target itself no longer shows is named as well', () => {
    const raw = JSON.parse(JSON.stringify(shippedGuide())) as {
      taxa: { id: string; statements: { character: string; usual?: string[]; occasional?: string[] }[] }[];
    };
    const chanterelle = raw.taxa.find(({ id }) => id === 'cantharellus-cibarius')!;
    for (const one of chanterelle.statements)
      if (one.character === 'stipe.interior') {
        one.usual = ['hollow'];
        delete one.occasional;
      }
    const cause = causeOf(record, compileGuide(parseGuide(raw)));
    expect(
      cause?.code === 'verdict' && cause.changed?.map(({ taxon, character }) => [taxon, character]),
    ).toContainEqual(['cantharellus-cibarius', 'stipe.interior']);
  });

  test('with the same guide and no rules of a group, it is Pause’s own rules that grew stricter', () => {
    const once: FindRecord = {
      ...record,
      readings: record.readings.filter(
        ({ character }, i, all) => all.findIndex((one) => one.character === character) === i,
      ),
    };
    expect(causeOf(once, guide)).toMatchObject({ because: 'rules', outcome: 'pause' });
  });

  test('what still holds is no cause; a corrected guide, a withdrawn reading and another decision each are', () => {
    expect(causeOf(record, guide)).toBeUndefined();
    expect(causeOf(record, corrected)).toEqual({
      code: 'verdict',
      of: 'find-one',
      because: 'guide',
      outcome: 'pause',
      grade: 'deadly',
      changed: [{ taxon: 'cortinarius-nowhere', readBy: [] }],
    });
    const slip = {
      ...record,
      withdrawals: record.readings
        .slice(0, 3)
        .map(({ id }) => ({ reading: id, at: '2026-09-15T08:00:00.000Z' })),
    };
    expect(causeOf(slip, guide)).toMatchObject({ code: 'verdict', because: 'record', outcome: 'pause' });
    const left: FindRecord = {
      ...record,
      decisions: [
        ...record.decisions,
        {
          id: 'd2',
          at: '2026-09-15T08:00:00.000Z',
          verdict: 'find-one-verdict',
          choice: 'leave',
          by: 'mirel',
        },
      ],
    };
    expect(causeOf(left, guide)).toMatchObject({ code: 'decision', of: 'find-one' });
    expect(causeOf({ ...record, decisions: [] }, corrected)).toBeUndefined();
    expect(strayCause('h', ['none', 'unpleasant'])).toBeUndefined();
    expect(strayCause('h', ['none', 'deadly', 'serious'])).toEqual({
      code: 'stray',
      of: 'h',
      grade: 'deadly',
    });
  });

  test('all that descends from it is found once, with why, by which way, and what to do', () => {
    const descent = descentOf([
      { id: 'h', kind: 'harvest', parents: ['find-one'] },
      { id: 'h2', kind: 'harvest', parents: ['find-two'] },
      { id: 'b', kind: 'batch', parents: ['h'] },
      { id: 'mixed', kind: 'batch', parents: ['b', 'h2'] },
      { id: 'meal', kind: 'portion', parents: ['mixed'] },
      { id: 'gift', kind: 'portion', parents: ['b'] },
      { id: 'other', kind: 'batch', parents: ['h3'] },
    ]);
    const guideCause: Cause = {
      code: 'verdict',
      of: 'find-one',
      because: 'guide',
      outcome: 'pause',
      grade: 'deadly',
    };
    const stray: Cause = { code: 'stray', of: 'h2', grade: 'deadly' };
    const hits = recall(descent, [guideCause, stray], (id) => id === 'gift');
    expect(hits.map(({ id, measure }) => [id, measure])).toEqual([
      ['find-one', 'hold'],
      ['h', 'hold'],
      ['b', 'hold'],
      ['mixed', 'discard'],
      ['gift', 'warn'],
      ['meal', 'watch'],
      ['h2', 'hold'],
    ]);
    expect(hits.find(({ id }) => id === 'mixed')).toMatchObject({
      causes: [guideCause, stray],
      way: ['find-one', 'h', 'b', 'mixed'],
    });
    expect(
      recall(descent, [{ code: 'stray', of: 'h2', grade: 'serious' }]).map(({ id, measure }) => [
        id,
        measure,
      ]),
    ).toEqual([
      ['h2', 'look-again'],
      ['mixed', 'hold'],
      ['meal', 'watch'],
    ]);
    expect(recall(descent, [{ ...guideCause, outcome: 'leave' }]).find(({ id }) => id === 'b')?.measure).toBe(
      'discard',
    );
  });

  test('a deadly stray puts all that lay in the same bag in question, and nothing else', () => {
    const one = { person: 'mirel', on: '2026-09-14', bag: 'Basket', grades: [] };
    const causes = strayCauses([
      { ...one, id: 'a', grades: ['deadly'] },
      { ...one, id: 'b', bag: ' basket ' },
      { ...one, id: 'c', bag: 'tin' },
      { ...one, id: 'd', on: '2026-09-13' },
      { ...one, id: 'e', person: 'tam' },
      { id: 'f', person: 'mirel', grades: [] },
      { ...one, id: 'g', grades: ['unpleasant'] },
    ]);
    expect(causes.map(({ of }) => of)).toEqual(['a', 'b', 'g']);
    expect(causes[1]).toEqual({ code: 'stray', of: 'b', grade: 'deadly', touched: true });
    expect(
      strayCauses([
        { ...one, id: 'a', grades: ['serious'] },
        { ...one, id: 'b' },
      ]).map(({ of }) => of),
    ).toEqual(['a']);
  });

  test('finds exactly what descends: the same as a plain walk, for any descent', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.integer({ min: 0, max: 40 }),
            fc.array(fc.integer({ min: 0, max: 60 }), { maxLength: 4 }),
          ),
          { maxLength: 60 },
        ),
        fc.array(fc.integer({ min: 0, max: 60 }), { maxLength: 5 }),
        (rows, of) => {
          const all: Descendant[] = rows.map(([, parents], at) => ({
            id: `n${at}`,
            kind: 'batch',
            parents: parents.map((one) => `n${one}`),
          }));
          const causes: Cause[] = of.map((one) => ({ code: 'stray', of: `n${one}`, grade: 'serious' }));
          const descent = descentOf(all);
          expect(new Set(recall(descent, causes).map(({ id }) => id))).toEqual(
            recallPlainly(descent, causes),
          );
        },
      ),
    );
  });
});
