import { checkGuide } from './checkGuide';
import { GuideError, fromIssue } from './problem';
import { Guide } from './schema';

/**
 * Parses a guide from untrusted JSON.
 *
 * @returns the guide, every reference in it resolved
 * @throws GuideError with every problem found, each naming taxon, character and reason where it has them
 */
export function parseGuide(raw: unknown): Guide {
  const parsed = Guide.safeParse(raw);
  if (!parsed.success) throw new GuideError(parsed.error.issues.map((issue) => fromIssue(raw, issue)));
  const problems = [...checkGuide(parsed.data)];
  if (problems.length > 0) throw new GuideError(problems);
  return parsed.data;
}

export { GuideError } from './problem';
