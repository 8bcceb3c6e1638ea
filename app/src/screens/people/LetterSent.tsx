import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Body, Button, space, Title } from '../../components';
import { useApp } from '../../notebook/store';

interface LetterSentProps {
  readonly to: string;
  /** What to do with it. */
  readonly then: string;
  readonly onBack: () => void;
}

/** A letter is on its way. In the demo it lies in the simulated mailbox. */
export function LetterSent({ to, then, onBack }: LetterSentProps) {
  const router = useRouter();
  const simulated = useApp((state) => state.me.letters === 'mailbox');
  return (
    <View style={styles.block} role="status">
      <Title>Look into your mail</Title>
      <Body>
        A letter is on its way to {to}. {then}
      </Body>
      <Body soft>
        {simulated
          ? 'In this demo nothing is really sent: the letter lies in a simulated mailbox.'
          : 'If nothing comes within some minutes, look among what your mail program took for unwanted.'}
      </Body>
      {simulated ? (
        <Button label="Open the simulated mailbox" onPress={() => router.push('/mailbox')} />
      ) : null}
      <Button label="Back to signing in" tone="plain" style={styles.start} onPress={onBack} />
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.m, maxWidth: 560 },
  start: { alignSelf: 'flex-start' },
});
