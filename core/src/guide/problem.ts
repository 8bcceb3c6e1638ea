import type { z } from 'zod';
import { fieldPath } from '../lib/fieldPath';

/** What is wrong with a guide, and where. */

/** One mistake in a guide: where it is, in which taxon and character if known, and the reason. */
export interface GuideProblem {
  readonly path: string;
  readonly taxon?: string;
  readonly character?: string;
  readonly reason: string;
}

export class GuideError extends Error {
  constructor(readonly problems: readonly GuideProblem[]) {
    super(problems.map(sayProblem).join('\n'));
    this.name = 'GuideError';
  }
}

function sayProblem(problem: GuideProblem): string {
  const where = [problem.taxon, problem.character].filter(Boolean).join(' / ');
  return `${where || problem.path}: ${problem.reason}`;
}

function locate(raw: unknown, path: readonly PropertyKey[]): Pick<GuideProblem, 'taxon' | 'character'> {
  const step = (value: unknown, key: PropertyKey | undefined): unknown =>
    typeof value === 'object' && value !== null && key !== undefined
      ? (value as Record<PropertyKey, unknown>)[key]
      : undefined;
  const named = (value: unknown, key: string) => {
    const found = step(value, key);
    return typeof found === 'string' ? found : undefined;
  };
  const entry = step(step(raw, path[0]), path[1]);
  if (path[0] === 'characters') {
    const character = named(entry, 'id');
    return character ? { character } : {};
  }
  if (path[0] !== 'taxa') return {};
  const taxon = named(entry, 'id');
  const character =
    path[2] === 'statements' ? named(step(step(entry, 'statements'), path[3]), 'character') : undefined;
  return { ...(taxon ? { taxon } : {}), ...(character ? { character } : {}) };
}

export function fromIssue(raw: unknown, issue: z.core.$ZodIssue): GuideProblem {
  return { path: fieldPath(issue.path), ...locate(raw, issue.path), reason: issue.message };
}

export function* duplicates(ids: readonly string[], path: string): Generator<GuideProblem> {
  const seen = new Set<string>();
  for (const [index, id] of ids.entries()) {
    if (seen.has(id)) yield { path: `${path}[${index}].id`, reason: `"${id}" is there twice` };
    seen.add(id);
  }
}
