import { messages } from '../messages';

export const t = messages('onScreen', {
  recordIt: 'Record it',
  theSizeOfThisScreen:
    'The size of this screen is not known yet. Lay a bank or library card on it once; then it measures.',
  setTheRulerWithA: 'Set the ruler with a card',
  holdItToTheGlass:
    'Hold it to the glass, one end on the thick line. Draw the blue line up to the other end.',
  aRulerOfMillimetres: (floor: number) => `A ruler of ${floor} millimetres`,
  whereItEnds: 'Where it ends',
  lengthWithError: (number: number, max: number) => `${number} mm, give or take ${max} mm`,
});
