import { viewCase, type CaseView, type Look, type Unnamed } from '../case';
import {
  effortOf,
  harmlessFirst,
  type CharacterId,
  type CompiledCharacter,
  type CompiledGuide,
  type CompiledTaxon,
  type Damage,
  type HarmGrade,
  type Known,
  type StageId,
  type TaxonId,
} from '../guide';
import { fitsAll, type Relation } from '../verdict';
import { expectedHere } from '../verdict';
import { misreadOf } from './misread';
import { canBeMade, type Hands } from './plan';

/**
 * No name yet: candidates by probability, and the check that tells most. Probability orders; only bars clear.
 *
 * The model is a naive Bayes classifier over independence groups (readings of one group count as one, by
 * their mean log-likelihood), with each character's misread rate. The next check maximises the expected fall
 * of the entropy (Shannon) of the candidates per second, dangerous ones weighted up.
 */

export interface Candidate {
  readonly taxon: TaxonId;
  readonly grade: HarmGrade;
  readonly probability: number;
  /** Nothing read is against it, over all its stages. */
  readonly fitsEverything: boolean;
}

export interface TellingCheck {
  readonly character: CharacterId;
  /** Expected fall of the weighted entropy, in bits. */
  readonly bits: number;
  readonly seconds: number;
  readonly damage: Damage;
}

export interface Identification {
  /** Most probable first; the probabilities and `none` add up to 1. */
  readonly candidates: readonly Candidate[];
  /** None of the guide: what was read is no better explained by any of its taxa than by chance. */
  readonly none: number;
  /**
   * The families that the candidates come from, likeliest first, as a hint; empty where a group does without.
   */
  readonly families: readonly { readonly family: string; readonly probability: number }[];
  readonly checks: readonly TellingCheck[];
}

export interface IdentifyOptions {
  readonly hands?: Hands;
  /** How often this person, or group, found each taxon before. */
  readonly earlierFinds?: Readonly<Record<string, number>>;
  /**
   * How often this person misreads a character, where that was measured; else the guide's own estimate. It
   * orders, and clears nothing.
   */
  readonly misread?: ReadonlyMap<string, number> | undefined;
}

/** Share of the usual states among what a taxon shows, where occasional ones are stated besides. */
const USUAL_SHARE = 0.9;
/** How much likelier "none of the guide" is than one average taxon of it, before anything is read. */
const NONE_PRIOR = 1;
/** A place that does not suit lowers a candidate by this at most: it orders, and never rules out. */
const PLACE_FLOOR = 0.15;
/** How often its form is taken for another's at the first look. */
const PLAN_MISREAD = 0.05;
/** What month and height speak for a taxon of which the guide does not say when it is about. */
const HERE_UNKNOWN = 0.6;
/** Expectation of a number nobody knows the range of. */
const NUMBER_UNKNOWN = 0.5;
const SURE_FACTOR = { sure: 1, fairly: 2, guess: 4 } as const;
/** What confusing it costs, for choosing what to look at next. */
const DANGER_WEIGHT: Readonly<Record<HarmGrade, number>> = { none: 1, unpleasant: 1, serious: 2, deadly: 4 };

export function identify(guide: CompiledGuide, find: Unnamed, options: IdentifyOptions = {}): Identification {
  const view = viewCase(guide, find);
  const taxa = guide.taxa.filter((t) => t.taxon.kingdom === find.kingdom);
  const stages = find.context.stages;
  const counts = find.policy?.place !== 'ignored';
  const how = { placeCounts: counts, misread: options.misread };
  const scores = taxa.map(
    (taxon) =>
      Math.log(1 + (options.earlierFinds?.[taxon.id] ?? 0)) +
      Math.log(planFits(taxon, find)) +
      logLikelihood(view, taxon, stages, how) +
      (counts ? Math.log(hereNow(taxon, stages, find)) : 0),
  );
  const noneScore =
    Math.log(NONE_PRIOR) +
    logLikelihood(view, undefined, stages, how) +
    (counts ? Math.log(HERE_UNKNOWN) : 0);
  const probabilities = normalise([...scores, noneScore]);
  const candidates = taxa
    .map((taxon, i): Candidate => ({
      taxon: taxon.id,
      grade: taxon.grade,
      probability: probabilities[i] ?? 0,
      fitsEverything: fitsAll(view.looks, taxon),
    }))
    .sort((a, b) => b.probability - a.probability || (a.taxon < b.taxon ? -1 : 1));
  return {
    candidates,
    none: probabilities.at(-1) ?? 0,
    families: find.policy?.familyHint === false ? [] : familiesOf(taxa, probabilities),
    checks: tellingChecks(guide, view, taxa, probabilities, options),
  };
}

/** What the form that was told at the first look speaks for it. */
function planFits({ taxon }: CompiledTaxon, { bodyPlan }: Unnamed): number {
  return bodyPlan === undefined || bodyPlan === taxon.bodyPlan ? 1 : PLAN_MISREAD;
}

/** A family told is no plant told: rules have exceptions. Below this share it is no hint. */
const HINT_SHARE = 0.02;

function familiesOf(
  taxa: readonly CompiledTaxon[],
  probabilities: readonly number[],
): { family: string; probability: number }[] {
  const sums = new Map<string, number>();
  for (const [i, { taxon }] of taxa.entries())
    sums.set(taxon.family, (sums.get(taxon.family) ?? 0) + (probabilities[i] ?? 0));
  return [...sums]
    .filter(([, p]) => p >= HINT_SHARE)
    .sort(([a, p], [b, q]) => q - p || (a < b ? -1 : 1))
    .map(([family, probability]) => ({ family, probability }));
}

function normalise(scores: readonly number[]): number[] {
  const top = Math.max(...scores);
  const weights = scores.map((score) => Math.exp(score - top));
  const sum = weights.reduce((a, b) => a + b, 0);
  return weights.map((weight) => weight / sum);
}

/** Of all that was read, one value a group; `undefined` is a plant that could show anything. */
function logLikelihood(
  view: CaseView<Unnamed>,
  taxon: CompiledTaxon | undefined,
  stages: readonly StageId[] | undefined,
  { placeCounts, misread }: { readonly placeCounts: boolean; readonly misread: IdentifyOptions['misread'] },
): number {
  const groups = new Map<number, number[]>();
  for (const look of view.looks) {
    if (look.character.place && !placeCounts) continue;
    const chance = likelihood(look, taxon, stages, misread);
    const kept = look.character.place ? Math.max(PLACE_FLOOR, chance) : chance;
    groups.set(look.character.group, [...(groups.get(look.character.group) ?? []), Math.log(kept)]);
  }
  return [...groups]
    .sort(([a], [b]) => a - b)
    .reduce((sum, [, logs]) => sum + logs.reduce((a, b) => a + b, 0) / logs.length, 0);
}

const HERE: Readonly<Record<Relation, number>> = {
  fits: 1,
  strains: 0.6,
  silent: HERE_UNKNOWN,
  against: PLACE_FLOOR,
};

/** How much month and height speak for it; both together no lower than the place alone may. */
function hereNow(taxon: CompiledTaxon, stages: readonly StageId[] | undefined, find: Unnamed): number {
  const { season, height } = expectedHere(taxon, stages, find.context);
  if (season === 'silent' && height === 'silent') return HERE_UNKNOWN;
  return Math.max(
    PLACE_FLOOR,
    (season === 'silent' ? 1 : HERE[season]) * (height === 'silent' ? 1 : HERE[height]),
  );
}

/** What a taxon shows at the recorded stages it has; over all its stages where none of them is stated. */
function knownOf(
  character: CompiledCharacter,
  taxon: CompiledTaxon,
  stages: readonly StageId[] | undefined,
): Known | undefined {
  const stated = taxon.atStage.get(character.index);
  const [only, ...more] = (stages ?? []).filter(
    (stage) => taxon.taxon.stages.includes(stage) && character.stages.has(stage),
  );
  return only !== undefined && more.length === 0
    ? (stated?.get(only) ?? taxon.overall.get(character.index))
    : taxon.overall.get(character.index);
}

function bits(mask: number): number {
  let count = 0;
  for (let rest = mask; rest !== 0; rest = (rest & (rest - 1)) >>> 0) count += 1;
  return count;
}

/** Chance of each state of a character, by bit position, misreading allowed for. */
function stateChances(character: CompiledCharacter, known: Known | undefined, misread: number): number[] {
  const size = character.stateBit.size;
  if (known?.kind !== 'states') return new Array<number>(size).fill(1 / size);
  const occasional = (known.possible & ~known.usual) >>> 0;
  const usualShare = occasional === 0 ? 1 : USUAL_SHARE;
  return Array.from({ length: size }, (_, position) => {
    const bit = (1 << position) >>> 0;
    const shown =
      (known.usual & bit) !== 0
        ? usualShare / bits(known.usual)
        : (occasional & bit) !== 0
          ? (1 - usualShare) / bits(occasional)
          : 0;
    // A misreading may turn what is shown into any other state.
    return shown * (1 - misread) + (1 - shown) * (misread / Math.max(1, size - 1));
  });
}

function likelihood(
  look: Look,
  taxon: CompiledTaxon | undefined,
  stages: readonly StageId[] | undefined,
  own: ReadonlyMap<string, number> | undefined,
): number {
  const { character, reading } = look;
  const misread = Math.min(0.5, misreadOf(character, own) * SURE_FACTOR[reading.sureness]);
  const known = taxon && knownOf(character, taxon, stages);
  if (look.kind === 'states') {
    return stateChances(character, known, misread).reduce(
      (sum, chance, position) => ((look.mask & (1 << position)) !== 0 ? sum + chance : sum),
      0,
    );
  }
  if (known?.kind !== 'number') return NUMBER_UNKNOWN;
  if (look.high < known.possible[0] || look.low > known.possible[1]) return misread;
  return look.high >= known.usual[0] && look.low <= known.usual[1] ? 1 - misread : 0.3;
}

function entropy(probabilities: readonly number[], weights: readonly number[]): number {
  return probabilities.reduce((sum, p, i) => (p > 0 ? sum - (weights[i] ?? 1) * p * Math.log2(p) : sum), 0);
}

function tellingChecks(
  guide: CompiledGuide,
  view: CaseView<Unnamed>,
  taxa: readonly CompiledTaxon[],
  probabilities: readonly number[],
  { hands = {}, misread }: IdentifyOptions,
): TellingCheck[] {
  const stages = view.find.context.stages;
  const weights = [...taxa.map((t) => DANGER_WEIGHT[t.grade]), 1];
  const before = entropy(probabilities, weights);
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
      return {
        character: c.id,
        bits: before - after,
        seconds: c.character.seconds,
        damage: c.character.damage,
      };
    })
    .filter((check) => check.bits > 1e-6)
    .sort((a, b) => b.bits / effortOf(b) - a.bits / effortOf(a) || (a.character < b.character ? -1 : 1));
  return harmlessFirst(telling, ({ bits }) => bits);
}
