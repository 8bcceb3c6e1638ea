import { messages } from '../messages';

export const t = messages('seen', {
  nothingHasBeenReadYet: 'Nothing has been read yet.',
  whatWasSeen: 'What was seen',
  seenBy: (people: string, isBlind: boolean) => (isBlind ? `${people}, answers hidden` : people),
  seenBlind: 'answers hidden',
  takenBack: 'taken back',
  noGround: 'proves nothing',
  onPiece: (piece: number) => `piece ${piece}`,
  takeBack: 'Take back',
  takeBackReading: (characterName: string, reading: string) => `Take back: ${characterName}, ${reading}`,
  putForwardAgain: 'Undo',
  putReadingForwardAgain: (characterName: string, reading: string) =>
    `Undo: ${characterName}, ${reading} counts again`,
});
