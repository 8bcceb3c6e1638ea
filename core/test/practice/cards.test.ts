import { toLook, relationOverall } from '../../src';
import { answerPlate, taxonPlate, pathData, individualPlate } from '../../src/drawing';
import { CardId as CardIdSchema } from '../../src/notebook/page/practice';
import {
  type Pictures,
  cardsOf,
  pairCard,
  cardOf,
  stagesApart,
  stagesCard,
  canBeOrdered,
  drillFor,
  type Memory,
  met,
  unseen,
  type CardId,
  sitting,
  type Drill,
  individualOf,
  drawnPartings,
} from '../../src/practice';
import { guide, collectable, taxon, reading } from '../finds';

const known = new Map<string, boolean>();
const wholes = new Map<string, string>();
const pictures: Pictures = {
  state: (character, state) => {
    if (guide.character(character)?.character.kind === 'colour') return true;
    const name = `${character} ${state}`;
    if (!known.has(name)) known.set(name, answerPlate(character, state) !== undefined);
    return known.get(name)!;
  },
  whole: (one, stage) => {
    const name = `${one.id} ${stage}`;
    if (!wholes.has(name)) wholes.set(name, taxonPlate(guide, one, stage).marks.map(pathData).join(' '));
    return wholes.get(name)!;
  },
};

const cards = cardsOf(guide, collectable, pictures);
describe('cards', () => {
  test('are of every listed pair, of what parts them, of terms, and of stages that look unlike', () => {
    const ids = new Set(cards.map(({ id }) => id));
    expect(ids.size).toBe(cards.length);
    for (const target of collectable)
      for (const other of target.taxon.lookalikes) expect(ids.has(pairCard(target.id, other))).toBe(true);
    for (const { id, grade } of cards) {
      expect(CardIdSchema.parse(id)).toBe(id);
      const card = cardOf(id)!;
      if (card.kind === 'pair') expect(grade).toBe(guide.taxon(card.other)?.grade);
      if (card.kind === 'stages')
        expect(
          new Set(
            stagesApart(taxon(card.taxon), pictures).map((stage) => pictures.whole(taxon(card.taxon), stage)),
          ).size,
        ).toBeGreaterThanOrEqual(3);
    }
    expect([cardOf('pair:a'), cardOf('nothing:a'), cardOf('term:a')]).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
    expect(cardOf(stagesCard('macrolepiota-procera'))).toEqual({
      kind: 'stages',
      taxon: 'macrolepiota-procera',
    });
  });

  test('stages that are drawn alike are asked for only once', () => {
    const alike: Pictures = { ...pictures, whole: () => 'the same' };
    expect(stagesApart(taxon('macrolepiota-procera'), alike)).toHaveLength(1);
    expect(canBeOrdered(stagesApart(taxon('macrolepiota-procera'), alike))).toBe(false);
    expect(drillFor(guide, stagesCard('macrolepiota-procera'), 1, alike)).toBeUndefined();
  });

  test('a sitting takes what is due first, then a few new ones, no more than fit', () => {
    const now = new Date('2026-09-14T08:00:00.000Z');
    const seen = (days: number): Memory =>
      met(
        unseen(new Date(now.getTime() - days * 86_400_000)),
        { kind: 'drill', right: true, sure: true },
        new Date(now.getTime() - days * 86_400_000),
      );
    const some = (['feature:a', 'feature:b', 'feature:c', 'feature:d', 'feature:e'] as CardId[]).map(
      (id) => ({ id, grade: 'none' as const }),
    );
    const ask = (more: Partial<Parameters<typeof sitting>[0]>) =>
      sitting({
        cards: some,
        memories: new Map([
          ['feature:b', seen(30)],
          ['feature:c', seen(0)],
        ]),
        soon: () => 0,
        now,
        most: 9,
        fresh: 2,
        ...more,
      });
    expect(ask({})).toEqual(['feature:b', 'feature:a', 'feature:d']);
    expect(ask({ soon: (id) => (id === 'feature:e' ? 1 : 0) })).toEqual([
      'feature:b',
      'feature:e',
      'feature:a',
    ]);
    expect(ask({ most: 1 })).toEqual(['feature:b']);
    expect(ask({ fresh: 0 })).toEqual(['feature:b']);
    // Minutes that are left go to what harms and fades first, never to what was looked at today.
    const harm = some.map(({ id }) => ({ id, grade: 'deadly' as const }));
    const well = (days: number): Memory =>
      [60, 55, 40, days].reduce(
        (memory, ago) =>
          met(memory, { kind: 'drill', right: true, sure: true }, new Date(now.getTime() - ago * 86_400_000)),
        unseen(now),
      );
    const memories = new Map([
      ['feature:b', well(0)],
      ['feature:c', well(1)],
      ['feature:d', well(2)],
    ]);
    expect(ask({ cards: harm, memories, fresh: 0 })).toEqual(['feature:d', 'feature:c']);
    expect(ask({ memories, fresh: 0 })).toEqual([]);
  });
});

describe('drills', () => {
  const all = cards.flatMap(({ id }) =>
    Array.from({ length: 7 }, (_, seed) => drillFor(guide, id, seed, pictures)),
  );

  test('there is one for every card, the same for the same seed, and of every kind', () => {
    expect(all.filter((one) => one === undefined)).toEqual([]);
    expect([...new Set(all.map((one) => one!.kind))].sort()).toEqual([
      'basket',
      'colours',
      'differs',
      'draw',
      'drawing',
      'measure',
      'stages',
      'which',
      'word',
    ]);
    const { id } = cards[0]!;
    expect(JSON.stringify(drillFor(guide, id, 5, pictures))).toBe(
      JSON.stringify(drillFor(guide, id, 5, pictures)),
    );
    expect(drillFor(guide, 'pair:no-such:taxon', 1, pictures)).toBeUndefined();
    expect(drillFor(guide, 'feature:no.such', 1, pictures)).toBeUndefined();
  });

  const of = <K extends Drill['kind']>(kind: K) =>
    all.filter((one) => one?.kind === kind) as (Drill & { readonly kind: K })[];
  test('what is right can be chosen, once, and what is shown can be drawn', () => {
    for (const one of [...of('word'), ...of('drawing')]) {
      expect(one.options.filter((option) => option === one.shown)).toHaveLength(1);
      expect(new Set(one.options).size).toBe(one.options.length);
      expect(one.options.every((option) => pictures.state(one.character, option))).toBe(true);
    }
    for (const one of of('measure')) {
      expect(one.options.filter((option) => option === one.right)).toHaveLength(1);
      // Steps so far apart that the scale below it tells them.
      for (const option of one.options)
        if (option !== one.right) expect(Math.abs(Math.log(option / one.right))).toBeGreaterThan(0.3);
      expect(
        individualPlate(guide, individualOf(one.specimen), taxon(one.specimen.taxon).taxon.kingdom).scale,
      ).toBeDefined();
    }
    for (const one of of('draw')) expect(guide.character(one.character)?.character.kind).toBe('states');
  });

  test('of a pair: what is right parts them, the others do not; every other individual shows what rules it out', () => {
    for (const one of of('differs')) {
      const parts = (character: string) =>
        drawnPartings(guide, one.target, one.other, [one.stage], pictures.state).some(
          (parting) => parting.character === character,
        );
      expect(one.options.filter(parts)).toEqual([one.right]);
    }
    for (const one of [...of('which'), ...of('basket')]) {
      const others = one.specimens.filter((specimen) => specimen.taxon === one.other.id);
      if (one.kind === 'which') {
        expect(others.length).toBeGreaterThan(0);
        expect(others.length).toBeLessThan(one.specimens.length);
      }
      for (const specimen of one.specimens) {
        for (const character of one.shownBy) {
          const look = toLook(guide, reading(character, specimen.shows.get(character)!) as never);
          const stray = specimen.taxon === one.other.id;
          // As is usual for the one is a ground against the other.
          if (!stray) expect(relationOverall(look!, one.other)).toBe('against');
        }
      }
    }
    for (const one of of('colours'))
      expect(
        one.states.some((state) =>
          drawnStates(one.of === 'target' ? one.other : one.target, one.character).includes(state),
        ),
      ).toBe(false);
    for (const one of of('stages')) {
      expect([...one.shuffled].sort()).toEqual([...stagesApart(one.taxon, pictures)].sort());
      expect(one.shuffled).not.toEqual(stagesApart(one.taxon, pictures));
    }
  });
  function drawnStates(one: ReturnType<typeof taxon>, character: string): string[] {
    const statements = one.taxon.statements.filter((statement) => statement.character === character);
    return statements.length === 1 && 'usual' in statements[0]! && statements[0].stages === undefined
      ? statements[0].usual
      : [];
  }
});
