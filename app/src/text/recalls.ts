import type { HarmGrade } from '@pause/core';
import type { ChangedGround, Cause, Measure, Recalled } from '@pause/core/pantry/recall';
import { guide } from '../deciding/guide';
import { t } from './en/recalls';
import { sentences } from './messages';
import { GRADE, CommonName, commonName, lowerFirst, characterName, numberWord } from './names';

/** Words for what no longer counts. */

const worst = (grade: HarmGrade) =>
  grade === 'none' ? t.everythingDangerousOfTheGuide : t.whatCouldBeAmongIt(GRADE[grade]);

const CHANGES_SHOWN = 2;

/** Which statements of the guide changed, and who found it. */
function changedWords(changed: readonly ChangedGround[]): string {
  if (changed.length === 0) return '';
  const shown = changed.slice(0, CHANGES_SHOWN).map(({ taxon, character, readBy }) => {
    const readers = readBy.flatMap((id) => guide.guide.readings?.find((one) => one.id === id)?.reader ?? []);
    const what =
      character === undefined
        ? t.isNewInTheGuide(CommonName(taxon))
        : t.whatTheGuideSaysOf(commonName(taxon), lowerFirst(characterName(character)));
    return `${what}. ${readers.length > 0 ? t.foundBy(readers.map(lowerFirst).join('; ')) : t.foundByWhoeverWroteIt}`;
  });
  const more = changed.length - shown.length;
  return sentences(...shown, more > 0 && t.andMore(numberWord(more)));
}

/** Why something is in question. */
export function causeWords(cause: Cause, name: string): string {
  switch (cause.code) {
    case 'decision':
      return t.itWasCollectedAndDecided(name);
    case 'stray':
      return cause.touched ? t.itLayInOneBag(name) : t.aStrayLayAmongIt(name, GRADE[cause.grade]);
    case 'verdict':
      return sentences(
        t.theVerdictIs(
          name,
          {
            guide: t.byTheCorrectedGuide,
            record: t.byWhatWasRecordedSince,
            policy: t.byTheRulesOfThe,
            rules: t.byStricterRulesOfPause,
          }[cause.because],
          cause.outcome,
        ),
        worst(cause.grade),
        changedWords(cause.changed ?? []),
      );
  }
}

const MEASURE: Readonly<Record<Measure, readonly [word: string, what: string]>> = {
  hold: [t.holdIt, t.nobodyEatsOfItUntil],
  discard: [t.throwItOut, t.itCannotBeGoneThrough],
  'look-again': [t.lookAgain, t.goThroughEveryPieceOnce],
  watch: [t.itWasEaten, t.askEverybodyWhoHadSome],
  warn: [t.tellWhoHasIt, t.somebodyElseHasItTell],
};

const CALL_NOW = t.itMayHaveBeenA;

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
