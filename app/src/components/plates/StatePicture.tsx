import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { stateOf } from '@pause/core';
import type { StateId } from '@pause/core';
import type { Individual } from '@pause/core/drawing';
import { colour, corner, Small, space, stroke } from '..';
import { t } from '../../text/en/plates';
import { characterOf, lowerFirst } from '../../text/names';
import { AnswerDrawing } from './AnswerDrawing';
import { LensView } from './LensView';

interface StatePictureProps {
  readonly character: string;
  readonly states: readonly StateId[];
  readonly height: number;
  /** Whose it is: then it is seen through a lens, in the colours of the whole. */
  readonly one?: Individual | undefined;
  readonly soft?: boolean;
}

/** The first of these states as a drawing, or all of them as swatches, with their words below. */
export function StatePicture({ character, states, height, one, soft = false }: StatePictureProps) {
  const known = characterOf(character);
  const label = known ? states.flatMap((id) => stateOf(known, id) ?? []) : [];
  const [first] = label;
  const shown = first?.id;
  // Also where another state is the usual one: this is what is written below.
  const seen = useMemo(
    () => one && shown && { ...one, state: (id: string) => (id === character ? shown : one.state(id)) },
    [one, character, shown],
  );
  const words = label.map(({ label }, index) => (index === 0 ? label : lowerFirst(label))).join('; ');
  const swatches = label.flatMap(({ swatch }) => (swatch ? [swatch] : []));
  return (
    <View style={styles.picture}>
      {swatches.length > 0 ? (
        <View style={[styles.swatches, { height: height * 0.5 }]}>
          {swatches.slice(0, 5).map((swatch) => (
            <View key={swatch} style={[styles.swatch, { backgroundColor: swatch }]} />
          ))}
        </View>
      ) : first && seen ? (
        <LensView one={seen} character={character} size={height} />
      ) : first ? (
        <AnswerDrawing character={character} state={first.id} height={height} />
      ) : null}
      <Small soft={soft} style={styles.words}>
        {words || t.nothingOfIt}
      </Small>
    </View>
  );
}

const styles = StyleSheet.create({
  picture: { flex: 1, gap: space.xs, alignItems: 'flex-start' },
  swatches: {
    flexDirection: 'row',
    alignSelf: 'stretch',
    borderRadius: corner,
    overflow: 'hidden',
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    marginVertical: space.s,
  },
  swatch: { flex: 1 },
  words: { paddingRight: space.s },
});
