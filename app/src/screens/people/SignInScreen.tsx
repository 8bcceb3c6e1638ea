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
import { t } from '../../text/en/people';
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
          title={t.thisIsSNotebook(person.name)}
          text={t.whoeverElseWantsToUse}
          action={t.notebookAndPeople}
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
          then={t.openTheLinkInIt}
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
        <Title>{t.oneNotebookOnEveryDevice}</Title>
        <Body>{t.withoutAnAccountEverythingWorks}</Body>
        {demoOffered ? <DemoDoor onOpen={() => router.replace('/')} /> : null}
        <ChipRow label={t.account}>
          <Chip label={t.iHaveAnAccount} chosen={!isNew} onPress={() => setNew(false)} />
          <Chip label={t.iAmNewHere} chosen={isNew} onPress={() => setNew(true)} />
        </ChipRow>
        {isNew ? (
          <Controller
            control={control}
            name="name"
            rules={{
              validate: (text) => (text.trim() === '' ? t.nameHowOthersOfA : true),
            }}
            render={({ field }) => (
              <Field
                label={t.name}
                hint={t.asOthersOfAGroup}
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
          rules={{ pattern: EMAIL, required: t.eMailAddressItIs }}
          render={({ field }) => (
            <Field
              label={t.eMailAddressField}
              hint={mailed ? t.aLetterGoesToIt : t.nothingIsEverSentTo}
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
                ? t.passwordProblem(isNew ? t.atLeastCharacters(SHORTEST_PASSWORD) : t.itIsMissing)
                : true,
          }}
          render={({ field }) => (
            <Field
              label={t.passwordField}
              {...(isNew ? { hint: t.atLeastCharactersASentence(SHORTEST_PASSWORD) } : {})}
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
          label={isNew ? t.makeTheAccount : t.signIn}
          disabled={isSubmitting}
          onPress={() => void send()}
        />
        {mailed && !isNew ? (
          <Button
            label={t.iForgotThePassword}
            tone="plain"
            style={styles.start}
            onPress={() => router.push('/reset')}
          />
        ) : null}
        {here > 0 && !person?.account ? <Small soft>{t.theFindsOnThisDevice(here)}</Small> : null}
        <Button
          label={t.goOnWithoutAnAccount}
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
