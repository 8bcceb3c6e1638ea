import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import type { CompiledTaxon, StageId } from '@pause/core';
import type { Detail, TaxonPlate } from '@pause/core/drawing';
import { colour, PlateView, Small, space } from '..';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/plates';
import { lengthWords } from '../../text/names';
import { useMadeInTurn } from './inTurn';
import { usePlates, type Plates } from './usePlates';

/** Lower than this, a plate has neither hatching nor fine lines. */
const SMALL = 120;

interface TaxonDrawingProps {
  readonly taxon: CompiledTaxon;
  readonly stage: StageId;
  readonly height: number;
  /** Characters whose parts are drawn in the accent. */
  readonly accent: ReadonlySet<string>;
  /** How much is drawn: by its height unless said otherwise. */
  readonly detail?: Detail;
  /** Whether the scale is drawn below. */
  readonly scale?: boolean;
}

/** A whole taxon at a stage, drawn from what the guide states, with a scale where it states a size. */
export function TaxonDrawing({ taxon, stage, detail: wanted, ...how }: TaxonDrawingProps) {
  const plates = usePlates();
  const detail = wanted ?? (how.height < SMALL ? 'small' : 'full');
  const name = `${stage} ${detail}`;
  const make = useMemo(
    () => plates && (() => keep(taxon, name, plates.taxonPlate(guide, taxon, stage, 0, detail))),
    [plates, taxon, stage, detail, name],
  );
  return <PlateDrawing plates={plates} plate={useMadeInTurn(drawn.get(taxon)?.get(name), make)} {...how} />;
}

/** Each plate is drawn once for a taxon: a list that is scrolled back shows it at once. */
const drawn = new WeakMap<CompiledTaxon, Map<string, TaxonPlate>>();

function keep(taxon: CompiledTaxon, name: string, plate: TaxonPlate): TaxonPlate {
  const known = drawn.get(taxon) ?? new Map<string, TaxonPlate>();
  drawn.set(taxon, known);
  known.set(name, plate);
  return plate;
}

const FAINT = { leaf: t.faintLeaf, fruit: t.faintFruit } as const;

interface PlateDrawingProps extends Omit<TaxonDrawingProps, 'taxon' | 'stage' | 'detail'> {
  readonly plates: Plates | undefined;
  readonly plate: TaxonPlate | undefined;
  /** Whether what is not pointed at is held back. */
  readonly holdBack?: boolean;
  /** Drawn over it, in units of its sheet. */
  readonly children?: React.ReactNode;
}

/**
 * A whole taxon as it has been drawn, with its scale. Its place is kept while what draws is being fetched.
 */
export function PlateDrawing({
  plates,
  plate,
  height,
  accent,
  holdBack = false,
  children,
  scale = true,
}: PlateDrawingProps) {
  const pointed = useMemo(
    () =>
      new Set(
        plate?.parts
          .filter((part) => part.of.some((character) => accent.has(character)))
          .flatMap((part) => part.marks),
      ),
    [plate, accent],
  );
  if (!plates || !plate)
    return <View style={{ height: height + (scale ? SCALE : 0), width: (height * 5) / 6 }} />;
  const unit = height / plate.height;
  return (
    <View style={styles.drawing}>
      <PlateView
        plate={plate}
        pathOf={plates.pathData}
        height={height}
        wash
        accent={pointed}
        holdBack={holdBack}
      >
        {children}
      </PlateView>
      {scale ? (
        <View style={styles.scale}>
          {plate.scale ? (
            <>
              <View style={[styles.bar, { width: plate.scale.units * unit }]} />
              <Small soft>{lengthWords(plate.scale.millimetres)}</Small>
            </>
          ) : (
            <Small soft>{t.notToScale}</Small>
          )}
          {plate.unknown.map((organ) => (
            <Small key={organ} soft>
              {FAINT[organ]}
            </Small>
          ))}
        </View>
      ) : null}
    </View>
  );
}

const SCALE = 24;
const styles = StyleSheet.create({
  drawing: { alignItems: 'center', gap: space.xs },
  scale: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: space.s,
    minHeight: SCALE - space.xs,
  },
  bar: { height: 8, borderColor: colour.ink, borderBottomWidth: 2, borderLeftWidth: 2, borderRightWidth: 2 },
});
