import type { t as account } from './en/account';
import type { t as adultFirst } from './en/adultFirst';
import type { t as answer } from './en/answer';
import type { t as around } from './en/around';
import type { t as beside } from './en/beside';
import type { t as besideLink } from './en/besideLink';
import type { t as calls } from './en/calls';
import type { t as card } from './en/card';
import type { t as check } from './en/check';
import type { t as components } from './en/components';
import type { t as decisionStrip } from './en/decisionStrip';
import type { t as digging } from './en/digging';
import type { t as eating } from './en/eating';
import type { t as emergency } from './en/emergency';
import type { t as find } from './en/find';
import type { t as findLine } from './en/findLine';
import type { t as finds } from './en/finds';
import type { t as guide } from './en/guide';
import type { t as harvest } from './en/harvest';
import type { t as kit } from './en/kit';
import type { t as making } from './en/making';
import type { t as measuring } from './en/measuring';
import type { t as names } from './en/names';
import type { t as naming } from './en/naming';
import type { t as newFind } from './en/newFind';
import type { t as notebook } from './en/notebook';
import type { t as onScreen } from './en/onScreen';
import type { t as pair } from './en/pair';
import type { t as pantry } from './en/pantry';
import type { t as pdf } from './en/pdf';
import type { t as people } from './en/people';
import type { t as photos } from './en/photos';
import type { t as pictures } from './en/pictures';
import type { t as pieceLines } from './en/pieceLines';
import type { t as pieces } from './en/pieces';
import type { t as places } from './en/places';
import type { t as plates } from './en/plates';
import type { t as practice } from './en/practice';
import type { t as readBy } from './en/readBy';
import type { t as reasons } from './en/reasons';
import type { t as recalls } from './en/recalls';
import type { t as ruler } from './en/ruler';
import type { t as second } from './en/second';
import type { t as seen } from './en/seen';
import type { t as settings } from './en/settings';
import type { t as sheet } from './en/sheet';
import type { t as sideBySide } from './en/sideBySide';
import type { t as sketch } from './en/sketch';
import type { t as start } from './en/start';
import type { t as strip } from './en/strip';
import type { t as taxon } from './en/taxon';
import type { t as theirWord } from './en/theirWord';
import type { t as units } from './en/units';
import type { t as verdict } from './en/verdict';
import type { t as walk } from './en/walk';
import type { t as warnOthers } from './en/warnOthers';
import type { t as week } from './en/week';
import type { Area, Language } from './messages';

/** All words on screen: what a language has to have. */
export interface Catalogue {
  readonly account: typeof account;
  readonly adultFirst: typeof adultFirst;
  readonly answer: typeof answer;
  readonly around: typeof around;
  readonly beside: typeof beside;
  readonly besideLink: typeof besideLink;
  readonly calls: typeof calls;
  readonly card: typeof card;
  readonly check: typeof check;
  readonly components: typeof components;
  readonly decisionStrip: typeof decisionStrip;
  readonly digging: typeof digging;
  readonly emergency: typeof emergency;
  readonly find: typeof find;
  readonly findLine: typeof findLine;
  readonly finds: typeof finds;
  readonly guide: typeof guide;
  readonly harvest: typeof harvest;
  readonly kit: typeof kit;
  readonly measuring: typeof measuring;
  readonly names: typeof names;
  readonly naming: typeof naming;
  readonly newFind: typeof newFind;
  readonly notebook: typeof notebook;
  readonly onScreen: typeof onScreen;
  readonly pair: typeof pair;
  readonly eating: typeof eating;
  readonly making: typeof making;
  readonly sheet: typeof sheet;
  readonly pantry: typeof pantry;
  readonly pdf: typeof pdf;
  readonly people: typeof people;
  readonly photos: typeof photos;
  readonly pictures: typeof pictures;
  readonly pieceLines: typeof pieceLines;
  readonly pieces: typeof pieces;
  readonly places: typeof places;
  readonly plates: typeof plates;
  readonly practice: typeof practice;
  readonly readBy: typeof readBy;
  readonly reasons: typeof reasons;
  readonly recalls: typeof recalls;
  readonly ruler: typeof ruler;
  readonly second: typeof second;
  readonly seen: typeof seen;
  readonly settings: typeof settings;
  readonly sideBySide: typeof sideBySide;
  readonly sketch: typeof sketch;
  readonly start: typeof start;
  readonly strip: typeof strip;
  readonly taxon: typeof taxon;
  readonly theirWord: typeof theirWord;
  readonly units: typeof units;
  readonly verdict: typeof verdict;
  readonly walk: typeof walk;
  readonly warnOthers: typeof warnOthers;
  readonly week: typeof week;
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
