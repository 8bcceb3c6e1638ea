import {
  type StateId,
  type LengthUnit,
  type Statement,
  type Taxon,
  type Character,
  harms,
  type StageId,
  millimetres,
  type CharacterId,
} from '..';
import { contentHash } from '../../lib/canonical';
import { GuideError } from '../parse';
import type { Held } from './lay';
import type { Correction } from './schema';

/** Corrects statements of a taxon: wider always, narrower only where a keeper reviewed it. */

type Stated = { readonly readBy: readonly string[] | undefined } & (
  | { readonly usual: readonly StateId[]; readonly occasional: readonly StateId[] }
  | {
      readonly usual: readonly [number, number];
      readonly outer: readonly [number, number];
      readonly unit: LengthUnit | undefined;
    }
);

function statedBy(statement: Statement): Stated {
  const { readBy } = statement;
  return 'range' in statement
    ? { usual: statement.range.usual, outer: statement.range.outer, unit: statement.range.unit, readBy }
    : { usual: statement.usual, occasional: statement.occasional ?? [], readBy };
}

/** The statements of a taxon with one put right, stage by stage. */
export function correct(
  taxon: Taxon,
  { statement, reviewedBy }: Correction,
  characters: ReadonlyMap<string, Character>,
  held: Held[],
): Statement[] {
  const character = characters.get(statement.character);
  if (!character) return taxon.statements;
  const free = reviewedBy !== undefined || !harms(taxon.harm);
  const now = statedBy(statement);
  const before = new Map<StageId, Stated>();
  for (const other of taxon.statements) {
    if (other.character === statement.character)
      for (const stage of other.stages ?? taxon.stages) before.set(stage, statedBy(other));
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
function widen(old: Stated, now: Stated): Stated {
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

function same(a: Stated, b: Stated): boolean {
  const sorted = (s: Stated) =>
    'occasional' in s
      ? { usual: [...s.usual].sort(), occasional: [...s.occasional].sort() }
      : { usual: s.usual, outer: s.outer, ...(s.unit ? { unit: s.unit } : {}) };
  return contentHash(sorted(a)) === contentHash(sorted(b));
}

function asStatements(
  taxon: Taxon,
  character: CharacterId,
  byStage: ReadonlyMap<StageId, Stated>,
): Statement[] {
  const groups: { readonly what: Stated; readonly stages: StageId[] }[] = [];
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
