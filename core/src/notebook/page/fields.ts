import { z } from 'zod';

/** The fields that pages of several kinds have. */

export const id = z
  .string()
  .min(8)
  .max(64)
  .regex(/^[A-Za-z0-9_-]+$/, 'letters, digits, "-" and "_" only');

export const person = z.string().min(1).max(64);
export const word = z.string().trim().min(1).max(120);
export const text = z.string().trim().min(1).max(2000);
export const some = <T extends z.ZodType>(one: T) => z.array(one).max(60);
export const LocalDate = z.iso.date('a day like 2026-09-14');
export const positive = z.number().positive('above nothing').max(1e6);
