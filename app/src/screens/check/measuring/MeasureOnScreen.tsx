import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { lengthOnScreen, type Length } from '@pause/core/measuring/ruler';
import { Body, Button, colour, Slide, Small, Strong, stroke, Stack } from '../../../components';
import { useApp } from '../../../notebook/store';
import { t } from '../../../text/en/onScreen';

/** A ruler along the screen: the thing is held to the glass, and a line drawn up to its end. */
export function MeasureOnScreen({ onLength }: { readonly onLength: (length: Length) => void }) {
  const router = useRouter();
  const pixelsPerMillimetre = useApp((state) => state.look.pixelsPerMillimetre);
  const { height } = useWindowDimensions();
  const [long, setLong] = useState(120);
  if (pixelsPerMillimetre === undefined) {
    return (
      <Stack gap="m">
        <Body soft>{t.theSizeOfThisScreen}</Body>
        <Button label={t.setTheRulerWithA} tone="outline" onPress={() => router.push('/ruler')} />
      </Stack>
    );
  }
  const most = Math.max(200, Math.min(height - 260, 640));
  const length = lengthOnScreen(long, { pixelsPerMillimetre });
  const ticks = Array.from({ length: Math.floor(most / pixelsPerMillimetre) + 1 }, (_, mm) => mm);
  return (
    <Stack gap="m">
      <Body soft>{t.holdItToTheGlass}</Body>
      <View
        style={[styles.scale, { height: most }]}
        role="img"
        aria-label={t.aRulerOfMillimetres(Math.floor(most / pixelsPerMillimetre))}
      >
        {ticks.map((mm) => (
          <View
            key={mm}
            style={[
              styles.tick,
              { top: mm * pixelsPerMillimetre, width: mm % 10 === 0 ? 34 : mm % 5 === 0 ? 22 : 12 },
            ]}
          />
        ))}
        {ticks
          .filter((mm) => mm % 10 === 0 && mm > 0)
          .map((mm) => (
            <Small key={`n${mm}`} style={[styles.number, { top: mm * pixelsPerMillimetre - 11 }]}>
              {mm / 10}
            </Small>
          ))}
        <View style={[styles.end, { top: long }]} />
      </View>
      <Slide label={t.whereItEnds} value={long} least={1} most={most} onChange={setLong} />
      <Strong>
        {t.lengthWithError(Math.round(length.millimetres), Math.max(1, Math.ceil(length.error)))}
      </Strong>
      <Button label={t.recordIt} onPress={() => onLength(length)} />
    </Stack>
  );
}

const styles = StyleSheet.create({
  scale: {
    borderTopWidth: stroke.thick + 2,
    borderTopColor: colour.ink,
    backgroundColor: colour.card,
    borderLeftWidth: stroke.thin,
    borderLeftColor: colour.ink,
    overflow: 'hidden',
  },
  tick: { position: 'absolute', left: 0, height: 1, backgroundColor: colour.ink },
  number: { position: 'absolute', left: 40 },
  end: { position: 'absolute', left: 0, right: 0, height: stroke.thick, backgroundColor: colour.collect },
});
