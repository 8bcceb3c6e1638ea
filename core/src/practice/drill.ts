import type { CompiledGuide } from '../guide';
import { seeded } from '../lib/seeded';
import type { CardId } from '../notebook/page';
import { type Pictures, cardOf, stagesApart, canBeOrdered } from './cards';
import { ofFeature } from './drillFeature';
import { type Drill, drawnStates, shuffled, OPTIONS, isDrawnIn } from './drillKinds';
import { ofPair } from './drillPair';

/** @returns nothing where this guide knows nothing of it that can be drawn */
export function drillFor(
  guide: CompiledGuide,
  card: CardId,
  seed: number,
  pictures: Pictures,
): Drill | undefined {
  const drawable = pictures.state;
  const of = cardOf(card);
  const draw = seeded(seed * 6151 + 3);
  switch (of?.kind) {
    case 'pair': {
      const [target, other] = [guide.taxon(of.target), guide.taxon(of.other)];
      return target && other && target !== other
        ? ofPair(guide, { card, target, other, draw, drawable })
        : undefined;
    }
    case 'feature':
      return ofFeature(guide, card, of.character, draw, drawable);
    case 'term': {
      const states = drawnStates(guide, of.character, drawable);
      const shown = states.find((state) => state === of.state);
      const character = guide.character(of.character)?.id;
      if (shown === undefined || character === undefined || states.length < 2) return undefined;
      const options = shuffled(
        [
          shown,
          ...shuffled(
            states.filter((state) => state !== shown),
            draw,
          ).slice(0, OPTIONS - 1),
        ],
        draw,
      );
      return draw() < 0.35 && isDrawnIn(guide, of.character)
        ? { kind: 'draw', card, character, shown }
        : { kind: 'drawing', card, character, shown, options };
    }
    case 'stages': {
      const taxon = guide.taxon(of.taxon);
      const order = taxon ? stagesApart(taxon, pictures) : [];
      if (!taxon || !canBeOrdered(order)) return undefined;
      let mixed = shuffled(order, draw);
      if (mixed.every((stage, at) => stage === order[at])) mixed = [...mixed].reverse();
      return { kind: 'stages', card, taxon, shuffled: mixed };
    }
    case undefined:
      return undefined;
  }
}
