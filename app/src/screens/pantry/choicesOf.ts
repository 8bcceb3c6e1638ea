import type { BatchFields } from '@pause/core/pantry';
import { strayCause } from '@pause/core/pantry/recall';
import { type Pantry, wholeGrams, leftOfHarvest, isThere, leftIn } from '../../notebook/pantry';
import { t } from '../../text/en/eating';
import { t as pantryText } from '../../text/en/pantry';
import { factLine } from '../../text/messages';
import { CommonName } from '../../text/names';
import { amountWords, METHOD } from '../../text/pantry';
import { isoDayName } from '../../text/places';
import type { Choice } from './Choose';

/** What a batch can be made of. */

/** What something can be made of: harvests, and what is in the pantry. */
export function choicesOf(pantry: Pantry, held: ReadonlySet<string>): Choice[] {
  const used = new Set(
    pantry.batches.flatMap(({ fields }) =>
      (fields.from ?? []).filter(({ amount }) => amount === undefined).map(({ id }) => id),
    ),
  );
  const harvests = pantry.harvests.flatMap(({ id, fields }): Choice[] => {
    const { taxon, part, on, sorting } = fields;
    if (taxon === undefined || part === undefined || used.has(id)) return [];
    const whole = wholeGrams(pantry, { of: 'harvest', id });
    const grams = leftOfHarvest(pantry, id);
    // All of it has been made into something.
    if (whole !== undefined && whole > 0 && grams === 0) return [];
    const stray = strayCause(id, sorting?.grades ?? []);
    const why = whyNot(stray, held.has(id));
    return [
      {
        source: { of: 'harvest', id },
        name: CommonName(taxon),
        line: harvestLine(on, grams, whole),
        contents: [{ taxon, part }],
        group: pantry.pages[id]?.group,
        left: grams === undefined || grams <= 0 ? undefined : { amount: grams, unit: 'g' },
        ...(why === undefined ? {} : { not: why }),
      },
    ];
  });
  const batches = pantry.batches
    .filter((batch) => isThere(pantry, batch))
    .map((batch): Choice => {
      const left = leftIn(pantry, batch);
      return {
        source: { of: 'batch', id: batch.id },
        name: batch.fields.name ?? pantryText.aBatch,
        line: factLine(
          batch.fields.method && METHOD[batch.fields.method][1],
          left && pantryText.left(amountWords(left)),
        ),
        contents: batch.fields.contents ?? [],
        group: batch.group,
        left,
        ...(held.has(batch.id) ? { not: t.whatItComesFromDoes } : {}),
      };
    });
  return [...harvests, ...batches];
}

function whyNot(stray: ReturnType<typeof strayCause>, held: boolean): string | undefined {
  if (stray) return stray.grade === 'deadly' ? t.itIsPutAsideA : t.aStrayLayAmongIt;
  return held ? t.theFindDoesNotStand : undefined;
}

/** @param grams what is left of it @param whole what it was */
function harvestLine(on: string | undefined, grams: number | undefined, whole: number | undefined): string {
  const left =
    grams === undefined
      ? undefined
      : (grams < (whole ?? grams) ? t.aboutLeft : t.about)(amountWords({ amount: grams, unit: 'g' }));
  return factLine(t.aHarvest, on && isoDayName(on), left);
}

export function unique(contents: BatchFields['contents']): BatchFields['contents'] {
  return [...new Map(contents.map((one) => [`${one.taxon} ${one.part}`, one])).values()];
}
