/** `taxa[3].statements[2].usual` for `['taxa', 3, 'statements', 2, 'usual']`. */
export function fieldPath(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (text, key) =>
      typeof key === 'number' ? `${text}[${key}]` : text ? `${text}.${String(key)}` : String(key),
    '',
  );
}
