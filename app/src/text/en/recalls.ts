import { messages } from '../messages';

export const t = messages('recalls', {
  everythingDangerousOfTheGuide: 'Everything dangerous of the guide is still ruled out.',
  whatCouldBeAmongIt: (grade: string) => `What could be among it is ${grade}.`,
  isNewInTheGuide: (name: string) => `${name} is new in the guide`,
  whatTheGuideSaysOf: (name: string, characterName: string) =>
    `What the guide says of ${name} changed: ${characterName}`,
  foundBy: (list: string) => `Found by: ${list}.`,
  foundByWhoeverWroteIt: 'Found by whoever wrote it.',
  andMore: (number: string) => `And ${number} more.`,
  itWasCollectedAndDecided: (name: string) => `${name}: it was collected, and decided otherwise since.`,
  itLayInOneBag: (name: string) => `${name}: it lay in one bag with a deadly one.`,
  aStrayLayAmongIt: (name: string, grade: string) => `${name}: an odd one lay among it (${grade}).`,
  byTheCorrectedGuide: 'by the corrected guide',
  byWhatWasRecordedSince: 'by what was recorded since',
  byTheRulesOfThe: 'by the rules of the group now',
  byStricterRulesOfPause: 'by stricter rules of Pause',
  theVerdictIs: (name: string, text: string, outcome: string) =>
    `${name}: ${text} the verdict is ${outcome}.`,
  holdIt: 'Hold it',
  nobodyEatsOfItUntil: 'Nobody eats of it until the find holds again.',
  throwItOut: 'Throw it out',
  itCannotBeGoneThrough: 'It cannot be gone through any more. Not on the compost, not to animals.',
  lookAgain: 'Look again',
  goThroughEveryPieceOnce: 'Go through every piece once more.',
  itWasEaten: 'It was eaten',
  askEverybodyWhoHadSome: 'Ask everybody who had some how they are.',
  tellWhoHasIt: 'Tell who has it',
  somebodyElseHasItTell: 'Somebody else has it: tell them today.',
  itMayHaveBeenA: 'It may have been a dangerous one: call the poison service now, before anything is felt.',
});
