import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Body, Button, space, Title } from '../../components';
import { useApp } from '../../notebook/store';
import { t } from '../../text/en/people';

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
      <Title>{t.lookIntoYourMail}</Title>
      <Body>{t.aLetterIsOnIts(to, then)}</Body>
      <Body soft>{simulated ? t.inThisDemoNothingIs : t.ifNothingComesWithinSome}</Body>
      {simulated ? (
        <Button label={t.openTheSimulatedMailbox} onPress={() => router.push('/mailbox')} />
      ) : null}
      <Button label={t.backToSigningIn} tone="plain" style={styles.start} onPress={onBack} />
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.m, maxWidth: 560 },
  start: { alignSelf: 'flex-start' },
});
