import { messages } from '../messages';

export const t = messages('warnOthers', {
  thisIs: (name: string) => `This is ${name}`,
  itMayBe: (name: string) => `It may be ${name}`,
  asFarAsTheGuideGoes: (count: number) =>
    `As far as the guide goes: ${count} independent things fit it, and something seen speaks against everything ` +
    'else in the guide. Mark it, and others are warned.',
  aSuspicionIsEnough:
    'What can be seen now does not tell it from everything else in the guide. A suspicion is enough to warn others.',
  whereIsIt: 'Where does it grow?',
  otherPlaces: (count: number) => `${count} other places`,
  markIt: 'Mark it',
  markItAt: (place: string) => `Mark it at ${place}`,
  marked: (place: string) => `Marked at ${place}.`,
  markedAndTold: (place: string, group: string) => `Marked at ${place}. ${group} is told of it.`,
  theGroupHears: (group: string) => `${group} is told of it.`,
  onlyYouHear: 'This place is in your own notebook: you alone are reminded of it.',
  makeAPlace: 'Make a place, to mark it there',
});
