import type { CaseView } from '../../case';
import { harmlessFirst, type CompiledCharacter, type CompiledGuide, type CompiledTaxon } from '../../guide';
import { type Alike, alikeTo, relationOverall, type Weighed } from '../../verdict';
import { check, rate, type Check } from './check';
import { foreseen } from './foreseen';

/** What one more thing that fits weighs, where telling the target from everything else weighs 1. */
const FIT_WEIGHT = 0.02;

/**
 * The checks that tell what nobody collects from everything that is still like it, best first. Bars are of no
 * matter there: nothing will be eaten.
 *
 * @param characters that can be looked at now
 */
export function identifyingChecks(
  guide: CompiledGuide,
  view: CaseView,
  target: CompiledTaxon,
  { held }: Weighed,
  characters: readonly CompiledCharacter[],
): Check[] {
  const alike = alikeTo(guide, view, target, held);
  const shows = foreseen(guide, view.find, target);
  const fitting = new Set(held.fitGroups);
  const groupsMissing = held.fitGroups.length < held.groupsNeeded;
  const bringsOf = (character: CompiledCharacter): number => {
    const { looks } = shows(character);
    if (looks.length === 0) return 0;
    // What is not always shown tells that much less.
    const shareAgainst = ({ taxon, against }: Alike): number =>
      against.has(character.group)
        ? 0
        : looks.filter((look) => relationOverall(look, taxon) === 'against').length / looks.length;
    const tells = alike.reduce((sum, one) => sum + shareAgainst(one), 0);
    const fits = groupsMissing && !fitting.has(guide.groups[character.group] ?? '');
    return tells / Math.max(1, alike.length) + (fits ? FIT_WEIGHT : 0);
  };
  return harmlessFirst(
    characters
      .map((character) => check(guide, character.id, 'brings-nearer', bringsOf(character)))
      .filter(({ gain }) => gain > 0)
      .sort((a, b) => rate(b) - rate(a)),
    ({ gain }) => gain,
  );
}
