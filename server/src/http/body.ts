import type { Request } from 'express';
import type { z } from 'zod';
import { fromZod, Problem } from '../problem';

/** @throws Problem 422 that names each field that is not as it should be */
export function parsed<S extends z.ZodType>(schema: S, value: unknown): z.infer<S> {
  const result = schema.safeParse(value);
  if (!result.success) throw fromZod(result.error);
  return result.data;
}

/**
 * The body of a request, as the schema has it.
 *
 * @param none what a request without a body means, where it may have none
 * @throws Problem 415 for what is no JSON, 422 for what is another JSON
 */
export function body<S extends z.ZodType>(schema: S, request: Request, none?: z.input<S>): z.infer<S> {
  const type = request.is('application/json');
  const empty = type === null || request.headers['content-length'] === '0';
  if (empty && none !== undefined) return parsed(schema, none);
  if (!type) throw new Problem(415, 'not-json', 'body: send application/json');
  return parsed(schema, request.body);
}
