import { messages } from '../messages';

export const t = messages('pair', {
  toTheGuide: 'To the guide',
  back: 'Back',
  twoOfTheGuideAre: 'Two of the guide are needed',
  oneOfTheseIsNot: 'One of these is not in this guide.',
  whereTheyPart: 'Where they part',
});
