import { messages } from '../messages';

export const t = messages('photos', {
  notKept: 'not kept',
  theFileIsEmptyTake: 'The file is empty. Take the photo again.',
  thePhotoIsLargerThan: 'The photo is larger than 60 MB. Take it again with fewer pixels.',
  thisIsNoPictureThat: 'This is no picture that can be read here. Photos are JPEG, PNG or WebP.',
  thePhotoHasMorePixels: 'The photo has more pixels than this device can hold. Take it again with fewer.',
  thePhotoCouldNotBe: 'The photo could not be made small. Take it again.',
  thePhotoCouldNotBeRead: 'The photo could not be read.',
  makingItSmall: 'Making it small …',
});
