import { create } from 'qrcode';
import { StyleSheet, View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';
import { Body, colour, corner, Small, space, stroke, Title } from '../../ui';

const QUIET = 4;

/** A code to be read out, and as a square (QR) that leads to joining by it. */
export function Code({ code, address }: { readonly code: string; readonly address: string }) {
  const { modules } = create(address, { errorCorrectionLevel: 'M' });
  const side = modules.size + 2 * QUIET;
  const dark = Array.from({ length: modules.size * modules.size }, (_, at) => at).filter((at) => modules.data[at]);
  const path = dark.map((at) => `M${(at % modules.size) + QUIET} ${Math.floor(at / modules.size) + QUIET}h1v1h-1z`).join('');
  return (
    <View style={styles.code}>
      <View style={styles.square} role="img" aria-label="A square that leads another phone to this code">
        {/* Always dark on light: that is what cameras look for. */}
        <Svg width={190} height={190} viewBox={`0 0 ${side} ${side}`}>
          <Rect width={side} height={side} fill="#FFFFFF" />
          <Path d={path} fill="#14201B" />
        </Svg>
      </View>
      <View style={styles.words}>
        <Small soft>Read it out, or let them photograph the square</Small>
        <Title aria-level={3}>{code}</Title>
        <Body>It lets one person in, once, and is shown only now.</Body>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  code: { flexDirection: 'row', flexWrap: 'wrap', gap: space.l, alignItems: 'center', padding: space.m, backgroundColor: colour.card, borderWidth: stroke.thin, borderColor: colour.ink, borderRadius: corner },
  square: { backgroundColor: '#FFFFFF' },
  words: { flexShrink: 1, minWidth: 150, flexBasis: 150, flexGrow: 1, gap: space.xs },
});
