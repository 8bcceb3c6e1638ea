import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Body, Button, Field, Notice, Screen, space, Title } from '../../components';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/people';
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
    setWrong(outcome.ok ? undefined : t.eMailAddress(outcome.title));
    setSent(outcome.ok);
  };
  if (sent)
    return (
      <LetterSent
        to={t.ifAnAccountHasThat(email.trim())}
        then={t.itsLinkLetsYouChoose}
        onBack={() => router.replace('/sign-in')}
      />
    );
  return (
    <View style={styles.block}>
      <Title>{t.aNewPassword}</Title>
      <Body>{t.weSendALetterWith}</Body>
      <Field
        label={t.eMailAddressField}
        value={email}
        onChangeText={setEmail}
        maxLength={200}
        inputMode="email"
        autoCapitalize="none"
        autoComplete="email"
        wrong={wrong}
        onSubmitEditing={() => void ask()}
      />
      <Button label={t.sendTheLetter} onPress={() => void ask()} />
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
      setWrong(t.passwordAtLeastCharacters(SHORTEST_PASSWORD));
      return;
    }
    const outcome = await act(setPassword(token, password));
    setWrong(
      outcome.ok ? undefined : outcome.field === undefined ? outcome.title : t.password(outcome.title),
    );
    setStale(!outcome.ok && outcome.status === 400);
    setDone(outcome.ok);
  };
  if (done)
    return (
      <Notice
        whole
        title={t.theNewPasswordHolds}
        text={t.youAreSignedOutOn}
        action={t.signIn}
        onAction={() => router.replace('/sign-in')}
      />
    );
  return (
    <View style={styles.block}>
      <Title>{t.chooseANewPassword}</Title>
      <Field
        label={t.newPassword}
        hint={t.atLeastCharactersASentence(SHORTEST_PASSWORD)}
        value={password}
        onChangeText={setWritten}
        maxLength={200}
        secureTextEntry
        autoComplete="new-password"
        wrong={wrong}
        onSubmitEditing={() => void choose()}
      />
      {stale ? (
        <Button label={t.askForAnotherLetter} onPress={() => router.replace('/reset')} />
      ) : (
        <Button label={t.keepThisPassword} onPress={() => void choose()} />
      )}
    </View>
  );
}

const styles = StyleSheet.create({ block: { gap: space.m, maxWidth: 560 } });
