import { nextChecks } from '../../src';
import { reading, find, guide } from '../finds';

export const chanterelle = (
  readings: ReturnType<typeof reading>[] = [],
  more: Record<string, unknown> = {},
) => find('cantharellus-cibarius', readings, more);
export const names = (f: ReturnType<typeof find>) => nextChecks(guide, f).map((c) => c.character as string);
