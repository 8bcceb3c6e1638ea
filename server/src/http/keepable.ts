const DEEPEST = 60;
const LONE_SURROGATE = /\p{Surrogate}/u;
/**
 * Text that no database keeps: with the character 0, or with half of a character. Where it is is named;
 * nothing else is looked at here.
 */
export function unkeepable(value: unknown, path = '', depth = 0): string | undefined {
  if (depth > DEEPEST) return path;
  if (Buffer.isBuffer(value)) return undefined;
  if (typeof value === 'string') return value.includes('\0') || LONE_SURROGATE.test(value) ? path : undefined;
  if (typeof value !== 'object' || value === null) return undefined;
  for (const [name, member] of Object.entries(value)) {
    const below = Array.isArray(value) ? `${path}[${name}]` : path === '' ? name : `${path}.${name}`;
    const found = unkeepable(name, below) ?? unkeepable(member, below, depth + 1);
    if (found !== undefined) return found;
  }
  return undefined;
}

export const UNKEEPABLE =
  'this text cannot be kept: it holds what is no whole character, or is nested too deep';
