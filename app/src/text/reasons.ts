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

export const list = (items: readonly string[]) =>
  items.length <= 1
    ? items.join('')
    : `${items.slice(0, -1).join(', ')} and ${items[items.length - 1] ?? ''}`;

/** A list for a sentence: the first few by name, the others by number. */
export function few(items: readonly string[], most = 3): string {
  const more = items.length - most;
  return more <= 1 ? list(items) : `${items.slice(0, most).join(', ')} and ${numberWord(more)} others`;
}

const grounds = (n: number) => (n === 1 ? 'one ground' : `${numberWord(n)} grounds`);
const times = (n: number) => (n === 1 ? 'once' : n === 2 ? 'twice' : `${numberWord(n)} times`);

const FIELD: Readonly<Record<ContextField, string>> = {
  stages: 'The growth stage has not been recorded.',
  condition: 'Its condition has not been recorded.',
  part: 'Which part is wanted has not been recorded.',
  use: 'What it is for has not been recorded.',
  permission: 'Whether picking is allowed here is not known. Ask first.',
  contamination: 'Whether anything spoils this place is not known.',
  protection: 'This one is often protected. Look up your own law, then record what it says.',
  tracedToBase: 'It grows among others. Trace what you read and what you want to one base.',
};

/** @param most of so many the names are said, of the others the number */
export function passedOver(characters: readonly CharacterId[], most = characters.length): string {
  return `Passed over: ${few(
    characters.map((c) => lowerFirst(characterName(c))),
    most,
  )}. One may stay open, not more.`;
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
      return `A ${target} is not of this kingdom: a fungus is no plant.`;
    case 'not-wanted':
      return `${CommonName(reason.target)} (${scientificName(reason.target)}) is not for collecting. The guide knows no use for any part of it.`;
    case 'contradicted':
      return `${characterName(reason.character)} speaks against ${target}, in ${numberWord(reason.against)} of ${numberWord(reason.looks)} looks.`;
    case 'contradicted-and-danger-fits':
      return `${characterName(reason.character)} speaks against ${target}, twice, and ${few(reason.taxa.map(commonName))} ${reason.taxa.length === 1 ? 'fits' : 'fit'} everything seen.`;
    case 'part-not-wanted':
      return `Even if it is ${target}, the guide knows no use for this part: ${partName(verdict.target, reason.part)}.`;
    case 'part-harmful':
      return `Even if it is ${target}, this part does harm: ${partName(verdict.target, reason.part)}.`;
    case 'use-not-known':
      return `Even if it is ${target}, the guide does not know the ${partName(verdict.target, reason.part)} for this use.`;
    case 'part-not-at-stage':
      return `Even if it is ${target}, this is not the time for its ${partName(verdict.target, reason.part)}. The time for that: ${list(reason.good.map((s) => lowerFirst(stageName(s))))}.`;
    case 'condition-rules-out':
      return `Its condition rules it out: ${lowerFirst(CONDITION[reason.condition])}.`;
    case 'place-forbidden':
      return 'Picking is not allowed here.';
    case 'place-contaminated':
      return `The place is spoiled: ${lowerFirst(CONTAMINATION[reason.contamination])}.`;
    case 'protected':
      return reason.by ? 'By your group’s list it is protected here.' : 'It is protected here.';

    case 'near-double':
      return `${CommonName(reason.taxon)} is so alike that Pause never says collect: ${lowerFirst(reason.why)}`;
    case 'not-for-eater':
      return `Not for ${reason.eater}. ${reason.text}`;
    case 'forgone-taxon':
      return `Your group leaves ${target} alone, whatever is seen.`;
    case 'forgone-family':
      return `Your group leaves the whole family alone (${reason.family}).`;

    case 'ask-for-eater':
      return `For ${reason.eater}: ${lowerFirst(reason.text)}`;
    case 'name-open':
      return reason.name.kind === 'one-of'
        ? `It is one of these: ${list(reason.name.taxa.map(commonName))}. That is worth writing down, and not enough to collect.`
        : `It is named to its ${reason.name.kind} only: ${reason.name.name}. That is worth writing down, and not enough to collect.`;
    case 'second-look-missing':
      return `A second person has not looked yet, without knowing your answers, at what rules out ${commonName(reason.taxon)}: ${reason.have} of ${reason.need} grounds were seen by two.`;
    case 'not-earned':
      return `Your group asks that whoever decides has earned the pair, by practice: with ${few(reason.taxa.map(commonName))} it is not.`;
    case 'second-look-off':
      return `Your group does without a second look against ${few(reason.taxa.map(commonName))}, which no expert has reviewed.`;

    case 'bars-short': {
      const left = reason.need - reason.have;
      return `${CommonName(reason.taxon)} (${GRADE[reason.grade]}) is not ruled out: ${grounds(left)} more ${left === 1 ? 'is' : 'are'} needed.`;
    }
    case 'look-again':
      return `Look once more, elsewhere on it: ${lowerFirst(characterName(reason.character))}. It rules out ${few(reason.taxa.map(commonName), 1)}.`;
    case 'signature-missing':
      return `Its own mark has not been seen for sure: ${lowerFirst(characterName(reason.character))}.`;
    case 'groups-short':
      return `${reason.have} of ${reason.need} independent things fit ${target}. A relative that the guide does not know could still be it.`;
    case 'strained':
      return `${reason.strains} of ${reason.readings} readings fit only at a stretch. At most one in six may.`;
    case 'contradicted-open':
      return reason.against * 2 === reason.looks
        ? `Looks at ${lowerFirst(characterName(reason.character))} disagree. Look again, elsewhere on it, in other light.`
        : `${characterName(reason.character)} speaks against ${target}, seen ${times(reason.against)}. Look again, elsewhere on it, in other light.`;
    case 'other-piece-against':
      return `On the piece beside it, ${lowerFirst(characterName(reason.character))} speaks against ${target}. Go through all pieces one by one.`;
    case 'taken-back':
      return `An answer was taken back: ${lowerFirst(characterName(reason.character))}${reason.piece === verdict.piece ? '' : ', on another piece'}. Look again.`;
    case 'unanswered':
      return `${passedOver(reason.characters)} Look at one of them again in other light or through a lens.${rootAmong(reason.characters) ? ' If no root may be dug up after all, say so under Place and condition.' : ''}`;
    case 'stage-disputed':
      return `${characterName(reason.character)} cannot be seen at the recorded stage. The stage or the reading is wrong.`;
    case 'not-traced':
      return 'What was read was not traced to one base with what you want.';
    case 'context-missing':
      return FIELD[reason.field];

    case 'disputed':
      return `Looks at ${lowerFirst(characterName(reason.character))} disagree, so it rules nothing out on this find.`;
    case 'shopping': {
      const parts = [
        ...(reason.freshPieces > 0 ? [`started again on another piece ${times(reason.freshPieces)}`] : []),
        ...(reason.changedTargets > 0
          ? [`changed what it is taken for ${times(reason.changedTargets)}`]
          : []),
      ];
      return `You ${list(parts)}.${reason.extraBars > 0 ? ' Every deadly one needs a bar more.' : ''}`;
    }
    case 'passed-over':
      return `Passed over: ${lowerFirst(characterName(reason.character))}. Until it is answered, every deadly one needs a bar more.${rootAmong([reason.character]) ? ' If none may be dug up after all, say so under Place and condition.' : ''}`;
    case 'place-doubt':
      return `The place is unusual for ${target}. That raises a doubt; it settles nothing.`;
    case 'place-strains':
      return `The place is not a common one for ${target}.`;
    case 'dangerous-neighbours':
      return `${upper(few(reason.taxa.map(commonName)))} ${reason.taxa.length === 1 ? 'is' : 'are'} known to stand here. Look at every piece for it, and follow each stem to its base.`;
    case 'season-doubt':
      return `${CommonName(verdict.target)} is not usual at this stage in ${monthName(reason.month)}. That raises a doubt; it settles nothing.`;
    case 'height-doubt':
      return `${CommonName(verdict.target)} is not usual at ${Math.round(reason.elevation)} m. That raises a doubt; it settles nothing.`;
    case 'group-rule':
      return GROUP_RULE[reason.rule];
    case 'unreviewed':
      return `No local expert has reviewed what the guide says of ${list(reason.taxa.map(commonName))}. Nobody else has looked at this find either.`;
    case 'near-relatives':
      return `Not in this guide at all: ${list(reason.names)}.`;
  }
}

const GROUP_RULE: Readonly<Record<GroupRule, string>> = {
  'extra-bars': 'Your group asks for more bars than the model does.',
  'more-groups': 'Your group wants more independent things to fit than the model does.',
  'place-ignored': 'Your group leaves place, season and height out of it: plants travel, and seasons shift.',
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
    ...(gained.length > 0 ? [`a bar more against ${names(gained)}`] : []),
    ...(lost.length > 0 ? [`a bar lost against ${names(lost)}`] : []),
  ];
  return parts.length > 0 ? `${upper(parts.join('; '))}.` : undefined;
}
