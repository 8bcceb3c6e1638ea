import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { Body, colour, space, Strong } from '..';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/components';
import { listed } from '../../text/messages';
import { sharingName } from './search';

/** A caution where the name that was typed means two taxa: people have died of that. */
export function SharedName({ text }: { readonly text: string }) {
  const shared = useMemo(() => sharingName(guide, text), [text]);
  if (shared.length === 0) return null;
  return (
    <View role="alert" style={styles.caution}>
      <Strong>{t.isANameOfOf(text.trim(), shared.length === 2 ? t.two : t.several)}</Strong>
      <Body>{t.onlyTheScientificNameTells(listed(shared.map(({ taxon }) => taxon.scientificName)))}</Body>
    </View>
  );
}

const styles = StyleSheet.create({
  caution: { gap: space.xs, borderLeftWidth: 5, borderLeftColor: colour.ink, paddingLeft: space.m },
});
