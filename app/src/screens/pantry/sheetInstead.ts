import type { CompiledTaxon, FindRecord } from '@pause/core';
import type { CouldBe } from '@pause/core/pantry/recall';
import { t } from '../../text/en/sheet';
import { CommonName, GRADE, harmLine, isSilentAtFirst } from '../../text/names';

/** What could have been eaten instead, as lines of the sheet. */

/**
 * "deadly; amatoxins: destroys the liver. Silent for six to twenty-four hours; then …". Of what is silent at
 * first the effects say how long, so it is shown once.
 */
export function harmWords({ id, grade, taxon: { harm } }: CompiledTaxon): string {
  const { syndrome, effects } = harm;
  const first = effects !== undefined && isSilentAtFirst(harm) ? GRADE[grade] : harmLine(id);
  return [[first, syndrome].filter(Boolean).join('; '), effects].filter(Boolean).join('. ');
}

/** So many that nobody named as a lookalike are listed by name, the worst of them. */
const MOST_OTHERS = 10;
export function insteadLines(records: readonly FindRecord[], could: readonly CouldBe[]): string[] {
  if (records.length === 0) return [t.notKnownNothingIsOn];
  const unnamed = new Set(could.filter(({ listed }) => !listed).slice(MOST_OTHERS));
  const shown = could.filter((one) => !unnamed.has(one));
  return [
    ...shown.map(
      ({ taxon, open }) =>
        `${taxon.taxon.scientificName} (${CommonName(taxon.id)}): ${harmWords(taxon).replace(/\.$/, '')}. ` +
        (open ? t.notRuledOutByWhat : t.ruledOutByWhatWas),
    ),
    ...(unnamed.size > 0 ? [t.moreOfTheGuideThat(unnamed.size)] : []),
    ...(could.some((one) => one.open) ? [] : [t.nothingElseOfTheGuide]),
  ];
}
