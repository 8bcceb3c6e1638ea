import Fuse from 'fuse.js';
import type { CompiledGuide, CompiledTaxon } from '@pause/core';
import { namesOf, plain } from './search';

/** A taxon of which a name is nearly what was typed. */
export interface NearName {
  readonly taxon: CompiledTaxon;
  readonly name: string;
}

const MOST = 4;

/** Of a text as short as this nearly every name is a near one. */
const SHORTEST = 3;

/** 0 is the same text, 1 has nothing in common: "bilbery", "cepe" and "blackthorns" are found, other plants not. */
const FARTHEST = 0.34;

interface Entry extends NearName {
  readonly plain: string;
}
const known = new WeakMap<CompiledGuide, Fuse<Entry>>();

function indexOf(guide: CompiledGuide): Fuse<Entry> {
  const index =
    known.get(guide) ??
    new Fuse(
      guide.taxa.flatMap((taxon) =>
        [...new Set(namesOf(taxon))].map((name) => ({ taxon, name, plain: plain(name) })),
      ),
      { keys: ['plain'], threshold: FARTHEST, minMatchCharLength: SHORTEST },
    );
  known.set(guide, index);
  return index;
}

/** Taxa whose names are nearly the text, the nearest first: another spelling, a plural, a slip of the thumb. */
export function nearNames(guide: CompiledGuide, text: string): NearName[] {
  const wanted = plain(text);
  if (wanted.length < SHORTEST) return [];
  const found = new Map<string, NearName>();
  for (const { item } of indexOf(guide).search(wanted))
    if (!found.has(item.taxon.id)) found.set(item.taxon.id, { taxon: item.taxon, name: item.name });
  return [...found.values()].slice(0, MOST);
}
