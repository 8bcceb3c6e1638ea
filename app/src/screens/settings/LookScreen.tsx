import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Body, Button, Chip, ChipRow, Heading, Screen, Small, space, Title } from '../../components';
import { look, type LookSettings } from '../../notebook/look';
import { useAct, useApp } from '../../notebook/store';
import { t } from '../../text/en/settings';

const SIZES: readonly { readonly text: LookSettings['text']; readonly label: string }[] = [
  { text: 1, label: t.asUsual },
  { text: 1.25, label: t.larger },
  { text: 1.5, label: t.large },
  { text: 2, label: t.twice },
];

/** How Pause looks on this device: for dusk, for weak eyes, for the other hand. */
export function LookScreen() {
  const act = useAct();
  const router = useRouter();
  const now = useApp((state) => state.look);
  const set = (change: Partial<LookSettings>) => act(look.actions.lookSet(change));
  return (
    <Screen>
      <Title>{t.howItLooksHere}</Title>
      <View style={styles.ask}>
        <Heading>{t.light}</Heading>
        <Body soft>{t.dimKeepsYourEyesUsed}</Body>
        <ChipRow label={t.light}>
          <Chip label={t.byDay} chosen={now.theme === 'day'} onPress={() => set({ theme: 'day' })} />
          <Chip label={t.dimForDusk} chosen={now.theme === 'dim'} onPress={() => set({ theme: 'dim' })} />
        </ChipRow>
      </View>
      <View style={styles.ask}>
        <Heading>{t.sizeOfTheText}</Heading>
        <ChipRow label={t.sizeOfTheText}>
          {SIZES.map(({ text, label }) => (
            <Chip key={text} label={label} chosen={now.text === text} onPress={() => set({ text })} />
          ))}
        </ChipRow>
      </View>
      <View style={styles.ask}>
        <Heading>{t.theHandThatHoldsThe}</Heading>
        <ChipRow label={t.theHandThatHoldsThe}>
          <Chip label={t.right} chosen={now.hand === 'right'} onPress={() => set({ hand: 'right' })} />
          <Chip label={t.left} chosen={now.hand === 'left'} onPress={() => set({ hand: 'left' })} />
        </ChipRow>
      </View>
      <View style={styles.ask}>
        <Heading>{t.whoGathersWithIt}</Heading>
        <Body soft>{t.aChildGathersWithAn}</Body>
        <ChipRow label={t.whoGathersWithIt}>
          <Chip label={t.anAdult} chosen={!now.child} onPress={() => set({ child: false })} />
          <Chip label={t.aChild} chosen={now.child} onPress={() => set({ child: true })} />
        </ChipRow>
      </View>
      <View style={styles.ask}>
        <Heading>{t.rulerOnTheScreen}</Heading>
        <Body soft>{now.pixelsPerMillimetre === undefined ? t.notSetYetLayA : t.setForThisScreenSet}</Body>
        <Button
          label={now.pixelsPerMillimetre === undefined ? t.setItWithACard : t.setItAgain}
          tone="outline"
          style={styles.start}
          onPress={() => router.push('/ruler')}
        />
      </View>
      <Small soft>{t.keptOnThisDeviceOnly}</Small>
    </Screen>
  );
}

const styles = StyleSheet.create({
  ask: { gap: space.s, marginTop: space.m },
  start: { alignSelf: 'flex-start' },
});
