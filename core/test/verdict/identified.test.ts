import { decide, nextChecks, type Case, type CompiledTaxon, type StageId } from '../../src';
import { allUsual, character, find, guide, reading, targets, taxon, usualValue } from '../finds';
import { codes } from './kit';

/** Nothing is recorded of a find of what nobody collects but its stage. */
const around = (stage: StageId) => ({ context: { stages: [stage] } });
const stageOf = ({ taxon: { stages } }: CompiledTaxon) => stages[Math.min(1, stages.length - 1)] as StageId;

/** Answers the checks that are proposed as a typical specimen of the target, until none is left. */
function followed(id: string): Case {
  const target = taxon(id);
  const stage = stageOf(target);
  const readings: ReturnType<typeof reading>[] = [];
  for (let step = 0; step < 40; step += 1) {
    const now = find(id, readings, around(stage));
    const [next] = nextChecks(guide, now);
    const value = next && usualValue(target, character(next.character), stage);
    if (!next || value === undefined) return now;
    readings.push(reading(next.character, value));
  }
  throw new Error(`no end of checks for ${id}`);
}

const identifiedIn = (one: Case) => decide(guide, one).reasons.find((reason) => reason.code === 'identified');

describe('what nobody collects', () => {
  test.each([
    'conium-maculatum',
    'convallaria-majalis',
    'colchicum-autumnale',
    'veratrum-album',
    'digitalis-purpurea',
    'taxus-baccata',
    'scleroderma-citrinum',
  ])('%s is told from everything else in the guide by the checks that are proposed', (id) => {
    const one = followed(id);
    expect(identifiedIn(one)).toMatchObject({ target: id, or: [], weight: 'note' });
    expect(decide(guide, one).outcome).toBe('leave');
  });

  test('two that the guide cannot part are named together', () => {
    expect(identifiedIn(followed('aconitum-napellus'))).toMatchObject({ or: ['aconitum-lycoctonum'] });
  });

  test('is not identified by guesses, nor before eight independent things fit', () => {
    const { readings } = followed('conium-maculatum');
    const at = around('flowering' as StageId);
    const guesses = readings.map((one) => ({ ...one, sureness: 'guess' }));
    expect(identifiedIn(find('conium-maculatum', guesses, at))).toBeUndefined();
    expect(identifiedIn(find('conium-maculatum', readings.slice(0, 7), at))).toBeUndefined();
  });

  test('is not identified where one look is against it', () => {
    const { readings } = followed('conium-maculatum');
    const against = reading('flower.colour', 'blue', { minute: 59 });
    const more = find('conium-maculatum', [...readings, against], around('flowering' as StageId));
    expect(codes(decide(guide, more), 'pause')).toContain('contradicted-open');
    expect(identifiedIn(more)).toBeUndefined();
  });

  test('is asked nothing about place, condition and part', () => {
    const { reasons } = decide(guide, find('conium-maculatum', [], { context: {} }));
    expect(reasons.filter(({ code }) => code === 'context-missing')).toEqual([
      { code: 'context-missing', weight: 'pause', field: 'stages' },
    ]);
  });
});

test('a usual specimen of what can be collected is never identified as a lookalike of it', () => {
  let asked = 0;
  const wrong = targets.flatMap((wanted) =>
    wanted.taxon.lookalikes.flatMap((id) => {
      const other = guide.taxon(id);
      if (!other || other.taxon.parts.length > 0 || other.taxon.kingdom !== wanted.taxon.kingdom) return [];
      const stage = wanted.taxon.parts[0]?.stages.at(-1) as StageId;
      asked += 1;
      return identifiedIn(find(id, allUsual(wanted.id), around(stage))) ? [`${wanted.id} as ${id}`] : [];
    }),
  );
  expect(wrong).toEqual([]);
  expect(asked).toBeGreaterThan(100);
});

test('what can be collected is never identified', () => {
  expect(identifiedIn(find('cantharellus-cibarius', allUsual('cantharellus-cibarius')))).toBeUndefined();
});
