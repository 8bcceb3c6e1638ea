import { plan } from '../../advice/plan';
import type { Case, PieceId } from '../../case';
import {
  harms,
  isCollectable,
  isConfirmed,
  type CompiledGuide,
  type CompiledTaxon,
  type Part,
  type StageId,
  type StateId,
  type Statement,
} from '../../guide';
import type { LintFinding } from './finding';

const STATEMENTS_WANTED = 24;
/** An outer range that reaches further than this times the usual one says hardly anything. */
const WIDE = 8;

/** What single taxa leave out, or say that their body plan forbids. */
export function lintTaxa(guide: CompiledGuide): LintFinding[] {
  return guide.taxa.flatMap((taxon) => [
    ...tooFew(taxon),
    ...againstPlan(guide, taxon),
    ...wide(taxon),
    ...neverCollected(guide, taxon),
    ...unconfirmed(guide, taxon),
  ]);
}

/**
 * What is stated of a dangerous taxon and was read by fewer than two: it fits and strains, and gives no bar. A
 * place gives none anyway.
 */
function unconfirmed(guide: CompiledGuide, { taxon, id }: CompiledTaxon): LintFinding[] {
  if (guide.guide.format === 'pause-guide/1' || !harms(taxon.harm)) return [];
  const once = taxon.statements
    .filter((s) => !isConfirmed(s) && guide.character(s.character)?.place === false)
    .map((s) => s.character);
  return once.length > 0
    ? [{ level: 'note', code: 'unconfirmed', taxon: id, characters: [...new Set(once)] }]
    : [];
}

function matters(taxon: CompiledTaxon): boolean {
  return taxon.grade === 'deadly' || taxon.grade === 'serious';
}

function tooFew(compiled: CompiledTaxon): LintFinding[] {
  const { taxon, id } = compiled;
  return (taxon.parts.length > 0 || matters(compiled)) && taxon.statements.length < STATEMENTS_WANTED
    ? [
        {
          level: 'weak',
          code: 'few-statements',
          taxon: id,
          have: taxon.statements.length,
          need: STATEMENTS_WANTED,
        },
      ]
    : [];
}

/**
 * The body plan says what all its taxa show, and what each dangerous one of it must state, so that none stays
 * unbarred for want of a word.
 */
function againstPlan(guide: CompiledGuide, compiled: CompiledTaxon): LintFinding[] {
  const { taxon, id } = compiled;
  const body = guide.guide.bodyPlans.find((b) => b.id === taxon.bodyPlan);
  const unstated = matters(compiled)
    ? (body?.core ?? []).filter((character) => !compiled.overall.has(guide.character(character)?.index ?? -1))
    : [];
  return [
    ...unstated.map((character) => ({ level: 'weak', code: 'core-unstated', taxon: id, character }) as const),
    ...(body?.marks ?? []).flatMap(({ character, states }): LintFinding[] => {
      const other = usualStates(taxon.statements, character).filter((state) => !states.includes(state));
      return other.length > 0
        ? [{ level: 'weak', code: 'contradicts-plan', taxon: id, character, states: other }]
        : [];
    }),
  ];
}

function usualStates(statements: readonly Statement[], character: string): StateId[] {
  return [...new Set(statements.flatMap((s) => ('usual' in s && s.character === character ? s.usual : [])))];
}

function wide({ taxon, id }: CompiledTaxon): LintFinding[] {
  return taxon.statements.flatMap((s): LintFinding[] => {
    if (!('range' in s)) return [];
    const { usual, outer } = s.range;
    return outer[1] > WIDE * Math.max(1, usual[1])
      ? [{ level: 'note', code: 'range-wide', taxon: id, character: s.character }]
      : [];
  });
}

/**
 * Stages at which a part is stated to be worth having, and no set of checks ends in collect: better not
 * promised.
 */
function neverCollected(guide: CompiledGuide, compiled: CompiledTaxon): LintFinding[] {
  if (!isCollectable(compiled)) return [];
  const { taxon, id } = compiled;
  const unseen = (part: Part, stage: StageId): Case => ({
    guide: { id: guide.guide.id },
    kingdom: taxon.kingdom,
    target: id,
    readings: [],
    pieces: [{ id: 'piece' as PieceId, startedAt: '2000-01-01T00:00:00.000Z', purpose: 'decide' }],
    context: { stages: [stage], part: part.part, use: part.use },
  });
  return taxon.parts.flatMap((part) => {
    const stages = part.stages.filter((stage) => !plan(guide, unseen(part, stage)).feasible);
    return stages.length > 0
      ? [{ level: 'weak', code: 'cannot-collect', taxon: id, part: part.part, stages } as const]
      : [];
  });
}
