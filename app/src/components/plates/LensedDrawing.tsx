import { useMemo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { CompiledTaxon, StageId } from '@pause/core';
import { TARGET } from '..';
import type { Pointed } from '../../deciding/plates/draw';
import { BADGE, Badges } from './Badges';
import { PlateDrawing } from './TaxonDrawing';
import { drawing, useDrawn } from './useDrawn';

interface LensedDrawingProps {
  readonly taxon: CompiledTaxon;
  readonly stage: StageId;
  readonly width: number;
  /** The character that is read about: its marks are in the accent. */
  readonly chosen: string | undefined;
  /** What a touched number does; without it, none can be touched. */
  readonly onChoose: ((chosen: Pointed) => void) | undefined;
  /** What a number points at, for readers that speak. */
  readonly words: (character: string) => string;
}

/**
 * A taxon on a large sheet, with lenses for its small marks and a number at everything it is told by: each can
 * be touched.
 */
export function LensedDrawing({ taxon, stage, width, chosen, onChoose, words }: LensedDrawingProps) {
  const made = useDrawn(`${taxon.id}#${stage}`, () => drawing.numberedPlate(taxon.id, stage, ROOM));
  const accent = useMemo(() => new Set(chosen === undefined ? [] : [chosen]), [chosen]);
  const height = width * SHAPE;
  if (!made) return <View style={{ width, height: height + SCALE }} />;
  const unit = width / made.plate.width;
  return (
    <View style={{ width }}>
      <PlateDrawing plate={made.plate} height={height} accent={accent}>
        <Badges
          badges={made.points.map((one) => ({ ...one, filled: one.character === chosen }))}
          px={1 / unit}
        />
      </PlateDrawing>
      {(onChoose ? made.points : []).map((one) => (
        <Pressable
          key={one.character}
          role="button"
          aria-label={`${one.number} ${words(one.character)}`}
          aria-pressed={one.character === chosen}
          onPress={() => onChoose?.(one)}
          style={[styles.touched, areaOf(one, unit)]}
        />
      ))}
    </View>
  );
}
/** The height of its sheet to its width. */
const SHAPE = 0.8;
const SCALE = 28;

/** The width of a plate on a phone, px: by it numbers keep clear of each other. */
const TYPICAL = 358;
/** Half the width of a number, as a share of the width of the plate. */
const ROOM = BADGE / TYPICAL;

/** Where a number or its lens is touched. */
function areaOf({ at: [x, y], lens }: Pointed, unit: number) {
  const half = lens ? Math.max(lens.radius * unit, TARGET / 2) : TARGET / 2;
  const [cx, cy] = lens ? lens.at : [x, y];
  return { left: cx * unit - half, top: cy * unit - half, width: 2 * half, height: 2 * half };
}

const styles = StyleSheet.create({ touched: { position: 'absolute' } });
