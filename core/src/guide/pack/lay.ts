import { type TaxonId, type CharacterId, type StageId, type Guide, type Character, type Taxon } from '..';
import { contentHash } from '../../lib/canonical';
import { fieldPath } from '../../lib/fieldPath';
import { GuideError, parseGuide } from '../parse';
import { checkPack } from './checkPack';
import { correct } from './correct';
import { Pack } from './schema';

/** A statement that was not taken as it was given. */
export interface Held {
  readonly taxon: TaxonId;
  readonly character: CharacterId;
  readonly stages: readonly StageId[];
  /**
   * `only-widened`: it would have narrowed what a dangerous taxon can look like, and no keeper answers for
   * it; what both say is possible. `still-unknown`: nothing was said of a dangerous taxon so far, and an
   * unreviewed word is none.
   */
  readonly why: 'only-widened' | 'still-unknown';
}

export interface AppliedPack {
  /** The guide as it is with the pack; a guide like any other, its version the hash of what it says. */
  readonly guide: Guide;
  readonly held: readonly Held[];
}

/**
 * Parses a pack from untrusted JSON.
 *
 * @throws GuideError with every problem found, each naming its field (`statements[2].statement.usual`)
 */
export function parsePack(raw: unknown): Pack {
  const parsed = Pack.safeParse(raw);
  if (parsed.success) return parsed.data;
  throw new GuideError(
    parsed.error.issues.map((issue) => ({ path: fieldPath(issue.path) || 'pack', reason: issue.message })),
  );
}

/**
 * Lays a pack over a guide. It adds characters, taxa, names and lookalikes, and puts statements right. What a
 * dangerous taxon can look like only ever grows by it, unless a keeper has reviewed the statement: somebody
 * who has seen three of them must not lend everybody a bar that a fourth would take away. Packs are laid one
 * after the other.
 *
 * @throws GuideError naming what does not fit the guide; the guide itself is never changed
 */
export function applyPack(guide: Guide, pack: Pack): AppliedPack {
  const problems = [...checkPack(guide, pack)];
  if (problems.length > 0) throw new GuideError(problems);
  const held: Held[] = [];
  const characters = new Map<string, Character>(
    [...guide.characters, ...(pack.characters ?? [])].map((c) => [c.id, c]),
  );
  const corrected = guide.taxa.map((taxon): Taxon => {
    const names = pack.names?.[taxon.id];
    const lookalikes = pack.lookalikes?.[taxon.id] ?? [];
    const corrections = (pack.statements ?? []).filter((c) => c.taxon === taxon.id);
    if (!names && lookalikes.length === 0 && corrections.length === 0) return taxon;
    return {
      ...taxon,
      vernacularNames: names ? withNames(taxon.vernacularNames, names) : taxon.vernacularNames,
      lookalikes: [...new Set([...taxon.lookalikes, ...lookalikes])],
      statements: corrections.reduce(
        (statements, correction) => correct({ ...taxon, statements }, correction, characters, held),
        taxon.statements,
      ),
    };
  });
  const stacked: Guide = {
    ...guide,
    packs: [...(guide.packs ?? []), { id: pack.id, version: contentHash(pack) }],
    ...(guide.readings || pack.readings
      ? { readings: [...(guide.readings ?? []), ...(pack.readings ?? [])] }
      : {}),
    characters: [...guide.characters, ...(pack.characters ?? [])],
    taxa: [...corrected, ...(pack.taxa ?? [])],
  };
  return { guide: parseGuide(stacked), held };
}

function withNames(
  names: Taxon['vernacularNames'],
  more: Taxon['vernacularNames'],
): Taxon['vernacularNames'] {
  const languages = new Set([...Object.keys(names), ...Object.keys(more)]);
  return Object.fromEntries(
    [...languages].map((language) => [
      language,
      [...new Set([...(names[language] ?? []), ...(more[language] ?? [])])],
    ]),
  );
}
