import { messages, plural } from '../messages';

export const t = messages('reasons', {
  andOthers: (list: string, number: string) => `${list} and ${number} others`,
  grounds: (n: number, number: string) => plural(n, { one: 'one proof', other: `${number} proofs` }),
  twice: 'twice',
  times: (number: string) => `${number} times`,
  theGrowthStageHasNot: 'The growth stage has not been recorded.',
  itsConditionHasNotBeen: 'Its condition has not been recorded.',
  whichPartIsWantedHas: 'Which part is wanted has not been recorded.',
  whatItIsForHas: 'What it is for has not been recorded.',
  whetherPickingIsAllowedHere: 'Whether picking is allowed here is not known. Ask first.',
  whetherAnythingSpoilsThisPlace: 'Whether anything spoils this place is not known.',
  thisOneIsOftenProtected: 'This one is often protected. Look up your own law, then record what it says.',
  itGrowsAmongOthersTrace: 'It grows among others. Follow what you read and what you want to one root.',
  passedOverOneMayStay: (list: string) => `Not answered: ${list}. One may stay open, not more.`,
  aIsNotOfThis: (target: string) => `A ${target} is not of this kingdom: a fungus is no plant.`,
  isNotForCollectingThe: (name: string, scientificName: string) =>
    `${name} (${scientificName}) is not for collecting. The guide knows no use for any part of it.`,
  thisIsAsFar: (names: string) => `This is ${names}, as far as the guide goes.`,
  speaksAgainstInOfLooks: (characterName: string, target: string, number: string, number2: string) =>
    `${characterName} speaks against ${target}, in ${number} of ${number2} looks.`,
  speaksAgainstTwiceAndFit: (characterName: string, target: string, list: string, count: number) =>
    `${characterName} speaks against ${target}, twice, and ${list} ` +
    `${plural(count, { one: 'fits', other: 'fit' })} everything seen.`,
  evenIfItIsThe: (target: string, partName: string) =>
    `Even if it is ${target}, the guide knows no use for this part: ${partName}.`,
  evenIfItIsThis: (target: string, partName: string) =>
    `Even if it is ${target}, this part does harm: ${partName}.`,
  evenIfItIsTheGuide: (target: string, partName: string) =>
    `Even if it is ${target}, the guide does not know the ${partName} for this use.`,
  evenIfItIsThisIs: (target: string, partName: string, list: string) =>
    `Even if it is ${target}, this is not the time for its ${partName}. The time for that: ${list}.`,
  itsConditionRulesItOut: (condition: string) => `Its condition rules it out: ${condition}.`,
  pickingIsNotAllowedHere: 'Picking is not allowed here.',
  thePlaceIsSpoiled: (contamination: string) => `The place is spoiled: ${contamination}.`,
  byYourGroupsListIt: 'By your group’s list it is protected here.',
  itIsProtectedHere: 'It is protected here.',
  isSoAlikeThatPause: (name: string, why: string) =>
    `${name} is so alike that Pause never says collect: ${why}`,
  notFor: (eater: string, text: string) => `Not for ${eater}. ${text}`,
  yourGroupLeavesAloneWhatever: (target: string) => `Your group leaves ${target} alone, whatever is seen.`,
  yourGroupLeavesTheWhole: (family: string) => `Your group leaves the whole family alone (${family}).`,
  for: (eater: string, text: string) => `For ${eater}: ${text}`,
  itIsOneOfThese: (list: string) =>
    `It is one of these: ${list}. That is worth writing down, and not enough to collect.`,
  itIsNamedToIts: (kind: string, name: string) =>
    `It is named to its ${kind} only: ${name}. That is worth writing down, and not enough to collect.`,
  aSecondPersonHasNot: (name: string, have: number, need: number) =>
    `A second person has not looked yet, without knowing your answers, at what rules out ${name}: ${have} ` +
    `of ${need} proofs were seen by two.`,
  yourGroupAsksThatWhoever: (list: string) =>
    `Your group asks that whoever decides has passed the pair in practice: with ${list} that is still open.`,
  yourGroupDoesWithoutA: (list: string) =>
    `Your group does without a second look against ${list}, which no expert has reviewed.`,
  isNotRuledOutMore: (name: string, grade: string, grounds: string, left: number) =>
    `${name} (${grade}) is not ruled out: ${grounds} more ${plural(left, { one: 'is', other: 'are' })} needed.`,
  lookOnceMoreElsewhereOn: (characterName: string, list: string) =>
    `Look once more, elsewhere on it: ${characterName}. It rules out ${list}.`,
  itsOwnMarkHasNot: (characterName: string) =>
    `A sure sign of it still has to be seen, and answered as sure: ${characterName}.`,
  ofIndependentThingsFitA: (have: number, need: number, target: string) =>
    `${have} of ${need} independent things fit ${target}. A relative that the guide does not know could still be it.`,
  ofReadingsFitOnlyAt: (strains: number, readings: number) =>
    `${strains} of ${readings} readings fit only at a stretch. At most one in six may.`,
  looksAtDisagreeLookAgain: (characterName: string) =>
    `Looks at ${characterName} disagree. Look again, elsewhere on it, in other light.`,
  speaksAgainstSeenLookAgain: (characterName: string, target: string, times: string) =>
    `${characterName} speaks against ${target}, seen ${times}. Look again, elsewhere on it, in other light.`,
  onThePieceBesideIt: (characterName: string, target: string) =>
    `On the piece beside it, ${characterName} speaks against ${target}. Go through all pieces one by one.`,
  anAnswerWasTakenBack: (characterName: string) => `An answer was taken back: ${characterName}. Look again.`,
  anAnswerWasTakenBackOnAnother: (characterName: string) =>
    `An answer was taken back: ${characterName}, on another piece. Look again.`,
  ifNoRootMayBe: 'If no root may be dug up after all, say so under Place and condition.',
  lookAtOneOfThem: 'Look at one of them again in other light or through a lens.',
  cannotBeSeenAtThe: (characterName: string) =>
    `${characterName} cannot be seen at the recorded stage. The stage or the reading is wrong.`,
  whatWasReadWasNot: 'What was read was not followed to one root with what you want.',
  looksAtDisagreeSoIt: (characterName: string) =>
    `Looks at ${characterName} disagree, so it rules nothing out on this find.`,
  startedAgainOnAnotherPiece: (times: string) => `started again on another piece ${times}`,
  changedWhatItIsTaken: (times: string) => `changed what it is taken for ${times}`,
  everyDeadlyOneNeedsA: 'Every deadly one needs a bar more.',
  you: (list: string) => `You ${list}.`,
  ifNoneMayBeDug: 'If none may be dug up after all, say so under Place and condition.',
  passedOverUntilItIs: (characterName: string) =>
    `Not answered: ${characterName}. Until it is, every deadly one needs a bar more.`,
  thePlaceIsUnusualFor: (target: string) =>
    `The place is unusual for ${target}. That raises a doubt; it settles nothing.`,
  thePlaceIsNotA: (target: string) => `The place is not a common one for ${target}.`,
  areKnownToStandHere: (list: string, count: number) =>
    `${list} ${plural(count, { one: 'is', other: 'are' })} known to stand here. Look at every piece for it, ` +
    `and follow each stem to its base.`,
  isNotUsualAtThis: (name: string, monthName: string) =>
    `${name} is not usual at this stage in ${monthName}. That raises a doubt; it settles nothing.`,
  isNotUsualAtM: (name: string, number: number) =>
    `${name} is not usual at ${number} m. That raises a doubt; it settles nothing.`,
  noLocalExpertHasReviewed: (list: string) =>
    `No local expert has reviewed what the guide says of ${list}. Nobody else has looked at this find either.`,
  notInThisGuideAt: (list: string) => `Not in this guide at all: ${list}.`,
  yourGroupAsksForMore: 'Your group asks for more bars than the model does.',
  yourGroupWantsMoreIndependent: 'Your group wants more independent things to fit than the model does.',
  yourGroupLeavesPlaceSeason:
    'Your group leaves place, season and height out of it: plants travel, and seasons shift.',
  aBarMoreAgainst: (names: string) => `a bar more against ${names}`,
  aBarLostAgainst: (names: string) => `a bar lost against ${names}`,
  once: 'once',
});
