import { millimetres, type CharacterId, type LengthUnit } from '@pause/core';
import { guide } from '../../../deciding/guide';
import { t } from '../../../text/en/answer';
import { lengthWords } from '../../../text/names';

/** So many times the largest that the guide knows of a character is a slip of the finger or of the unit. */
const ABSURD = 10;

/** The largest that the guide states of a character, in mm for measures. */
function largestKnown(id: CharacterId): number {
  const index = guide.character(id)?.index;
  const known =
    index === undefined
      ? []
      : guide.taxa.flatMap((taxon) => {
          const overall = taxon.overall.get(index);
          return overall?.kind === 'number' ? [overall.possible[1]] : [];
        });
  return Math.max(0, ...known);
}

/** What is wrong with a number, if anything. */
export function numberProblem(
  text: string,
  character: CharacterId,
  kind: 'count' | 'measure',
  unit: LengthUnit,
): string | undefined {
  if (text.trim() === '') return undefined;
  const number = Number(text.replace(',', '.'));
  if (!Number.isFinite(number) || number < 0) return t.giveANumber;
  if (kind === 'count' && !Number.isInteger(number)) return t.aCountIsAWhole;
  const largest = largestKnown(character) || 1000;
  if (kind === 'count') return number > largest * ABSURD ? t.nothingInTheGuideHas(largest) : undefined;
  return millimetres(number, unit) > largest * ABSURD
    ? t.nothingInTheGuideComes(lengthWords(largest))
    : undefined;
}
