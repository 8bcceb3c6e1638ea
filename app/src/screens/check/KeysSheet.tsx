import { StyleSheet, View } from 'react-native';
import { Body, Button, colour, Heading, space, Strong, stroke, Row } from '../../components';
import { t } from '../../text/en/check';

const KEYS: readonly (readonly [key: string, does: string])[] = [
  [t.n1To9, t.theAnswerWithThatNumber],
  ['S  F  G', t.keySureness],
  ['T', t.keySeveral],
  ['U', t.keyCantTell],
  ['N', t.skipToTheNext],
  ['Z', t.takeBackTheLastAnswer],
  ['H', t.keyHowToLook],
  ['?', t.thisSheet],
];

/** What the keys do. */
export function KeysSheet({ onClose }: { readonly onClose: () => void }) {
  return (
    <View style={styles.sheet} role="dialog" aria-label={t.keys}>
      <Heading>{t.keys}</Heading>
      {KEYS.map(([key, does]) => (
        <Row gap="m" key={key}>
          <Strong style={styles.key}>{key}</Strong>
          <Body>{does}</Body>
        </Row>
      ))}
      <Button label={t.close} tone="outline" style={styles.close} onPress={onClose} />
    </View>
  );
}

const styles = StyleSheet.create({
  sheet: {
    borderWidth: stroke.medium,
    borderColor: colour.ink,
    backgroundColor: colour.card,
    padding: space.l,
    gap: space.xs,
  },
  key: { width: 72 },
  close: { alignSelf: 'flex-start', marginTop: space.s },
});
