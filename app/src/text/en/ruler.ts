import { messages } from '../messages';

export const t = messages('ruler', {
  itFits: 'It fits',
  layACardHere: 'Lay a card here',
  aBankLibraryOrTravel: (width: number) =>
    `A bank, library or travel card: ${width} mm long. Put its short edge on the thick line and draw the ` +
    `other line up to its end.`,
  theFrameOfTheCard: 'The frame of the card',
  longSideDownTheScreen: 'long side down the screen',
  lengthOfTheFrame: 'Length of the frame',
  oneMillimetreIsPixelsOf: (number: string) => `One millimetre is ${number} pixels of this screen.`,
  noScreenIsLikeThat: (width: number) => `No screen is like that. Was it a card of ${width} mm?`,
});
