import { parseGuide, GuideError } from '../../src/guide/parse';
import { rawGuide, type Json } from './kit';

function guideProblems(change: (raw: ReturnType<typeof rawGuide>) => void) {
  const raw = rawGuide();
  change(raw);
  try {
    parseGuide(raw);
  } catch (error) {
    if (error instanceof GuideError) return error.problems;
    throw error;
  }
  return [];
}

describe('a guide with a mistake is refused with the taxon, the character and the reason', () => {
  const first = (raw: ReturnType<typeof rawGuide>) => {
    const taxon = raw.taxa[0];
    const statement = taxon?.statements[0];
    if (!taxon || !statement) throw new Error('the guide has taxa');
    return { taxon, statement };
  };
  const CHANTERELLE = 'cantharellus-cibarius';

  test.each<[string, (raw: ReturnType<typeof rawGuide>) => void, Json]>([
    [
      'a character that is not there',
      (raw) => {
        first(raw).statement.character = 'cap.sheen';
      },
      { taxon: CHANTERELLE, character: 'cap.sheen', reason: 'the character is not in the guide' },
    ],
    [
      'a state that is not there',
      (raw) => {
        first(raw).statement.usual = ['teeth'];
      },
      { taxon: CHANTERELLE, character: 'hymenophore', reason: 'state "teeth" is not in the character' },
    ],
    [
      'a state said twice',
      (raw) => {
        first(raw).statement.occasional = ['ridges'];
      },
      { taxon: CHANTERELLE, character: 'hymenophore', reason: 'a state is named twice' },
    ],
    [
      'an empty statement',
      (raw) => {
        first(raw).statement.usual = [];
      },
      { taxon: CHANTERELLE, character: 'hymenophore' },
    ],
    [
      'a stage of the other kingdom',
      (raw) => {
        first(raw).statement.stages = ['flowering'];
      },
      { taxon: CHANTERELLE, character: 'hymenophore' },
    ],
    [
      'a stage stated twice',
      (raw) => {
        first(raw).taxon.statements.push({ character: 'hymenophore', usual: ['gills'] });
      },
      { taxon: CHANTERELLE, character: 'hymenophore', reason: 'stage "young" is stated twice' },
    ],
    [
      'a reading that is not there',
      (raw) => {
        first(raw).statement.readBy = ['somebody'];
      },
      {
        taxon: CHANTERELLE,
        character: 'hymenophore',
        reason: 'reading "somebody" is not among the readings of the guide',
      },
    ],
    [
      'a reading named twice',
      (raw) => {
        first(raw).statement.readBy = ['first', 'first'];
      },
      { taxon: CHANTERELLE, character: 'hymenophore', reason: 'a reading is named twice' },
    ],
    [
      'a shade of nothing',
      (raw) => {
        const c = raw.characters[0];
        if (c) c.shades = [['gills', 'mist']];
      },
      { character: 'hymenophore', reason: 'state "mist" is not in the character' },
    ],
    [
      'a signature from one group',
      (raw) => {
        first(raw).taxon.signature = ['hymenophore'];
      },
      { taxon: CHANTERELLE, reason: 'the signature of a wanted taxon comes from at least two groups' },
    ],
    [
      'a range upside down',
      (raw) => {
        const s = first(raw).taxon.statements.find((x) => x.character === 'cap.width');
        if (s) s.range = { usual: [100, 30], outer: [10, 150], unit: 'mm' };
      },
      { taxon: CHANTERELLE, character: 'cap.width', reason: 'a range runs from small to large' },
    ],
    [
      'an outer range inside the usual',
      (raw) => {
        const s = first(raw).taxon.statements.find((x) => x.character === 'cap.width');
        if (s) s.range = { usual: [30, 100], outer: [40, 90], unit: 'mm' };
      },
      { taxon: CHANTERELLE, character: 'cap.width', reason: 'the outer range must hold the usual one' },
    ],
    [
      'a measure without unit',
      (raw) => {
        const s = first(raw).taxon.statements.find((x) => x.character === 'cap.width');
        if (s) s.range = { usual: [30, 100], outer: [10, 150] };
      },
      { taxon: CHANTERELLE, character: 'cap.width', reason: 'a measure needs its unit' },
    ],
    [
      'a lookalike that is not there',
      (raw) => {
        first(raw).taxon.lookalikes = ['amanita-nowhere'];
      },
      { taxon: CHANTERELLE, reason: 'lookalike "amanita-nowhere" is not in the guide' },
    ],
    [
      'two taxa of one id',
      (raw) => {
        raw.taxa.push(first(raw).taxon);
      },
      { reason: '"cantharellus-cibarius" is there twice' },
    ],
    [
      'an unknown harm grade',
      (raw) => {
        (first(raw).taxon.harm as Json).grade = 'mild';
      },
      { taxon: CHANTERELLE, path: 'taxa[0].harm.grade' },
    ],
    [
      'a member nobody knows',
      (raw) => {
        first(raw).taxon.edible = true;
      },
      { taxon: CHANTERELLE },
    ],
    [
      'too many states',
      (raw) => {
        const c = raw.characters[0];
        if (c) c.states = Array.from({ length: 33 }, (_, i) => ({ id: `s${i}`, label: 'x' }));
      },
      { character: 'hymenophore' },
    ],
    [
      'a fading character that cannot be absent',
      (raw) => {
        const c = raw.characters[0];
        if (c) {
          c.fades = true;
          c.states = [
            { id: 'ridges', label: 'a' },
            { id: 'gills', label: 'b' },
          ];
        }
      },
      { character: 'hymenophore', reason: 'what fades needs a state marked absent' },
    ],
  ])('%s', (_, change, problem) => {
    expect(guideProblems(change)).toContainEqual(expect.objectContaining(problem));
  });

  test('what is no guide at all', () => {
    for (const raw of [null, 3, [], {}, 'guide']) expect(() => parseGuide(raw)).toThrow(GuideError);
  });
});
