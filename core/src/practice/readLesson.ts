import { z } from 'zod';
import { LessonFields } from '../notebook/page/practice';

/**
 * A lesson as open JSON, read. A door of its own: whoever only shows lessons does without what parses them.
 */

export const LESSON_FORMAT = 'pause-lesson';
const LessonFile = z.strictObject({
  format: z.literal(LESSON_FORMAT, `"${LESSON_FORMAT}"`),
  version: z.literal(1, 'version 1'),
  /** The guide it was made with; another may know the same taxa. */
  guide: z.strictObject({ id: z.string(), version: z.string() }),
  lesson: LessonFields.partial({ note: true, photos: true }),
});
export type LessonFile = z.infer<typeof LessonFile>;

/** Each with the member that is wrong, and what would be right. */
export interface LessonProblem {
  readonly field: string;
  readonly reason: string;
}
/** Reads a lesson from a file. What a guide does not know stays in it, and is passed over in practice. */
export function readLesson(
  source: string,
): { readonly file: LessonFile } | { readonly problems: readonly LessonProblem[] } {
  let raw: unknown;
  try {
    raw = JSON.parse(source);
  } catch {
    return { problems: [{ field: 'file', reason: 'it is no JSON' }] };
  }
  const parsed = LessonFile.safeParse(raw);
  if (parsed.success) return { file: parsed.data };
  return {
    problems: parsed.error.issues.slice(0, 8).map(({ path, message }) => ({
      field:
        path
          .map((step) => (typeof step === 'number' ? `[${step}]` : String(step)))
          .join('.')
          .replaceAll('.[', '[') || 'file',
      reason: message,
    })),
  };
}
