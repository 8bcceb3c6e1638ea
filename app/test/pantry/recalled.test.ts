import 'fake-indexeddb/auto';
import '../guide';
import { parse } from 'csv-parse/sync';
import { type FindRecord, decide, type Entry } from '@pause/core';
import { toDarwinCore, occurrencesOf, OCCURRENCE_TERMS, toTable, tableOf } from '@pause/core/formats/logbook';
import { parseEntry } from '@pause/core/notebook';
import { couldBe } from '@pause/core/pantry/recall';
import { emptyRecord } from '../../../core/src/notebook/find/kinds';
import { followChecks } from '../../../core/test/finds';
import { guide } from '../../src/deciding/guide';
import { recalledOf, recallKey } from '../../src/notebook/recalls';
import { findsBehind, sheetOf } from '../../src/screens/pantry/sheet';
import { AT, pantry, all, PAGES, page, CHANTERELLE } from './kit';

jest.mock('@expo-google-fonts/atkinson-hyperlegible-next/400Regular', () => ({
  AtkinsonHyperlegibleNext_400Regular: 'regular.ttf',
}));
jest.mock('@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold', () => ({
  AtkinsonHyperlegibleNext_600SemiBold: 'bold.ttf',
}));

const found = (id: string, target: string): FindRecord => {
  const find = followChecks(target);
  return {
    ...emptyRecord({ id, startedAt: AT, kingdom: find.kingdom, person: 'mirel' }),
    number: 7,
    placeNote: 'By the spring',
    pieces: find.pieces,
    targets: [{ taxon: find.target, at: AT, id: `${id}-target` }],
    context: find.context,
    readings: find.readings,
    verdicts: [{ id: `${id}-verdict`, at: AT, verdict: decide(guide, find) }],
    decisions: [{ id: `${id}-decision`, at: AT, verdict: `${id}-verdict`, choice: 'collect', by: 'mirel' }],
  } as unknown as FindRecord;
};

describe('what no longer holds', () => {
  const cause = {
    code: 'verdict',
    of: 'find-0001',
    because: 'guide',
    outcome: 'pause',
    grade: 'deadly',
  } as const;
  test('is known again by its causes; what is gone is not spoken of, what was given is', () => {
    const hits = recalledOf(pantry, [cause]);
    expect(hits.map(({ id, measure }) => [id, measure])).toEqual([
      ['find-0001', 'hold'],
      ['harvest-one', 'hold'],
      ['batch-dried', 'hold'],
      ['batch-soup', 'hold'],
      ['meal-one', 'watch'],
      ['gift-one', 'warn'],
    ]);
    const ended = all([
      ...PAGES.filter(({ id }) => id !== 'batch-soup'),
      page('batch-soup', 'batch', {
        name: 'Soup',
        from: [{ of: 'batch', id: 'batch-dried' }],
        contents: [CHANTERELLE],
        method: 'cook',
        on: '2026-09-22',
        ended: { on: '2026-09-23', why: 'used-up' },
      }),
    ]);
    expect(recalledOf(ended, [cause]).map(({ id }) => id)).not.toContain('batch-soup');
    const [first] = hits;
    if (!first) throw new Error('nothing');
    expect(recallKey(first)).toBe(recallKey({ ...first, causes: [...first.causes] }));
    expect(recallKey(first)).not.toBe(recallKey({ ...first, causes: [{ ...cause, outcome: 'leave' }] }));
  });
  test('the sheet says all that whoever treats asks for', () => {
    expect(findsBehind(pantry.descent, 'meal-one')).toEqual(['find-0001']);
    expect(findsBehind(pantry.descent, 'find-0009')).toEqual(['find-0009']);
    const records = [found('find-0001', 'cantharellus-cibarius')];
    const sheet = sheetOf({
      id: 'meal-one',
      pantry,
      records,
      could: couldBe(records, guide),
      typed: { who: 'Lune, 9', when: '', amount: '', signs: '' },
      nameOf: (who) => who,
      printedAt: new Date(AT),
    });
    const text = sheet.parts.map(({ title, lines }) => `${title}: ${lines.join(' | ')}`).join('\n');
    for (const words of [
      'Cantharellus cibarius',
      'Cortinarius rubellus',
      'Omphalotus olearius',
      'Who: Lune, 9',
      'eaten by Lune, Mirel; 10\u00A0g; fried, 20 minutes',
      'Lune, her stomach',
      'LEFT OUT: Keep one whole specimen aside (The cat took it.)',
      'By the spring',
      'Verdict: collect. Collected.',
      '(sure)',
      'deadly; orellanus: destroys the kidneys. Silent for two days',
      'serious · within 4 hours',
      'Ruled out by what was seen, if it was seen rightly.',
      'Nothing else of the guide that does harm is left',
    ])
      expect(text).toContain(words);
    expect(text).not.toContain('Not ruled out');
    const nothing = sheetOf({
      id: 'find-0009',
      pantry,
      records: [],
      could: [],
      typed: { who: '', when: '', amount: '', signs: '' },
      nameOf: (who) => who,
      printedAt: new Date(AT),
    });
    expect(nothing.parts.every(({ lines }) => lines.length > 0)).toBe(true);
    // Of nothing, or of what has no name, it is never said that nothing dangerous is like it.
    const instead = (of: readonly FindRecord[]) =>
      sheetOf({
        id: 'x',
        pantry,
        records: of,
        could: couldBe(of, guide),
        typed: { who: '', when: '', amount: '', signs: '' },
        nameOf: (who) => who,
        printedAt: new Date(AT),
      }).parts[1]?.lines ?? [];
    expect(instead([])).toEqual(['Not known: nothing is on record of it.']);
    const unnamed = { ...records[0], targets: [], readings: [] } as unknown as FindRecord;
    const lines = instead([unnamed]);
    expect(lines).toHaveLength(11);
    // The worst first.
    expect(
      lines
        .slice(0, 10)
        .map((line) => /: (deadly|serious)[;·  ].*\. Not ruled out by what was seen\.$/.exec(line)?.[1]),
    ).toEqual(Array<string>(10).fill('deadly'));
    expect(lines[0]).toContain('amatoxins');
    expect(lines[10]).toMatch(/^\d+ more of the guide that do harm are not ruled out either/);
    expect(
      sheetOf({
        id: 'x',
        pantry,
        records: [
          { ...unnamed, targets: [{ id: 't', at: AT, taxon: 'boletus-nowhere' }] } as unknown as FindRecord,
        ],
        could: [],
        typed: { who: '', when: '', amount: '', signs: '' },
        nameOf: (who) => who,
        printedAt: new Date(AT),
      }).parts[0]?.lines,
    ).toEqual(['boletus-nowhere, which this guide does not know.']);
    // What was taken for something that does harm says so.
    expect(
      sheetOf({
        id: 'x',
        pantry,
        records: [
          {
            ...unnamed,
            targets: [{ id: 't', at: AT, taxon: 'amanita-phalloides' }],
          } as unknown as FindRecord,
        ],
        could: [],
        typed: { who: '', when: '', amount: '', signs: '' },
        nameOf: (who) => who,
        printedAt: new Date(AT),
      }).parts[0]?.lines[0],
    ).toMatch(
      /^Death cap, Amanita phalloides, Amanitaceae; fruiting body; deadly; amatoxins: destroys the liver\. Silent for six/,
    );
  });
});

describe('files', () => {
  test('occurrences and table are read alike by another reader of CSV, in terms of Darwin Core', () => {
    const finds = [
      { ...found('find-0001', 'cantharellus-cibarius'), placeNote: 'A "quoted", place\nof two lines' },
    ];
    const rows = parse(toDarwinCore(occurrencesOf(finds, guide, () => 'Mirel Aschkar')), {
      columns: true,
    }) as Record<string, string>[];
    expect(rows).toHaveLength(1);
    expect(Object.keys(rows[0] ?? {})).toEqual([...OCCURRENCE_TERMS]);
    expect(rows[0]).toMatchObject({
      occurrenceID: 'find-0001',
      basisOfRecord: 'HumanObservation',
      occurrenceStatus: 'present',
      eventDate: AT,
      kingdom: 'Fungi',
      scientificName: 'Cantharellus cibarius',
      recordedBy: 'Mirel Aschkar',
      disposition: 'collected',
      locality: 'A "quoted", place\nof two lines',
      identificationVerificationStatus: 'collect',
    });
    const table = parse(toTable(tableOf(finds, PAGES)), { columns: true }) as Record<string, string>[];
    expect(table.map(({ kind }) => kind).sort()).toEqual([
      'batch',
      'batch',
      'find',
      'gift',
      'harvest',
      'meal',
    ]);
    expect(table.find(({ id }) => id === 'batch-dried')).toMatchObject({
      from: 'harvest:harvest-one=400 g',
      amount: '44',
      unit: 'g',
      method: 'dry',
    });
  });
  test('every term is one that Darwin Core has', () => {
    const DARWIN_CORE =
      'occurrenceID basisOfRecord occurrenceStatus eventDate kingdom family scientificName verbatimIdentification scientificNameAuthorship vernacularName taxonRank identificationVerificationStatus identificationRemarks lifeStage recordedBy locality decimalLatitude decimalLongitude geodeticDatum coordinateUncertaintyInMeters informationWithheld disposition occurrenceRemarks'.split(
        ' ',
      );
    for (const term of OCCURRENCE_TERMS) expect(DARWIN_CORE).toContain(term);
  });
  test('what a person recorded is an entry that any door takes', () => {
    const entry = {
      page: 'batch-one',
      kind: 'fields',
      body: {
        id: 'field-one',
        at: AT,
        by: 'mirel',
        of: 'batch',
        field: 'made',
        value: { amount: 3, unit: 'g' },
      },
    };
    expect('entry' in parseEntry(entry) && (parseEntry(entry) as { entry: Entry }).entry.kind).toBe('fields');
  });
});
