import { useContext, useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { Character } from '@pause/core';
import type { SpecimenPlate } from '@pause/core/drawing';
import { individualOf, type Encounter } from '@pause/core/practice';
import { Chip, ChipRow, colour, corner, PlateView, SmallStrong, stroke } from '../../components';
import type { Plates } from '../../components/plates/usePlates';
import { TextSize } from '../../components/Words';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/practice';

type Organ = Character['organ'];

const ORGAN: Readonly<Record<Organ, string>> = {
  habit: t.theWhole,
  stem: t.stem,
  leaf: t.leaf,
  flower: t.flower,
  fruit: t.fruit,
  root: t.root,
  cap: t.cap,
  hymenophore: t.underTheCap,
  stipe: t.stem,
  flesh: t.flesh,
  spores: t.spores,
  smell: t.smell,
  veil: t.veilAndVolva,
  place: t.place,
};

interface TouchedSpecimenProps {
  readonly plates: Plates;
  readonly encounter: Encounter;
  /** What can still be looked at. */
  readonly open: readonly Character[];
  readonly organ: Organ | undefined;
  readonly onOrgan: (organ: Organ) => void;
}

/** The specimen where it grows: what is to be looked at is touched on it. */
export function TouchedSpecimen({ plates, encounter, open, organ, onOrgan }: TouchedSpecimenProps) {
  const { specimen, target } = encounter;
  const [width, setWidth] = useState(0);
  const plate = useMemo(() => {
    const seen = guide.characters.filter(
      ({ character, stages, place }) =>
        !place && character.kingdom === target.taxon.kingdom && stages.has(specimen.stage),
    );
    // They stay where they are, however much of them was looked at.
    const organs = [...new Set(seen.map(({ character }) => character.organ))];
    return plates.specimenPlate(
      guide,
      individualOf(specimen),
      target.taxon.kingdom,
      organs.map((id) => ({
        id,
        characters: seen.filter(({ character }) => character.organ === id).map((one) => one.id),
      })),
    );
  }, [plates, specimen, target]);
  const unit = width / plate.width;
  return (
    <View
      style={styles.frame}
      onLayout={({ nativeEvent: { layout } }) => setWidth(Math.min(WIDEST, layout.width))}
    >
      {width > 0 ? (
        <View style={{ width }}>
          <PlateView plate={plate} pathOf={plates.pathData} height={plate.height * unit} wash />
          <Names plate={plate} unit={unit} open={open} organ={organ} onOrgan={onOrgan} />
        </View>
      ) : null}
    </View>
  );
}
const WIDEST = 520;
const LARGEST_BESIDE = 1.3;

interface NamesProps extends Omit<TouchedSpecimenProps, 'plates' | 'encounter'> {
  readonly plate: SpecimenPlate;
  /** Pixels for a unit of the plate. */
  readonly unit: number;
}

/** The names of its parts beside it; where letters are large, below it. */
function Names({ plate, unit, open, organ, onOrgan }: NamesProps) {
  const below = useContext(TextSize) > LARGEST_BESIDE;
  const isDone = (id: string) => !open.some((one) => one.organ === id);
  if (below)
    return (
      <ChipRow label={t.where}>
        {plate.callouts
          .filter(({ id }) => !isDone(id))
          .map(({ id }) => (
            <Chip
              key={id}
              label={ORGAN[id as Organ]}
              chosen={id === organ}
              onPress={() => onOrgan(id as Organ)}
            />
          ))}
      </ChipRow>
    );
  return (
    <View role="radiogroup" aria-label={t.where} style={StyleSheet.absoluteFill}>
      {plate.callouts.map(({ id, at: [x, y] }) => (
        <Part
          key={id}
          label={ORGAN[id as Organ]}
          chosen={id === organ}
          done={isDone(id)}
          left={x > plate.width / 2}
          width={plate.column * unit}
          middle={y * unit}
          onPress={() => onOrgan(id as Organ)}
        />
      ))}
    </View>
  );
}

interface PartProps {
  readonly label: string;
  readonly chosen: boolean;
  /** All of it has been looked at. */
  readonly done: boolean;
  readonly left: boolean;
  readonly width: number;
  /** From the top, px. */
  readonly middle: number;
  readonly onPress: () => void;
}

function Part({ label, chosen, done, left, width, middle, onPress }: PartProps) {
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      disabled={done}
      onPress={onPress}
      style={[
        styles.part,
        { width, top: middle - HIGH / 2 },
        left ? styles.right : styles.left,
        chosen && styles.chosen,
        done && styles.done,
      ]}
    >
      <SmallStrong on={chosen ? 'dark' : 'light'} style={styles.label}>
        {label}
      </SmallStrong>
    </Pressable>
  );
}
const HIGH = 48;

const styles = StyleSheet.create({
  frame: { width: '100%', maxWidth: WIDEST, minHeight: 200 },
  part: {
    position: 'absolute',
    minHeight: HIGH,
    justifyContent: 'center',
    alignItems: 'center',
    padding: 2,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    borderRadius: corner,
    backgroundColor: colour.card,
  },
  left: { left: 0 },
  right: { right: 0 },
  chosen: { backgroundColor: colour.ink },
  done: { opacity: 0.4 },
  label: { textAlign: 'center' },
});
