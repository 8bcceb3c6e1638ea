import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import type { CompiledTaxon, StageId } from '@pause/core';
import type { Detail, WrittenMark, WrittenPlate } from '@pause/core/drawing';
import { colour, PlateView, Small, space } from '..';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/plates';
import { lengthWords } from '../../text/names';
import { useMadeInTurn } from './inTurn';
import { drawing, useDrawn } from './useDrawn';
import { usePlates } from './usePlates';

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
export function TaxonDrawing({ detail, ...props }: TaxonDrawingProps) {
  const isSmall = (detail ?? (props.height < SMALL ? 'small' : 'full')) === 'small';
  return isSmall ? <SmallPlate {...props} /> : <FullPlate {...props} />;
}
type OneDetailProps = Omit<TaxonDrawingProps, 'detail'>;

function FullPlate({ taxon, stage, ...how }: OneDetailProps) {
  const plate = useDrawn(`${taxon.id} ${stage}`, () => drawing.fullPlate(taxon.id, stage));
  return <PlateDrawing plate={plate} {...how} />;
}

/** Drawn here, one after the other: it is quicker than asking for it. */
function SmallPlate({ taxon, stage, ...how }: OneDetailProps) {
  const plates = usePlates();
  const make = useMemo(
    () =>
      plates &&
      (() => keep(taxon, stage, plates.writtenPlate(plates.taxonPlate(guide, taxon, stage, 0, 'small')))),
    [plates, taxon, stage],
  );
  return <PlateDrawing plate={useMadeInTurn(small.get(taxon)?.get(stage), make)} {...how} />;
}

/** Each is drawn once for a taxon: a list that is scrolled back shows it at once. */
const small = new WeakMap<CompiledTaxon, Map<StageId, WrittenPlate>>();

function keep(taxon: CompiledTaxon, stage: StageId, plate: WrittenPlate): WrittenPlate {
  const known = small.get(taxon) ?? new Map<StageId, WrittenPlate>();
  small.set(taxon, known);
  known.set(stage, plate);
  return plate;
}

const FAINT = { leaf: t.faintLeaf, fruit: t.faintFruit } as const;

interface PlateDrawingProps extends Omit<TaxonDrawingProps, 'taxon' | 'stage' | 'detail'> {
  readonly plate: WrittenPlate | undefined;
  /** Whether what is not pointed at is held back. */
  readonly holdBack?: boolean;
  /** Drawn over it, in units of its sheet. */
  readonly children?: React.ReactNode;
}

/**
 * A whole taxon as it has been drawn, with its scale. Its place is kept while what draws is being fetched.
 */
export function PlateDrawing({
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
  if (!plate) return <View style={{ height: height + (scale ? SCALE : 0), width: (height * 5) / 6 }} />;
  const unit = height / plate.height;
  return (
    <View style={styles.drawing}>
      <PlateView plate={plate} pathOf={pathOf} height={height} wash accent={pointed} holdBack={holdBack}>
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

const pathOf = ({ d }: WrittenMark) => d;
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
