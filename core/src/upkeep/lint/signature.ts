import {
  harms,
  isCollectable,
  millimetres,
  wantedStages,
  type CompiledCharacter,
  type CompiledGuide,
  type CompiledTaxon,
  type StageId,
  type Statement,
} from '../../guide';
import type { LintFinding } from './finding';

/**
 * Signatures that are not the target's own: at a stage at which it is collected, another taxon can show all
 * of it. What a dangerous taxon can show is everything stated of it; of a harmless one only what is usual.
 * Nothing stated can be anything.
 */
export function sharedSignatures(guide: CompiledGuide): LintFinding[] {
  const targets = guide.taxa.filter(isCollectable);
  return targets.flatMap((target) => {
    const stages = wantedStages(target);
    const marks = target.taxon.signature.flatMap((id) => guide.character(id) ?? []);
    return guide.taxa
      .filter((other) => other.index !== target.index && other.taxon.kingdom === target.taxon.kingdom)
      .flatMap((other) =>
        stages
          .filter(
            (stage) =>
              other.taxon.stages.includes(stage) && !marks.some((mark) => parts(mark, target, other, stage)),
          )
          .map((stage): LintFinding => ({
            level: 'weak',
            code: 'signature-shared',
            target: target.id,
            taxon: other.id,
            stage,
            parted: guide.characters
              .filter(
                (c) => !c.place && stages.every((one) => c.stages.has(one)) && parts(c, target, other, stage),
              )
              .map((c) => c.id),
          })),
      );
  });
}

const statementsAt = ({ taxon }: CompiledTaxon, character: CompiledCharacter, stage: StageId): Statement[] =>
  taxon.statements.filter((s) => s.character === character.id && (s.stages ?? taxon.stages).includes(stage));

/** Whether nothing that is usual in the target can be shown by the other at this stage. */
function parts(
  character: CompiledCharacter,
  target: CompiledTaxon,
  other: CompiledTaxon,
  stage: StageId,
): boolean {
  if (!character.stages.has(stage)) return false;
  const [mine] = statementsAt(target, character, stage);
  const [theirs] = statementsAt(other, character, stage);
  if (!mine || !theirs) return false;
  const dangerous = harms(other.taxon.harm);
  if ('usual' in mine && 'usual' in theirs) {
    const shown = new Set<string>([...theirs.usual, ...(dangerous ? (theirs.occasional ?? []) : [])]);
    return !mine.usual.some((state) => shown.has(state));
  }
  if (!('range' in mine) || !('range' in theirs)) return false;
  const inBase = ({ range }: Extract<Statement, { range: unknown }>, of: 'usual' | 'outer') =>
    range[of].map((value) => (range.unit ? millimetres(value, range.unit) : value)) as [number, number];
  const [low, high] = inBase(mine, 'usual');
  const [least, most] = inBase(theirs, dangerous ? 'outer' : 'usual');
  return high < least || low > most;
}
