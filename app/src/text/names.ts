import type { Case, Character, Choice, Damage, HarmGrade, Reading, Verdict } from '@pause/core';
import { guide } from '../deciding/guide';

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

export function partName(target: string, part: string): string {
  const taxon = guide.taxon(target)?.taxon;
  return (
    taxon?.parts.find((p) => p.part === part)?.name ??
    taxon?.harmfulParts?.find((p) => p.part === part)?.name ??
    part.split('-').join(' ')
  );
}

/** What a reading says, in the guide's words. */
export function readingWords(reading: Pick<Reading, 'character' | 'value'>): string {
  const { value } = reading;
  if (value.kind === 'cant-tell') return 'Could not tell';
  if (value.kind === 'count') return value.orMore === true ? `${value.number} or more` : String(value.number);
  if (value.kind === 'measure')
    return value.error === undefined
      ? `${value.number} ${value.unit}`
      : `${value.number} ${value.unit}, give or take ${value.error}`;
  const character = characterOf(reading.character);
  const labels = value.states.map((state) =>
    character && 'states' in character
      ? (character.states.find((s) => s.id === state)?.label ?? state)
      : state,
  );
  return labels.map((label, index) => (index === 0 ? label : lowerFirst(label))).join(', or ');
}

export const SURENESS: Readonly<Record<Reading['sureness'], string>> = {
  sure: 'sure',
  fairly: 'fairly sure',
  guess: 'a guess',
};
export const OUTCOME: Readonly<Record<Verdict['outcome'], string>> = {
  leave: 'Leave',
  pause: 'Pause',
  collect: 'Collect',
};
export const CHOICE: Readonly<Record<Choice, string>> = {
  collect: 'Collected',
  leave: 'Left',
  later: 'Left for later',
};
export const GRADE: Readonly<Record<HarmGrade, string>> = {
  none: 'no harm known',
  unpleasant: 'unpleasant',
  serious: 'serious',
  deadly: 'deadly',
};
export const DAMAGE: Readonly<Record<Damage, string>> = {
  none: 'harms nothing',
  slight: 'marks it slightly',
  part: 'costs a piece',
  whole: 'costs the plant',
};

/** "deadly · silent for 2 to 17 days" */
export function harmLine(taxon: string): string {
  const harm = guide.taxon(taxon)?.taxon.harm;
  if (!harm) return '';
  const onset = harm.onsetHours;
  if (!onset) return GRADE[harm.grade];
  return `${GRADE[harm.grade]} · ${onset[0] >= 6 ? `silent for ${spanOfHours(onset)}` : `within ${hoursWords(onset[1])}`}`;
}

const hoursWords = (hours: number) => (hours === 1 ? 'an hour' : many(...lasting(hours)));
const many = (amount: number, unit: string) => `${amount} ${unit}${amount === 1 ? '' : 's'}`;
const MOST_DAYS = 30;
/**
 * Hours up to two days, days up to a month, weeks beyond.
 *
 * @param inDays said in days even where hours would do
 */
function lasting(
  hours: number,
  inDays = hours >= 48,
): readonly [amount: number, unit: 'hour' | 'day' | 'week'] {
  if (!inDays) return [hours, 'hour'];
  return hours <= MOST_DAYS * 24 ? [Math.round(hours / 24), 'day'] : [Math.round(hours / (7 * 24)), 'week'];
}
/** "6 to 24 hours", "12 hours to 2 days", "2 to 21 days", "1 day to 12 weeks". */
function spanOfHours([from, to]: readonly [number, number]): string {
  const [least, unitOfLeast] = lasting(from, from >= 24);
  const [most, unitOfMost] = lasting(to, from >= 24 || to >= 48);
  return unitOfLeast === unitOfMost
    ? `${least} to ${many(most, unitOfMost)}`
    : `${many(least, unitOfLeast)} to ${many(most, unitOfMost)}`;
}

/** Time as people say it: "10 seconds", "2 minutes", "overnight". */
export function timeWords(seconds: number): string {
  if (seconds >= 4 * 3600) return 'overnight';
  if (seconds >= 5400) return `${Math.round(seconds / 3600)} hours`;
  if (seconds >= 3300) return 'an hour';
  if (seconds >= 90) return `${Math.round(seconds / 60)} minutes`;
  return seconds >= 55 ? 'a minute' : `${seconds} seconds`;
}

const NUMBERS = ['none', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
export function numberWord(n: number): string {
  return NUMBERS[n] ?? String(n);
}

export const CONDITION: Readonly<Record<NonNullable<Case['context']['condition']>, string>> = {
  fresh: 'Fresh and sound',
  ripe: 'Ripe',
  unripe: 'Not ripe yet',
  wilted: 'Wilted',
  woody: 'Tough, woody',
  'insect-eaten': 'Eaten by insects',
  frosted: 'Frosted',
  rotten: 'Rotten, mouldy',
};
export const CONTAMINATION: Readonly<Record<NonNullable<Case['context']['contamination']>, string>> = {
  'none-seen': 'Nothing seen',
  roadside: 'Beside a road',
  sprayed: 'Sprayed',
  flooded: 'Flooded',
  fouled: 'Fouled by animals',
  polluted: 'Polluted',
  unknown: 'Don’t know',
};

/** A length as people say it: millimetres while they are few. */
export function lengthWords(millimetres: number): string {
  return millimetres < 10
    ? `${millimetres} mm`
    : millimetres < 1000
      ? `${millimetres / 10} cm`
      : `${millimetres / 1000} m`;
}

export const LANGUAGE: Readonly<Record<string, string>> = {
  en: 'English',
  de: 'German',
  fr: 'French',
  it: 'Italian',
  es: 'Spanish',
  pl: 'Polish',
  cs: 'Czech',
  nl: 'Dutch',
  sl: 'Slovene',
  sv: 'Swedish',
  pt: 'Portuguese',
  hu: 'Hungarian',
};

const FOR: Readonly<Record<string, string>> = {
  everyone: 'For everyone',
  pregnancy: 'In pregnancy',
  child: 'For children',
  ulcer: 'With a stomach ulcer',
  'blood-pressure': 'With high blood pressure',
  'kidney-stones': 'With kidney stones',
  'kidney-disease': 'With a kidney disease',
  'liver-disease': 'With a liver disease',
  heart: 'With a heart disease',
  diabetes: 'With diabetes',
  gout: 'With gout',
  'mineral-shortage': 'When short of minerals',
  alcohol: 'With alcohol',
  skin: 'For sensitive skin',
};
/** Whom a caution is for: "With an allergy to apiaceae". */
export function cautionFor(id: string): string {
  const [kind, of] = [id.split(':')[0], id.slice(id.indexOf(':') + 1)];
  if (kind === 'allergy' && of) return `With an allergy to ${of.split('-').join(' ')}`;
  if (kind === 'medicine' && of) return `With medicine: ${of.split('-').join(' ')}`;
  if (kind === 'other' && of) return `Besides: ${of}`;
  return FOR[id] ?? id;
}

type OpenName = NonNullable<Case['context']['openName']>;
/** A name that stays open: "genus Cantharellus only", "bilberry or bog bilberry". */
export function openNameWords(name: OpenName): string {
  return name.kind === 'one-of' ? name.taxa.map(commonName).join(' or ') : `${name.kind} ${name.name} only`;
}
