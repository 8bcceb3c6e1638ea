import { messages } from '../messages';

export const t = messages('seen', {
  nothingHasBeenReadYet: 'Nothing has been read yet.',
  whatWasSeen: 'What was seen',
  seenBy: (people: string, isBlind: boolean) => (isBlind ? `${people}, blind` : people),
  seenBlind: 'blind',
  takenBack: 'taken back',
  noGround: 'no ground',
  onPiece: (piece: number) => `piece ${piece}`,
  takeBack: 'Take back',
  takeBackReading: (characterName: string, reading: string) => `Take back: ${characterName}, ${reading}`,
  putForwardAgain: 'Put forward again',
  putReadingForwardAgain: (characterName: string, reading: string) =>
    `Put forward again: ${characterName}, ${reading}`,
});
