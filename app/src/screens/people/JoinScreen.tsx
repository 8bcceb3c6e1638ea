import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { Body, Button, Field, Screen, space, Title, useWide } from '../../components';
import { useAct, useApp } from '../../notebook/store';
import { joinByCode } from './account';

const Joined = z.looseObject({ id: z.string() });

/** Into a group by a code that its keeper showed. */
export function JoinScreen() {
  const { code: given } = useLocalSearchParams<{ code?: string }>();
  const act = useAct();
  const router = useRouter();
  const wide = useWide();
  const account = useApp((state) => state.me.person?.account === true && state.me.signedOut !== true);
  const [code, setCode] = useState(given ?? '');
  const [wrong, setWrong] = useState<string | undefined>();
  const join = async () => {
    if (code.trim().length < 4) {
      setWrong('Code: ten letters and figures, as the keeper shows them');
      return;
    }
    const outcome = await act(joinByCode(code));
    const group = Joined.safeParse(outcome.ok ? outcome.said : undefined).data;
    if (group) router.replace({ pathname: '/group/[id]', params: { id: group.id } });
    else setWrong(outcome.ok ? undefined : `Code: ${outcome.title}`);
  };
  return (
    <Screen>
      <View style={wide ? styles.narrow : styles.all}>
        <Title>Join a group</Title>
        <Body>
          A keeper of the group shows you a code, or a square to photograph. It lets one person in, once.
        </Body>
        {account ? (
          <>
            <Field
              label="Code"
              value={code}
              onChangeText={setCode}
              autoCapitalize="characters"
              autoCorrect={false}
              maxLength={40}
              placeholder="ABCDE-FGHJK"
              wrong={wrong}
              onSubmitEditing={() => void join()}
            />
            <Button label="Join" onPress={() => void join()} />
          </>
        ) : (
          <>
            <Body>Sign in first, or make an account; then open this again.</Body>
            <Button label="Sign in" onPress={() => router.push('/sign-in')} />
          </>
        )}
      </View>
    </Screen>
  );
}

const styles = StyleSheet.create({ all: { gap: space.m }, narrow: { gap: space.m, maxWidth: 560 } });
