import { pieceCheck, lint, separation } from '../../src/questions';
import { collectable, guide, find, followChecks } from '../finds';
import { changed, statement } from './kit';

describe('the piece check', () => {
  test.each(collectable.filter((t) => t.taxon.lookalikes.length > 0).map((t) => [t.id, t] as const))(
    '%s: full bars against each listed lookalike',
    (id, target) => {
      const made = pieceCheck(guide, find(id, []));
      if (!made.feasible) throw new Error('it can be checked');
      expect(made.slips).toHaveLength(made.checks.length + 1);
      const shares = made.slips.map((s) => s.share);
      expect(shares[0]).toBe(1);
      expect([...shares].sort((a, b) => b - a)).toEqual(shares);
      expect(shares.at(-1)).toBeLessThan(0.2);
      for (const s of made.slips) expect(target.taxon.lookalikes).toContain(s.taxon);
    },
  );

  test('what was read on the first piece does not count for the others', () => {
    const full = pieceCheck(guide, followChecks('cantharellus-cibarius'));
    expect(full).toEqual(pieceCheck(guide, find('cantharellus-cibarius', [])));
  });

  test('without the means it says which taxon stands in the way', () => {
    const without = new Set(guide.characters.map((c) => c.id as string));
    expect(pieceCheck(guide, find('gentiana-lutea', []), { without })).toMatchObject({
      feasible: false,
      obstacles: expect.arrayContaining([
        { code: 'cannot-bar', taxon: 'veratrum-album', most: 0, need: 3 },
      ]) as unknown,
    });
  });
});

describe('lint', () => {
  test('the shipped guide has nothing to mend', () => {
    expect(lint(guide).filter((finding) => finding.level === 'weak')).toEqual([]);
  });

  test('numbers part two taxa only beyond the error of the ruler', () => {
    const parts = (low: number) => {
      const g = changed((raw) => {
        statement(raw, 'corylus-avellana', 'fruit.diameter').range = {
          usual: [low, 20],
          outer: [9, 25],
          unit: 'mm',
        };
        // Numbers share a cause: only this one is left.
        const hazel = raw.taxa.find((t) => t.id === 'corylus-avellana')!;
        hazel.statements = hazel.statements.filter(
          (one) => !('range' in one) || one.character === 'fruit.diameter',
        );
      });
      return separation(g, g.taxon('corylus-avellana')!, g.taxon('daphne-mezereum')!, 'fruiting' as never);
    };
    // The other reaches 13 mm and the ruler errs by 1: 14 could still be 13, 15 could not.
    expect(parts(15)).toBe(parts(14) + 1);
  });

  test('weak findings come first, and taking a statement away makes one more', () => {
    const before = lint(guide);
    expect(before.map((f) => f.level)).toEqual([...before.map((f) => f.level)].sort().reverse());
    const worse = changed((raw) => {
      const veratrum = raw.taxa.find((t) => t.id === 'veratrum-album')!;
      veratrum.statements = veratrum.statements.filter(
        (s) => !['leaf.venation', 'root.form', 'root.flesh', 'leaf.arrangement'].includes(s.character),
      );
    });
    expect(lint(worse)).toContainEqual({
      level: 'weak',
      code: 'few-bars',
      target: 'galium-odoratum',
      taxon: 'veratrum-album',
      stage: 'vegetative',
      most: 2,
      need: 3,
      unstated: expect.arrayContaining(['leaf.venation', 'root.form']) as unknown,
    });
  });

  test('a dangerous taxon that leaves out what its body plan asks, or contradicts it, is named', () => {
    const worse = changed((raw) => {
      const galerina = raw.taxa.find((t) => t.id === 'galerina-marginata')!;
      galerina.statements = galerina.statements.filter((s) => s.character !== 'volva');
      statement(raw, 'hydnum-repandum', 'hymenophore').usual = ['gills'];
      statement(raw, 'conium-maculatum', 'umbel.rays').range = { usual: [10, 20], outer: [6, 200] };
    });
    expect(lint(worse)).toContainEqual({
      level: 'weak',
      code: 'core-unstated',
      taxon: 'galerina-marginata',
      character: 'volva',
    });
    expect(lint(worse)).toContainEqual({
      level: 'weak',
      code: 'contradicts-plan',
      taxon: 'hydnum-repandum',
      character: 'hymenophore',
      states: ['gills'],
    });
    expect(lint(worse)).toContainEqual({
      level: 'note',
      code: 'range-wide',
      taxon: 'conium-maculatum',
      character: 'umbel.rays',
    });
  });

  test('a name that means two taxa is noted', () => {
    const twice = changed((raw) => {
      raw.taxa.find((t) => t.id === 'aethusa-cynapium')!.vernacularNames = { en: ['Hemlock'] };
    });
    expect(lint(twice)).toContainEqual({
      level: 'note',
      code: 'name-means-two',
      name: 'hemlock',
      taxa: ['aethusa-cynapium', 'conium-maculatum'],
    });
  });
});
