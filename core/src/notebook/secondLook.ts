import { toLook, type Case, type Look, type Reading } from '../case';
import { overlap, type CharacterId, type CompiledGuide, type CompiledTaxon, type Relation } from '../guide';
import { relationOverall, type Verdict } from '../verdict';
import type { FindRecord } from './find';

/**
 * A second person's look at what a decision leans on, made without knowing the first; and how often two
 * people see the same.
 */

/**
 * What a second person should look at: the characters on which the bars against dangerous taxa stand, those
 * against listed lookalikes first, then the target's own marks. Each once; what harms the specimen least
 * comes first.
 */
export function checksForSecondLook(guide: CompiledGuide, find: Case, verdict: Verdict): CharacterId[] {
  const rows = verdict.rows.filter((row) => !row.otherKingdom && row.need > 0);
  const leaned = [...rows]
    .sort((a, b) => Number(b.listed) - Number(a.listed))
    .flatMap((row) => row.bars.map((bar) => bar.character));
  const marks = guide.taxon(find.target)?.taxon.signature ?? [];
  const read = new Set(find.readings.map((reading) => reading.character));
  const wanted = [...new Set([...leaned, ...marks])].filter((character) => read.has(character));
  const cost = (id: CharacterId) =>
    ['none', 'slight', 'part', 'whole'].indexOf(guide.character(id)?.character.damage ?? 'none');
  return wanted.sort((a, b) => cost(a) - cost(b));
}

export type Agreement =
  /** The same was seen. */
  | 'agree'
  /** What one saw is among what the other was torn between. */
  | 'partly'
  | 'differ'
  /** One of the two could not tell. */
  | 'no-ground';

export interface BothLooks {
  readonly character: CharacterId;
  readonly first: Reading;
  readonly second: Reading;
  readonly says: Agreement;
}

function agreementOf(one: Look | undefined, other: Look | undefined): Agreement {
  if (!one || !other) return 'no-ground';
  if (!overlap(one, other)) return 'differ';
  return one.kind === 'states' && other.kind === 'states' && one.mask !== other.mask ? 'partly' : 'agree';
}

/**
 * What the finder and a second person read of the same character on the same piece, the newest look of each;
 * only what the second one read blind. In the order in which the second one looked.
 */
export function sideBySide(guide: CompiledGuide, record: FindRecord, second: string): BothLooks[] {
  const withdrawn = new Set<string>(record.withdrawals.map((w) => w.reading));
  const current = record.readings.filter((reading) => !withdrawn.has(reading.id));
  const blind = current.filter((reading) => reading.by === second && reading.blind === true);
  const newest = new Map(blind.map((reading) => [`${reading.piece} ${reading.character}`, reading]));
  return [...newest.values()].flatMap((theirs): BothLooks[] => {
    const first = current
      .filter(
        (r) =>
          r.by !== second && r.blind !== true && r.character === theirs.character && r.piece === theirs.piece,
      )
      .at(-1);
    return first
      ? [
          {
            character: theirs.character,
            first,
            second: theirs,
            says: agreementOf(toLook(guide, first), toLook(guide, theirs)),
          },
        ]
      : [];
  });
}

/**
 * What a look means for the target: the same few answers whatever the character, so that looks at different
 * ones can be counted together.
 */
const CATEGORIES = ['fits', 'strains', 'against', 'no-ground'] as const;
type Category = (typeof CATEGORIES)[number];

function categoryOf(guide: CompiledGuide, reading: Reading, target: CompiledTaxon): Category {
  const look = toLook(guide, reading);
  const relation: Relation = look ? relationOverall(look, target) : 'silent';
  return relation === 'silent' ? 'no-ground' : relation;
}

/**
 * How often two people said what, over all that they looked at one after the other: rows by the finder,
 * columns by the second.
 */
export function agreementTable(
  guide: CompiledGuide,
  records: readonly FindRecord[],
  one: string,
  other: string,
): number[][] {
  const table = CATEGORIES.map(() => CATEGORIES.map(() => 0));
  for (const record of records) {
    const target = guide.taxon(record.targets.at(-1)?.taxon ?? '');
    if (!target || ![one, other].includes(record.person)) continue;
    const second = record.person === one ? other : one;
    for (const { first, second: theirs } of sideBySide(guide, record, second)) {
      const row = table[CATEGORIES.indexOf(categoryOf(guide, first, target))];
      const column = CATEGORIES.indexOf(categoryOf(guide, theirs, target));
      if (row) row[column] = (row[column] ?? 0) + 1;
    }
  }
  return table;
}

export interface Kappa {
  /** Agreement beyond chance: 1 always, 0 as often as by chance, below 0 less often. */
  readonly kappa: number;
  /** 95 % interval. */
  readonly low: number;
  readonly high: number;
  readonly looks: number;
}

/** 97.5th percentile of the standard normal distribution. */
const Z = 1.959963984540054;

/**
 * Cohen's kappa of a square table of counts, with its 95 % interval from the large-sample standard error.
 *
 * Sources: Cohen, "A coefficient of agreement for nominal scales", 1960; Fleiss, Cohen, Everitt, "Large
 * sample standard errors of kappa and weighted kappa", 1969.
 *
 * @returns undefined where nothing was counted, or both always said one and the same thing: then chance
 * explains all of it
 */
export function cohenKappa(table: readonly (readonly number[])[]): Kappa | undefined {
  const looks = table.flat().reduce((a, b) => a + b, 0);
  if (looks === 0) return undefined;
  const p = table.map((row) => row.map((count) => count / looks));
  const rows = p.map((row) => row.reduce((a, b) => a + b, 0));
  const columns = p.map((_, j) => p.reduce((sum, row) => sum + (row[j] ?? 0), 0));
  const at = (i: number, j: number) => p[i]?.[j] ?? 0;
  const sum = (term: (i: number) => number) => p.reduce((total, _, i) => total + term(i), 0);
  const observed = sum((i) => at(i, i));
  const chance = sum((i) => (rows[i] ?? 0) * (columns[i] ?? 0));
  if (chance >= 1) return undefined;
  const left = 1 - chance;
  const kappa = (observed - chance) / left;
  const diagonal = sum((i) => at(i, i) * ((rows[i] ?? 0) + (columns[i] ?? 0)));
  const all = p.reduce(
    (total, row, i) =>
      total + row.reduce((inner, cell, j) => inner + cell * ((rows[j] ?? 0) + (columns[i] ?? 0)) ** 2, 0),
    0,
  );
  const variance =
    ((observed * (1 - observed)) / left ** 2 +
      (2 * (1 - observed) * (2 * observed * chance - diagonal)) / left ** 3 +
      ((1 - observed) ** 2 * (all - 4 * chance ** 2)) / left ** 4) /
    looks;
  const half = Z * Math.sqrt(Math.max(0, variance));
  return { kappa, low: Math.max(-1, kappa - half), high: Math.min(1, kappa + half), looks };
}
