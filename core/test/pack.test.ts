import fc from 'fast-check';
import { compileGuide, contentHash, decide, type Guide, type StageId, type TaxonId } from '../src';
import { parseCase } from '../src/case/parse';
import { GuideError } from '../src/guide/parse';
import { applyPack, parsePack } from '../src/questions';
import { collectable, dangers, followChecks, guide, taxon } from './finds';

const pack = (more: Record<string, unknown> = {}) => ({
  format: 'pause-pack/1',
  id: 'lower-valley',
  title: 'The lower valley',
  licence: 'CC0-1.0',
  about: 'What grows below the weir.',
  over: guide.guide.id,
  ...more,
});
const lay = (more: Record<string, unknown>) => applyPack(guide.guide, parsePack(pack(more)));
const statementsOf = (g: Guide, id: string, character: string) =>
  g.taxa.find((t) => t.id === id)?.statements.filter((s) => s.character === character);
const problems = (work: () => unknown) => {
  try {
    work();
  } catch (error) {
    if (error instanceof GuideError) return error.problems.map((p) => p.path);
    throw error;
  }
  return [];
};

describe('a pack laid over a guide', () => {
  test('adds names and lookalikes, and is named with the hash of what it says', () => {
    const { guide: laid, held } = lay({
      names: { 'boletus-edulis': { en: ['penny loaf'], it: ['porcino'] } },
      lookalikes: { 'boletus-edulis': ['amanita-phalloides'] },
    });
    const before = taxon('boletus-edulis').taxon;
    const after = laid.taxa.find((t) => t.id === 'boletus-edulis');
    expect(after?.vernacularNames).toEqual({
      ...before.vernacularNames,
      en: [...before.vernacularNames.en!, 'penny loaf'],
      it: [...new Set([...(before.vernacularNames.it ?? []), 'porcino'])],
    });
    expect(after?.lookalikes).toEqual([...before.lookalikes, 'amanita-phalloides']);
    expect(held).toEqual([]);
    expect(laid.packs).toEqual([
      {
        id: 'lower-valley',
        version: contentHash(
          pack({
            names: { 'boletus-edulis': { en: ['penny loaf'], it: ['porcino'] } },
            lookalikes: { 'boletus-edulis': ['amanita-phalloides'] },
          }),
        ),
      },
    ]);
    expect(compileGuide(laid).version).not.toBe(guide.version);
    expect(guide.guide.packs).toBeUndefined();
  });

  test('adds a dangerous taxon, and every target needs its bars at once', () => {
    const find = followChecks('cantharellus-cibarius');
    expect(decide(guide, find).outcome).toBe('collect');
    const newcomer = {
      ...taxon('cortinarius-rubellus').taxon,
      id: 'cortinarius-localis',
      scientificName: 'Cortinarius localis',
      statements: [],
    };
    const laid = compileGuide(lay({ taxa: [newcomer] }).guide);
    const verdict = decide(laid, parseCase({ ...find, guide: { id: laid.guide.id } }, laid));
    expect(verdict.reasons).toContainEqual({
      weight: 'pause',
      code: 'bars-short',
      taxon: 'cortinarius-localis',
      grade: 'deadly',
      have: 0,
      need: 3,
    });
  });

  test('an unreviewed word widens a dangerous taxon and never narrows it', () => {
    const statement = { character: 'cap.colour', usual: ['lilac'] };
    const { guide: laid, held } = lay({ statements: [{ taxon: 'amanita-phalloides', statement }] });
    const [before] = statementsOf(guide.guide, 'amanita-phalloides', 'cap.colour')!;
    const [after, ...more] = statementsOf(laid, 'amanita-phalloides', 'cap.colour')!;
    expect(more).toEqual([]);
    expect(after).toEqual({ ...before, usual: [...(before as { usual: string[] }).usual, 'lilac'] });
    expect(held).toEqual([
      {
        taxon: 'amanita-phalloides',
        character: 'cap.colour',
        stages: ['young', 'mature', 'old'],
        why: 'only-widened',
      },
    ]);
  });

  test('a reviewed one stands as it is, for the stages it names', () => {
    const { guide: laid, held } = lay({
      statements: [
        {
          taxon: 'amanita-phalloides',
          statement: { character: 'cap.colour', stages: ['old'], usual: ['grey-white'] },
          reviewedBy: 'Jorun Ask',
        },
      ],
    });
    const [before] = statementsOf(guide.guide, 'amanita-phalloides', 'cap.colour')!;
    expect(statementsOf(laid, 'amanita-phalloides', 'cap.colour')).toEqual([
      { ...before, stages: ['young', 'mature'] },
      { character: 'cap.colour', stages: ['old'], usual: ['grey-white'] },
    ]);
    expect(held).toEqual([]);
  });

  test('what nobody has said of a dangerous taxon stays unknown until a keeper says it', () => {
    const statement = { character: 'hymenophore.pores', usual: ['fine'] };
    expect(statementsOf(guide.guide, 'amanita-phalloides', 'hymenophore.pores')).toEqual([]);
    const unreviewed = lay({ statements: [{ taxon: 'amanita-phalloides', statement }] });
    expect(statementsOf(unreviewed.guide, 'amanita-phalloides', 'hymenophore.pores')).toEqual([]);
    expect(unreviewed.held).toEqual([
      {
        taxon: 'amanita-phalloides',
        character: 'hymenophore.pores',
        stages: ['young', 'mature', 'old'],
        why: 'still-unknown',
      },
    ]);
    const reviewed = lay({
      statements: [{ taxon: 'amanita-phalloides', statement, reviewedBy: 'Jorun Ask' }],
    });
    expect(statementsOf(reviewed.guide, 'amanita-phalloides', 'hymenophore.pores')).toEqual([statement]);
  });

  test('a range grows to hold both, whatever their units', () => {
    const [
      {
        range: { outer },
      },
    ] = statementsOf(guide.guide, 'conium-maculatum', 'plant.height') as unknown as [
      { range: { outer: [number, number] } },
    ];
    const { guide: laid } = lay({
      statements: [
        {
          taxon: 'conium-maculatum',
          statement: { character: 'plant.height', range: { usual: [1, 2.5], outer: [1, 4], unit: 'm' } },
        },
      ],
    });
    expect(statementsOf(laid, 'conium-maculatum', 'plant.height')).toMatchObject([
      {
        character: 'plant.height',
        range: { usual: [80, 250], outer: [Math.min(5, outer[0]), 400], unit: 'cm' },
      },
    ]);
  });

  test('what harms nobody is put right by anybody', () => {
    const statement = { character: 'cap.colour', usual: ['white'] };
    const { guide: laid, held } = lay({ statements: [{ taxon: 'cantharellus-cibarius', statement }] });
    expect(statementsOf(laid, 'cantharellus-cibarius', 'cap.colour')).toEqual([statement]);
    expect(held).toEqual([]);
  });

  test('packs stack, each named, and none is laid twice', () => {
    const first = lay({ names: { 'boletus-edulis': { it: ['porcino'] } } }).guide;
    const second = applyPack(
      first,
      parsePack({
        ...pack(),
        id: 'upper-valley',
        names: { 'boletus-edulis': { it: ['porcino di montagna'] } },
      }),
    ).guide;
    expect(second.packs?.map((p) => p.id)).toEqual(['lower-valley', 'upper-valley']);
    expect(second.taxa.find((t) => t.id === 'boletus-edulis')?.vernacularNames.it).toEqual(
      expect.arrayContaining(['porcino', 'porcino di montagna']),
    );
    expect(problems(() => applyPack(second, parsePack(pack())))).toEqual(['id']);
  });

  test.each([
    ['over', { over: 'another-guide' }],
    ['taxa[0].id', { taxa: [taxon('boletus-edulis').taxon] }],
    ['characters[0].id', { characters: [guide.characters[0]!.character] }],
    ['names.nobody', { names: { nobody: { en: ['nobody'] } } }],
    ['lookalikes.boletus-edulis', { lookalikes: { 'boletus-edulis': ['nobody'] } }],
    [
      'statements[0].taxon',
      { statements: [{ taxon: 'nobody', statement: { character: 'cap.colour', usual: ['white'] } }] },
    ],
    [
      'statements[0].statement.character',
      { statements: [{ taxon: 'boletus-edulis', statement: { character: 'cap.aura', usual: ['white'] } }] },
    ],
    [
      'statements[0].statement',
      { statements: [{ taxon: 'boletus-edulis', statement: { character: 'cap.width', usual: ['white'] } }] },
    ],
    [
      'statements[0].statement.stages',
      {
        statements: [
          {
            taxon: 'boletus-edulis',
            statement: { character: 'cap.colour', stages: ['flowering'], usual: ['white'] },
          },
        ],
      },
    ],
    ['format', { format: 'pause-pack/2' }],
    ['pack', { surprise: 1 }],
  ])('%s is named where it does not fit', (path, more) => {
    expect(problems(() => lay(more))).toEqual([path]);
  });
});

describe('whatever unreviewed pack is laid', () => {
  const stateful = guide.characters.filter((c) => c.stateBit.size > 0 && !c.place);
  const correction = fc.constantFrom(...dangers).chain((danger) =>
    fc
      .constantFrom(...stateful.filter((c) => c.character.kingdom === danger.taxon.kingdom))
      .chain((character) =>
        fc.record({
          taxon: fc.constant(danger.id as string),
          statement: fc.record({
            character: fc.constant(character.id as string),
            stages: fc.subarray<StageId>([...danger.taxon.stages], { minLength: 1 }),
            usual: fc.subarray([...character.stateBit.keys()], { minLength: 1 }),
          }),
        }),
      ),
  );

  test('no dangerous taxon can look like less than before', () => {
    fc.assert(
      fc.property(fc.array(correction, { minLength: 1, maxLength: 6 }), (statements) => {
        const laid = compileGuide(lay({ statements }).guide);
        for (const {
          taxon: id,
          statement: { character: name },
        } of statements) {
          const index = guide.character(name)!.index;
          const before = taxon(id).overall.get(index);
          const after = laid.taxon(id)!.overall.get(index);
          if (before === undefined) expect(after).toBeUndefined();
          else if (before.kind === 'states' && after?.kind === 'states')
            expect([(before.possible & ~after.possible) >>> 0, (before.usual & ~after.usual) >>> 0]).toEqual([
              0, 0,
            ]);
        }
      }),
      { numRuns: 50 },
    );
  });

  test('no row gains a bar by it', () => {
    const finds = collectable.slice(0, 8).map((t) => followChecks(t.id));
    fc.assert(
      fc.property(
        fc.array(correction, { minLength: 1, maxLength: 6 }),
        fc.constantFrom(...finds),
        (statements, find) => {
          const laid = compileGuide(lay({ statements }).guide);
          const had = new Map<TaxonId, number>(decide(guide, find).rows.map((row) => [row.taxon, row.have]));
          for (const row of decide(laid, find).rows)
            expect([row.taxon, row.have <= (had.get(row.taxon) ?? 0)]).toEqual([row.taxon, true]);
        },
      ),
      { numRuns: 40 },
    );
  });
});

test('between two ordered states what lies between is possible too', () => {
  const ordered = guide.characters.filter((c) => 'ordered' in c.character && c.character.ordered === true);
  expect(ordered.length).toBeGreaterThan(0);
  const made = (usual: string[]) => {
    const raw = structuredClone(guide.guide);
    // Without the neighbours that are taken for each other, which widen what is stated too.
    for (const one of raw.characters)
      if (one.id === 'hymenophore.spacing') delete (one as { shades?: unknown }).shades;
    const webcap = raw.taxa.find((t) => t.id === 'cortinarius-rubellus')!;
    webcap.statements = [
      ...webcap.statements.filter((s) => s.character !== 'hymenophore.spacing'),
      {
        character: 'hymenophore.spacing',
        usual,
        readBy: ['first', 'second'],
      } as unknown as (typeof webcap.statements)[number],
    ];
    const known = compileGuide(raw)
      .taxon('cortinarius-rubellus')!
      .overall.get(guide.character('hymenophore.spacing')!.index);
    const bits = guide.character('hymenophore.spacing')!.stateBit;
    return known?.kind === 'states'
      ? [...bits].filter(([, bit]) => (bit & known.possible) !== 0).map(([state]) => state)
      : [];
  };
  expect(made(['crowded', 'distant'])).toEqual(['crowded', 'medium', 'distant']);
  expect(made(['crowded', 'medium'])).toEqual(['crowded', 'medium']);
});
