import { messages } from '../messages';

export const t = messages('beside', {
  comparingWithTheGuide: 'Comparing with the guide …',
  nothingToPutBesideIt: 'Nothing to put beside it',
  theGuideKnowsNothingDangerous:
    'The guide knows nothing dangerous that is not ruled out, and names no lookalike.',
  backToTheCheck: 'Back to the check',
  theCheck: 'The check',
  nextOf: (count: number) => `Next of ${count}`,
  sideBySideOf: (at: number, count: number) => `Side by side · ${at} of ${count}`,
  whereTheyPart: 'Where they part',
  myOwnPhotoOnThe: 'My own photo on the left',
  myOwnPhoto: 'My own photo',
  whatYouTakeItFor: 'what you take it for',
  ofBarsFilled: (filled: number, need: number) => `${filled} of ${need} bars filled`,
});
