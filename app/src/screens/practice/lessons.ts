import { currentFields, type PageRecord } from '@pause/core';
import { lessonFile, type LessonFields } from '@pause/core/practice';
import { guide } from '../../deciding/guide';
import { chooseFile, saveFile } from '../../lib/files';
import { begin } from '../../notebook/pantry';
import type { Thunk } from '../../notebook/store';
import { t } from '../../text/en/practice';

/** Lessons: of one's own, and of the groups. */

export interface Lesson {
  readonly id: string;
  readonly person: string;
  readonly group: string | undefined;
  readonly fields: Partial<LessonFields>;
}

export const lessonsOf = (pages: Readonly<Record<string, PageRecord>>): Lesson[] =>
  Object.values(pages)
    .flatMap((page) =>
      page.kind === 'lesson'
        ? [
            {
              id: page.id,
              person: page.person ?? '',
              group: page.group,
              fields: currentFields(page, 'lesson'),
            },
          ]
        : [],
    )
    .sort((a, b) => ((a.fields.title ?? '') < (b.fields.title ?? '') ? -1 : 1));

export function saveLesson(fields: Partial<LessonFields>): void {
  const name =
    (fields.title ?? 'lesson')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'lesson';
  saveFile(`${name}.json`, 'application/json', JSON.stringify(lessonFile(guide, fields), null, 1));
}

const MOST_BYTES = 2_000_000;

/** Asks for a lesson's file, and puts it down. @returns its page, or what is wrong with it */
export function loadLesson(
  group: string | undefined,
): Thunk<Promise<{ readonly id?: string | undefined; readonly remarks: readonly string[] }>> {
  return async (dispatch) => {
    const file = await chooseFile('.json,application/json');
    if (!file) return { remarks: [] };
    if (file.size > MOST_BYTES)
      return {
        remarks: [t.itIsLargerThanMb(file.name, MOST_BYTES / 1e6)],
      };
    const { readLesson } = await import('../../notebook/outside');
    const read = readLesson(await file.text());
    if ('problems' in read)
      return {
        remarks: [...read.problems.map(({ field, reason }) => `${field}: ${reason}.`), t.nothingWasTakenOfIt],
      };
    const { title, note, pairs, photos } = read.file.lesson;
    const id = await dispatch(
      begin(
        'lesson',
        {
          title,
          pairs,
          ...(note === undefined ? {} : { note }),
          ...(photos === undefined ? {} : { photos }),
        },
        group,
      ),
    );
    return { id, remarks: id === undefined ? [t.theDeviceDidNotKeep] : [] };
  };
}

/** Longest side of a picture that goes with a lesson, and how it is written, until it is small enough. */
const SIZES = [
  [720, 0.7],
  [560, 0.6],
  [400, 0.5],
  [280, 0.45],
] as const;
const MOST_LENGTH = 118_000;

/**
 * A picture small enough to travel with a lesson, as a data address.
 *
 * @throws Error where it cannot be made so small
 */
export async function pictureOf(image: Blob): Promise<string> {
  const bitmap = await createImageBitmap(image);
  try {
    for (const [longest, quality] of SIZES) {
      const share = Math.min(1, longest / Math.max(bitmap.width, bitmap.height));
      const canvas = document.createElement('canvas');
      Object.assign(canvas, {
        width: Math.max(1, Math.round(bitmap.width * share)),
        height: Math.max(1, Math.round(bitmap.height * share)),
      });
      canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
      const written = canvas.toDataURL('image/jpeg', quality);
      if (written.length <= MOST_LENGTH) return written;
    }
  } finally {
    bitmap.close();
  }
  throw new Error(t.tooLarge);
}
