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
  itCouldNotBeKept:
    'It could not be kept: the storage of this device is full, or closed to Pause. It is still here; make room and try again.',
  photosAndSketches: 'Photos and sketches',
  picturesCannotBeKeptIn: 'Pictures cannot be kept in this browser window.',
  madeSmallWhatTheCamera: 'Made small. What the camera wrote into it, such as place and device, is gone.',
  keepWhereItWasTaken: 'Keep where it was taken',
  keepThePhoto: 'Keep the photo',
  throwAway: 'Throw away',
  photo: 'Photo',
  sketch: 'Sketch',
  sendingPicturesLeftPercentOf: (left: number, number: number) =>
    `Sending pictures: ${left} left, ${number} % of this one.`,
  keptHereAndInThe:
    'Kept here, and in the notebook of this find as soon as there is a connection. Where a photo was taken stays on this device.',
  photosAndSketchesStayOn: 'Photos and sketches stay on this device.',
  smaller: 'Smaller',
  larger: 'Larger',
  deleteIt: 'Delete it',
  keepIt: 'Keep it',
  overTheLastPhoto: 'Over the last photo',
  paperToDrawOn: 'Paper to draw on',
  undo: 'Undo',
});
