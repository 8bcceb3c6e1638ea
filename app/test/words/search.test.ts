import '../guide';
import { nearNames } from '../../src/components/names/nearNames';
import { searchTaxa, sharingName } from '../../src/components/names/search';
import { guide } from '../../src/deciding/guide';
import { timeWords, harmLine, readingWords } from '../../src/text/names';

test('times, harm and readings as people say them', () => {
  expect([10, 60, 120, 21_600].map(timeWords)).toEqual(['10 seconds', 'a minute', '2 minutes', 'overnight']);
  expect(harmLine('cortinarius-rubellus')).toBe('deadly · silent for 2 to 21 days');
  expect(harmLine('omphalotus-olearius')).toBe('serious · within 4 hours');
  expect(harmLine('hygrophoropsis-aurantiaca')).toBe('unpleasant');
  expect(
    readingWords({ character: 'cap.width' as never, value: { kind: 'measure', number: 4.5, unit: 'cm' } }),
  ).toBe('4.5 cm');
  expect(readingWords({ character: 'latex' as never, value: { kind: 'cant-tell' } })).toBe('Could not tell');
});

describe('searching a name', () => {
  const names = (text: string, plan?: string) => searchTaxa(guide, text, plan).map((m) => m.taxon.id);
  test.each([
    ['golden chant', ['cantharellus-cibarius']],
    ['girolle', ['cantharellus-cibarius', 'hygrophoropsis-aurantiaca']],
    ['CEPE', ['boletus-edulis']],
    ['jack o lantern', ['omphalotus-olearius']],
    ['Atropa', ['atropa-bella-donna']],
    ['bella-donna', ['atropa-bella-donna']],
    ['weisser', []],
    ['zzz', []],
  ])('%s finds %j', (text, ids) => expect(names(text)).toEqual(ids));

  test('the chosen body plan comes first, the other kingdom not at all', () => {
    const found = searchTaxa(guide, '', 'boletoid');
    expect(found.slice(0, 3).map((m) => m.otherPlan)).toEqual([undefined, undefined, undefined]);
    expect(found.every((m) => m.taxon.taxon.kingdom === 'Fungi')).toBe(true);
    expect(found.at(-1)?.otherPlan).toBeDefined();
  });

  test('a name that means two taxa is told, whole and in any spelling of its case', () => {
    const named = (id: string) => ({
      ...guide.taxon(id)!,
      taxon: { ...guide.taxon(id)!.taxon, vernacularNames: { en: ['hedge bell'], de: ['Glöckel'] } },
    });
    const two = {
      ...guide,
      taxa: [...guide.taxa, named('symphytum-officinale'), named('atropa-bella-donna')],
    };
    expect(sharingName(two, 'Hedge Bell').map((t) => t.id)).toEqual([
      'symphytum-officinale',
      'atropa-bella-donna',
    ]);
    expect(sharingName(two, 'glockel')).toHaveLength(2);
    expect(sharingName(two, 'hedge')).toEqual([]);
    expect(sharingName(guide, 'penny bun')).toEqual([]);
    expect(sharingName(two, ' ')).toEqual([]);
  });
});

describe('names that are nearly one of the guide', () => {
  const near = (text: string) => nearNames(guide, text).map(({ taxon }) => taxon.id as string);

  test.each([
    ['bilbery', 'vaccinium-myrtillus'],
    ['bilberries', 'vaccinium-myrtillus'],
    ['chantrelle', 'cantharellus-cibarius'],
    ['hazelnutt', 'corylus-avellana'],
    ['Blackthorns', 'prunus-spinosa'],
    ['hemlok', 'conium-maculatum'],
  ])('%s', (text, id) => {
    expect(near(text)).toContain(id);
  });

  test('nothing is offered for what is like no name, or too short to say', () => {
    expect(near('xyzzy')).toEqual([]);
    expect(near('be')).toEqual([]);
    expect(near('')).toEqual([]);
  });

  test('each taxon once, with the name that is near', () => {
    const found = nearNames(guide, 'deathcap');
    expect(new Set(found.map(({ taxon }) => taxon.id)).size).toBe(found.length);
    expect(found[0]).toMatchObject({ taxon: { id: 'amanita-phalloides' }, name: 'death cap' });
  });
});
