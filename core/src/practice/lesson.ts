import type { CompiledGuide, CompiledTaxon } from '../guide';
import type { LessonFields } from '../notebook/page';
import type { LessonFile } from './readLesson';

/** Lessons as open JSON, written; and what of one this guide knows. */

export function lessonFile(
  guide: CompiledGuide,
  { title = 'A lesson', note, pairs = [], photos }: Partial<LessonFields>,
): LessonFile {
  return {
    format: 'pause-lesson',
    version: 1,
    guide: { id: guide.guide.id, version: guide.version },
    lesson: {
      title,
      pairs,
      ...(note === undefined ? {} : { note }),
      ...(photos && photos.length > 0 ? { photos } : {}),
    },
  };
}

export interface LessonPairKnown {
  readonly target: CompiledTaxon;
  readonly other: CompiledTaxon;
  readonly note: string | undefined;
}
/** The pairs of a lesson that this guide knows, and what it does not know of it. */
export function pairsOf(
  guide: CompiledGuide,
  { pairs = [] }: Partial<LessonFields>,
): { readonly known: readonly LessonPairKnown[]; readonly unknown: readonly string[] } {
  const known = pairs.flatMap(({ target, other, note }) => {
    const [one, two] = [guide.taxon(target), guide.taxon(other)];
    return one && two && one !== two ? [{ target: one, other: two, note }] : [];
  });
  return {
    known,
    unknown: [...new Set(pairs.flatMap(({ target, other }) => [target, other]))].filter(
      (id) => !guide.taxon(id),
    ),
  };
}
