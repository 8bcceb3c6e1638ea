import type { CaseView, Unnamed } from '../case';
import {
  type CharacterId,
  type Damage,
  type HarmGrade,
  type CompiledGuide,
  type CompiledTaxon,
  effortOf,
  harmlessFirst,
  type CompiledCharacter,
  type StageId,
  type TaxonId,
} from '../guide';
import type { IdentifyOptions } from './candidate';
import { stateChances, knownOf } from './likelihood';
import { misreadOf } from './misread';
import { canBeMade } from './plan';

/** Which check tells most while the find has no name. */

export interface TellingCheck {
  readonly character: CharacterId;
  /** Expected fall of the weighted entropy, in bits. */
  readonly bits: number;
  readonly seconds: number;
  readonly damage: Damage;
  /** The likeliest two of which what is usual of one is never seen of the other; left out where there are none. */
  readonly apart?: readonly [TaxonId, TaxonId];
}

/** Of so many candidates a check names which it tells apart, if each is at least this share of the likeliest. */
const LIKELY = { most: 12, share: 0.1 };

/** What confusing it costs, for choosing what to look at next. */
const DANGER_WEIGHT: Readonly<Record<HarmGrade, number>> = { none: 1, unpleasant: 1, serious: 2, deadly: 4 };

function entropy(probabilities: readonly number[], weights: readonly number[]): number {
  return probabilities.reduce((sum, p, i) => (p > 0 ? sum - (weights[i] ?? 1) * p * Math.log2(p) : sum), 0);
}

export function tellingChecks(
  guide: CompiledGuide,
  view: CaseView<Unnamed>,
  taxa: readonly CompiledTaxon[],
  probabilities: readonly number[],
  { hands = {}, misread }: IdentifyOptions,
): TellingCheck[] {
  const stages = view.find.context.stages;
  const weights = [...taxa.map((t) => DANGER_WEIGHT[t.grade]), 1];
  const before = entropy(probabilities, weights);
  const likely = taxa
    .map((taxon, i) => ({ taxon, p: probabilities[i] ?? 0 }))
    .sort((a, b) => b.p - a.p)
    .filter(({ p }, _, sorted) => p >= LIKELY.share * (sorted[0]?.p ?? 0))
    .slice(0, LIKELY.most)
    .map(({ taxon }) => taxon);
  const telling = guide.characters
    .filter(
      (c) => c.character.kingdom === view.find.kingdom && c.stateBit.size > 0 && !view.onPiece.has(c.index),
    )
    .filter((c) => hands.without?.has(c.id) !== true && c.character.seconds <= (hands.longest ?? Infinity))
    .filter((c) => canBeMade(c, view.find, undefined, hands))
    .filter((c) => stages === undefined || stages.some((stage) => c.stages.has(stage)))
    .map((c): TellingCheck => {
      const chances = [
        ...taxa.map((t) => stateChances(c, knownOf(c, t, stages), misreadOf(c, misread))),
        stateChances(c, undefined, 0),
      ];
      let after = 0;
      for (let state = 0; state < c.stateBit.size; state += 1) {
        const joint = probabilities.map((p, i) => p * (chances[i]?.[state] ?? 0));
        const share = joint.reduce((a, b) => a + b, 0);
        if (share > 0)
          after +=
            share *
            entropy(
              joint.map((p) => p / share),
              weights,
            );
      }
      const apart = toldApart(c, likely, stages);
      return {
        character: c.id,
        bits: before - after,
        seconds: c.character.seconds,
        damage: c.character.damage,
        ...(apart ? { apart } : {}),
      };
    })
    .filter((check) => check.bits > 1e-6)
    .sort((a, b) => b.bits / effortOf(b) - a.bits / effortOf(a) || (a.character < b.character ? -1 : 1));
  return harmlessFirst(telling, ({ bits }) => bits);
}

function toldApart(
  character: CompiledCharacter,
  likely: readonly CompiledTaxon[],
  stages: readonly StageId[] | undefined,
): readonly [TaxonId, TaxonId] | undefined {
  const known = likely.flatMap((taxon) => {
    const one = knownOf(character, taxon, stages);
    return one?.kind === 'states' ? [{ id: taxon.id, usual: one.usual, possible: one.possible }] : [];
  });
  for (const [at, one] of known.entries())
    for (const other of known.slice(at + 1))
      if ((one.usual & other.possible) === 0 && (other.usual & one.possible) === 0) return [one.id, other.id];
  return undefined;
}
