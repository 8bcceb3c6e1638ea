import {
  compileGuide,
  harms,
  isConfirmed,
  type Guide,
  barRows,
  dangersOf,
  tally,
  viewCase,
  disputedCharacters,
  type Case,
} from '@pause/core';
import oneLook from '../review/one-look.json';
import { shippedGuide } from '../src';
import { answersOnFile } from '../src/answers';
import { leftOut, shippedReadings, supportOf, type Reading } from '../src/readings';

/**
 * What a dangerous taxon can show was read by people who did not see each other. The guide may know more of
 * one than they do, never less.
 */

const raw = shippedGuide();
const guide = compileGuide(raw);
const readings = shippedReadings();
const harmful = raw.taxa.filter(({ harm }) => harms(harm));
const answered = answersOnFile();

test('every dangerous taxon was read by somebody who had not seen the guide', () => {
  for (const { id } of harmful)
    expect([id, readings.some((reading) => reading.taxa[id] !== undefined)]).toEqual([id, true]);
});

test('no state that a reading holds possible is against a dangerous taxon without an answer on file', () => {
  const silent = leftOut(raw, readings).flatMap(({ taxon, character, reading, states }) =>
    (states.length > 0 ? states : ['range'])
      .filter(
        (state) =>
          !answered.some(
            (a) =>
              !a.taken &&
              a.taxon === taxon &&
              a.character === character &&
              (a.states ?? ['range']).includes(state),
          ),
      )
      .map((state) => `${taxon} ${character} ${state} (${reading})`),
  );
  expect(silent).toEqual([]);
});

test('each statement names just those readings that support it', () => {
  const support = supportOf(raw, readings);
  const wrong = harmful.flatMap((taxon) =>
    taxon.statements.flatMap(({ character, readBy = [] }) => {
      const others = readBy.filter((reading) => reading !== 'first');
      const should = support.get(taxon.id)?.get(character) ?? [];
      return others.join() === should.join()
        ? []
        : [`${taxon.id} ${character}: ${others.join(', ')}, should be ${should.join(', ')}`];
    }),
  );
  // What mends it: npx tsx scripts/readings.ts
  expect(wrong).toEqual([]);
});

/** The bars of a find with one sure reading, against one taxon. */
function bars(of: Guide, target: string, danger: string, character: string, state: string): number {
  const compiled = compileGuide(of);
  const find = {
    guide: { id: of.id },
    kingdom: compiled.taxon(target)!.taxon.kingdom,
    target,
    context: {},
    pieces: [{ id: 'p', startedAt: '2026-09-14T08:00:00.000Z', purpose: 'decide' }],
    readings: [
      {
        id: 'r',
        piece: 'p',
        character,
        value: { kind: 'states', states: [state] },
        sureness: 'sure',
        by: 'me',
        at: '2026-09-14T08:01:00.000Z',
      },
    ],
  } as unknown as Case;
  const view = viewCase(compiled, find);
  const dangers = dangersOf(compiled, view, compiled.taxon(target)!, 0);
  return barRows(compiled, dangers, tally(compiled, view, disputedCharacters(view), dangers.same)).find(
    (row) => row.taxon === danger,
  )!.have;
}

const without = (
  change: (
    statement: Guide['taxa'][number]['statements'][number],
  ) => Guide['taxa'][number]['statements'][number],
): Guide => ({
  ...raw,
  taxa: raw.taxa.map((taxon) => ({ ...taxon, statements: taxon.statements.map(change) })),
});

test('a statement that was read once gives no bar, and is a ground again once a second reading supports it', () => {
  const seen = ['cantharellus-cibarius', 'cortinarius-rubellus', 'hymenophore', 'ridges'] as const;
  expect(bars(raw, ...seen)).toBe(1);
  expect(
    bars(
      without(({ readBy: _, ...statement }) => statement),
      ...seen,
    ),
  ).toBe(0);
  expect(
    bars(
      without((statement) => ({ ...statement, readBy: ['first'] })),
      ...seen,
    ),
  ).toBe(0);
  expect(
    bars(
      without((statement) => ({ ...statement, readBy: ['first', 'fungi'] })),
      ...seen,
    ),
  ).toBe(1);
});

test('without one of the readings, bars vanish: nothing leans on the writer alone', () => {
  const count = (kept: readonly Reading[]) => {
    const support = supportOf(raw, kept);
    const of = {
      ...raw,
      taxa: raw.taxa.map((taxon) => ({
        ...taxon,
        statements: taxon.statements.map(({ readBy = [], ...statement }) => {
          const by = [
            ...readBy.filter((reading) => reading === 'first'),
            ...(support.get(taxon.id)?.get(statement.character) ?? []),
          ];
          return by.length > 0 ? { ...statement, readBy: by } : statement;
        }),
      })),
    };
    return of.taxa
      .filter(({ harm }) => harms(harm))
      .flatMap((taxon) => taxon.statements)
      .filter(isConfirmed).length;
  };
  const all = count(readings);
  for (const gone of ['fungi', 'plants'])
    expect(count(readings.filter(({ reader }) => reader !== gone))).toBeLessThan(all * 0.8);
  expect(count([])).toBe(0);
});

test('a state about which nobody was asked bars nothing yet', () => {
  expect(guide.character('cap.colour')?.unreadMask).not.toBe(0);
  expect(bars(raw, 'cantharellus-cibarius', 'galerina-marginata', 'cap.colour', 'red')).toBe(0);
});

test('what was answered is a difference still, and its reason is one', () => {
  const differences = leftOut(raw, readings);
  for (const answer of answered) {
    expect([answer.taxon, answer.character, answer.why.length > (answer.taken ? 4 : 20)]).toEqual([
      answer.taxon,
      answer.character,
      true,
    ]);
    expect(raw.taxa.some(({ id }) => id === answer.taxon)).toBe(true);
    if (
      answer.taken ||
      answer.character === undefined ||
      answer.by === 'fungi-review' ||
      answer.by === 'plants-review'
    )
      continue;
    expect([
      answer.taxon,
      answer.character,
      differences.some((d) => d.taxon === answer.taxon && d.character === answer.character),
    ]).toEqual([answer.taxon, answer.character, true]);
  }
});

describe('one look is one group', () => {
  const organs = oneLook.organs as readonly {
    kingdom: string;
    organ: string;
    looked: readonly string[];
    together: readonly { characters: readonly string[]; why: string }[];
    kept: readonly { characters: readonly string[]; how: string }[];
  }[];
  const group = (id: string) => guide.character(id)?.character.group;

  test('every character was looked at, organ by organ', () => {
    for (const { kingdom, organ, looked } of organs) {
      const there = guide.characters
        .filter((c) => c.character.kingdom === kingdom && c.character.organ === organ)
        .map((c) => c.id as string);
      expect([organ, [...looked].sort()]).toEqual([organ, there.sort()]);
    }
    expect(organs.flatMap(({ looked }) => looked).length).toBe(
      guide.characters.filter((c) => !c.place).length,
    );
  });

  test('what one glance gives is one group, and every group of several characters is one glance', () => {
    const together = organs.flatMap((organ) => organ.together);
    for (const { characters } of together)
      expect([characters, new Set(characters.map(group)).size]).toEqual([characters, 1]);
    const shared = guide.characters
      .filter((c) => !c.place && guide.characters.some((other) => other !== c && other.group === c.group))
      .map((c) => c.id as string);
    expect(shared.filter((id) => !together.some(({ characters }) => characters.includes(id)))).toEqual([]);
  });

  test('what is kept apart has its reason, and gives no two grounds from one look', () => {
    for (const { characters, how } of organs.flatMap((organ) => organ.kept)) {
      expect(how.length).toBeGreaterThan(20);
      for (const id of characters) expect([id, group(id) === undefined]).toEqual([id, false]);
    }
    const states = (taxon: string, character: string) =>
      raw.taxa.find(({ id }) => id === taxon)!.statements.filter((s) => s.character === character);
    for (const id of ['morchella-esculenta', 'gyromitra-esculenta', 'verpa-bohemica'])
      expect([id, states(id, 'stipe.interior')]).toEqual([id, []]);
    for (const id of ['pleurotus-ostreatus', 'pleurocybella-porrigens'])
      expect([id, states(id, 'stipe.length')]).toEqual([id, []]);
    for (const id of ['lycoperdon-perlatum', 'scleroderma-citrinum'])
      expect([id, states(id, 'cap.shape')]).toEqual([id, []]);
    for (const taxon of harmful.filter(({ kingdom }) => kingdom === 'Plantae')) {
      for (const [character, state] of [
        ['leaf.arrangement', 'basal'],
        ['leaf.stalk-section', 'no-stalk'],
      ] as const) {
        const known = guide.taxon(taxon.id)!.overall.get(guide.character(character)!.index);
        if (
          known?.kind !== 'states' ||
          (character === 'leaf.arrangement' && ['shrub', 'dwarf-shrub', 'conifer'].includes(taxon.bodyPlan))
        )
          continue;
        expect([
          taxon.id,
          character,
          (known.possible & guide.character(character)!.stateBit.get(state)!) !== 0,
        ]).toEqual([taxon.id, character, true]);
      }
    }
  });
});
