import { messages, plural } from '../messages';

export const t = messages('sheet', {
  askingEverythingThatWasCollected: 'Asking everything that was collected once more …',
  whatNoLongerHolds: 'What no longer holds',
  whenAGuideIsCorrected:
    'When a guide is corrected, a reading taken back, an odd one found or a decision changed, all that was ' +
    'made of it is found again.',
  everythingHolds: 'Everything holds',
  byAllThatIsOn:
    'By all that is on record here, and by the guide in force, what was collected would be collected again.',
  toBeSeenTo: 'To be seen to',
  seenTo: 'Seen to',
  harvestOf: (text: string) => `Harvest of ${text}`,
  firstTasteOf: (text: string) => `First taste of ${text}`,
  aFindThatIsNot: 'A find that is not shared here',
  theyAreTold: 'They are told',
  theyAreAsked: 'They are asked',
  itIsPutAside: 'It is put aside',
  theNotebookAsksEverythingAgain: (done: number, total: number) =>
    `The notebook asks everything again by the newer guide: ${done} of ${total} finds.`,
  have: 'have',
  found: 'found',
  thingsYouNoLongerStand: (count: number, text: string) =>
    `${plural(count, { one: 'One thing', other: `${count} things` })} you ${text} no longer ` +
    plural(count, { one: 'stands', other: 'stand' }),
  eatNothingOfItUntil: 'Eat nothing of it until you have looked at why.',
  itWasCollectedAndWould: 'It was collected, and would not be now.',
  toBeAsked: 'To be asked',
  howIs: (eater: string) => `How is ${eater}?`,
  hoursHaveGoneSinceThe: (hours: number, name: string) =>
    `${plural(hours, { one: 'An hour has', other: `${hours} hours have` })} gone since the first taste of ${name}.`,
  notKnownNothingIsOn: 'Not known: nothing is on record of it.',
  notRuledOutByWhat: 'Not ruled out by what was seen.',
  ruledOutByWhatWas: 'Ruled out by what was seen, if it was seen rightly.',
  moreOfTheGuideThat: (size: number) =>
    `${size} more of the guide that do harm are not ruled out either: too little was looked at.`,
  nothingElseOfTheGuide:
    'Nothing else of the guide that does harm is left by what was seen. The guide does not know everything.',
  itWasGivenNoName: 'It was given no name.',
  whichThisGuideDoesNot: (named: string) => `${named}, which this guide does not know.`,
  whatItWasTakenFor: 'What it was taken for',
  whatItCouldHaveBeen: 'What it could have been instead',
  whoWhenHowMuch: 'Who, when, how much',
  who: 'Who',
  when: 'When',
  howMuch: 'How much',
  firstTasteAboutATeaspoon: (eater: string, text: string) =>
    `First taste: ${eater}, ${text}, about a teaspoon`,
  whatIsFeltAndSince: 'What is felt, and since when',
  toldNow: 'Told now',
  ofFind: (title: string, number: number) => `${title} (find ${number})`,
  whereAndWhenItWas: 'Where and when it was found',
  whatWasSeenOfIt: 'What was seen of it',
  forWhoeverTreats: (moment: string) => `For whoever treats · ${moment}`,
  notRecorded: 'Not recorded.',
  allThatWasLeftOf: (amount: string) => `all that was left of ${amount}`,
  nobodyWeighedIt: 'nobody weighed it',
  stepLeftOutLoud: (step: string, leftOut: string) => `LEFT OUT: ${step} (${leftOut})`,
  percentAlcohol: (strength: number) => `${strength} % alcohol`,
  doneSteps: (list: string) => `Done: ${list}`,
  recordedByPerson: (text: string) => `by ${text}`,
  none: 'none',
  againstTheVerdict: (choice: string) => `${choice}, against the verdict.`,
  decided: (choice: string) => `${choice}.`,
  notDecided: 'Not decided.',
  verdict: (text: string, text2: string) => `Verdict: ${text}. ${text2}`,
  makingIt: 'Making it …',
  saveAsPdf: 'Save as PDF',
  printIt: 'Print it',
  thePdfCouldNotBe: 'The PDF could not be made. Print it, or show this page.',
  aMadeUpPoisonLine:
    'A made-up poison line of the Ostrel valley stands in here: it answers, and nobody is called.',
  sending: 'Sending …',
  sendItToTheMade: 'Send it to the made-up poison line',
  theMadeUpPoisonLine: 'The made-up poison line',
  receivedAsCaseStayWith: (answer: string) =>
    `Received, as case ${answer}. Stay with them; somebody would call you back. (Made up: nobody was told.)`,
  puttingItTogether: 'Putting it together …',
  callNowDoNotWait: 'Call now. Do not wait for signs.',
  keepWhatIsLeftOf:
    'Keep what is left of it, raw and cooked, cool and in paper; what was vomited in a clean jar. Make ' +
    'nobody vomit, and give nothing that nobody told you to give.',
  whatOnlyYouCanSay: 'What only you can say',
  whoWithAgeAndWeight: 'Who, with age and weight',
  whenItWasEaten: 'When it was eaten',
  todayAboutSevenInThe: 'today, about seven in the evening',
  theSheet: 'The sheet',
  poisoning: 'Poisoning',
  nothingIsOnRecordOf: 'Nothing is on record of it',
  theFindThatItGoes: 'The find that it goes back to is not in this notebook. Say what you know.',
  findNumber: (number: number) => `Find ${number}`,
});
