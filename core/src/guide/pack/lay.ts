import {
  fieldPath,
  GuideError,
  harms,
  millimetres,
  parseGuide,
  type Character,
  type CharacterId,
  type Guide,
  type GuideProblem,
  type LengthUnit,
  type StageId,
  type StateId,
  type Statement,
  type Taxon,
  type TaxonId,
} from '..';
import { contentHash } from '../../lib/canonical';
import { Pack, type Correction } from './schema';

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

export interface Laid {
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
export function layPack(guide: Guide, pack: Pack): Laid {
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

function* checkPack(guide: Guide, pack: Pack): Generator<GuideProblem> {
  if (pack.over !== guide.id)
    yield { path: 'over', reason: `it is made for the guide "${pack.over}", this is "${guide.id}"` };
  if ((guide.packs ?? []).some((laid) => laid.id === pack.id))
    yield { path: 'id', reason: `a pack "${pack.id}" is laid over this guide already` };
  const taxa = new Map(guide.taxa.map((t) => [t.id as string, t]));
  const added = new Set((pack.taxa ?? []).map((t) => t.id as string));
  const known = new Set(guide.characters.map((c) => c.id as string));
  for (const [index, taxon] of (pack.taxa ?? []).entries()) {
    if (taxa.has(taxon.id))
      yield {
        path: `taxa[${index}].id`,
        taxon: taxon.id,
        reason: 'the guide has this taxon; correct its statements instead',
      };
  }
  for (const [index, character] of (pack.characters ?? []).entries()) {
    if (known.has(character.id))
      yield {
        path: `characters[${index}].id`,
        character: character.id,
        reason: 'the guide has this character; a pack cannot change what a question asks',
      };
  }
  for (const id of Object.keys(pack.names ?? {}))
    if (!taxa.has(id)) yield { path: `names.${id}`, taxon: id, reason: 'the taxon is not in the guide' };
  for (const [id, others] of Object.entries(pack.lookalikes ?? {})) {
    if (!taxa.has(id)) yield { path: `lookalikes.${id}`, taxon: id, reason: 'the taxon is not in the guide' };
    for (const other of others)
      if (!taxa.has(other) && !added.has(other))
        yield {
          path: `lookalikes.${id}`,
          taxon: id,
          reason: `lookalike "${other}" is neither in the guide nor in the pack`,
        };
  }
  const all = new Map<string, Character>(
    [...guide.characters, ...(pack.characters ?? [])].map((c) => [c.id, c]),
  );
  for (const [index, { taxon: id, statement }] of (pack.statements ?? []).entries()) {
    const taxon = taxa.get(id);
    const path = `statements[${index}]`;
    const character = all.get(statement.character);
    if (!taxon) {
      yield { path: `${path}.taxon`, taxon: id, reason: 'the taxon is not in the guide' };
      continue;
    }
    if (!character)
      yield {
        path: `${path}.statement.character`,
        taxon: id,
        character: statement.character,
        reason: 'the character is neither in the guide nor in the pack',
      };
    else if ('range' in statement === 'states' in character)
      yield {
        path: `${path}.statement`,
        taxon: id,
        character: statement.character,
        reason: 'states belong to a character of states, a range to a number',
      };
    for (const stage of statement.stages ?? []) {
      if (!taxon.stages.includes(stage))
        yield {
          path: `${path}.statement.stages`,
          taxon: id,
          character: statement.character,
          reason: `"${stage}" is not among the stages of this taxon`,
        };
    }
  }
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

type Said = { readonly readBy: readonly string[] | undefined } & (
  | { readonly usual: readonly StateId[]; readonly occasional: readonly StateId[] }
  | {
      readonly usual: readonly [number, number];
      readonly outer: readonly [number, number];
      readonly unit: LengthUnit | undefined;
    }
);

function said(statement: Statement): Said {
  const { readBy } = statement;
  return 'range' in statement
    ? { usual: statement.range.usual, outer: statement.range.outer, unit: statement.range.unit, readBy }
    : { usual: statement.usual, occasional: statement.occasional ?? [], readBy };
}

/** The statements of a taxon with one put right, stage by stage. */
function correct(
  taxon: Taxon,
  { statement, reviewedBy }: Correction,
  characters: ReadonlyMap<string, Character>,
  held: Held[],
): Statement[] {
  const character = characters.get(statement.character);
  if (!character) return taxon.statements;
  const free = reviewedBy !== undefined || !harms(taxon.harm);
  const now = said(statement);
  const before = new Map<StageId, Said>();
  for (const other of taxon.statements) {
    if (other.character === statement.character)
      for (const stage of other.stages ?? taxon.stages) before.set(stage, said(other));
  }
  const after = new Map(before);
  const widened: StageId[] = [];
  const unknown: StageId[] = [];
  for (const stage of statement.stages ?? taxon.stages) {
    const old = before.get(stage);
    if (free) after.set(stage, now);
    else if (!old) unknown.push(stage);
    else {
      const both = widen(old, now);
      after.set(stage, both);
      if (!same(both, now)) widened.push(stage);
    }
  }
  if (widened.length > 0)
    held.push({ taxon: taxon.id, character: statement.character, stages: widened, why: 'only-widened' });
  if (unknown.length > 0)
    held.push({ taxon: taxon.id, character: statement.character, stages: unknown, why: 'still-unknown' });
  return [
    ...taxon.statements.filter((s) => s.character !== statement.character),
    ...asStatements(taxon, statement.character, after),
  ];
}

/**
 * Everything that one or the other holds possible; what is usual to either stays usual. Whoever supported the
 * narrower one supports this.
 */
function widen(old: Said, now: Said): Said {
  if ('occasional' in old && 'occasional' in now) {
    const usual = [...new Set([...old.usual, ...now.usual])];
    const occasional = [...new Set([...old.occasional, ...now.occasional])].filter(
      (state) => !usual.includes(state),
    );
    return { usual, occasional, readBy: old.readBy };
  }
  if ('outer' in old && 'outer' in now) {
    const inOld = (value: number) =>
      old.unit && now.unit ? millimetres(value, now.unit) / millimetres(1, old.unit) : value;
    const hull = (a: readonly [number, number], b: readonly [number, number]): [number, number] => [
      Math.min(a[0], inOld(b[0])),
      Math.max(a[1], inOld(b[1])),
    ];
    return {
      usual: hull(old.usual, now.usual),
      outer: hull(old.outer, now.outer),
      unit: old.unit,
      readBy: old.readBy,
    };
  }
  throw new GuideError([{ path: 'statements', reason: 'states and a range cannot be joined' }]);
}

function same(a: Said, b: Said): boolean {
  const sorted = (s: Said) =>
    'occasional' in s
      ? { usual: [...s.usual].sort(), occasional: [...s.occasional].sort() }
      : { usual: s.usual, outer: s.outer, ...(s.unit ? { unit: s.unit } : {}) };
  return contentHash(sorted(a)) === contentHash(sorted(b));
}

function asStatements(
  taxon: Taxon,
  character: CharacterId,
  byStage: ReadonlyMap<StageId, Said>,
): Statement[] {
  const groups: { readonly what: Said; readonly stages: StageId[] }[] = [];
  for (const stage of taxon.stages) {
    const what = byStage.get(stage);
    if (!what) continue;
    const group = groups.find((g) => same(g.what, what) && String(g.what.readBy) === String(what.readBy));
    if (group) group.stages.push(stage);
    else groups.push({ what, stages: [stage] });
  }
  return groups.map(({ what, stages }) => ({
    character,
    ...(stages.length === taxon.stages.length ? {} : { stages }),
    ...('occasional' in what
      ? {
          usual: [...what.usual],
          ...(what.occasional.length > 0 ? { occasional: [...what.occasional] } : {}),
        }
      : {
          range: {
            usual: [...what.usual] as [number, number],
            outer: [...what.outer] as [number, number],
            ...(what.unit ? { unit: what.unit } : {}),
          },
        }),
    ...(what.readBy ? { readBy: [...what.readBy] } : {}),
  }));
}
