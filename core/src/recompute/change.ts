import { canonicalJson } from '../canonical';
import type { Case } from '../case';
import { harms, type CompiledGuide, type CompiledTaxon, type Taxon } from '../guide';

/** What differs between two versions of a guide, as far as a verdict can tell. */
export interface GuideChange {
  /** Taxa came or went, or something changed that every verdict rests on. */
  readonly everything: boolean;
  /** Taxa of which something other than names and statements changed: verdicts on them as the target. */
  readonly targets: ReadonlySet<string>;
  /** Characters whose question changed, or a statement on them about something dangerous. */
  readonly characters: ReadonlySet<string>;
  /** `taxon character` of statements about what harms nobody: they matter where it is the target. */
  readonly ofTargets: ReadonlySet<string>;
}

/** What of a taxon counts wherever it is a danger. */
const asDanger = ({ id, kingdom, harm, stages, growsMixed, review }: Taxon) => canonicalJson({ id, kingdom, harm, stages, growsMixed, review });
/** What of it counts only where it is the target; names, food, benefits and the like count nowhere. */
const asTarget = ({ statements: _s, vernacularNames: _n, food: _f, benefits: _b, otherUses: _o, regrowth: _r, ...rest }: Taxon) => canonicalJson(rest);
const sayings = ({ taxon }: CompiledTaxon): Map<string, string> => {
  const said = new Map<string, unknown[]>();
  for (const s of taxon.statements) said.set(s.character, [...(said.get(s.character) ?? []), s]);
  return new Map([...said].map(([character, statements]) => [character, canonicalJson(statements)]));
};

/** Compares two versions once, so that of any number of stored verdicts only those have to be asked again that it touches. */
export function changeBetween(before: CompiledGuide, after: CompiledGuide): GuideChange {
  const targets = new Set<string>();
  const characters = new Set<string>();
  const ofTargets = new Set<string>();
  const stayed = after.characters.filter((c) => before.character(c.id)).map((c) => c.id);
  const order = before.characters.filter((c) => after.character(c.id)).map((c) => c.id);
  const everything = before.taxa.length !== after.taxa.length
    || before.guide.id !== after.guide.id
    || canonicalJson([before.guide.stages, before.guide.bodyPlans]) !== canonicalJson([after.guide.stages, after.guide.bodyPlans])
    || stayed.some((id, i) => id !== order[i])
    || before.taxa.some((taxon) => {
      const now = after.taxon(taxon.id);
      return !now || asDanger(taxon.taxon) !== asDanger(now.taxon);
    });
  if (everything) return { everything, targets, characters, ofTargets };
  for (const old of before.characters) {
    if (canonicalJson(old.character) !== canonicalJson(after.character(old.id)?.character ?? null)) characters.add(old.id);
  }
  for (const old of before.taxa) {
    const now = after.taxon(old.id);
    if (!now) continue;
    if (asTarget(old.taxon) !== asTarget(now.taxon)) targets.add(old.id);
    const [was, is] = [sayings(old), sayings(now)];
    for (const character of new Set([...was.keys(), ...is.keys()])) {
      if (was.get(character) === is.get(character)) continue;
      if (harms(old.taxon.harm)) characters.add(character);
      else ofTargets.add(`${old.id} ${character}`);
    }
  }
  return { everything, targets, characters, ofTargets };
}

/** Whether a change can make any difference to the verdict on a find. */
export function touches(change: GuideChange, find: Case): boolean {
  if (change.everything || change.targets.has(find.target)) return true;
  const met = (character: string) => change.characters.has(character) || change.ofTargets.has(`${find.target} ${character}`);
  return find.readings.some((r) => met(r.character)) || (find.skips ?? []).some((s) => met(s.character));
}
