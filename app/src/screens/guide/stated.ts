import { statesIn, type CompiledTaxon, type Known, type StageId } from '@pause/core';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/taxon';
import { lengthWords, lowerFirst, stageName, stateLabel } from '../../text/names';

/** What the guide states, in words. */

/** What is stated of a character at one stage. */
export function statedAt(taxon: CompiledTaxon, id: string, stage: StageId): string {
  const character = guide.character(id);
  const known = character && taxon.atStage.get(character.index)?.get(stage);
  if (!character || !known) return '';
  return spanWords(id, known) ?? statesWords(id, known);
}

/** A size or a number with its span; nothing for states. */
function spanWords(id: string, known: Known): string | undefined {
  if (known.kind !== 'number') return undefined;
  const [low, high] = known.usual;
  const [least, most] = known.possible;
  const character = guide.character(id)?.character;
  const words = (n: number) =>
    character && 'unit' in character ? lengthWords(Math.round(n * 10) / 10) : String(n);
  const span = low === high ? words(low) : t.span(words(low), words(high));
  return least === low && most === high ? span : t.spanWithin(span, words(least), words(most));
}

function labels(id: string, mask: number): string {
  const character = guide.character(id);
  return character
    ? statesIn(character, mask)
        .map((state) => lowerFirst(stateLabel(id, state)))
        .join(', ')
    : '';
}

/** The usual states, and the others that can be met. */
function statesWords(
  id: string,
  known: Known,
  usual = known.kind === 'states' ? labels(id, known.usual) : '',
): string {
  const rare = known.kind === 'states' ? labels(id, known.possible & ~known.usual) : '';
  return rare ? t.also(usual, rare) : usual;
}

/** What is stated of a character: the usual, the occasional in brackets, by stage where it changes. */
export function knownWords(taxon: CompiledTaxon, id: string, index: number, known: Known): string {
  const span = spanWords(id, known);
  if (span !== undefined) return span;
  const byStage = [...(taxon.atStage.get(index) ?? new Map<StageId, Known>())].flatMap(([stage, at]) =>
    at.kind === 'states' ? [{ stage, usual: labels(id, at.usual) }] : [],
  );
  const changes = new Set(byStage.map((s) => s.usual)).size > 1;
  return statesWords(
    id,
    known,
    changes ? byStage.map((s) => `${lowerFirst(stageName(s.stage))}: ${s.usual}`).join('; ') : undefined,
  );
}
