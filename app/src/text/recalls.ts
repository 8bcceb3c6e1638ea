import type { HarmGrade } from '@pause/core';
import type { ChangedGround, Cause, Measure, Recalled } from '@pause/core/pantry/recall';
import { guide } from '../deciding/guide';
import { GRADE, CommonName, commonName, lowerFirst, characterName, numberWord } from './names';

/** What is said of what no longer counts. */

const worst = (grade: HarmGrade) =>
  grade === 'none'
    ? ' Everything dangerous of the guide is still ruled out.'
    : ` What could be among it is ${GRADE[grade]}.`;

const CHANGES_SHOWN = 2;

/** Which statements of the guide changed, and who found it. */
function changedWords(changed: readonly ChangedGround[]): string {
  if (changed.length === 0) return '';
  const shown = changed.slice(0, CHANGES_SHOWN).map(({ taxon, character, readBy }) => {
    const readers = readBy.flatMap((id) => guide.guide.readings?.find((one) => one.id === id)?.reader ?? []);
    const what =
      character === undefined
        ? `${CommonName(taxon)} is new in the guide`
        : `What the guide says of ${commonName(taxon)} changed: ${lowerFirst(characterName(character))}`;
    return `${what}. ${readers.length > 0 ? `Found by: ${readers.map(lowerFirst).join('; ')}.` : 'Found by whoever wrote it.'}`;
  });
  const more = changed.length - shown.length;
  return ` ${shown.join(' ')}${more > 0 ? ` And ${numberWord(more)} more.` : ''}`;
}

/** Why something is in question. */
export function causeWords(cause: Cause, name: string): string {
  switch (cause.code) {
    case 'decision':
      return `${name}: it was collected, and decided otherwise since.`;
    case 'stray':
      return cause.touched
        ? `${name}: it lay in one bag with a deadly stray.`
        : `${name}: a ${GRADE[cause.grade]} stray lay among it.`;
    case 'verdict':
      return `${name}: ${{ guide: 'by the corrected guide', record: 'by what was recorded since', policy: 'by the rules of the group now', rules: 'by stricter rules of Pause' }[cause.because]} the verdict is ${cause.outcome}.${worst(cause.grade)}${changedWords(cause.changed ?? [])}`;
  }
}

const MEASURE: Readonly<Record<Measure, readonly [word: string, what: string]>> = {
  hold: ['Hold it', 'Nobody eats of it until the find holds again.'],
  discard: ['Throw it out', 'It cannot be gone through any more. Not on the compost, not to animals.'],
  'look-again': ['Look again', 'Go through every piece once more.'],
  watch: ['It was eaten', 'Ask everybody who had some how they are.'],
  warn: ['Tell who has it', 'Somebody else has it: tell them today.'],
};

const CALL_NOW = 'It may have been a dangerous one: call the poison service now, before anything is felt.';

/**
 * What to do with something in question, in a word and in a sentence or two. It says no more than its causes
 * do.
 */
export function measureWords({
  measure,
  causes,
}: Pick<Recalled, 'measure' | 'causes'>): readonly [word: string, what: string] {
  const [word, what] = MEASURE[measure];
  const dangerous = causes.some(({ grade }) => grade === 'deadly' || grade === 'serious');
  return [word, measure === 'watch' && dangerous ? `${CALL_NOW} ${what}` : what];
}
