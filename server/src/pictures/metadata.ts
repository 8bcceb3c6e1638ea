import ExifReader from 'exifreader';

/**
 * What a photo holds beside its picture and may tell where or by whom it was taken. Colour profiles and
 * sizes tell nothing.
 */
const TELLING = [
  'exif',
  'gps',
  'iptc',
  'xmp',
  'photoshop',
  'makerNotes',
  'mpf',
  'pngText',
  'Thumbnail',
] as const;

/**
 * Which kinds of writing a photo holds beside its picture.
 *
 * @returns none for a bare picture; undefined for what is no picture at all
 */
export function writtenInto(bytes: Buffer): string[] | undefined {
  try {
    const found = ExifReader.load(bytes, { expanded: true }) as Readonly<Record<string, unknown>>;
    return TELLING.filter((kind) => {
      const tags = found[kind];
      return typeof tags === 'object' && tags !== null && Object.keys(tags).length > 0;
    });
  } catch (error) {
    // A picture without anything beside it is what is wanted.
    return error instanceof ExifReader.errors.MetadataMissingError ? [] : undefined;
  }
}
