import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  Field,
  Notice,
  Screen,
  Small,
  SmallStrong,
  space,
  Title,
  useWide,
} from '../../components';
import { useAct, useApp } from '../../notebook/store';
import { EMAIL, SHORTEST_PASSWORD } from '../../text/groups';
import { signIn, signUp, type Outcome } from './account';
import { DemoDoor } from './DemoDoor';
import { LetterSent } from './LetterSent';

interface Form {
  readonly name: string;
  readonly email: string;
  readonly password: string;
}

/** One notebook on several devices, and with others. */
export function SignInScreen() {
  const act = useAct();
  const router = useRouter();
  const wide = useWide();
  const { person, demoOffered, signedOut, letters } = useApp((state) => state.me);
  const here = useApp((state) => state.outbox.waiting.filter((entry) => entry.kind === 'finds').length);
  const [isNew, setNew] = useState(false);
  const [wrong, setWrong] = useState<string | undefined>();
  const [writtenTo, setWrittenTo] = useState<string | undefined>();
  const mailed = letters === 'smtp' || letters === 'mailbox';
  const {
    control,
    handleSubmit,
    formState: { errors, isSubmitting },
  } = useForm<Form>({ defaultValues: { name: '', email: '', password: '' } });
  const done = (outcome: Outcome) => {
    if (outcome.ok) router.replace('/');
    else setWrong(outcome.title);
  };
  const send = handleSubmit(async ({ name, email, password }) => {
    setWrong(undefined);
    const outcome = await act(
      isNew ? signUp(name.trim(), email.trim(), password) : signIn(email.trim(), password),
    );
    if (isNew && outcome.ok && mailed) setWrittenTo(email.trim());
    else done(outcome);
  });
  if (person?.account && !signedOut) {
    return (
      <Screen>
        <Notice
          whole
          title={`This is ${person.name}’s notebook`}
          text="Whoever else wants to use this device signs out first."
          action="Notebook and people"
          onAction={() => router.replace('/notebook')}
        />
      </Screen>
    );
  }
  if (writtenTo !== undefined)
    return (
      <Screen>
        <LetterSent
          to={writtenTo}
          then="Open the link in it to confirm the address; then you are signed in. Signing in sends the letter again."
          onBack={() => {
            setWrittenTo(undefined);
            setNew(false);
          }}
        />
      </Screen>
    );
  return (
    <Screen>
      <View style={wide ? styles.narrow : styles.all}>
        <Title>One notebook, on every device</Title>
        <Body>
          Without an account everything works, on this device alone. With one it is kept at the server too,
          and you can share a notebook with a group.
        </Body>
        {demoOffered ? <DemoDoor onOpen={() => router.replace('/')} /> : null}
        <ChipRow label="Account">
          <Chip label="I have an account" chosen={!isNew} onPress={() => setNew(false)} />
          <Chip label="I am new here" chosen={isNew} onPress={() => setNew(true)} />
        </ChipRow>
        {isNew ? (
          <Controller
            control={control}
            name="name"
            rules={{
              validate: (text) => (text.trim() === '' ? 'Name: how others of a group will see you' : true),
            }}
            render={({ field }) => (
              <Field
                label="Name"
                hint="As others of a group will see you"
                value={field.value}
                onChangeText={field.onChange}
                onBlur={field.onBlur}
                maxLength={80}
                autoComplete="name"
                wrong={errors.name?.message}
              />
            )}
          />
        ) : null}
        <Controller
          control={control}
          name="email"
          rules={{ pattern: EMAIL, required: 'E-mail address: it is missing' }}
          render={({ field }) => (
            <Field
              label="E-mail address"
              hint={
                mailed
                  ? 'A letter goes to it to confirm it, or when you need a new password'
                  : 'Nothing is ever sent to it'
              }
              value={field.value}
              onChangeText={field.onChange}
              onBlur={field.onBlur}
              maxLength={200}
              inputMode="email"
              autoCapitalize="none"
              autoComplete="email"
              wrong={errors.email?.message}
            />
          )}
        />
        <Controller
          control={control}
          name="password"
          rules={{
            validate: (text) =>
              text.length < (isNew ? SHORTEST_PASSWORD : 1)
                ? `Password: ${isNew ? `at least ${SHORTEST_PASSWORD} characters` : 'it is missing'}`
                : true,
          }}
          render={({ field }) => (
            <Field
              label="Password"
              {...(isNew ? { hint: `At least ${SHORTEST_PASSWORD} characters; a sentence is good` } : {})}
              value={field.value}
              onChangeText={field.onChange}
              onBlur={field.onBlur}
              maxLength={200}
              secureTextEntry
              autoComplete={isNew ? 'new-password' : 'current-password'}
              wrong={errors.password?.message}
              onSubmitEditing={() => void send()}
            />
          )}
        />
        {wrong ? <SmallStrong role="alert">{wrong}</SmallStrong> : null}
        <Button
          label={isNew ? 'Make the account' : 'Sign in'}
          disabled={isSubmitting}
          onPress={() => void send()}
        />
        {mailed && !isNew ? (
          <Button
            label="I forgot the password"
            tone="plain"
            style={styles.start}
            onPress={() => router.push('/reset')}
          />
        ) : null}
        {here > 0 && !person?.account ? (
          <Small soft>
            {here === 1 ? 'The find' : `The ${here} finds`} on this device will be in your notebook then.
          </Small>
        ) : null}
        <Button
          label="Go on without an account"
          tone="plain"
          style={styles.start}
          onPress={() => router.replace('/')}
        />
      </View>
    </Screen>
  );
}

const styles = StyleSheet.create({
  all: { gap: space.m },
  narrow: { gap: space.m, maxWidth: 560 },
  start: { alignSelf: 'flex-start' },
});
