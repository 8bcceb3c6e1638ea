import { type Guide, contentHash, compileGuide, decide } from '../../src';
import { parseCase } from '../../src/case/parse';
import { GuideError } from '../../src/guide/parse';
import { applyPack, parsePack } from '../../src/questions';
import { taxon, guide, followChecks } from '../finds';
import { lay, pack } from './kit';

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

describe('a pack applied over a guide', () => {
  test('adds names and lookalikes, and is named with the hash of what it says', () => {
    const { guide: applied, held } = lay({
      names: { 'boletus-edulis': { en: ['penny loaf'], it: ['porcino'] } },
      lookalikes: { 'boletus-edulis': ['amanita-phalloides'] },
    });
    const before = taxon('boletus-edulis').taxon;
    const after = applied.taxa.find((t) => t.id === 'boletus-edulis');
    expect(after?.vernacularNames).toEqual({
      ...before.vernacularNames,
      en: [...before.vernacularNames.en!, 'penny loaf'],
      it: [...new Set([...(before.vernacularNames.it ?? []), 'porcino'])],
    });
    expect(after?.lookalikes).toEqual([...before.lookalikes, 'amanita-phalloides']);
    expect(held).toEqual([]);
    expect(applied.packs).toEqual([
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
    expect(compileGuide(applied).version).not.toBe(guide.version);
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
    const applied = compileGuide(lay({ taxa: [newcomer] }).guide);
    const verdict = decide(applied, parseCase({ ...find, guide: { id: applied.guide.id } }, applied));
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
    const { guide: applied, held } = lay({ statements: [{ taxon: 'amanita-phalloides', statement }] });
    const [before] = statementsOf(guide.guide, 'amanita-phalloides', 'cap.colour')!;
    const [after, ...more] = statementsOf(applied, 'amanita-phalloides', 'cap.colour')!;
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
    const { guide: applied, held } = lay({
      statements: [
        {
          taxon: 'amanita-phalloides',
          statement: { character: 'cap.colour', stages: ['old'], usual: ['grey-white'] },
          reviewedBy: 'Jorun Ask',
        },
      ],
    });
    const [before] = statementsOf(guide.guide, 'amanita-phalloides', 'cap.colour')!;
    expect(statementsOf(applied, 'amanita-phalloides', 'cap.colour')).toEqual([
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
    const { guide: applied } = lay({
      statements: [
        {
          taxon: 'conium-maculatum',
          statement: { character: 'plant.height', range: { usual: [1, 2.5], outer: [1, 4], unit: 'm' } },
        },
      ],
    });
    expect(statementsOf(applied, 'conium-maculatum', 'plant.height')).toMatchObject([
      {
        character: 'plant.height',
        range: { usual: [80, 250], outer: [Math.min(5, outer[0]), 400], unit: 'cm' },
      },
    ]);
  });

  test('what harms nobody is put right by anybody', () => {
    const statement = { character: 'cap.colour', usual: ['white'] };
    const { guide: applied, held } = lay({ statements: [{ taxon: 'cantharellus-cibarius', statement }] });
    expect(statementsOf(applied, 'cantharellus-cibarius', 'cap.colour')).toEqual([statement]);
    expect(held).toEqual([]);
  });

  test('packs stack, each named, and none is applied twice', () => {
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
