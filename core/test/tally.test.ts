import fc from 'fast-check';
import {
  CAUSE_BIT,
  dangersOf,
  disputedCharacters,
  groundsAgainst,
  largestIndependent,
  tally,
  viewCase,
  type Case,
} from '../src';
import { at, find, guide, taxon, targets } from './finds';

/** Finds with every kind of reading, repeated and contradictory, on two pieces. */
const anyFind: fc.Arbitrary<Case> = fc.constantFrom(...targets.map((t) => t.id as string)).chain((id) => {
  const own = guide.characters.filter((c) => c.character.kingdom === taxon(id).taxon.kingdom);
  const row = fc.record({
    c: fc.constantFrom(...own),
    pick: fc.nat(31),
    torn: fc.boolean(),
    size: fc.integer({ min: 0, max: 400 }),
    sureness: fc.constantFrom('sure', 'sure', 'sure', 'guess'),
    piece: fc.constantFrom('p1', 'p1', 'p2'),
  });
  return fc.array(row, { maxLength: 25 }).map((rows) =>
    find(
      id,
      rows.map(({ c, pick, torn, size, sureness, piece }, i) => {
        const states = [...c.stateBit.keys()];
        const first = states[pick % Math.max(1, states.length)];
        const other = states[(pick + 1) % Math.max(1, states.length)];
        const value =
          c.character.kind === 'count'
            ? { kind: 'count', number: size % 40 }
            : c.character.kind === 'measure'
              ? { kind: 'measure', number: size, unit: c.character.unit }
              : { kind: 'states', states: torn && first !== other ? [first, other] : [first] };
        return { id: `r${i}`, piece, character: c.id, value, sureness, by: 'ilse', at: at(i) };
      }),
      {
        pieces: [
          { id: 'p1', startedAt: at(0), purpose: 'decide' },
          { id: 'p2', startedAt: at(0), purpose: 'compare' },
        ],
      },
    ),
  );
});

function prepared(f: Case) {
  const view = viewCase(guide, f);
  const disputed = disputedCharacters(view);
  const { same } = dangersOf(guide, view, taxon(f.target), 0);
  return { view, disputed, same, tallied: tally(guide, view, disputed, same) };
}

test('the flat count is the one that comes taxon by taxon, ground by ground', () => {
  let some = 0;
  fc.assert(
    fc.property(anyFind, (f) => {
      const { view, disputed, same, tallied } = prepared(f);
      same.forEach((index, i) => {
        const grounds = groundsAgainst(view, guide.taxa[index]!, disputed);
        const chosen = largestIndependent(grounds);
        expect(tallied.count(i)).toBe(chosen.length);
        some += chosen.length;
        const shown = tallied.looks(i, 3);
        expect(shown).toHaveLength(Math.min(3, chosen.length));
        const allowed = new Set(grounds.map((g) => g.look.reading.id));
        expect(shown.every((look) => allowed.has(look.reading.id))).toBe(true);
        expect(new Set(shown.map((look) => look.character.group)).size).toBe(shown.length);
        for (const bit of Object.values(CAUSE_BIT))
          expect(shown.filter((look) => (look.causes & bit) !== 0).length).toBeLessThanOrEqual(1);
      });
    }),
    { numRuns: 150 },
  );
  expect(some).toBeGreaterThan(200);
});

test('what a further look would change is what it then does change', () => {
  fc.assert(
    fc.property(anyFind, fc.nat(200), (f, which) => {
      const own = guide.characters.filter(
        (c) =>
          c.character.kingdom === f.kingdom &&
          c.stateBit.size > 0 &&
          !c.place &&
          !f.readings.some((r) => r.character === c.id),
      );
      const character = own[which % Math.max(1, own.length)];
      const state = character && [...character.stateBit.keys()][which % character.stateBit.size];
      if (!character || state === undefined) return;
      const { tallied, same } = prepared(f);
      const after = prepared({
        ...f,
        readings: [
          ...f.readings,
          {
            id: 'new',
            piece: 'p1',
            character: character.id,
            value: { kind: 'states', states: [state] },
            sureness: 'sure',
            by: 'ilse',
            at: at(99),
          } as unknown as Case['readings'][number],
        ],
      });
      const look = after.view.looks.find((l) => l.reading.id === 'new')!;
      same.forEach((index, i) => {
        const known = guide.taxa[index]!.overall.get(character.index);
        if (known?.kind !== 'states' || look.kind !== 'states') return;
        const relation =
          (look.mask & known.usual) !== 0
            ? 'fits'
            : (look.mask & known.possible) === 0
              ? 'against'
              : undefined;
        const change = relation ? tallied.change(i, character.group, look.causes, relation) : 0;
        expect(after.tallied.count(i)).toBe(tallied.count(i) + change);
      });
    }),
    { numRuns: 400 },
  );
});
