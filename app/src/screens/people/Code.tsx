import { StyleSheet, View } from 'react-native';
import { Body, colour, corner, Small, space, stroke, Title } from '../../components';
import { latePart } from '../../components/latePart';
import { t } from '../../text/en/people';

const Square = latePart(() => import('../later').then((m) => m.Square));

/** A code to be read out, and as a square (QR) that leads to joining by it. */
export function Code({ code, address }: { readonly code: string; readonly address: string }) {
  return (
    <View style={styles.code}>
      <View style={styles.square}>
        <Square text={address} size={190} label={t.aSquareThatLeadsAnother} />
      </View>
      <View style={styles.words}>
        <Small soft>{t.readItOutOrLet}</Small>
        <Title aria-level={3}>{code}</Title>
        <Body>{t.itLetsOnePersonIn}</Body>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  code: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    gap: space.l,
    alignItems: 'center',
    padding: space.m,
    backgroundColor: colour.card,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    borderRadius: corner,
  },
  square: { backgroundColor: '#FFFFFF' },
  words: { flexShrink: 1, minWidth: 150, flexBasis: 150, flexGrow: 1, gap: space.xs },
});
