import {
  currentFields,
  type CharacterId,
  type Context,
  type Kingdom,
  type PageRecord,
  type ReadingValue,
  type StateId,
  type TaxonId,
} from '@pause/core';
import { isoOf, dayAt } from '@pause/core/lib/day';
import { contaminationAt, dangerousAt, groundAnswers, pickingAt } from '@pause/core/outings';
import { guide } from '../../deciding/guide';
import type { Thunk } from '../../notebook/store';

/**
 * What a place tells of a find that begins there: only what is on record, the rest is asked.
 *
 * @param today a day like 2026-09-14
 */
export function contextAt(
  page: PageRecord,
  taxon: TaxonId | undefined,
  part: string | undefined,
  today: string,
): Partial<Context> {
  const fields = currentFields(page, 'place');
  const neighbours = dangerousAt(page.sightings, guide);
  const permission = taxon === undefined ? undefined : pickingAt(fields, taxon, part, today).permission;
  const contamination = contaminationAt(fields);
  return {
    ...(fields.elevation === undefined ? {} : { elevation: fields.elevation }),
    ...(neighbours.length > 0 ? { neighbours } : {}),
    ...(permission === undefined || permission === 'unknown' ? {} : { permission }),
    ...(contamination === undefined ? {} : { contamination }),
  };
}

/** What a place has to say of a find that begins there. */
export interface AtPlace {
  readonly context: Partial<Context>;
  /** Where it grows, as an answer like any other. */
  readonly answers: readonly { readonly character: CharacterId; readonly value: ReadingValue }[];
  readonly name: string | undefined;
}

/** The same by the id of a place, with what it is called; nothing where it is not in this notebook. */
export function atPlace(
  id: string,
  kingdom: Kingdom,
  taxon: TaxonId | undefined,
  part: string | undefined,
): Thunk<Promise<AtPlace | undefined>> {
  return async (dispatch, getState, { clock }) => {
    const { loadPages } = await import('../../notebook/outside');
    await dispatch(loadPages());
    const state = getState();
    const page = state.pages.all[id];
    if (page?.kind !== 'place') return undefined;
    const now = new Date(clock() + (state.me.person?.offsetMs ?? 0));
    const fields = currentFields(page, 'place');
    const answers = groundAnswers(kingdom, fields)
      .map(({ character, states }) => ({
        character: character as CharacterId,
        value: { kind: 'states', states: [...states] as StateId[] } as const,
      }))
      .filter(({ character }) => guide.character(character));
    return {
      context: contextAt(page, taxon, part, isoOf(dayAt(now, -now.getTimezoneOffset()))),
      answers,
      name: fields.name,
    };
  };
}
