import * as cap from './cap';
import * as flower from './flower';
import * as fruit from './fruit';
import { habitat } from './habitat';
import * as hymenophore from './hymenophore';
import type { Fill, Mark, Plate } from './mark';
import { tree, wood } from './place';
import * as root from './root';
import { rootCore } from './rootCore';
import { likeness } from './smell';
import * as stem from './stem';
import * as stipe from './stipe';

/** The sheet that every answer is drawn on, in units. */
export const ANSWER = { width: 120, height: 80 } as const;

type Draw = (state: string) => Mark[] | undefined;

/** One drawing with the colour that a place turns, or a drop has. */
const coloured =
  (draw: (fill: Fill) => Mark[], fills: Readonly<Record<string, Fill>>): Draw =>
  (state) => {
    const fill = fills[state];
    return fill && draw(fill);
  };
const bruise = coloured(hymenophore.pressed, { stays: 'none', darkens: 'ink' });
const capBruise = coloured(cap.rubbed, {
  stays: 'none',
  yellow: '#F0D021',
  red: '#B5402F',
  brown: '#7A5230',
});
const milk = coloured(cap.latex, { none: 'none', white: '#FFFFFF', orange: '#D9762B', watery: 'shade' });
const sap = coloured(stem.sap, { clear: 'none', milky: '#FFFFFF', coloured: '#D9952B' });

/** What draws the answers of each character. */
const DRAWN: Readonly<Record<string, Draw>> = {
  hymenophore: hymenophore.hymenophore,
  'hymenophore.bond': hymenophore.bond,
  'hymenophore.attachment': hymenophore.attachment,
  'hymenophore.branching': hymenophore.branching,
  'hymenophore.spacing': hymenophore.spacing,
  'hymenophore.bruising': bruise,
  'hymenophore.overnight': hymenophore.overnight,
  'hymenophore.pores': hymenophore.poreSize,
  'cap.shape': cap.capShape,
  'cap.margin': cap.capMargin,
  'cap.surface': cap.capSurface,
  'cap.join': cap.capJoin,
  'cap.bruising': capBruise,
  'flesh.texture': cap.texture,
  latex: milk,
  section: cap.section,
  'stipe.shape': stipe.stipeShape,
  'stipe.net': stipe.stipeNet,
  'stipe.interior': stipe.stipeInterior,
  'stipe.place': stipe.stipePlace,
  'stipe.separates': stipe.separates,
  veil: stipe.veil,
  volva: stipe.volva,
  growth: stipe.growth,
  substrate: stipe.substrate,
  'fungus.habitat': habitat,
  'plant.habitat': habitat,
  trees: tree,
  wood,
  'habit.form': stem.habit,
  'stem.wood': stem.wood,
  'stem.section': stem.stemSection,
  'stem.core': stem.stemCore,
  'stem.hairs': stem.stemHairs,
  'stem.marks': stem.stemMarks,
  'stem.sap': sap,
  'stem.bloom': stem.bloom,
  'stem.sting': stem.sting,
  'stem.climbing': stem.climbing,
  'stem.marks-extent': stem.marksExtent,
  'stem.branching': stem.branching,
  'twig.thorns': stem.thorns,
  'twig.snap': stem.snap,
  'bark.young': stem.youngBark,
  'bark.old': stem.oldBark,
  'leaf.arrangement': stem.arrangement,
  'leaf.division': stem.leafDivision,
  'leaf.outline': stem.leafOutline,
  'leaf.margin': stem.leafMargin,
  'leaf.venation': stem.leafVenation,
  'leaf.underside': stem.underside,
  'leaf.base': stem.leafBase,
  'leaf.stalk-section': stem.stalkSection,
  'leaf.foot': stem.leafFoot,
  'leaf.sheen': stem.leafSheen,
  'leaf.texture': stem.leafTexture,
  'leaf.dots': stem.leafDots,
  'leaf.sheath': stem.leafSheath,
  'flower.form': flower.form,
  'flower.inflorescence': flower.inflorescence,
  'umbel.bracts': flower.bracts,
  'umbel.bracteoles': flower.bracteoles,
  'flower.outer': flower.outerPetals,
  'flower.disc': flower.disc,
  'fruit.type': fruit.type,
  'fruit.crown': fruit.crown,
  'fruit.skin': fruit.skin,
  'fruit.position': fruit.position,
  'fruit.form': fruit.umbelFruit,
  'fruit.case': fruit.nutCase,
  'nut.tip': fruit.nutTip,
  'fruit.stalk': fruit.stalk,
  'fruit.surface': fruit.surface,
  'fruit.seeds': fruit.seeds,
  'root.form': root.form,
  'root.core': rootCore,
};

/**
 * One answer to a question about states, as a drawing: what is asked about in full ink, its surroundings
 * faint. Pure: the same answer gives the same marks.
 *
 * @returns undefined for what nobody has drawn, as a character or state of a pack may be
 * @example answerPlate('hymenophore', 'gills')?.marks.length // more than 40: the dome, its face, the gills,
 * the stem
 */
export function answerPlate(character: string, state: string): Plate | undefined {
  // The tables are plain objects: what every object has is nobody's drawing.
  if (character in Object.prototype || state in Object.prototype) return undefined;
  const marks = DRAWN[character]?.(state) ?? likeness(character, state);
  return marks && { ...ANSWER, marks };
}
