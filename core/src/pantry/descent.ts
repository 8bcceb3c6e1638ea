import type { PageRecord, Source } from '../notebook/page';
import { currentFields } from '../notebook/page/currentFields';

/** What comes from what: finds, what was taken of them, what was made of that, and what became of it. */

export type DescentKind = 'find' | 'harvest' | 'batch' | 'portion' | 'taste';
export interface Descendant {
  readonly id: string;
  readonly kind: DescentKind;
  readonly parents: readonly string[];
}
export interface Descent {
  readonly kinds: ReadonlyMap<string, DescentKind>;
  readonly parents: ReadonlyMap<string, readonly string[]>;
  readonly children: ReadonlyMap<string, readonly string[]>;
}

/** What a page of the notebook comes from; nothing for a page that is none of these. */
export function descendantOf(page: PageRecord): Descendant | undefined {
  const of = (kind: DescentKind, sources: readonly (string | undefined)[]): Descendant => ({
    id: page.id,
    kind,
    parents: [...new Set(sources.flatMap((one) => one ?? []))],
  });
  switch (page.kind) {
    case 'harvest':
      return of('harvest', [currentFields(page, 'harvest').find]);
    case 'batch':
      return of(
        'batch',
        (currentFields(page, 'batch').from ?? []).map(({ id }) => id),
      );
    case 'portion':
      return of(
        'portion',
        (currentFields(page, 'portion').of ?? []).map(({ id }) => id),
      );
    case 'taste':
      return of('taste', [currentFields(page, 'taste').of?.id]);
    default:
      return undefined;
  }
}

export function descentOf(all: Iterable<Descendant>): Descent {
  const kinds = new Map<string, DescentKind>();
  const parents = new Map<string, readonly string[]>();
  const children = new Map<string, string[]>();
  for (const one of all) {
    kinds.set(one.id, one.kind);
    parents.set(one.id, one.parents);
    for (const parent of one.parents) {
      const known = children.get(parent);
      if (known) known.push(one.id);
      else children.set(parent, [one.id]);
      // What is only named as a parent of something is a find, until a page of that name says otherwise.
      if (!kinds.has(parent)) kinds.set(parent, 'find');
    }
  }
  return { kinds, parents, children };
}

/** Everything on the way up from something, nearest first, each once; itself is not among it. */
export function ancestorsOf(descent: Descent, id: string): string[] {
  return reached(descent.parents, [id]);
}
/**
 * Everything on the way down from any of these, nearest first, each once; they themselves are not among it.
 */
export function descendantsOf(descent: Descent, ids: readonly string[]): string[] {
  return reached(descent.children, ids);
}
function reached(next: ReadonlyMap<string, readonly string[]>, from: readonly string[]): string[] {
  const seen = new Set(from);
  const queue = [...from];
  for (let at = 0; at < queue.length; at += 1) {
    for (const one of next.get(queue[at] ?? '') ?? []) {
      if (seen.has(one)) continue;
      seen.add(one);
      queue.push(one);
    }
  }
  return queue.slice(from.length);
}

/** Whether something would come from itself if it were made of these. */
export function wouldCircle(descent: Descent, id: string, parents: readonly string[]): boolean {
  return parents.includes(id) || parents.some((parent) => ancestorsOf(descent, parent).includes(id));
}

/** The ids that sources name. */
export const idsOf = (sources: readonly Source[]): string[] => sources.map(({ id }) => id);
