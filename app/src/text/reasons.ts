import {
  type ContextField,
  type CharacterId,
  needsDigging,
  type Reason,
  type ReasonCode,
  type Verdict,
  type GroupRule,
  type BarRow,
  filled,
} from '@pause/core';
import { guide } from '../deciding/guide';
import { t } from './en/reasons';
import { listed, sentences } from './messages';
import {
  numberWord,
  lowerFirst,
  characterName,
  commonName,
  CommonName,
  scientificName,
  partName,
  stageName,
  CONDITION,
  CONTAMINATION,
  GRADE,
  upper,
} from './names';

/**
 * The sentences for what the core gives as codes. One place, so that they can be read and translated
 * together.
 */

/** A list for a sentence: the first few by name, the others by number. */
export function few(items: readonly string[], most = 3): string {
  const more = items.length - most;
  return more <= 1 ? listed(items) : t.andOthers(items.slice(0, most).join(', '), numberWord(more));
}

const grounds = (n: number) => t.grounds(n, numberWord(n));
const times = (n: number) => (n === 1 ? t.once : n === 2 ? t.twice : t.times(numberWord(n)));

const FIELD: Readonly<Record<ContextField, string>> = {
  stages: t.theGrowthStageHasNot,
  condition: t.itsConditionHasNotBeen,
  part: t.whichPartIsWantedHas,
  use: t.whatItIsForHas,
  permission: t.whetherPickingIsAllowedHere,
  contamination: t.whetherAnythingSpoilsThisPlace,
  protection: t.thisOneIsOftenProtected,
  tracedToBase: t.itGrowsAmongOthersTrace,
};

/** @param most of so many the names are given, of the others the number */
export function passedOver(characters: readonly CharacterId[], most = characters.length): string {
  return t.passedOverOneMayStay(
    few(
      characters.map((c) => lowerFirst(characterName(c))),
      most,
    ),
  );
}

/** Whether any of these can only be seen on a root that was dug up. */
function rootAmong(characters: readonly CharacterId[]): boolean {
  return characters.some((id) => needsDigging(guide, id));
}

const GROUP_RULE: Readonly<Record<GroupRule, string>> = {
  'extra-bars': t.yourGroupAsksForMore,
  'more-groups': t.yourGroupWantsMoreIndependent,
  'place-ignored': t.yourGroupLeavesPlaceSeason,
};

type ReasonOf<C extends ReasonCode> = Extract<Reason, { readonly code: C }>;
type Of = Pick<Verdict, 'target' | 'piece'>;

/** The sentence for each reason. */
const SENTENCES: { readonly [C in ReasonCode]: (reason: ReasonOf<C>, verdict: Of) => string } = {
  'other-kingdom': (_, verdict) => t.aIsNotOfThis(commonName(verdict.target)),
  'not-wanted': (reason) => t.isNotForCollectingThe(CommonName(reason.target), scientificName(reason.target)),
  identified: ({ target, or }) => t.thisIsAsFar(listed([target, ...or].map(commonName), 'disjunction')),
  contradicted: (reason, verdict) =>
    t.speaksAgainstInOfLooks(
      characterName(reason.character),
      commonName(verdict.target),
      numberWord(reason.against),
      numberWord(reason.looks),
    ),
  'contradicted-and-danger-fits': (reason, verdict) =>
    t.speaksAgainstTwiceAndFit(
      characterName(reason.character),
      commonName(verdict.target),
      few(reason.taxa.map(commonName)),
      reason.taxa.length,
    ),
  'part-not-wanted': (reason, verdict) =>
    t.evenIfItIsThe(commonName(verdict.target), partName(verdict.target, reason.part)),
  'part-harmful': (reason, verdict) =>
    t.evenIfItIsThis(commonName(verdict.target), partName(verdict.target, reason.part)),
  'use-not-known': (reason, verdict) =>
    t.evenIfItIsTheGuide(commonName(verdict.target), partName(verdict.target, reason.part)),
  'part-not-at-stage': (reason, verdict) =>
    t.evenIfItIsThisIs(
      commonName(verdict.target),
      partName(verdict.target, reason.part),
      listed(reason.good.map((s) => lowerFirst(stageName(s)))),
    ),
  'condition-rules-out': (reason) => t.itsConditionRulesItOut(lowerFirst(CONDITION[reason.condition])),
  'place-forbidden': () => t.pickingIsNotAllowedHere,
  'place-contaminated': (reason) => t.thePlaceIsSpoiled(lowerFirst(CONTAMINATION[reason.contamination])),
  protected: (reason) => (reason.by ? t.byYourGroupsListIt : t.itIsProtectedHere),
  'near-double': (reason) => t.isSoAlikeThatPause(CommonName(reason.taxon), lowerFirst(reason.why)),
  'not-for-eater': (reason) => t.notFor(reason.eater, reason.text),
  'forgone-taxon': (_, verdict) => t.yourGroupLeavesAloneWhatever(commonName(verdict.target)),
  'forgone-family': (reason) => t.yourGroupLeavesTheWhole(reason.family),
  'ask-for-eater': (reason) => t.for(reason.eater, lowerFirst(reason.text)),
  'name-open': (reason) =>
    reason.name.kind === 'one-of'
      ? t.itIsOneOfThese(listed(reason.name.taxa.map(commonName)))
      : t.itIsNamedToIts(reason.name.kind, reason.name.name),
  'second-look-missing': (reason) =>
    t.aSecondPersonHasNot(commonName(reason.taxon), reason.have, reason.need),
  'not-earned': (reason) => t.yourGroupAsksThatWhoever(few(reason.taxa.map(commonName))),
  'second-look-off': (reason) => t.yourGroupDoesWithoutA(few(reason.taxa.map(commonName))),
  'bars-short': (reason) => {
    const left = reason.need - reason.have;
    return t.isNotRuledOutMore(CommonName(reason.taxon), GRADE[reason.grade], grounds(left), left);
  },
  'look-again': (reason) =>
    t.lookOnceMoreElsewhereOn(
      lowerFirst(characterName(reason.character)),
      few(reason.taxa.map(commonName), 1),
    ),
  'signature-missing': (reason) => t.itsOwnMarkHasNot(lowerFirst(characterName(reason.character))),
  'groups-short': (reason, verdict) =>
    t.ofIndependentThingsFitA(reason.have, reason.need, commonName(verdict.target)),
  strained: (reason) => t.ofReadingsFitOnlyAt(reason.strains, reason.readings),
  'contradicted-open': (reason, verdict) =>
    reason.against * 2 === reason.looks
      ? t.looksAtDisagreeLookAgain(lowerFirst(characterName(reason.character)))
      : t.speaksAgainstSeenLookAgain(
          characterName(reason.character),
          commonName(verdict.target),
          times(reason.against),
        ),
  'other-piece-against': (reason, verdict) =>
    t.onThePieceBesideIt(lowerFirst(characterName(reason.character)), commonName(verdict.target)),
  'taken-back': (reason, verdict) =>
    reason.piece === verdict.piece
      ? t.anAnswerWasTakenBack(lowerFirst(characterName(reason.character)))
      : t.anAnswerWasTakenBackOnAnother(lowerFirst(characterName(reason.character))),
  unanswered: (reason) =>
    sentences(
      passedOver(reason.characters),
      t.lookAtOneOfThem,
      rootAmong(reason.characters) && t.ifNoRootMayBe,
    ),
  'stage-disputed': (reason) => t.cannotBeSeenAtThe(characterName(reason.character)),
  'not-traced': () => t.whatWasReadWasNot,
  'context-missing': (reason) => FIELD[reason.field],
  disputed: (reason) => t.looksAtDisagreeSoIt(lowerFirst(characterName(reason.character))),
  shopping: (reason) => {
    const parts = [
      ...(reason.freshPieces > 0 ? [t.startedAgainOnAnotherPiece(times(reason.freshPieces))] : []),
      ...(reason.changedTargets > 0 ? [t.changedWhatItIsTaken(times(reason.changedTargets))] : []),
    ];
    return sentences(t.you(listed(parts)), reason.extraBars > 0 && t.everyDeadlyOneNeedsA);
  },
  'passed-over': (reason) =>
    sentences(
      t.passedOverUntilItIs(lowerFirst(characterName(reason.character))),
      rootAmong([reason.character]) && t.ifNoneMayBeDug,
    ),
  'place-doubt': (_, verdict) => t.thePlaceIsUnusualFor(commonName(verdict.target)),
  'place-strains': (_, verdict) => t.thePlaceIsNotA(commonName(verdict.target)),
  'dangerous-neighbours': (reason) =>
    t.areKnownToStandHere(upper(few(reason.taxa.map(commonName))), reason.taxa.length),
  'season-doubt': (reason, verdict) =>
    t.isNotUsualAtThis(CommonName(verdict.target), monthName(reason.month)),
  'height-doubt': (reason, verdict) =>
    t.isNotUsualAtM(CommonName(verdict.target), Math.round(reason.elevation)),
  'group-rule': (reason) => GROUP_RULE[reason.rule],
  unreviewed: (reason) => t.noLocalExpertHasReviewed(listed(reason.taxa.map(commonName))),
  'near-relatives': (reason) => t.notInThisGuideAt(listed(reason.names)),
};
const sentence = <C extends ReasonCode>(reason: ReasonOf<C> & { readonly code: C }, verdict: Of): string =>
  SENTENCES[reason.code](reason, verdict);

/** One reason as one plain sentence. */
export const reasonWords = (reason: Reason, verdict: Of): string => sentence(reason, verdict);

function monthName(month: number): string {
  return new Intl.DateTimeFormat('en', { month: 'long', timeZone: 'UTC' }).format(
    new Date(Date.UTC(2026, month - 1, 15)),
  );
}

/**
 * What an answer did to the bars: those that were still wanted and are there now, and those that are lost.
 */
export function movedWords(before: readonly BarRow[], after: readonly BarRow[]): string | undefined {
  const had = new Map(before.map((row) => [row.taxon, filled(row)]));
  const change = (row: BarRow) => filled(row) - (had.get(row.taxon) ?? 0);
  const names = (rows: readonly BarRow[]) =>
    few(
      rows.map((row) => commonName(row.taxon)),
      2,
    );
  const [gained, lost] = [after.filter((row) => change(row) > 0), after.filter((row) => change(row) < 0)];
  const parts = [
    ...(gained.length > 0 ? [t.aBarMoreAgainst(names(gained))] : []),
    ...(lost.length > 0 ? [t.aBarLostAgainst(names(lost))] : []),
  ];
  return parts.length > 0 ? `${upper(parts.join('; '))}.` : undefined;
}
