import { Pressable, StyleSheet, View } from 'react-native';
import type { CompiledTaxon } from '@pause/core';
import { colour, Small, SmallStrong, space, Strong } from '../../components';
import { TaxonDrawing } from '../../components/plates/TaxonDrawing';
import { usualStage } from '../../components/plates/TaxonSmall';
import { t } from '../../text/en/guide';
import { CommonName, GRADE } from '../../text/names';

const NOTHING = new Set<string>();

/** A taxon on the wall of plates. */
export function GuideEntry({
  taxon,
  name,
  shared,
  onOpen,
}: {
  readonly taxon: CompiledTaxon;
  readonly name: string | undefined;
  /** Whether it is beside others, and takes no more than its share. */
  readonly shared: boolean;
  readonly onOpen: () => void;
}) {
  const stage = usualStage(taxon);
  return (
    <Pressable
      role="link"
      onPress={onOpen}
      style={({ pressed }) => [styles.entry, shared && styles.shared, pressed && styles.pressed]}
    >
      <View style={styles.plate}>
        <TaxonDrawing
          taxon={taxon}
          stage={stage}
          height={HIGH}
          detail="small"
          accent={NOTHING}
          scale={false}
        />
      </View>
      <Strong>{CommonName(taxon.id)}</Strong>
      {name ? <Small>{name}</Small> : null}
      <Small soft style={styles.scientific}>
        {taxon.taxon.scientificName}
      </Small>
      {taxon.grade === 'none' ? (
        <Small soft>{taxon.taxon.parts.length > 0 ? t.isWanted : GRADE.none}</Small>
      ) : (
        <View style={styles.harm}>
          <SmallStrong on="dark">{GRADE[taxon.grade]}</SmallStrong>
        </View>
      )}
    </Pressable>
  );
}
/** The height of a plate on the wall, px. */
const HIGH = 148;

const styles = StyleSheet.create({
  // Also where the last shelf is not full.
  entry: { flex: 1, paddingBottom: space.l, gap: 1 },
  shared: { maxWidth: '50%' },
  plate: {
    alignItems: 'center',
    backgroundColor: colour.card,
    paddingVertical: space.s,
    marginBottom: space.xs,
    overflow: 'hidden',
  },
  harm: {
    alignSelf: 'flex-start',
    backgroundColor: colour.leave,
    paddingHorizontal: space.s,
    paddingVertical: 2,
  },
  pressed: { opacity: 0.6 },
  scientific: { fontStyle: 'italic' },
});
