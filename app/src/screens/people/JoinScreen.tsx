import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { Body, Button, Field, Screen, space, Title, useWide } from '../../components';
import { useAct, useApp } from '../../notebook/store';
import { t } from '../../text/en/people';
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
      setWrong(t.codeTenLettersAndFigures);
      return;
    }
    const outcome = await act(joinByCode(code));
    const group = Joined.safeParse(outcome.ok ? outcome.answer : undefined).data;
    if (group) router.replace({ pathname: '/group/[id]', params: { id: group.id } });
    else setWrong(outcome.ok ? undefined : t.code(outcome.title));
  };
  return (
    <Screen>
      <View style={wide ? styles.narrow : styles.all}>
        <Title>{t.joinAGroup}</Title>
        <Body>{t.aKeeperOfTheGroupShows}</Body>
        {account ? (
          <>
            <Field
              label={t.codeField}
              value={code}
              onChangeText={setCode}
              autoCapitalize="characters"
              autoCorrect={false}
              maxLength={40}
              placeholder={t.abcdeFghjk}
              wrong={wrong}
              onSubmitEditing={() => void join()}
            />
            <Button label={t.join} onPress={() => void join()} />
          </>
        ) : (
          <>
            <Body>{t.signInFirstOrMake}</Body>
            <Button label={t.signIn} onPress={() => router.push('/sign-in')} />
          </>
        )}
      </View>
    </Screen>
  );
}

const styles = StyleSheet.create({ all: { gap: space.m }, narrow: { gap: space.m, maxWidth: 560 } });
