import { messages } from '../messages';

export const t = messages('emergency', {
  somebodyAteOfIt: 'Somebody ate of it',
  whatItMayHaveBeen: 'What it may have been',
  noNameYet: 'no name yet',
  somethingElse: 'Something else',
  readThisOut: 'Read this out:',
  itWasGivenNoName: 'it was given no name',
  takenForWhichThisGuide: (target: string) => `taken for ${target}, which this guide does not know`,
  none: 'none',
  found: (day: string) => `Found ${day}.`,
  foundAt: (day: string, place: string) => `Found ${day}, ${place}.`,
  thingsWereLookedAt: (readings: number, verdict: string) =>
    `${readings} things were looked at; the last verdict was ${verdict}.`,
  thingsWereLookedAtAndDecided: (readings: number, verdict: string, decision: string) =>
    `${readings} things were looked at; the last verdict was ${verdict}, and it was ${decision}.`,
  thatIsWhatItWas: 'That is what it was taken for, not what was eaten. Say that, too.',
  anythingMayHaveBeenEaten: 'Anything may have been eaten. The sheet names what is not ruled out.',
  theWholeSheetForWhoever: 'The whole sheet, for whoever treats',
  thatIsTheNameSomebody: 'That is the name somebody gave it, not what was eaten. Say that, too.',
  anotherName: 'Another name',
  byTheNameThatSomebody: 'By the name that somebody gave it',
  nameOfWhatWasEaten: 'Name of what was eaten',
  commonOrScientificName: 'Common or scientific name',
  byItsLooksIfSome: 'By its looks, if some of it is left',
  whichOfTheseIsIt: 'Which of these is it most like?',
  formOfWhatWasEaten: 'Form of what was eaten',
  lookAtWhatIsLeft: 'Look at what is left',
  ifItHasNoName:
    'If it has no name and nothing is left: say where it grew and what it looked like. Anything may have been eaten.',
  takenForOfTheFamily: (name: string, scientificName: string, family: string) =>
    `taken for ${name}, ${scientificName}, of the family ${family}`,
  takenForWhichIs: (name: string, scientificName: string, family: string, harm: string) =>
    `taken for ${name}, ${scientificName}, of the family ${family}, which is ${harm}`,
  itIsMistakenFor: (list: string) => `It is mistaken for: ${list}.`,
  callNowDoNotWait: 'Call now. Do not wait for signs.',
  sayWhatWasEatenHow: 'Say what was eaten, how much, when, by whom, and how it was prepared.',
  ifSomeoneIsDrowsyCramps:
    'If someone is drowsy, cramps, breathes badly or has collapsed: the emergency number first.',
  takeBitsOfItOut:
    'Take bits of it out of the mouth. Rinse the mouth with water; eyes and skin too, if they touched it.',
  doNotMakeAnyoneVomit: 'Do not make anyone vomit.',
  giveNothingToEatOr:
    'Give nothing to eat or drink against it, no milk, salt water or alcohol, unless the poison service says so.',
  doNotLeaveThePerson: 'Do not leave the person alone.',
  whatIsLeftRawCooked: 'What is left: raw, cooked, peelings, the basket. Cool, in paper.',
  whatWasVomitedInA: 'What was vomited, in a clean jar.',
  namesAndTimesOfAll: 'Names and times of all who ate of it, also those who feel well.',
  someoneAteSomething: 'Someone ate something',
  now: 'Now',
  doNot: 'Do not',
  keepAndWriteDown: 'Keep, and write down',
  feelingWellMeansNothingYet: 'Feeling well means nothing yet',
  theWorstPoisonsAreSilent:
    'The worst poisons are silent for many hours, some for days. Early vomiting does not rule a late poison ' +
    'out: baskets are mixed. This is how long, for those of this guide on which references agree:',
  howLongEachStaysSilent: 'How long each stays silent',
  pauseGivesNoTreatmentAnd: 'Pause gives no treatment and no doses. Doctors and poison services do.',
});
