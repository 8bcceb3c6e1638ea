/**
 * For a schema of what an earlier version may have kept: a field comes in by the name it had then.
 *
 * @returns the value with the field under its name of now; anything else as it is
 */
export const renamedField =
  (earlier: string, now: string) =>
  (value: unknown): unknown => {
    if (typeof value !== 'object' || value === null || !(earlier in value)) return value;
    const { [earlier]: kept, ...rest } = value as Readonly<Record<string, unknown>>;
    return { [now]: kept, ...rest };
  };
