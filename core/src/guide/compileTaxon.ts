import type { CompiledCharacter, CompiledTaxon } from './compiled';
import { asBar, isConfirmed } from './confirmed';
import { type StageId } from './ids';
import { know, union, withAbsent, type Known } from './kinds';
import { type Taxon, harms } from './taxon';

/** Compiles one taxon. */

export function compileTaxon(
  taxon: Taxon,
  index: number,
  rank: number,
  characters: Map<string, CompiledCharacter>,
  strict: boolean,
): CompiledTaxon {
  const ofTaxon = once(() => spoken(taxon, characters));
  const overall = once(() => overStages(taxon, ofTaxon(), strict && harms(taxon.harm)));
  const atStage = once(() => byStage(taxon, ofTaxon()));
  return {
    index,
    rank,
    id: taxon.id,
    taxon,
    grade: taxon.harm.grade,
    get overall() {
      return overall();
    },
    get atStage() {
      return atStage();
    },
  };
}

/** What a guide does not need before it is asked for: made then, and kept. */
export function once<T>(make: () => T): () => T {
  let made: T | undefined;
  return () => (made ??= make());
}

/** One statement as bits or a span, and the stages that it speaks of. */
interface Stated {
  readonly what: Known;
  readonly confirmed: boolean;
  readonly stages: readonly StageId[];
}

/** What is stated of a taxon, by character. */
function spoken(taxon: Taxon, characters: Map<string, CompiledCharacter>): Map<CompiledCharacter, Stated[]> {
  const ofTaxon = new Map<CompiledCharacter, Stated[]>();
  for (const statement of taxon.statements) {
    const character = characters.get(statement.character);
    if (!character) continue;
    const one = {
      what: know(statement, character),
      confirmed: isConfirmed(statement),
      stages: statement.stages ?? taxon.stages,
    };
    const others = ofTaxon.get(character);
    if (others) others.push(one);
    else ofTaxon.set(character, [one]);
  }
  return ofTaxon;
}

function byStage(
  taxon: Taxon,
  ofTaxon: ReadonlyMap<CompiledCharacter, readonly Stated[]>,
): Map<number, Map<StageId, Known>> {
  return new Map(
    [...ofTaxon].map(([character, statements]) => [
      character.index,
      new Map(statements.flatMap(({ what, stages }) => stages.map((stage) => [stage, what] as const))),
    ]),
  );
}

/** @param strict only what two readings exclude is excluded */
function overStages(
  taxon: Taxon,
  ofTaxon: ReadonlyMap<CompiledCharacter, readonly Stated[]>,
  strict: boolean,
): Map<number, Known> {
  const overall = new Map<number, Known>();
  for (const character of [...ofTaxon.keys()].sort((a, b) => a.index - b.index)) {
    const statements = ofTaxon.get(character) ?? [];
    const seenAt = taxon.stages.filter((stage) => character.stages.has(stage));
    let joined: Known | undefined;
    // A stage without a statement makes the whole unknown: a mistaken stage must not make a bar.
    const complete = seenAt.every((stage) => {
      const what = statements.findLast(({ stages }) => stages.includes(stage))?.what;
      if (what && what !== joined) joined = joined ? union(joined, what, character) : what;
      return what !== undefined;
    });
    if (!joined || !complete) continue;
    const hidden = seenAt.length < taxon.stages.length || character.character.fades === true;
    const shown = hidden ? withAbsent(joined, character) : joined;
    overall.set(
      character.index,
      strict
        ? asBar(
            shown,
            character,
            statements.every(({ confirmed }) => confirmed),
          )
        : shown,
    );
  }
  return overall;
}
