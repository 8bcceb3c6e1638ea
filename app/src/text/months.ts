import type { StageId, Taxon } from '@pause/core';
import { t } from './en/names';

/** Whether a month lies in a run of months, which may go over the end of the year. */
export const isWithin = (month: number, [from, to]: readonly [number, number]) =>
  from <= to ? month >= from && month <= to : month >= from || month <= to;

/**
 * Whether it is usual to meet it in this month, at any height and stage; where the guide says nothing, it may
 * be.
 */
export function usualIn({ phenology }: Taxon, month: number): boolean {
  return phenology === undefined || phenology.some(({ months }) => isWithin(month, months));
}

const NAME = new Intl.DateTimeFormat('en', { month: 'long', timeZone: 'UTC' });
const monthName = (month: number) => NAME.format(new Date(Date.UTC(2026, month - 1, 15)));

const INITIAL = new Intl.DateTimeFormat('en', { month: 'narrow', timeZone: 'UTC' });
/** The first letters of the twelve months. */
export const initialsOfMonths = (): readonly string[] =>
  Array.from({ length: 12 }, (_, month) => INITIAL.format(new Date(Date.UTC(2026, month, 15))));

/** When and how high a stage is usual, in words, one for each height. */
export function monthsOf({ phenology }: Taxon, stage: StageId): string[] {
  return (phenology ?? [])
    .filter((p) => p.stage === stage)
    .map(
      ({ elevation: [low, high], months: [from, to] }) =>
        `${from === to ? monthName(from) : t.spanOfMonths(monthName(from), monthName(to))}, ` +
        (low <= 0 ? t.upToM(high) : t.toM(low, high)),
    );
}
