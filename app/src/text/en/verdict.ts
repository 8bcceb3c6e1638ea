import { messages, plural } from '../messages';

export const t = messages('verdict', {
  keepHolding: 'Keep holding …',
  nowLetGo: 'Now let go',
  anAdultLookedAtIt: (trim: string) => `An adult, ${trim}, looked at it.`,
  whatYouDo: 'What you do',
  pauseKeepsTheRecordThe: 'Pause keeps the record; the person decides. Leaving costs nothing.',
  showItToAnAdult: 'Show it to an adult. Their word is needed here.',
  nameOfTheAdultWho: 'Name of the adult who looked at it',
  whoLookedAtIt: 'Who looked at it?',
  anAdultOfTheGroup: 'An adult of the group has been asked. Until they agree it waits.',
  collectingWaitsForAnAdult: 'Collecting waits for an adult of the group.',
  askTheAdultsOfThe: 'Ask the adults of the group',
  iCollectIt: 'I collect it',
  anAdultSaysSoFirst: 'An adult says so first',
  holdToRecord: 'Hold to record',
  checkTheRestOfThe: 'Check the rest of the patch',
  iLeaveIt: 'I leave it',
  iComeBackLater: 'I come back later',
  itWasCollectedAllThe: 'It was collected all the same',
  thisIsKeptAsWhat: 'This is kept as what happened, and marks everything that comes of it.',
  whyWasItCollectedAgainst: 'Why was it collected against the verdict?',
  why: 'Why?',
  giveTheReasonFirst: 'Give the reason first.',
  collectedAgainst: (text: string) => `Collected against “${text}”`,
  whatWouldChangeIt: (first: string) => `What would change it: ${first}`,
  whatIsInTheWay: 'What is in the way',
  stillOpen: 'Still open',
  allLooks: (time: string) => `All looks together take about ${time}, if each shows what is usual.`,
  allLooksWith: (time: string, gear: string) =>
    `All looks together take about ${time}, with ${gear}, if each shows what is usual.`,
  whoWillEatIt: 'Who will eat it',
  aSecondLook: 'A second person looks, without knowing your answers',
  nothingThatIsReadOn:
    'Nothing that is read on this piece. Another piece is another find’s worth of looks, and starting again is listed.',
  anotherPartOrAnotherStage: 'Another part, or another stage. Looking on still shows what it is.',
  notAnotherLookWhatRules:
    'Not another look: what rules it out lies in what it is, where it stands, or when.',
  cannotBeRuledOutAt: (name: string, most: number, need: number) =>
    `${name} cannot be ruled out at this stage: at most ${most} of ${need} proofs.`,
  oneOfItsOwnMarks: (characterName: string) => `${characterName}, one of its sure signs, cannot be seen now.`,
  onlyIndependentThingsCanFit: (most: number, need: number) =>
    `Only ${most} independent things can fit now; ${need} are needed.`,
  everythingCouldBeFilledAlone: 'Everything could be filled alone, but not together.',
  anotherStageOrOtherGear: 'Another stage, or other gear. Walking away costs nothing.',
  onceMore: 'once more',
  seenForIt: 'Seen for it',
  independentThingsFitAreNeeded: (count: number, groupsNeeded: number) =>
    `${plural(count, { one: 'One independent thing fits', other: `${count} independent things fit` })}; ` +
    `${groupsNeeded} are needed.`,
  sign: (characterName: string, isSeen: boolean) => `${characterName} (${isSeen ? 'seen' : 'not yet'})`,
  itsOwnMarks: (list: string) => `Its sure signs: ${list}.`,
  ofDangerousOnesOfThe: (count: number, count2: number) =>
    `${count} of ${count2} dangerous ones of the guide are ruled out.`,
  whatItLeansOn: 'What it leans on',
  withoutAnyOneOfThese: (text: string) =>
    `Without any one of these it would not be ${text}. Look at exactly these again, on another piece.`,
  lookAgainOnAnotherPiece: 'Look again on another piece',
  beforeAnyoneEatsIt: 'Before anyone eats it',
  comparingWithTheGuide: 'Comparing with the guide …',
  againstIt: 'Against it',
  alsoStillMissing: 'Also not ruled out or not seen yet',
  stillMissing: 'Not ruled out or not seen yet',
  ofTheOtherDangerousOnes: (count: number, list: string) =>
    `Of the other dangerous ones of the guide ${count} are not ruled out: ${list}.`,
  itsOwnMarksStillTo: (list: string) => `Its sure signs, still to be seen: ${list}.`,
  aboutThePart: 'About the part',
  aboutThePlace: 'About the place',
  aboutWhoEatsIt: 'About who eats it',
  goOnWithTheCheck: 'Go on with the check',
  whatItDoesNotCover: 'What it does not cover',
});
