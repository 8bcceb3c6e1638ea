import fc from 'fast-check';
import { decide } from '../../src';
import { recomputer, recompute } from '../../src/questions';
import { collectable, followChecks, guide } from '../finds';
import { type RawGuide, statement, changed } from './kit';

describe('recomputing many stored verdicts at once', () => {
  const whole = collectable.map((t) => followChecks(t.id));
  // As finds are in a notebook: also half read, taken back, read twice, with a place not asked about, in a
  // group that wants two pairs of eyes.
  const kept = whole.flatMap((f, i) => [
    f,
    [
      { ...f, readings: f.readings.slice(0, 5) },
      { ...f, withdrawals: [{ reading: f.readings[3]!.id, at: '2026-09-14T20:00:00.000Z' }] },
      {
        ...f,
        readings: [...f.readings, { ...f.readings[2]!, id: 'again', at: '2026-09-14T20:00:00.000Z' }],
      },
      { ...f, context: { ...f.context, permission: undefined } },
      { ...f, policy: { secondLook: ['deadly'] } },
      {
        ...f,
        target:
          collectable[(i + 1) % collectable.length]!.taxon.kingdom === f.kingdom
            ? collectable[(i + 1) % collectable.length]!.id
            : f.target,
      },
    ][i % 6] as typeof f,
  ]);
  const asDecided = (f: (typeof whole)[number]) => ({ find: f, verdict: decide(guide, f) });
  const [stored, complete] = [kept.map(asDecided), whole.map(asDecided)];
  const changes: [string, (raw: RawGuide) => void][] = [
    [
      'a statement about something deadly',
      (raw) => {
        statement(raw, 'amanita-phalloides', 'cap.colour').occasional = ['white', 'red-brown'];
      },
    ],
    [
      'a statement about a target',
      (raw) => {
        statement(raw, 'boletus-edulis', 'cap.colour').usual = ['lilac'];
      },
    ],
    [
      'a name',
      (raw) => {
        raw.taxa[0]!.vernacularNames = { en: ['another name'] };
      },
    ],
    [
      'what a target is taken for',
      (raw) => {
        raw.taxa.find((t) => t.id === 'boletus-edulis')!.lookalikes = ['amanita-phalloides'];
      },
    ],
    [
      'how much harm something does',
      (raw) => {
        raw.taxa.find((t) => t.id === 'hypholoma-fasciculare')!.harm = { grade: 'deadly' };
      },
    ],
    [
      'a question',
      (raw) => {
        raw.characters.find((c) => c.id === 'cap.surface')!.restsOn = ['colour'];
      },
    ],
    [
      'a new taxon',
      (raw) => {
        raw.taxa.push({
          ...raw.taxa.find((t) => t.id === 'cortinarius-rubellus')!,
          id: 'cortinarius-nowhere',
          scientificName: 'Cortinarius nowhere',
          statements: [],
        });
      },
    ],
    [
      'who reviewed it',
      (raw) => {
        raw.taxa.find((t) => t.id === 'conium-maculatum')!.review = { reviewedBy: 'Jorun Ask' };
      },
    ],
    ['nothing', () => undefined],
  ];
  test.each(changes)('%s: the same as each by itself', (_, change) => {
    const after = changed(change);
    const again = recomputer(guide, after);
    const stated = (g: typeof guide, taxon: string, character: string) =>
      JSON.stringify(g.taxon(taxon)?.taxon.statements.filter((s) => s.character === character) ?? []);
    const taxa = [...new Set([...guide.taxa, ...after.taxa].map((t) => t.id))].sort();
    for (const one of stored) {
      const alone = recompute(one, after);
      const statements = taxa
        .filter(
          (id) =>
            id === one.find.target ||
            [guide, after].some((g) => g.taxon(id) && g.taxon(id)!.grade !== 'none'),
        )
        .flatMap((taxon) =>
          [...new Set(one.find.readings.map((r) => r.character))]
            .sort()
            .filter((character) => stated(guide, taxon, character) !== stated(after, taxon, character))
            .map((character) => ({ taxon, character })),
        );
      expect(again(one)).toEqual({ ...alone, difference: { ...alone.difference, statements } });
    }
  });

  test('whatever statement about whatever danger is widened: the same as each by itself', () => {
    const stated = guide.taxa
      .filter((t) => t.grade !== 'none')
      .flatMap((t) =>
        t.taxon.statements.flatMap((s) => ('usual' in s ? [{ taxon: t.id, character: s.character }] : [])),
      );
    let moved = 0;
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(stated.length - 1), fc.nat(31)), { minLength: 1, maxLength: 6 }),
        (corrections) => {
          const after = changed((raw) => {
            for (const [which, state] of corrections) {
              const of = statement(raw, stated[which]!.taxon, stated[which]!.character);
              const states = [...guide.character(stated[which]!.character)!.stateBit.keys()];
              const more = states[state % states.length]!;
              if (
                ![...(of.usual as string[]), ...((of.occasional as string[] | undefined) ?? [])].includes(
                  more,
                )
              )
                of.occasional = [...((of.occasional as string[] | undefined) ?? []), more];
            }
          });
          const again = recomputer(guide, after);
          for (const one of stored) {
            const { verdict: alone, difference } = recompute(one, after);
            const many = again(one);
            expect(many.verdict).toEqual(alone);
            expect({ ...many.difference, statements: [] }).toEqual(difference);
            if (difference.rows.length > 0) moved += 1;
          }
        },
      ),
      { numRuns: 12 },
    );
    // Some of them did change what stands between a find and its dangers.
    expect(moved).toBeGreaterThan(5);
  });

  test('only what is touched is asked again', () => {
    const asked = (change: (raw: RawGuide) => void) => {
      const again = recomputer(guide, changed(change));
      // A verdict that no guide gives shows which ones were taken over as they are.
      return complete
        .filter(
          (one) =>
            again({ ...one, verdict: { ...one.verdict, leansOn: ['never-asked' as never] } }).verdict
              .leansOn[0] !== ('never-asked' as never),
        )
        .map((one) => one.find.target as string);
    };
    expect(asked(() => undefined)).toEqual([]);
    expect(
      asked((raw) => {
        raw.taxa.find((t) => t.id === 'boletus-edulis')!.lookalikes = [];
      }),
    ).toEqual(['boletus-edulis']);
    const reading = (character: string) =>
      complete
        .filter((one) => one.find.readings.some((r) => r.character === character))
        .map((one) => one.find.target as string);
    // The death cap's gills may be inseparable from its flesh now: only whoever read that is asked again.
    const bound = asked((raw) => {
      const of = statement(raw, 'amanita-phalloides', 'hymenophore.bond');
      of.occasional = [...((of.occasional as string[] | undefined) ?? []), 'inseparable'];
    });
    expect(reading('hymenophore.bond')).toEqual(expect.arrayContaining(bound));
    expect(bound).toContain('cantharellus-cibarius');
    expect(bound).not.toContain('hydnum-repandum');
  });
});
