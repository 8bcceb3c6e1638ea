import { messages, plural } from '../messages';

export const t = messages('pieces', {
  noNameYet: 'No name yet',
  onlyWhatHasBeenChecked: 'Only what has been checked as one thing can be gone through piece by piece.',
  backToTheFind: 'Back to the find',
  workingOutTheQuickestChecks: 'Working out the quickest checks …',
  pieceByPiece: 'Piece by piece',
  noQuickCheckPartsThe: (list: string) =>
    `No quick check parts the pieces: ${list} cannot be ruled out at a glance. Check each one as a find of its own.`,
  find: (number: number) => `find ${number}`,
  strayAmongThePiecesOf: (text: string) => `Odd one among the pieces of ${text}`,
  stray: 'An odd one',
  opensAFindForIt: 'opens a find for it',
  passes: 'Passes',
  allOfItAsDrawn: 'all of it as drawn',
  theRestOfThePatch: (name: string) => `The rest of the patch · ${name}`,
  passedStrays: (passed: number, strays: number) =>
    `${passed} passed, ${strays} ${plural(strays, { one: 'odd one', other: 'odd ones' })}`,
  passed: 'passed',
  strays: (strays: number) => plural(strays, { one: 'odd one', other: 'odd ones' }),
  takeBack: 'Take back',
  onEachPieceEveryOne: 'On each piece, every one of these',
  aboutAPieceAnythingElse: (time: string) =>
    `About ${time} a piece. Anything that does not belong is an odd one, also what you can’t make out.`,
  inYourHandsByWhat: 'In your hands, by what you practised,',
  inOrdinaryHands: 'In ordinary hands',
  thereAreStraysHereDo: 'There are odd ones here: do not leave one out.',
  ofTheStraysSlipsThrough: (text: string, share: string, share2: string, text2: string) =>
    `${text} ${share} of the odd ones slips through the first check alone, ${share2} through all of them. ${text2}`,
  stopHere: 'Stop here',
  theCountIsKeptWith: 'The count is kept with the find.',
  noStray: 'none',
  fewerThanOneInA: 'fewer than one in a thousand',
  oneIn: (max: number) => `one in ${max}`,
});
