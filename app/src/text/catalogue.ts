import type { t as beside } from './en/beside';
import type { t as check } from './en/check';
import type { t as components } from './en/components';
import type { t as emergency } from './en/emergency';
import type { t as finds } from './en/finds';
import type { t as guide } from './en/guide';
import type { t as harvest } from './en/harvest';
import type { t as kit } from './en/kit';
import type { t as measuring } from './en/measuring';
import type { t as names } from './en/names';
import type { t as naming } from './en/naming';
import type { t as notebook } from './en/notebook';
import type { t as pantry } from './en/pantry';
import type { t as people } from './en/people';
import type { t as photos } from './en/photos';
import type { t as pieces } from './en/pieces';
import type { t as places } from './en/places';
import type { t as plates } from './en/plates';
import type { t as practice } from './en/practice';
import type { t as reasons } from './en/reasons';
import type { t as recalls } from './en/recalls';
import type { t as second } from './en/second';
import type { t as settings } from './en/settings';
import type { t as start } from './en/start';
import type { t as strip } from './en/strip';
import type { t as units } from './en/units';
import type { t as verdict } from './en/verdict';
import type { Area, Language } from './messages';

/** All words on screen: what a language has to have. */
export interface Catalogue {
  readonly beside: typeof beside;
  readonly check: typeof check;
  readonly components: typeof components;
  readonly emergency: typeof emergency;
  readonly finds: typeof finds;
  readonly guide: typeof guide;
  readonly harvest: typeof harvest;
  readonly kit: typeof kit;
  readonly measuring: typeof measuring;
  readonly names: typeof names;
  readonly naming: typeof naming;
  readonly notebook: typeof notebook;
  readonly pantry: typeof pantry;
  readonly people: typeof people;
  readonly photos: typeof photos;
  readonly pieces: typeof pieces;
  readonly places: typeof places;
  readonly plates: typeof plates;
  readonly practice: typeof practice;
  readonly reasons: typeof reasons;
  readonly recalls: typeof recalls;
  readonly second: typeof second;
  readonly settings: typeof settings;
  readonly start: typeof start;
  readonly strip: typeof strip;
  readonly units: typeof units;
  readonly verdict: typeof verdict;
}

/**
 * A language beside English.
 *
 * @param tag - BCP 47
 */
export function languageOf(tag: string, catalogue: Catalogue): Language {
  const areas: Readonly<Partial<Record<string, Area>>> = { ...catalogue };
  return { tag, area: (name) => areas[name] ?? {} };
}
