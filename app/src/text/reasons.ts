import {
  type ContextField,
  type CharacterId,
  needsDigging,
  type Reason,
  type Verdict,
  type GroupRule,
  type BarRow,
  filled,
} from '@pause/core';
import { guide } from '../deciding/guide';
import { t } from './en/reasons';
import { listed } from './messages';
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

export const list = (items: readonly string[]) => listed(items);

/** A list for a sentence: the first few by name, the others by number. */
export function few(items: readonly string[], most = 3): string {
  const more = items.length - most;
  return more <= 1 ? list(items) : t.andOthers(items.slice(0, most).join(', '), numberWord(more));
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

/** @param most of so many the names are said, of the others the number */
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

/** One reason as one plain sentence. */
export function reasonWords(reason: Reason, verdict: Pick<Verdict, 'target' | 'piece'>): string {
  const target = commonName(verdict.target);
  switch (reason.code) {
    case 'other-kingdom':
      return t.aIsNotOfThis(target);
    case 'not-wanted':
      return t.isNotForCollectingThe(CommonName(reason.target), scientificName(reason.target));
    case 'contradicted':
      return t.speaksAgainstInOfLooks(
        characterName(reason.character),
        target,
        numberWord(reason.against),
        numberWord(reason.looks),
      );
    case 'contradicted-and-danger-fits':
      return t.speaksAgainstTwiceAndFit(
        characterName(reason.character),
        target,
        few(reason.taxa.map(commonName)),
        reason.taxa.length,
      );
    case 'part-not-wanted':
      return t.evenIfItIsThe(target, partName(verdict.target, reason.part));
    case 'part-harmful':
      return t.evenIfItIsThis(target, partName(verdict.target, reason.part));
    case 'use-not-known':
      return t.evenIfItIsTheGuide(target, partName(verdict.target, reason.part));
    case 'part-not-at-stage':
      return t.evenIfItIsThisIs(
        target,
        partName(verdict.target, reason.part),
        list(reason.good.map((s) => lowerFirst(stageName(s)))),
      );
    case 'condition-rules-out':
      return t.itsConditionRulesItOut(lowerFirst(CONDITION[reason.condition]));
    case 'place-forbidden':
      return t.pickingIsNotAllowedHere;
    case 'place-contaminated':
      return t.thePlaceIsSpoiled(lowerFirst(CONTAMINATION[reason.contamination]));
    case 'protected':
      return reason.by ? t.byYourGroupsListIt : t.itIsProtectedHere;

    case 'near-double':
      return t.isSoAlikeThatPause(CommonName(reason.taxon), lowerFirst(reason.why));
    case 'not-for-eater':
      return t.notFor(reason.eater, reason.text);
    case 'forgone-taxon':
      return t.yourGroupLeavesAloneWhatever(target);
    case 'forgone-family':
      return t.yourGroupLeavesTheWhole(reason.family);

    case 'ask-for-eater':
      return t.for(reason.eater, lowerFirst(reason.text));
    case 'name-open':
      return reason.name.kind === 'one-of'
        ? t.itIsOneOfThese(list(reason.name.taxa.map(commonName)))
        : t.itIsNamedToIts(reason.name.kind, reason.name.name);
    case 'second-look-missing':
      return t.aSecondPersonHasNot(commonName(reason.taxon), reason.have, reason.need);
    case 'not-earned':
      return t.yourGroupAsksThatWhoever(few(reason.taxa.map(commonName)));
    case 'second-look-off':
      return t.yourGroupDoesWithoutA(few(reason.taxa.map(commonName)));

    case 'bars-short': {
      const left = reason.need - reason.have;
      return t.isNotRuledOutMore(CommonName(reason.taxon), GRADE[reason.grade], grounds(left), left);
    }
    case 'look-again':
      return t.lookOnceMoreElsewhereOn(
        lowerFirst(characterName(reason.character)),
        few(reason.taxa.map(commonName), 1),
      );
    case 'signature-missing':
      return t.itsOwnMarkHasNot(lowerFirst(characterName(reason.character)));
    case 'groups-short':
      return t.ofIndependentThingsFitA(reason.have, reason.need, target);
    case 'strained':
      return t.ofReadingsFitOnlyAt(reason.strains, reason.readings);
    case 'contradicted-open':
      return reason.against * 2 === reason.looks
        ? t.looksAtDisagreeLookAgain(lowerFirst(characterName(reason.character)))
        : t.speaksAgainstSeenLookAgain(characterName(reason.character), target, times(reason.against));
    case 'other-piece-against':
      return t.onThePieceBesideIt(lowerFirst(characterName(reason.character)), target);
    case 'taken-back':
      return t.anAnswerWasTakenBack(
        lowerFirst(characterName(reason.character)),
        reason.piece === verdict.piece ? '' : t.onAnotherPiece,
      );
    case 'unanswered':
      return t.lookAtOneOfThem(
        passedOver(reason.characters),
        rootAmong(reason.characters) ? t.ifNoRootMayBe : '',
      );
    case 'stage-disputed':
      return t.cannotBeSeenAtThe(characterName(reason.character));
    case 'not-traced':
      return t.whatWasReadWasNot;
    case 'context-missing':
      return FIELD[reason.field];

    case 'disputed':
      return t.looksAtDisagreeSoIt(lowerFirst(characterName(reason.character)));
    case 'shopping': {
      const parts = [
        ...(reason.freshPieces > 0 ? [t.startedAgainOnAnotherPiece(times(reason.freshPieces))] : []),
        ...(reason.changedTargets > 0 ? [t.changedWhatItIsTaken(times(reason.changedTargets))] : []),
      ];
      return t.you(list(parts), reason.extraBars > 0 ? t.everyDeadlyOneNeedsA : '');
    }
    case 'passed-over':
      return t.passedOverUntilItIs(
        lowerFirst(characterName(reason.character)),
        rootAmong([reason.character]) ? t.ifNoneMayBeDug : '',
      );
    case 'place-doubt':
      return t.thePlaceIsUnusualFor(target);
    case 'place-strains':
      return t.thePlaceIsNotA(target);
    case 'dangerous-neighbours':
      return t.areKnownToStandHere(upper(few(reason.taxa.map(commonName))), reason.taxa.length);
    case 'season-doubt':
      return t.isNotUsualAtThis(CommonName(verdict.target), monthName(reason.month));
    case 'height-doubt':
      return t.isNotUsualAtM(CommonName(verdict.target), Math.round(reason.elevation));
    case 'group-rule':
      return GROUP_RULE[reason.rule];
    case 'unreviewed':
      return t.noLocalExpertHasReviewed(list(reason.taxa.map(commonName)));
    case 'near-relatives':
      return t.notInThisGuideAt(list(reason.names));
  }
}

const GROUP_RULE: Readonly<Record<GroupRule, string>> = {
  'extra-bars': t.yourGroupAsksForMore,
  'more-groups': t.yourGroupWantsMoreIndependent,
  'place-ignored': t.yourGroupLeavesPlaceSeason,
};

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
