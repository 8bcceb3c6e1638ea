import { messages } from '../messages';

export const t = messages('pictures', {
  itCouldNotBeKept:
    'It could not be kept: the storage of this device is full, or closed to Pause. It is still here; make ' +
    'room and try again.',
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
    'Kept here, and in the notebook of this find as soon as there is a connection. Where a photo was taken ' +
    'stays on this device.',
  photosAndSketchesStayOn: 'Photos and sketches stay on this device.',
  smaller: 'Smaller',
  larger: 'Larger',
  deleteIt: 'Delete it',
});
