import { canonicalJson } from '../canonical';
import { toLook, type Case, type Reading } from '../case';
import { harms, type CharacterId, type CompiledGuide, type CompiledTaxon, type Taxon, type TaxonId } from '../guide';
import { couldFit, relationOverall } from '../relation';

/** A taxon of which something else is said on one character; `undefined` where a version does not know it. */
interface ChangedStatement {
  readonly taxon: TaxonId;
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
  /** By character, the taxa of which something else is said on it, in the order of their ids. */
  readonly statements: ReadonlyMap<CharacterId, readonly ChangedStatement[]>;
}

/** What of a taxon counts wherever it is a danger. */
const asDanger = ({ id, kingdom, harm, stages, growsMixed, review }: Taxon) => canonicalJson({ id, kingdom, harm, stages, growsMixed, review });
/** What of it counts only where it is the target; names, food, benefits and the like count nowhere. */
const asTarget = ({ statements: _s, vernacularNames: _n, food: _f, benefits: _b, otherUses: _o, regrowth: _r, ...rest }: Taxon) => canonicalJson(rest);
const sayings = (compiled: CompiledTaxon | undefined): Map<CharacterId, string> => {
  const said = new Map<CharacterId, unknown[]>();
  for (const s of compiled?.taxon.statements ?? []) said.set(s.character, [...(said.get(s.character) ?? []), s]);
  return new Map([...said].map(([character, statements]) => [character, canonicalJson(statements)]));
};

/** Compares two versions once, so that of any number of stored verdicts only those have to be asked again that it touches. */
export function changeBetween(before: CompiledGuide, after: CompiledGuide): GuideChange {
  const stayed = after.characters.filter((c) => before.character(c.id)).map((c) => c.id);
  const order = before.characters.filter((c) => after.character(c.id)).map((c) => c.id);
  const both = before.taxa.flatMap((taxon) => {
    const now = after.taxon(taxon.id);
    return now ? [[taxon, now] as const] : [];
  });
  const everything = before.taxa.length !== after.taxa.length
    || both.length !== before.taxa.length
    || before.guide.id !== after.guide.id
    || canonicalJson([before.guide.stages, before.guide.bodyPlans]) !== canonicalJson([after.guide.stages, after.guide.bodyPlans])
    || stayed.some((id, i) => id !== order[i])
    || both.some(([was, is]) => asDanger(was.taxon) !== asDanger(is.taxon));
  return {
    before,
    after,
    everything,
    targets: new Set(both.filter(([was, is]) => asTarget(was.taxon) !== asTarget(is.taxon)).map(([{ id }]) => id)),
    characters: new Set(before.characters
      .filter((old) => canonicalJson(old.character) !== canonicalJson(after.character(old.id)?.character ?? null))
      .map(({ id }) => id)),
    statements: statementsBetween(before, after),
  };
}

function statementsBetween(before: CompiledGuide, after: CompiledGuide): Map<CharacterId, ChangedStatement[]> {
  const changed = new Map<CharacterId, ChangedStatement[]>();
  for (const taxon of [...new Set([...before.taxa, ...after.taxa].map((t) => t.id))].sort()) {
    const [old, now] = [before.taxon(taxon), after.taxon(taxon)];
    const [was, is] = [sayings(old), sayings(now)];
    const harmful = [old, now].some((t) => t !== undefined && harms(t.taxon.harm));
    for (const character of new Set([...was.keys(), ...is.keys()])) {
      if (was.get(character) === is.get(character)) continue;
      changed.set(character, [...(changed.get(character) ?? []), { taxon, before: old, after: now, harms: harmful }]);
    }
  }
  return changed;
}

/** The changed statements on what was read of a find: about its target and about whatever harms. */
export function statementsMet(change: GuideChange, find: Case): { readonly taxon: TaxonId; readonly character: CharacterId }[] {
  if (change.statements.size === 0) return [];
  const met = new Map<string, { readonly taxon: TaxonId; readonly character: CharacterId }>();
  for (const { character } of find.readings) {
    for (const { taxon, harms: harmful } of change.statements.get(character) ?? []) {
      if (harmful || taxon === find.target) met.set(`${taxon} ${character}`, { taxon, character });
    }
  }
  return [...met].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, statement]) => statement);
}

/**
 * Whether a change can make any difference to the verdict on a find. A statement about a danger does only where what
 * was read stands to it in another way than before.
 */
export function touches(change: GuideChange, find: Case): boolean {
  if (change.everything || change.targets.has(find.target)) return true;
  if (change.characters.size === 0 && change.statements.size === 0) return false;
  const ofTarget = (character: CharacterId) => change.characters.has(character)
    || (change.statements.get(character)?.some(({ taxon }) => taxon === find.target) ?? false);
  return find.readings.some((reading) => ofTarget(reading.character) || standsOtherwise(change, reading))
    || (find.skips ?? []).some(({ character }) => ofTarget(character));
}

/** Whether a reading stands to some danger in another way than before the change. */
function standsOtherwise(change: GuideChange, reading: Reading): boolean {
  const changed = change.statements.get(reading.character);
  if (!changed) return false;
  const [then, now] = [toLook(change.before, reading), toLook(change.after, reading)];
  if (!then || !now) return then !== now;
  return changed.some(({ before, after, harms: harmful }) => harmful && (
    !before || !after || relationOverall(then, before) !== relationOverall(now, after) || couldFit(then, before) !== couldFit(now, after)
  ));
}
