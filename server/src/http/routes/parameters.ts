import type { Request, Response } from 'express';
import { z } from 'zod';

/** The parameters of an address. */

export const whole = (most: number) => z.coerce.number().int().min(0).max(most);

export const parameter = (request: Request, name: string): string => {
  const value = request.params[name];
  // What cannot be a name of anything is none.
  return typeof value === 'string' && value.length <= 200 && !value.includes('\0') ? value : '';
};

/** Aborted when whoever asked is gone before there was an answer. */
export function abortSignalOf(response: Response): AbortSignal {
  const controller = new AbortController();
  response.on('close', () => {
    if (!response.writableFinished) controller.abort();
  });
  return controller.signal;
}
