import { useMemo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { CompiledTaxon, StageId } from '@pause/core';
import type { Lens, LensedPlate } from '@pause/core/drawing';
import { TARGET } from '..';
import { guide } from '../../deciding/guide';
import { BADGE, Badges, type Badge } from './Badges';
import { useMadeInTurn } from './inTurn';
import { PlateDrawing } from './TaxonDrawing';
import { usePlates, type Plates } from './usePlates';

/** A character that a number on the plate points at. */
export interface Pointed {
  readonly character: string;
  readonly number: number;
}

interface LensedDrawingProps {
  readonly taxon: CompiledTaxon;
  readonly stage: StageId;
  readonly width: number;
  /** The character that is read about: its marks are in the accent. */
  readonly chosen: string | undefined;
  readonly onChoose: (chosen: Pointed) => void;
  /** What a number stands for, for readers that speak. */
  readonly words: (character: string) => string;
}

/**
 * A taxon on a large sheet, with lenses for its small marks and a number at everything it is told by: each can
 * be touched.
 */
export function LensedDrawing({ taxon, stage, width, chosen, onChoose, words }: LensedDrawingProps) {
  const plates = usePlates();
  const make = useMemo(
    () => plates && (() => keep(taxon, stage, numbered(plates, taxon, stage))),
    [plates, taxon, stage],
  );
  const made = useMadeInTurn(drawn.get(taxon)?.get(stage), make);
  const accent = useMemo(() => new Set(chosen === undefined ? [] : [chosen]), [chosen]);
  const height = width * SHAPE;
  if (!made) return <View style={{ width, height: height + SCALE }} />;
  const unit = width / made.plate.width;
  return (
    <View style={{ width }}>
      <PlateDrawing plates={plates} plate={made.plate} height={height} accent={accent}>
        <Badges
          badges={made.points.map((one) => ({ ...one, filled: one.character === chosen }))}
          px={1 / unit}
        />
      </PlateDrawing>
      {made.points.map((one) => (
        <Pressable
          key={one.character}
          role="button"
          aria-label={`${one.number} ${words(one.character)}`}
          aria-pressed={one.character === chosen}
          onPress={() => onChoose(one)}
          style={[styles.touched, areaOf(one, unit)]}
        />
      ))}
    </View>
  );
}
/** The height of its sheet to its width. */
const SHAPE = 0.8;
const SCALE = 28;

interface Point extends Pointed, Omit<Badge, 'filled'> {
  readonly lens: Lens | undefined;
}
interface Numbered {
  readonly plate: LensedPlate;
  readonly points: readonly Point[];
}
const drawn = new WeakMap<CompiledTaxon, Map<StageId, Numbered>>();
function keep(taxon: CompiledTaxon, stage: StageId, made: Numbered): Numbered {
  const known = drawn.get(taxon) ?? new Map<StageId, Numbered>();
  drawn.set(taxon, known);
  known.set(stage, made);
  return made;
}

/** So many numbers stand on the whole itself; a lens has its own. */
const ON_THE_WHOLE = 5;

function numbered(plates: Plates, taxon: CompiledTaxon, stage: StageId): Numbered {
  const telling = plates.tellingCharacters(guide, taxon, stage);
  const plate = plates.lensedPlate(guide, { taxon, stage }, telling);
  const lensed = new Map(plate.lenses.map((lens) => [lens.character, lens]));
  const onWhole = plates
    .labels(
      plate,
      telling
        .filter((id) => !lensed.has(id) && plate.parts.some((part) => part.of.includes(id)))
        .slice(0, ON_THE_WHOLE),
      (BADGE * plate.width) / TYPICAL,
    )
    .map(({ character, at }) => [character, at] as const);
  const at = new Map<string, Badge['at']>([
    ...onWhole,
    ...plate.lenses.map(({ character, at: [x, y], radius }) => {
      const side = x < plate.width / 2 ? 1 : -1;
      return [character, [x + side * radius * 0.72, y - radius * 0.72]] as const;
    }),
  ]);
  const points = telling
    .filter((id) => at.has(id))
    .map((character, i): Point => ({
      character,
      number: i + 1,
      at: at.get(character) as Badge['at'],
      lens: lensed.get(character),
    }));
  return { plate, points };
}
/** The width of a plate on a phone, px: by it numbers keep clear of each other. */
const TYPICAL = 358;

/** Where a number or its lens is touched. */
function areaOf({ at: [x, y], lens }: Point, unit: number) {
  const half = lens ? Math.max(lens.radius * unit, TARGET / 2) : TARGET / 2;
  const [cx, cy] = lens ? lens.at : [x, y];
  return { left: cx * unit - half, top: cy * unit - half, width: 2 * half, height: 2 * half };
}

const styles = StyleSheet.create({ touched: { position: 'absolute' } });
