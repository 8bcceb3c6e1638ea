import { decide } from '../../src';
import { recomputer, recompute } from '../../src/questions';
import { followChecks, guide } from '../finds';
import { changed } from './kit';

describe('recomputing a stored verdict under a new guide', () => {
  const kept = followChecks('cantharellus-cibarius');
  const verdict = decide(guide, kept);

  test('the same guide changes nothing', () => {
    const { difference } = recomputer(guide, guide)({ find: kept, verdict });
    expect(difference).toMatchObject({
      recalled: false,
      reasonsGone: [],
      reasonsNew: [],
      rows: [],
      unread: [],
      statements: [],
    });
  });

  test('a corrected statement recalls what no longer holds, and says which statement it was', () => {
    const corrected = changed((raw) => {
      for (const { character, value } of kept.readings) {
        const statement = raw.taxa
          .find((t) => t.id === 'omphalotus-olearius')!
          .statements.find((x) => x.character === character);
        if (statement?.usual && value.kind === 'states')
          statement.occasional = value.states.filter((s) => !(statement.usual as string[]).includes(s));
      }
    });
    const { difference, verdict: after } = recomputer(guide, corrected)({ find: kept, verdict });
    expect(after.outcome).toBe('pause');
    expect(difference.recalled).toBe(true);
    const had = verdict.rows.find((row) => row.taxon === 'omphalotus-olearius')?.have;
    expect(had).toBeGreaterThanOrEqual(2);
    expect(difference.rows).toContainEqual({
      taxon: 'omphalotus-olearius',
      from: { have: had, need: 2 },
      to: { have: 0, need: 2 },
    });
    expect(difference.reasonsNew).toContainEqual({
      weight: 'pause',
      code: 'bars-short',
      taxon: 'omphalotus-olearius',
      grade: 'serious',
      have: 0,
      need: 2,
    });
    expect(difference.statements).toContainEqual({ taxon: 'omphalotus-olearius', character: 'hymenophore' });
    expect(difference.before.version).not.toBe(difference.after.version);
  });

  test('a new dangerous taxon needs its bars at once', () => {
    const grown = changed((raw) => {
      raw.taxa.push({
        ...raw.taxa.find((t) => t.id === 'cortinarius-rubellus')!,
        id: 'cortinarius-nowhere',
        scientificName: 'Cortinarius nowhere',
        statements: [],
      });
    });
    const { difference } = recomputer(guide, grown)({ find: kept, verdict });
    expect(difference.rows).toContainEqual({
      taxon: 'cortinarius-nowhere',
      from: undefined,
      to: { have: 0, need: 3 },
    });
    expect(difference.recalled).toBe(true);
  });

  test('readings that the new guide does not ask are left out and named', () => {
    const bonds = kept.readings.flatMap(({ character }, i) =>
      character === 'hymenophore.bond' ? [`readings[${i}].value.states[0]`] : [],
    );
    expect(bonds.length).toBeGreaterThan(0);
    const smaller = changed((raw) => {
      const asked = raw.characters.find((c) => c.id === 'hymenophore.bond')!;
      asked.states = [
        ...asked.states!.filter((s) => s.id !== 'inseparable'),
        { id: 'otherwise', label: 'Otherwise' },
      ];
      delete (asked as { shades?: unknown }).shades;
      for (const taxon of raw.taxa)
        for (const s of taxon.statements.filter((x) => x.character === 'hymenophore.bond')) {
          const without = (states: unknown) => [
            ...new Set((states as string[]).map((x) => (x === 'inseparable' ? 'otherwise' : x))),
          ];
          s.usual = without(s.usual);
          if (s.occasional)
            s.occasional = without(s.occasional).filter((x) => !(s.usual as string[]).includes(x));
        }
    });
    const { difference } = recompute({ find: kept, verdict }, smaller);
    expect(difference.unread.map((p) => p.field)).toEqual(bonds);
    const lost = difference.rows.find((row) => row.taxon === 'cortinarius-rubellus');
    expect(lost?.to?.have).toBe((lost?.from?.have ?? 0) - 1);
  });

  test('a target that is gone is an error that names it', () => {
    const without = changed((raw) => {
      raw.taxa = raw.taxa.filter((t) => t.id !== 'cantharellus-cibarius');
    });
    expect(() => recompute({ find: kept, verdict }, without)).toThrow(
      'target: "cantharellus-cibarius" is not a taxon of the guide',
    );
  });
});
