import { z } from 'zod';
import type { CharacterId, CompiledGuide, TaxonId } from '../../guide';
import type { Verdict } from '../../verdict';

/** One thing that the guide says otherwise now, and on which a verdict rested. */
export interface ChangedGround {
  /** Who has another reason. */
  readonly taxon: TaxonId;
  /** On which character; left out where the taxon as a whole is new to the guide. */
  readonly character?: CharacterId;
  /**
   * Readings of the guide that support what it says now, by id; empty where nobody but its writer read it.
   */
  readonly readBy: readonly string[];
}

/** Reasons that are about what the guide says of the target on one character. */
const ABOUT_TARGET: ReadonlySet<string> = new Set([
  'contradicted',
  'contradicted-open',
  'contradicted-and-danger-fits',
  'signature-missing',
]);

/**
 * What of a stored verdict is compared. It is what somebody sent: one of another shape rested on nothing that
 * can be named.
 */
const Stored = z.object({
  rows: z.array(
    z.object({ taxon: z.string(), bars: z.array(z.object({ reading: z.string(), character: z.string() })) }),
  ),
  reasons: z.array(z.object({ code: z.string(), character: z.string().optional() })),
});

/**
 * What a guide says otherwise than the one that gave a verdict, as far as the verdict rested on it: bars that
 * no longer are, dangers that are new, and characters that no longer fit the target. In the order of the
 * rows.
 *
 * @param before the verdict that was given, by whatever version
 * @param after the verdict on the same find by `guide`
 */
export function changedGrounds(before: Verdict, after: Verdict, guide: CompiledGuide): ChangedGround[] {
  const stored = Stored.safeParse(before).data;
  if (!stored) return [];
  const changed: ChangedGround[] = [];
  const rowBefore = new Map<string, (typeof stored.rows)[number]>(stored.rows.map((row) => [row.taxon, row]));
  const wantsMore = new Set<string>(
    after.reasons.flatMap((reason) => (reason.code === 'look-again' ? reason.taxa : [])),
  );
  for (const { taxon, have, need, bars } of after.rows) {
    if (have >= need && !wantsMore.has(taxon)) continue;
    const was = rowBefore.get(taxon);
    if (!was) changed.push({ taxon, readBy: readersOf(guide, taxon) });
    const now = new Set<string>(bars.map(({ reading }) => reading));
    for (const { reading, character } of was?.bars ?? []) {
      if (!now.has(reading))
        changed.push({
          taxon,
          character: character as CharacterId,
          readBy: readersOf(guide, taxon, character),
        });
    }
  }
  const known = new Set(stored.reasons.map(({ code, character }) => `${code} ${character ?? ''}`));
  for (const reason of after.reasons) {
    if (
      !ABOUT_TARGET.has(reason.code) ||
      !('character' in reason) ||
      known.has(`${reason.code} ${reason.character}`)
    )
      continue;
    changed.push({
      taxon: after.target,
      character: reason.character,
      readBy: readersOf(guide, after.target, reason.character),
    });
  }
  return changed;
}

function readersOf(guide: CompiledGuide, id: TaxonId, character?: string): string[] {
  const statements =
    guide
      .taxon(id)
      ?.taxon.statements.filter((one) => character === undefined || one.character === character) ?? [];
  return [...new Set(statements.flatMap(({ readBy = [] }) => readBy))].sort();
}
