import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Body, Button, Field, Notice, Screen, space, Title } from '../../components';
import { useAct } from '../../notebook/store';
import { EMAIL, SHORTEST_PASSWORD } from '../../text/groups';
import { askForPassword, setPassword } from './account';
import { LetterSent } from './LetterSent';

/** A new password for somebody who forgot theirs: asked for by address, and set by the link of the letter. */
export function PasswordScreen() {
  const { token } = useLocalSearchParams<{ token?: string }>();
  return <Screen>{token ? <Choose token={token} /> : <Ask />}</Screen>;
}

function Ask() {
  const act = useAct();
  const router = useRouter();
  const [email, setEmail] = useState('');
  const [wrong, setWrong] = useState<string | undefined>();
  const [sent, setSent] = useState(false);
  const ask = async () => {
    if (!EMAIL.value.test(email)) {
      setWrong(EMAIL.message);
      return;
    }
    const outcome = await act(askForPassword(email.trim()));
    setWrong(outcome.ok ? undefined : `E-mail address: ${outcome.title}`);
    setSent(outcome.ok);
  };
  if (sent)
    return (
      <LetterSent
        to={`${email.trim()}, if an account has that address`}
        then="Its link lets you choose a new password; it is good for one hour."
        onBack={() => router.replace('/sign-in')}
      />
    );
  return (
    <View style={styles.block}>
      <Title>A new password</Title>
      <Body>
        We send a letter with a link to the address of your account. Until you use it, the old password holds.
      </Body>
      <Field
        label="E-mail address"
        value={email}
        onChangeText={setEmail}
        maxLength={200}
        inputMode="email"
        autoCapitalize="none"
        autoComplete="email"
        wrong={wrong}
        onSubmitEditing={() => void ask()}
      />
      <Button label="Send the letter" onPress={() => void ask()} />
    </View>
  );
}

function Choose({ token }: { readonly token: string }) {
  const act = useAct();
  const router = useRouter();
  const [password, setWritten] = useState('');
  const [wrong, setWrong] = useState<string | undefined>();
  const [done, setDone] = useState(false);
  const [stale, setStale] = useState(false);
  const choose = async () => {
    if (password.length < SHORTEST_PASSWORD) {
      setWrong(`Password: at least ${SHORTEST_PASSWORD} characters`);
      return;
    }
    const outcome = await act(setPassword(token, password));
    setWrong(
      outcome.ok ? undefined : outcome.field === undefined ? outcome.title : `Password: ${outcome.title}`,
    );
    setStale(!outcome.ok && outcome.status === 400);
    setDone(outcome.ok);
  };
  if (done)
    return (
      <Notice
        whole
        title="The new password holds"
        text="You are signed out on every device. Sign in with the new password."
        action="Sign in"
        onAction={() => router.replace('/sign-in')}
      />
    );
  return (
    <View style={styles.block}>
      <Title>Choose a new password</Title>
      <Field
        label="New password"
        hint={`At least ${SHORTEST_PASSWORD} characters; a sentence is good`}
        value={password}
        onChangeText={setWritten}
        maxLength={200}
        secureTextEntry
        autoComplete="new-password"
        wrong={wrong}
        onSubmitEditing={() => void choose()}
      />
      {stale ? (
        <Button label="Ask for another letter" onPress={() => router.replace('/reset')} />
      ) : (
        <Button label="Keep this password" onPress={() => void choose()} />
      )}
    </View>
  );
}

const styles = StyleSheet.create({ block: { gap: space.m, maxWidth: 560 } });
