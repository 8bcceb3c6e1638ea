import '../guide';
import {
  decide,
  type Reason,
  evaluate,
  lacksOnlySecondLooks,
  planAsAsked,
  type StageId,
  type BarRow,
} from '@pause/core';
import { parseCase } from '@pause/core/case/parse';
import { find, allUsual, usualValue } from '../../../core/test/finds';
import { guide } from '../../src/deciding/guide';
import { lowerFirst, characterName } from '../../src/text/names';
import { reasonWords, movedWords } from '../../src/text/reasons';
import { stripLine } from '../../src/text/strip';

const at = (minute: number) => new Date(Date.UTC(2026, 8, 14, 8, minute)).toISOString();
let counter = 0;
const reading = (character: string, state: string, piece = 'p1') => {
  counter += 1;
  return {
    id: `r${counter}`,
    piece,
    character,
    value: { kind: 'states', states: [state] },
    sureness: 'sure',
    by: 'mirel',
    at: at(counter),
  };
};

const verdict = (target: string, kingdom: string, readings: object[], more: object = {}) =>
  decide(
    guide,
    parseCase(
      {
        guide: { id: 'ostrel' },
        kingdom,
        target,
        pieces: [{ id: 'p1', startedAt: at(0), purpose: 'decide' }],
        readings,
        context: {},
        ...more,
      },
      guide,
    ),
  );
const decided = [
  verdict('cantharellus-cibarius', 'Fungi', []),
  verdict('cantharellus-cibarius', 'Fungi', [], {
    skips: [{ character: 'latex', piece: 'p1', at: at(50) }],
    context: { stages: ['mature'] },
  }),
  decide(guide, find('cantharellus-cibarius', allUsual('cantharellus-cibarius'))),
  verdict('cantharellus-cibarius', 'Fungi', [
    reading('cap.surface', 'slimy'),
    reading('cap.shape', 'funnel'),
    reading('cap.shape', 'irregular'),
  ]),
  verdict('cantharellus-cibarius', 'Fungi', [
    reading('cap.surface', 'slimy'),
    reading('cap.surface', 'smooth-dry'),
  ]),
  verdict(
    'boletus-edulis',
    'Fungi',
    [1, 2, 3, 4].map(() => reading('hymenophore', 'spines')),
  ),
  verdict('aegopodium-podagraria', 'Plantae', [
    reading('stem.marks', 'spotted'),
    reading('stem.marks', 'spotted'),
  ]),
  verdict(
    'gentiana-lutea',
    'Plantae',
    [reading('plant.habitat', 'riverbank'), reading('plant.habitat', 'wood-edge')],
    {
      context: {
        part: 'root',
        use: 'bitter-infusion',
        stages: ['vegetative'],
        permission: 'forbidden',
        contamination: 'sprayed',
        condition: 'woody',
        protection: 'protected',
      },
    },
  ),
  verdict('vaccinium-myrtillus', 'Plantae', [reading('fruit.colour', 'black')], {
    context: { part: 'leaf', tracedToBase: false, stages: ['vegetative'] },
  }),
  verdict('vaccinium-myrtillus', 'Plantae', [], { context: { part: 'fruit', use: 'dye' } }),
  verdict('gentiana-lutea', 'Plantae', [], {
    context: {
      part: 'root',
      use: 'bitter-infusion',
      eaters: [{ name: 'Tam', cautions: ['ulcer', 'blood-pressure'] }],
      openName: { kind: 'one-of', taxa: ['gentiana-lutea', 'veratrum-album'] },
    },
    policy: {
      forgoneTaxa: ['gentiana-lutea'],
      forgoneFamilies: ['Gentianaceae'],
      secondLook: ['serious'],
      secondLookWhenUnreviewed: false,
    },
  }),
  verdict('vaccinium-myrtillus', 'Fungi', []),
  verdict('atropa-bella-donna', 'Plantae', []),
  verdict('hydnum-repandum', 'Fungi', [reading('cap.shape', 'flat'), reading('hymenophore', 'gills', 'p2')], {
    pieces: [
      { id: 'p1', startedAt: at(0), purpose: 'decide' },
      { id: 'p2', startedAt: at(1), purpose: 'compare' },
      { id: 'p3', startedAt: at(58), purpose: 'decide' },
      { id: 'p4', startedAt: at(59), purpose: 'decide' },
    ],
    earlierTargets: [{ taxon: 'boletus-edulis', at: at(59) }],
    withdrawals: [],
    skips: [],
  }),
];
test('every reason is a plain sentence without a hole in it', () => {
  const sentences = decided.flatMap((v) => v.reasons.map((reason) => reasonWords(reason, v)));
  for (const sentence of sentences) {
    expect(sentence).toMatch(/^[A-Z0-9].*\.$/s);
    expect(sentence).not.toMatch(/undefined|NaN|\[object|\bnull\b/);
    for (const { id } of guide.taxa) expect(sentence).not.toContain(id);
  }
});

test('these verdicts use nearly every reason there is', () => {
  const codes = new Set<Reason['code']>(decided.flatMap((v) => v.reasons.map((r) => r.code)));
  for (const code of [
    'other-kingdom',
    'not-wanted',
    'contradicted',
    'contradicted-and-danger-fits',
    'part-not-wanted',
    'use-not-known',
    'part-not-at-stage',
    'condition-rules-out',
    'place-forbidden',
    'place-contaminated',
    'protected',
    'bars-short',
    'signature-missing',
    'groups-short',
    'contradicted-open',
    'other-piece-against',
    'stage-disputed',
    'not-traced',
    'context-missing',
    'disputed',
    'shopping',
    'place-doubt',
    'unreviewed',
    'near-relatives',
    'not-for-eater',
    'ask-for-eater',
    'name-open',
    'forgone-taxon',
    'forgone-family',
    'second-look-missing',
    'second-look-off',
    'passed-over',
    'look-again',
  ] as const)
    expect([code, codes.has(code)]).toEqual([code, true]);
});

test('the strip says one thing, the most urgent', () => {
  const lines = decided.map((v) => stripLine(v));
  expect(lines[0]).toBe(
    `${guide.taxa.filter((t) => t.grade !== 'none' && t.taxon.kingdom === 'Fungi').length} dangerous ones ` +
      `are not ruled out yet.`,
  );
  expect(lines[4]).toMatch(/^Looks at skin of the cap disagree/);
  expect(lines[12]).toMatch(/^Deadly nightshade .* is not for collecting/);
  expect(new Set(lines.map((l) => l.split('\n').length))).toEqual(new Set([1]));
  // Four lines of a phone hold some 120 letters.
  expect(lines.filter((line, i) => decided[i]!.outcome === 'pause' && line.length > 120)).toEqual([]);
});

test('what is asked before the second looks is what the strip names', () => {
  const target = guide.taxon('hydnum-repandum')!;
  let lines: string[] = [];
  let asked: string[] = [];
  for (let made = find(target.id, []), step = 1; step < 30; step += 1) {
    const {
      verdict: now,
      checks: [next],
    } = evaluate(guide, made);
    if (now.outcome !== 'pause' || !next) break;
    if (lacksOnlySecondLooks(now)) {
      lines = [...lines, stripLine(now, planAsAsked(guide, made))];
      asked = [...asked, lowerFirst(characterName(next.character))];
    }
    const value = usualValue(target, guide.character(next.character)!, 'mature' as StageId);
    made = {
      ...made,
      readings: [
        ...made.readings,
        {
          ...reading(next.character, ''),
          value: typeof value === 'string' ? { kind: 'states', states: [value] } : value,
        } as never,
      ],
    };
  }
  expect(lines.length).toBeGreaterThan(1);
  expect(lines[0]).toContain(`What is dangerous is ruled out. Before the second looks: ${asked[0]}. `);
  for (const [n, line] of lines.entries()) expect(line).toContain(asked[n]);
});

test('what an answer did to the bars is said by name, and nothing where nothing moved', () => {
  const row = (taxon: string, have: number) =>
    ({
      taxon,
      have,
      need: 3,
      grade: 'deadly',
      listed: true,
      bars: [],
      otherKingdom: false,
    }) as unknown as BarRow;
  const before = [
    row('cortinarius-rubellus', 1),
    row('amanita-phalloides', 2),
    row('amanita-virosa', 3),
    row('galerina-marginata', 0),
  ];
  expect(movedWords(before, before)).toBeUndefined();
  expect(
    movedWords(before, [
      row('cortinarius-rubellus', 2),
      row('amanita-phalloides', 2),
      row('amanita-virosa', 4),
      row('galerina-marginata', 0),
    ]),
  ).toBe('A bar more against deadly webcap.');
  expect(
    movedWords(
      before,
      before.map((r) => row(r.taxon, 2)),
    ),
  ).toBe('A bar more against deadly webcap and funeral bell; a bar lost against destroying angel.');
});
