import { stateOf } from '@pause/core';
import type {
  Case,
  Character,
  Choice,
  Damage,
  HarmGrade,
  Reading,
  Verdict,
  ReadingValue,
  Taxon,
} from '@pause/core';
import { guide } from '../deciding/guide';
import { t } from './en/names';
import { hoursWords, spanOfHours } from './hours';
import { listed } from './messages';

/** Names and small phrases. English first; the guide's own words where it has them. */

export const upper = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

export function commonName(taxon: string): string {
  const names = guide.taxon(taxon)?.taxon.vernacularNames.en;
  return names?.[0] ?? taxon;
}
export const CommonName = (taxon: string) => upper(commonName(taxon));

export function scientificName(taxon: string): string {
  return guide.taxon(taxon)?.taxon.scientificName ?? taxon;
}

export function characterOf(id: string): Character | undefined {
  return guide.character(id)?.character;
}
export function characterName(id: string): string {
  return characterOf(id)?.name ?? id;
}
export const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

export function stageName(stage: string): string {
  return guide.guide.stages.find((s) => s.id === stage)?.name ?? stage;
}

const PART: Readonly<Record<string, string>> = {
  'fruiting-body': t.fruitingBody,
  cap: t.cap,
  root: t.root,
  leaf: t.leaf,
  flower: t.flower,
  shoot: t.shoot,
  fruit: t.fruit,
  bark: t.bark,
  stem: t.stem,
  seed: t.seed,
  cone: t.cone,
};
/** A part of any taxon; one that a pack brought along by its id. */
export const partOfAny = (part: string): string => PART[part] ?? part.split('-').join(' ');

/** A part as the guide calls it for this taxon. */
export function partName(target: string, part: string): string {
  const taxon = guide.taxon(target)?.taxon;
  return (
    taxon?.parts.find((p) => p.part === part)?.name ??
    taxon?.harmfulParts?.find((p) => p.part === part)?.name ??
    partOfAny(part)
  );
}

/** A state in the guide's words. */
export function stateLabel(character: string, state: string): string {
  const known = characterOf(character);
  return (known && stateOf(known, state)?.label) ?? state;
}

type ValueOf<K> = Extract<ReadingValue, { readonly kind: K }>;

/** The words for each kind of value. */
const VALUE_WORDS: {
  readonly [K in ReadingValue['kind']]: (value: ValueOf<K>, character: string) => string;
} = {
  'cant-tell': () => t.couldNotTell,
  count: ({ number, orMore }) => (orMore === true ? t.orMore(number) : String(number)),
  measure: ({ number, unit, error }) =>
    error === undefined ? `${number} ${unit}` : t.giveOrTake(number, unit, error),
  // Labels have commas of their own.
  states: ({ states }, character) =>
    states
      .map((state) => stateLabel(character, state))
      .map((label, index) => (index === 0 ? label : lowerFirst(label)))
      .reduce((earlier, next) => (earlier === '' ? next : t.orElse(earlier, next)), ''),
};
const wordsOf = <K extends ReadingValue['kind']>(
  value: ValueOf<K> & { readonly kind: K },
  character: string,
) => VALUE_WORDS[value.kind](value, character);

/** What a reading says, in the guide's words. */
export const readingWords = ({ character, value }: Pick<Reading, 'character' | 'value'>): string =>
  wordsOf(value, character);

export const SURENESS: Readonly<Record<Reading['sureness'], string>> = {
  sure: t.sure,
  fairly: t.fairlySure,
  guess: t.aGuess,
};
export const OUTCOME: Readonly<Record<Verdict['outcome'], string>> = {
  leave: t.leave,
  pause: t.pause,
  collect: t.collect,
};
export const CHOICE: Readonly<Record<Choice, string>> = {
  collect: t.collected,
  leave: t.left,
  later: t.leftForLater,
};
export const GRADE: Readonly<Record<HarmGrade, string>> = {
  none: t.noHarmKnown,
  unpleasant: t.unpleasant,
  serious: t.serious,
  deadly: t.deadly,
};
export const DAMAGE: Readonly<Record<Damage, string>> = {
  none: t.harmsNothing,
  slight: t.marksItSlightly,
  part: t.costsAPiece,
  whole: t.costsThePlant,
};

/** Hours without signs from which harm counts as silent at first. */
const SILENT_HOURS = 6;
/** Whether nothing is felt for long. */
export const isSilentAtFirst = ({ onsetHours }: Pick<Taxon['harm'], 'onsetHours'>): boolean =>
  onsetHours !== undefined && onsetHours[0] >= SILENT_HOURS;

/** "deadly · silent for 2 to 17 days" */
export function harmLine(taxon: string): string {
  const harm = guide.taxon(taxon)?.taxon.harm;
  if (!harm) return '';
  const onset = harm.onsetHours;
  if (!onset) return GRADE[harm.grade];
  return (
    `${GRADE[harm.grade]} · ` +
    (isSilentAtFirst(harm) ? t.silentFor(spanOfHours(onset)) : t.within(hoursWords(onset[1])))
  );
}

/** Time as people say it: "10 seconds", "2 minutes", "overnight". */
export function timeWords(seconds: number): string {
  if (seconds >= 4 * 3600) return t.overnight;
  if (seconds >= 5400) return t.hours(Math.round(seconds / 3600));
  if (seconds >= 3300) return t.anHour;
  if (seconds >= 90) return t.minutes(Math.round(seconds / 60));
  return seconds >= 55 ? t.aMinute : t.seconds(seconds);
}

const NUMBERS = t.smallNumbers.split(' ');
/** "none", "one", "two"; from eleven on in digits. */
export function numberWord(n: number): string {
  return NUMBERS[n] ?? String(n);
}

export const CONDITION: Readonly<Record<NonNullable<Case['context']['condition']>, string>> = {
  fresh: t.freshAndSound,
  ripe: t.ripe,
  unripe: t.notRipeYet,
  wilted: t.wilted,
  woody: t.toughWoody,
  'insect-eaten': t.eatenByInsects,
  frosted: t.frosted,
  rotten: t.rottenMouldy,
};
export const CONTAMINATION: Readonly<Record<NonNullable<Case['context']['contamination']>, string>> = {
  'none-seen': t.nothingSeen,
  roadside: t.besideARoad,
  sprayed: t.sprayed,
  flooded: t.flooded,
  fouled: t.fouledByAnimals,
  polluted: t.polluted,
  unknown: t.dontKnow,
};

/** A length as people say it: millimetres while they are few. */
export function lengthWords(millimetres: number): string {
  return millimetres < 10
    ? t.mm(millimetres)
    : millimetres < 1000
      ? t.cm(millimetres / 10)
      : t.m(millimetres / 1000);
}

export const LANGUAGE: Readonly<Record<string, string>> = {
  en: t.english,
  de: t.german,
  fr: t.french,
  it: t.italian,
  es: t.spanish,
  pl: t.polish,
  cs: t.czech,
  nl: t.dutch,
  sl: t.slovene,
  sv: t.swedish,
  pt: t.portuguese,
  hu: t.hungarian,
};

const FOR: Readonly<Record<string, string>> = {
  everyone: t.forEveryone,
  pregnancy: t.inPregnancy,
  child: t.forChildren,
  ulcer: t.withAStomachUlcer,
  'blood-pressure': t.withHighBloodPressure,
  'kidney-stones': t.withKidneyStones,
  'kidney-disease': t.withAKidneyDisease,
  'liver-disease': t.withALiverDisease,
  heart: t.withAHeartDisease,
  diabetes: t.withDiabetes,
  gout: t.withGout,
  'mineral-shortage': t.whenShortOfMinerals,
  alcohol: t.withAlcohol,
  skin: t.forSensitiveSkin,
};
/** Whom a caution is for: "With an allergy to apiaceae". */
export function cautionFor(id: string): string {
  const [kind, of] = [id.split(':')[0], id.slice(id.indexOf(':') + 1)];
  if (kind === 'allergy' && of) return t.withAnAllergyTo(of.split('-').join(' '));
  if (kind === 'medicine' && of) return t.withMedicine(of.split('-').join(' '));
  if (kind === 'other' && of) return t.besides(of);
  return FOR[id] ?? id;
}

type OpenName = NonNullable<Case['context']['openName']>;
/** A name that stays open: "genus Cantharellus only", "bilberry or bog bilberry". */
export function openNameWords(name: OpenName): string {
  return name.kind === 'one-of'
    ? listed(name.taxa.map(commonName), 'disjunction')
    : t.only(name.kind, name.name);
}
