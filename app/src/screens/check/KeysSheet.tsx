import { StyleSheet, View } from 'react-native';
import { Body, Button, colour, Heading, space, Strong, stroke } from '../../components';

const KEYS: readonly (readonly [key: string, does: string])[] = [
  ['1 to 9', 'the answer with that number'],
  ['U', 'can’t see it'],
  ['N', 'skip to the next'],
  ['Z', 'take back the last answer'],
  ['H', 'how to look'],
  ['?', 'this sheet'],
];

/** What the keys do. */
export function KeysSheet({ onClose }: { readonly onClose: () => void }) {
  return (
    <View style={styles.sheet} role="dialog" aria-label="Keys">
      <Heading>Keys</Heading>
      {KEYS.map(([key, does]) => (
        <View key={key} style={styles.line}>
          <Strong style={styles.key}>{key}</Strong>
          <Body>{does}</Body>
        </View>
      ))}
      <Button label="Close" tone="outline" style={styles.close} onPress={onClose} />
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
  line: { flexDirection: 'row', gap: space.m },
  key: { width: 72 },
  close: { alignSelf: 'flex-start', marginTop: space.s },
});
