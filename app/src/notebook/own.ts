import type { z } from 'zod';

/** What this device kept under a key; what is not there, or cannot be read, is as otherwise. */
export function keptAs<T>(storage: Storage, key: string, schema: z.ZodType<T>, otherwise: T): T {
  try {
    return schema.parse(JSON.parse(storage.getItem(key) ?? ''));
  } catch {
    return otherwise;
  }
}
