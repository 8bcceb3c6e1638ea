import { type Verdict, decide } from '../../src';
import { reading, guide, find, lookedAtTwice, allUsual } from '../finds';

export const codes = (verdict: Verdict, weight?: string) =>
  verdict.reasons.filter((r) => weight === undefined || r.weight === weight).map((r) => r.code);
export const row = (verdict: Verdict, id: string) => {
  const found = verdict.rows.find((r) => r.taxon === id);
  if (!found) throw new Error(`no row for ${id}`);
  return found;
};

export const chanterelle = (readings: ReturnType<typeof reading>[], more: Record<string, unknown> = {}) =>
  decide(guide, find('cantharellus-cibarius', readings, more));
export const usualWithout = (target: string, ...ids: string[]) =>
  lookedAtTwice(allUsual(target).filter((r) => !ids.includes(r.character)));
