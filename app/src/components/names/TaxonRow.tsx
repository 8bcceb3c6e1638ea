import { Pressable, StyleSheet, View } from 'react-native';
import type { CompiledTaxon } from '@pause/core';
import { Rule, Small, SmallStrong, space, Strong, TARGET } from '..';
import { CommonName, GRADE } from '../../text/names';

interface TaxonRowProps {
  readonly taxon: CompiledTaxon;
  /** Another name of it that was looked for. */
  readonly name?: string | undefined;
  readonly onChoose: (taxon: CompiledTaxon) => void;
}

/** A taxon to choose, with the harm it can do. */
export function TaxonRow({ taxon, name, onChoose }: TaxonRowProps) {
  return (
    <View role="listitem">
      <Pressable role="button" onPress={() => onChoose(taxon)} style={styles.line}>
        <Strong style={styles.grow}>
          {CommonName(taxon.id)}
          {name ? <Small soft> {name}</Small> : null}
        </Strong>
        {taxon.grade === 'none' ? null : <SmallStrong>{GRADE[taxon.grade]}</SmallStrong>}
      </Pressable>
      <Rule />
    </View>
  );
}

const styles = StyleSheet.create({
  line: { minHeight: TARGET, flexDirection: 'row', alignItems: 'center', gap: space.m },
  grow: { flex: 1 },
});
