import { messages } from '../messages';

export const t = messages('measuring', {
  thePhotoToPutPoints: 'The photo, to put points on',
  pointArrowKeysMoveIt: (name: string, i: number) => `${name}, point ${i}; arrow keys move it`,
  layItFlatBesideA:
    'Lay it flat beside a bank or library card, or beside anything whose length you know. Hold the phone ' +
    'level above it.',
  takeThePhoto: 'Take the photo',
  tapTheCornersOfThe: (count: number) =>
    `Tap the corners of the card one after the other, along its long side first: ${count} of 4.`,
  tapBothEndsOfWhat: (count: number) => `Tap both ends of what you know: ${count} of 2.`,
  nowBothEndsOfWhat: (count: number) => `Now both ends of what you measure: ${count} of 2.`,
  dragAPointToMend: 'Drag a point to mend it.',
  thoseAreNotTheCorners: 'Those are not the corners of a card: go round it, the long side first.',
  giveTheLengthOfWhat: 'Give the length of what you know.',
  card: 'Card',
  knownLength: 'Known length',
  whatIsMeasured: 'What is measured',
  whatLiesBesideIt: 'What lies beside it',
  aCard: 'A card',
  aKnownLength: 'A known length',
  knownLengthInMillimetres: 'Known length in millimetres',
  mmLong: 'mm long',
  lengthWithErrorSentence: (number: number, max: number) => `${number} mm, give or take ${max} mm.`,
  theCardTakesTheTilt: 'The card takes the tilt out of it.',
  theTiltOfThePhone: 'The tilt of the phone is not known; a card would show it.',
  undoPoint: 'Undo point',
  recordIt: 'Record it',
  putTheNextPointIn: 'Put the next point in the middle',
  thePhotoStaysOnThis: 'The photo stays on this device.',
  layOneLeafFlatAnd:
    'Lay one leaf flat and hold the phone level above it. Then draw round it, from where the stalk joins, ' +
    'back to there.',
  drawAgainIfItWent: 'Draw again, if it went wrong.',
  thatEnclosedNoLeafDraw: 'That enclosed no leaf. Draw once round it.',
  drawRoundTheLeafFrom: 'Draw round the leaf, from where the stalk joins.',
  outline: 'Outline',
  timesAsLongAsWide: (number: string, number2: number, number3: number, number4: number) =>
    `${number} times as long as wide, broadest at ${number2} % of its length; base ${number3}°, tip ${number4}°.`,
  thatIs: (label: string) => `That is: ${label}.`,
  theNextIsSoClose: (label: string) => `The next is so close that it could be either: ${label}.`,
  nextWouldBePercentAway: (label: string, number: number) => `Next would be: ${label}, ${number} % away.`,
  recordBoth: 'Record both',
});
