import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { CARD, rulerFromCard } from '@pause/core/measuring/ruler';
import { Body, Button, colour, Screen, Slide, Small, space, Strong, stroke, Title } from '../../components';
import { look } from '../../notebook/look';
import { useAct, useApp } from '../../notebook/store';

const USUAL = 4;

/** A card of known size is laid on the screen, and a frame drawn up to its edge. */
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
          <Button label="It fits" disabled={!ruler} onPress={save} style={styles.fits} />
        </View>
      }
    >
      <Title>Lay a card here</Title>
      <Body soft>
        A bank, library or travel card: {CARD.width} mm long. Put its short edge on the thick line and draw
        the other line up to its end.
      </Body>
      <View
        style={[styles.card, { height: long, width: Math.min(320, (long * CARD.height) / CARD.width) }]}
        role="img"
        aria-label="The frame of the card"
      >
        <Small soft style={styles.name}>
          long side down the screen
        </Small>
      </View>
      <Slide label="Length of the frame" value={long} least={200} most={1100} onChange={setLong} />
      {ruler ? (
        <Small soft>One millimetre is {ruler.pixelsPerMillimetre.toFixed(2)} pixels of this screen.</Small>
      ) : (
        <Strong role="alert">No screen is like that. Was it a card of {CARD.width} mm?</Strong>
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
