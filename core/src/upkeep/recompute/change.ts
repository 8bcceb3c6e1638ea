import { toLook, type Case, type Look, type Reading } from '../../case';
import {
  harms,
  type CharacterId,
  type CompiledGuide,
  type CompiledTaxon,
  type Taxon,
  type TaxonId,
} from '../../guide';
import { canonicalJson } from '../../lib/canonical';
import { couldFit, relationOverall } from '../../verdict';

/** A taxon of which something else is stated on one character; `undefined` where a version does not know it. */
interface ChangedStatement {
  readonly taxon: TaxonId;
  readonly character: CharacterId;
  readonly before: CompiledTaxon | undefined;
  readonly after: CompiledTaxon | undefined;
  /** Whether it harms anybody: what does not is compared only where it is the target. */
  readonly harms: boolean;
}

/** What differs between two versions of a guide, as far as a verdict can tell. */
export interface GuideChange {
  readonly before: CompiledGuide;
  readonly after: CompiledGuide;
  /** Taxa came or went, or something changed that every verdict rests on. */
  readonly everything: boolean;
  /** Taxa of which something other than names and statements changed: verdicts on them as the target. */
  readonly targets: ReadonlySet<string>;
  /** Characters whose question changed. */
  readonly characters: ReadonlySet<string>;
  /** What is stated otherwise, in the order of taxa and then characters. */
  readonly changed: readonly ChangedStatement[];
  /** The same by character. */
  readonly statements: ReadonlyMap<CharacterId, readonly ChangedStatement[]>;
}

/** What of a taxon counts wherever it is a danger. */
const asDanger = ({ id, kingdom, harm, stages, growsMixed, review }: Taxon) =>
  canonicalJson({ id, kingdom, harm, stages, growsMixed, review });
/** What of it counts only where it is the target; names, food, benefits and the like count nowhere. */
const asTarget = ({
  statements: _s,
  vernacularNames: _n,
  food: _f,
  benefits: _b,
  otherUses: _o,
  regrowth: _r,
  ...rest
}: Taxon) => canonicalJson(rest);
const sayings = (compiled: CompiledTaxon | undefined): Map<CharacterId, string> => {
  const byCharacter = new Map<CharacterId, unknown[]>();
  for (const s of compiled?.taxon.statements ?? [])
    byCharacter.set(s.character, [...(byCharacter.get(s.character) ?? []), s]);
  return new Map([...byCharacter].map(([character, statements]) => [character, canonicalJson(statements)]));
};

/**
 * Compares two versions once, so that of any number of stored verdicts only those have to be asked again that
 * it touches.
 */
export function changeBetween(before: CompiledGuide, after: CompiledGuide): GuideChange {
  const stayed = after.characters.filter((c) => before.character(c.id)).map((c) => c.id);
  const order = before.characters.filter((c) => after.character(c.id)).map((c) => c.id);
  const both = before.taxa.flatMap((taxon) => {
    const now = after.taxon(taxon.id);
    return now ? [[taxon, now] as const] : [];
  });
  const everything =
    before.taxa.length !== after.taxa.length ||
    both.length !== before.taxa.length ||
    before.guide.id !== after.guide.id ||
    canonicalJson([before.guide.stages, before.guide.bodyPlans]) !==
      canonicalJson([after.guide.stages, after.guide.bodyPlans]) ||
    stayed.some((id, i) => id !== order[i]) ||
    both.some(([was, is]) => asDanger(was.taxon) !== asDanger(is.taxon));
  const changed = changedStatements(before, after);
  const statements = new Map<CharacterId, ChangedStatement[]>();
  for (const one of changed) statements.set(one.character, [...(statements.get(one.character) ?? []), one]);
  return {
    before,
    after,
    everything,
    targets: new Set(
      both.filter(([was, is]) => asTarget(was.taxon) !== asTarget(is.taxon)).map(([{ id }]) => id),
    ),
    characters: new Set(
      before.characters
        .filter(
          (old) => canonicalJson(old.character) !== canonicalJson(after.character(old.id)?.character ?? null),
        )
        .map(({ id }) => id),
    ),
    changed,
    statements,
  };
}

function changedStatements(before: CompiledGuide, after: CompiledGuide): ChangedStatement[] {
  const changed: ChangedStatement[] = [];
  for (const taxon of [...new Set([...before.taxa, ...after.taxa].map((t) => t.id))].sort()) {
    const [old, now] = [before.taxon(taxon), after.taxon(taxon)];
    const [was, is] = [sayings(old), sayings(now)];
    const harmful = [old, now].some((t) => t !== undefined && harms(t.taxon.harm));
    for (const character of [...new Set([...was.keys(), ...is.keys()])].sort()) {
      if (was.get(character) !== is.get(character))
        changed.push({ taxon, character, before: old, after: now, harms: harmful });
    }
  }
  return changed;
}

/** The changed statements on what was read of a find: about its target and about whatever harms. */
export function statementsMet(
  change: GuideChange,
  find: Case,
): { readonly taxon: TaxonId; readonly character: CharacterId }[] {
  if (change.changed.length === 0) return [];
  const read = new Set(find.readings.map(({ character }) => character));
  const met: { readonly taxon: TaxonId; readonly character: CharacterId }[] = [];
  for (const { taxon, character, harms: harmful } of change.changed) {
    if (read.has(character) && (harmful || taxon === find.target)) met.push({ taxon, character });
  }
  return met;
}

/** What a change can move in the verdict on a find: all of it, or no more than the rows of these dangers. */
export type Touched = 'all' | ReadonlySet<TaxonId>;

/**
 * What of the verdict on a find a change can make any difference to. A statement about a danger does only
 * where a reading relates to it in another way than before.
 */
export function touched(change: GuideChange, find: Case): Touched {
  if (change.everything || change.targets.has(find.target)) return 'all';
  const dangers = new Set<TaxonId>();
  if (change.characters.size === 0 && change.statements.size === 0) return dangers;
  for (const { character } of find.skips ?? [])
    if (asksTargetOtherwise(change, find, character)) return 'all';
  for (const reading of find.readings) {
    if (asksTargetOtherwise(change, find, reading.character)) return 'all';
    const moved = movedBy(change, reading);
    if (moved === 'all') return 'all';
    for (const taxon of moved) dangers.add(taxon);
  }
  return dangers;
}

/**
 * The dangers to which this reading relates otherwise than before, whatever the find was taken for; `all`
 * where one version cannot read it.
 */
export function movedBy(change: GuideChange, reading: Reading): 'all' | readonly TaxonId[] {
  if (change.characters.has(reading.character)) return 'all';
  const changed = change.statements.get(reading.character);
  if (!changed) return [];
  const [then, now] = [toLook(change.before, reading), toLook(change.after, reading)];
  if (!then || !now) return then === now ? [] : 'all';
  return changed.filter((statement) => standsOtherwise(statement, then, now)).map(({ taxon }) => taxon);
}

function asksTargetOtherwise(change: GuideChange, find: Case, character: CharacterId): boolean {
  return (
    change.characters.has(character) ||
    (change.statements.get(character)?.some(({ taxon }) => taxon === find.target) ?? false)
  );
}

/** Whether a reading relates to this danger in another way than before. */
function standsOtherwise(
  { before, after, harms: harmful }: ChangedStatement,
  then: Look,
  now: Look,
): boolean {
  return (
    harmful &&
    (!before ||
      !after ||
      relationOverall(then, before) !== relationOverall(now, after) ||
      couldFit(then, before) !== couldFit(now, after))
  );
}
