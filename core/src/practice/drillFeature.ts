import type { CompiledGuide, CharacterId } from '../guide';
import type { CardId } from '../notebook/page';
import type { Drawable } from './cards';
import { type Draw, type Drill, drawnStates, pick, shuffled, OPTIONS } from './drillKinds';
import { MEASURED } from './measured';
import { specimenOf } from './specimen';

/** Drills on one feature of one taxon. */

/** Of one's own readings off a drawing: steps so far apart that a look at the scale tells them. */
const STEPS = [0.4, 0.65, 1, 1.6, 2.5];

export function ofFeature(
  guide: CompiledGuide,
  card: CardId,
  id: string,
  draw: Draw,
  drawable: Drawable,
): Drill | undefined {
  const character = guide.character(id);
  if (!character) return undefined;
  if (character.character.kind === 'measure') return ofMeasure(guide, card, character.id, draw);
  const states = drawnStates(guide, id, drawable);
  const shown = pick(states, draw);
  if (shown === undefined || states.length < 2) return undefined;
  return {
    kind: 'word',
    card,
    character: character.id,
    shown,
    options: shuffled(
      [
        shown,
        ...shuffled(
          states.filter((state) => state !== shown),
          draw,
        ).slice(0, OPTIONS - 1),
      ],
      draw,
    ),
  };
}

function ofMeasure(
  guide: CompiledGuide,
  card: CardId,
  character: CharacterId,
  draw: Draw,
): Drill | undefined {
  if (!MEASURED.includes(character)) return undefined;
  const index = guide.character(character)?.index ?? -1;
  const taxon = pick(
    guide.taxa.filter((one) =>
      [...(one.atStage.get(index)?.values() ?? [])].some((known) => known.kind === 'number'),
    ),
    draw,
  );
  const stage = taxon?.taxon.stages.find((one) => taxon.atStage.get(index)?.get(one)?.kind === 'number');
  if (!taxon || stage === undefined) return undefined;
  const specimen = specimenOf(guide, { taxon, stage, seed: Math.floor(draw() * 1e6) });
  const value = specimen.shows.get(character);
  if (value?.kind !== 'measure' || value.number <= 0) return undefined;
  const first = Math.floor(draw() * (STEPS.length - OPTIONS + 1));
  const rounded = (mm: number) =>
    mm >= 100 ? Math.round(mm / 10) * 10 : mm >= 10 ? Math.round(mm) : Math.round(mm * 10) / 10;
  const { number } = value;
  return {
    kind: 'measure',
    card,
    character,
    specimen,
    right: rounded(number),
    options: STEPS.slice(first, first + OPTIONS).map((step) => rounded(number * step)),
  };
}
