import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { CARD, rulerFromCard } from '@pause/core/measuring/ruler';
import { Body, Button, colour, Screen, Slide, Small, space, Strong, stroke, Title } from '../../components';
import { look } from '../../notebook/look';
import { useAct, useApp } from '../../notebook/store';
import { t } from '../../text/en/ruler';

const USUAL = 4;

/** A card of known size is held to the screen, and a frame drawn up to its edge. */
export function RulerScreen() {
  const act = useAct();
  const router = useRouter();
  const [long, setLong] = useState(CARD.width * useApp((state) => state.look.pixelsPerMillimetre ?? USUAL));
  const ruler = rulerFromCard(long);
  const save = () => {
    if (!ruler) return;
    act(look.actions.lookSet({ pixelsPerMillimetre: ruler.pixelsPerMillimetre }));
    if (router.canGoBack()) router.back();
    else router.replace('/look');
  };
  return (
    <Screen
      strip={
        <View style={styles.strip}>
          <Button label={t.itFits} disabled={!ruler} onPress={save} style={styles.fits} />
        </View>
      }
    >
      <Title>{t.layACardHere}</Title>
      <Body soft>{t.aBankLibraryOrTravel(CARD.width)}</Body>
      <View
        style={[styles.card, { height: long, width: Math.min(320, (long * CARD.height) / CARD.width) }]}
        role="img"
        aria-label={t.theFrameOfTheCard}
      >
        <Small soft style={styles.name}>
          {t.longSideDownTheScreen}
        </Small>
      </View>
      <Slide label={t.lengthOfTheFrame} value={long} least={200} most={1100} onChange={setLong} />
      {ruler ? (
        <Small soft>{t.oneMillimetreIsPixelsOf(ruler.pixelsPerMillimetre.toFixed(2))}</Small>
      ) : (
        <Strong role="alert">{t.noScreenIsLikeThat(CARD.width)}</Strong>
      )}
    </Screen>
  );
}

const styles = StyleSheet.create({
  card: {
    borderTopWidth: stroke.thick + 2,
    borderBottomWidth: stroke.thick,
    borderLeftWidth: 1,
    borderRightWidth: 1,
    borderColor: colour.ink,
    backgroundColor: colour.card,
    alignItems: 'center',
    justifyContent: 'center',
  },
  name: { transform: [{ rotate: '90deg' }] },
  strip: {
    padding: space.m,
    paddingHorizontal: space.l,
    borderTopWidth: stroke.thick,
    borderTopColor: colour.ink,
  },
  fits: { minHeight: 56 },
});
