/**
 * Mistakes that people have made: what is dangerous shows as much of the target as it ever truly can, and
 * what gave it away is misread besides.
 */
import { decide, type StageId } from '../src';
import { character, find, goodContext, guide, reading, taxon, usualValue } from './finds';

/**
 * What a true specimen of the danger can show that is most like the target; of what is misread, what the
 * target shows.
 */
function deceptive(target: string, danger: string, stage: StageId, misread: readonly string[]) {
  const [wanted, other] = [taxon(target), taxon(danger)];
  return guide.characters.flatMap((c) => {
    const known = other.atStage.get(c.index)?.get(stage);
    const wantedAt = wanted.atStage.get(c.index);
    const hoped = wantedAt?.get(stage) ?? [...(wantedAt?.values() ?? [])][0];
    const like =
      misread.includes(c.id) && hoped?.kind === 'states'
        ? hoped.typical
        : known?.kind === 'states' && hoped?.kind === 'states' && (known.possible & hoped.usual) !== 0
          ? known.possible & hoped.usual
          : undefined;
    const value =
      like === undefined
        ? usualValue(other, c, stage)
        : [...c.stateBit].find(([, bit]) => (like & bit) !== 0)?.[0];
    return value === undefined || !c.stages.has(stage) ? [] : [reading(c.id, value)];
  });
}

test.each([
  ['allium-ursinum', 'colchicum-autumnale', ['vegetative'], ['leaf.smell', 'leaf.base']],
  ['allium-ursinum', 'convallaria-majalis', ['vegetative', 'flowering'], ['leaf.smell', 'root.form']],
  ['angelica-sylvestris', 'conium-maculatum', ['fruiting'], ['leaf.base', 'fruit.type']],
  ['juniperus-communis', 'juniperus-sabina', ['vegetative', 'fruiting'], ['fruit.crown']],
  ['gentiana-lutea', 'veratrum-album', ['vegetative', 'flowering'], ['leaf.arrangement', 'root.flesh']],
  ['blitum-bonus-henricus', 'arum-maculatum', ['vegetative', 'flowering'], ['leaf.underside']],
  ['prunus-spinosa', 'rhamnus-cathartica', ['fruiting'], ['fruit.skin']],
  ['morchella-esculenta', 'gyromitra-esculenta', ['young', 'mature'], ['hymenophore', 'section']],
  ['morchella-esculenta', 'gyromitra-gigas', ['young', 'mature'], ['hymenophore', 'section']],
  ['morchella-esculenta', 'verpa-bohemica', ['young', 'mature'], ['hymenophore', 'cap.join']],
] as const)('for %s, %s never gets to collect', (target, danger, stages, misread) => {
  for (const id of misread) expect(character(id).id).toBe(id);
  for (const stage of stages) {
    if (!taxon(danger).taxon.stages.includes(stage as StageId)) continue;
    const readings = deceptive(target, danger, stage as StageId, misread);
    expect(readings.length).toBeGreaterThan(12);
    // Whatever stage it is taken for, and whatever part is wanted.
    for (const recorded of taxon(target).taxon.stages) {
      const verdict = decide(
        guide,
        find(target, readings, { context: { ...goodContext(taxon(target), recorded), stages: [recorded] } }),
      );
      expect([stage, recorded, verdict.outcome]).not.toEqual([stage, recorded, 'collect']);
    }
  }
});

test('what is collected of them at all is kept apart by bars, and not only by a word', () => {
  for (const [target, danger, stage] of [
    ['prunus-spinosa', 'rhamnus-cathartica', 'fruiting'],
    ['blitum-bonus-henricus', 'arum-maculatum', 'flowering'],
    ['allium-ursinum', 'convallaria-majalis', 'flowering'],
  ] as const) {
    const verdict = decide(
      guide,
      find(target, deceptive(target, danger, stage as StageId, []), { context: goodContext(taxon(target)) }),
    );
    const row = verdict.rows.find((one) => one.taxon === danger)!;
    expect([target, row.have < row.need]).toEqual([target, true]);
  }
});
