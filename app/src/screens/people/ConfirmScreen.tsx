import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { Body, Button, Notice, Screen, SmallStrong, space, Title } from '../../components';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/people';
import { confirmAddress } from './account';

const Confirmed = z.object({ signedIn: z.boolean() });

/** Where the link of a letter leads that confirms an e-mail address. */
export function ConfirmScreen() {
  const { token } = useLocalSearchParams<{ token?: string }>();
  const act = useAct();
  const router = useRouter();
  const [wrong, setWrong] = useState<string | undefined>();
  const [busy, setBusy] = useState(false);
  const [before, setBefore] = useState(false);
  const confirm = async () => {
    setBusy(true);
    const outcome = await act(confirmAddress(token ?? ''));
    setBusy(false);
    setWrong(outcome.ok ? undefined : outcome.title);
    const confirmed = Confirmed.safeParse(outcome.ok ? outcome.answer : undefined).data;
    if (confirmed?.signedIn === true) router.replace('/');
    else setBefore(confirmed !== undefined);
  };
  if (before)
    return (
      <Screen>
        <Notice
          whole
          title={t.itIsConfirmedAlready}
          text={t.signInWithYourPassword}
          action={t.signIn}
          onAction={() => router.replace('/sign-in')}
        />
      </Screen>
    );
  return (
    <Screen>
      <View style={styles.block}>
        <Title>{t.confirmYourEMailAddress}</Title>
        <Body>{t.didYouMakeTheAccount}</Body>
        {wrong ? <SmallStrong role="alert">{wrong}</SmallStrong> : null}
        <Button label={t.itWasMeConfirm} disabled={busy} onPress={() => void confirm()} />
        <Button label={t.itWasNotMe} tone="plain" style={styles.start} onPress={() => router.replace('/')} />
      </View>
    </Screen>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.m, maxWidth: 560 },
  start: { alignSelf: 'flex-start' },
});
