import { messages, plural } from '../messages';

export const t = messages('naming', {
  candidates: 'Candidates',
  iTakeItForThis: 'I take it for this: check it',
  aDangerousOneStandsHere: 'A dangerous one stands here: note it',
  compare: 'Compare',
  somethingThatIsNotIn: (percent: string) => `Something that is not in this guide: ${percent}.`,
  fewer: 'Fewer',
  more: 'More',
  compareTheseTwo: 'Compare these two',
  leaveTheNameOpenIt: 'Leave the name open: it is kept, and never collected.',
  genusOnly: (genus: string) => `Genus only: ${genus}`,
  familyOnly: (family: string) => `Family only: ${family}`,
  oneOfTwo: (openName: string) => `One of two: ${openName}`,
  forOneOfTwoOpen: 'For “one of two”, open two candidates and mark both with Compare.',
  under1Percent: 'under 1 %',
  somethingSpeaksAgainstIt: 'something speaks against it',
  neverCollectedWithPause: 'never collected with Pause',
  likely: (percent: string) => `${percent} likely`,
  close: 'Close',
  choose: 'Choose',
  comparingWithTheGuide: 'Comparing with the guide …',
  theGuideKnowsNoFurther:
    'The guide knows no further look that would tell these apart. Name one and check it, or leave the name open.',
  find: (number: number) => `Find ${number}`,
  newFind: 'New find',
  whatCouldItBe: 'What could it be?',
  takeBackTheLastAnswer: 'Take back the last answer',
  seen: 'Seen',
  noDangerousOneOfThe: 'No dangerous one of the guide fits all that was seen.',
  deadly: 'deadly',
  ofThemDeadly: (deadly: number) => `${deadly} of them deadly`,
  dangerousOnesFitAllThat: (count: number, text: string) =>
    `${plural(count, { one: 'One dangerous one fits', other: `${count} dangerous ones fit` })} all that was ` +
    `seen${text}.`,
  aLikelyNameIsNo: (text: string) => `${text}A likely name is no ground: only the check rules out.`,
});
