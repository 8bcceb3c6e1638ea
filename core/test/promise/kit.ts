import {
  SHARED_CAUSES,
  CAUSE_BIT,
  type Look,
  type CompiledCharacter,
  toLook,
  type CompiledTaxon,
  relationOverall,
  type StageId,
  relationAtStages,
} from '../../src';
import { guide, reading } from '../finds';

/**
 * The promise: for a taxon whose harm needs k bars, no set of readings spoiled by k - 1 causes can produce
 * *collect* for a specimen that is that taxon and lies within its statements.
 *
 * The adversary here is stronger than any person: it chooses the stage, the individual, the causes that go
 * wrong, and every spoiled reading, all to please the target. Unspoiled readings are true.
 */

export const GROUP_CAUSES = guide.groups.map((_, index) => ({ kind: 'group', group: index }) as const);
const KIND_CAUSES = SHARED_CAUSES.map((cause) => ({ kind: 'shared', bit: CAUSE_BIT[cause] }) as const);
const CAUSES = [...GROUP_CAUSES, ...KIND_CAUSES];
export type Cause = (typeof CAUSES)[number];
export function restsOn(look: Look, cause: Cause): boolean {
  return cause.kind === 'group' ? look.character.group === cause.group : (look.causes & cause.bit) !== 0;
}

/**
 * Every answer there is to a character: each state; for numbers, values in, between and beyond all ranges
 * told.
 */
export const answers = new Map<number, Look[]>(
  guide.characters.map((character) => [character.index, everyAnswer(character)]),
);

function everyAnswer(character: CompiledCharacter): Look[] {
  const values: object[] = [];
  if (character.stateBit.size > 0) {
    for (const state of character.stateBit.keys()) values.push({ kind: 'states', states: [state] });
  } else {
    const edges = guide.taxa.flatMap((t) => {
      const known = t.overall.get(character.index);
      return known?.kind === 'number' ? [...known.possible, ...known.usual].filter(Number.isFinite) : [];
    });
    const points = new Set([0, ...edges, ...edges.map((e) => e + 40), Math.max(...edges) * 2 + 1]);
    for (const number of points) {
      values.push(
        character.character.kind === 'count'
          ? { kind: 'count', number: Math.round(number) }
          : { kind: 'measure', number, unit: 'mm' },
      );
    }
  }
  return values.map((value) => {
    const look = toLook(guide, reading(character.id, value) as never);
    if (!look) throw new Error('an answer is a look');
    return look;
  });
}

/** Whether a true specimen of this taxon can show the answer (unknown: it can show anything). */
export function canShow(taxon: CompiledTaxon, look: Look): boolean {
  return relationOverall(look, taxon) !== 'against';
}

export function subsets(size: number, causes: readonly Cause[]): Cause[][] {
  if (size === 0) return [[]];
  return causes.flatMap((cause, index) =>
    subsets(size - 1, causes.slice(index + 1)).map((rest) => [cause, ...rest]),
  );
}

/** Causes that can turn any reading against this taxon; the others change nothing and need not be tried. */
export function causesThatMatter(danger: CompiledTaxon): Cause[] {
  const against = [...againstOf(danger)];
  return CAUSES.filter((cause) => against.some((look) => restsOn(look, cause)));
}

/** Grounds that readings can make against a taxon, each kind once: its group and causes. */
export function groundsOf(looks: readonly Look[]) {
  const kinds = new Map(
    looks.map((look) => [
      `${look.character.group}/${look.causes}`,
      { group: look.character.group, causes: look.causes },
    ]),
  );
  return [...kinds.values()];
}

const PLEASING = ['fits', 'strains', 'silent', 'against'];
/** Where something is worked out for a key once and kept. */
function once<Key, Value>(work: (key: Key) => Value): (key: Key) => Value {
  const known = new Map<Key, Value>();
  return (key) => {
    if (!known.has(key)) known.set(key, work(key));
    return known.get(key) as Value;
  };
}

const readable = [...answers.values()].flat().filter((look) => !look.character.place);
export const againstOf = once(
  (danger: CompiledTaxon) => new Set(readable.filter((look) => !canShow(danger, look))),
);

/** How well a look stands to a target at a stage, best first. */
const placesAt = once((target: CompiledTaxon) =>
  once(
    (stage: StageId) =>
      new Map(readable.map((look) => [look, PLEASING.indexOf(relationAtStages(look, target, [stage]))])),
  ),
);

/**
 * The most pleasing set; and what can stand in it instead, one at a time: every other reading against the
 * danger that the target allows.
 */
export function choices(
  danger: CompiledTaxon,
  target: CompiledTaxon,
  stage: StageId,
  spoiled: readonly Cause[],
): { readonly best: Look[]; readonly instead: Look[] } {
  const against = againstOf(danger);
  const places = placesAt(target)(stage);
  const place = (look: Look) => places.get(look) ?? PLEASING.length;
  const pleases = (look: Look) => place(look) * 2 + (against.has(look) ? 0 : 1);
  const allowed = (look: Look) => PLEASING[place(look)] !== 'against' && look.character.stages.has(stage);
  const options = guide.characters
    .filter((c) => c.character.kingdom === target.taxon.kingdom && !c.place)
    .map((c) =>
      (answers.get(c.index) ?? [])
        .filter((look) => !against.has(look) || spoiled.some((cause) => restsOn(look, cause)))
        .sort((a, b) => pleases(a) - pleases(b)),
    );
  return {
    best: options.flatMap(([first]) => (first && allowed(first) ? [first] : [])),
    instead: options.flatMap((looks) => looks.slice(1)).filter((look) => against.has(look) && allowed(look)),
  };
}

/** A set with one reading put in the place of what was read of its character. */
export const withReading = (best: readonly Look[], look: Look) => [
  ...best.filter((other) => other.character.index !== look.character.index),
  look,
];
