import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Body, Button, Chip, ChipRow, Heading, Screen, Small, space, Title } from '../../components';
import { look, type LookSettings } from '../../notebook/look';
import { useAct, useApp } from '../../notebook/store';

const SIZES: readonly { readonly text: LookSettings['text']; readonly label: string }[] = [
  { text: 1, label: 'As usual' },
  { text: 1.25, label: 'Larger' },
  { text: 1.5, label: 'Large' },
  { text: 2, label: 'Twice' },
];

/** How Pause looks on this device: for dusk, for weak eyes, for the other hand. */
export function LookScreen() {
  const act = useAct();
  const router = useRouter();
  const now = useApp((state) => state.look);
  const set = (change: Partial<LookSettings>) => act(look.actions.lookSet(change));
  return (
    <Screen>
      <Title>How it looks here</Title>
      <View style={styles.ask}>
        <Heading>Light</Heading>
        <Body soft>
          Dim keeps your eyes used to the dusk. Colours are judged by daylight, whatever the screen looks
          like.
        </Body>
        <ChipRow label="Light">
          <Chip label="By day" chosen={now.theme === 'day'} onPress={() => set({ theme: 'day' })} />
          <Chip label="Dim, for dusk" chosen={now.theme === 'dim'} onPress={() => set({ theme: 'dim' })} />
        </ChipRow>
      </View>
      <View style={styles.ask}>
        <Heading>Size of the text</Heading>
        <ChipRow label="Size of the text">
          {SIZES.map(({ text, label }) => (
            <Chip key={text} label={label} chosen={now.text === text} onPress={() => set({ text })} />
          ))}
        </ChipRow>
      </View>
      <View style={styles.ask}>
        <Heading>The hand that holds the phone</Heading>
        <ChipRow label="The hand that holds the phone">
          <Chip label="Right" chosen={now.hand === 'right'} onPress={() => set({ hand: 'right' })} />
          <Chip label="Left" chosen={now.hand === 'left'} onPress={() => set({ hand: 'left' })} />
        </ChipRow>
      </View>
      <View style={styles.ask}>
        <Heading>Who gathers with it</Heading>
        <Body soft>A child gathers with an adult: then collecting waits for an adult’s word.</Body>
        <ChipRow label="Who gathers with it">
          <Chip label="An adult" chosen={!now.child} onPress={() => set({ child: false })} />
          <Chip label="A child" chosen={now.child} onPress={() => set({ child: true })} />
        </ChipRow>
      </View>
      <View style={styles.ask}>
        <Heading>Ruler on the screen</Heading>
        <Body soft>
          {now.pixelsPerMillimetre === undefined
            ? 'Not set yet. Lay a bank or library card on the screen once; then it can measure.'
            : 'Set for this screen. Set it again after changing the zoom of the browser.'}
        </Body>
        <Button
          label={now.pixelsPerMillimetre === undefined ? 'Set it with a card' : 'Set it again'}
          tone="outline"
          style={styles.start}
          onPress={() => router.push('/ruler')}
        />
      </View>
      <Small soft>Kept on this device only.</Small>
    </Screen>
  );
}

const styles = StyleSheet.create({
  ask: { gap: space.s, marginTop: space.m },
  start: { alignSelf: 'flex-start' },
});
