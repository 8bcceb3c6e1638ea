import { t } from '../../text/en/photos';
/**
 * Longest side of a photo that is kept, in pixels: enough to see hairs on a stem, small enough for a full
 * phone.
 */
export const LONGEST = 1600;
/** No camera of a phone makes more; a larger picture would take the memory of an old phone. */
const MOST_PIXELS = 120e6;
const MOST_BYTES = 60e6;

export interface Prepared {
  readonly image: Blob;
  readonly width: number;
  readonly height: number;
  /** Where the camera says that it was; not in the picture any more. */
  readonly place?: { readonly latitude: number; readonly longitude: number };
}

/** A picture that cannot be used, and why, in a sentence for the person. */
export class NoPicture extends Error {}

/**
 * Makes a photo small, and draws it anew so that nothing the camera wrote into it (position, device, time)
 * goes with it.
 *
 * @throws NoPicture where it is none, or too large
 */
export async function preparePhoto(file: Blob): Promise<Prepared> {
  if (file.size === 0) throw new NoPicture(t.theFileIsEmptyTake);
  if (file.size > MOST_BYTES) throw new NoPicture(t.thePhotoIsLargerThan);
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    throw new NoPicture(t.thisIsNoPictureThat);
  }
  try {
    if (bitmap.width * bitmap.height > MOST_PIXELS) throw new NoPicture(t.thePhotoHasMorePixels);
    const share = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
    const [width, height] = [
      Math.max(1, Math.round(bitmap.width * share)),
      Math.max(1, Math.round(bitmap.height * share)),
    ];
    const canvas = document.createElement('canvas');
    Object.assign(canvas, { width, height });
    canvas.getContext('2d')?.drawImage(bitmap, 0, 0, width, height);
    const image = await new Promise<Blob | null>((done) => {
      canvas.toBlob(done, 'image/jpeg', 0.82);
    });
    if (!image) throw new NoPicture(t.thePhotoCouldNotBe);
    const place = await placeOf(file);
    return { image, width, height, ...(place ? { place } : {}) };
  } finally {
    bitmap.close();
  }
}

async function placeOf(file: Blob): Promise<Prepared['place']> {
  try {
    const { gps } = await import('exifr');
    const found = (await gps(file)) as { latitude: number; longitude: number } | undefined;
    return found && Number.isFinite(found.latitude) && Number.isFinite(found.longitude)
      ? { latitude: found.latitude, longitude: found.longitude }
      : undefined;
  } catch {
    return undefined;
  }
}
