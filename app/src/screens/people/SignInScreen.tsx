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
import { signIn, signUp } from './account';
import { DemoDoor } from './DemoDoor';
import { LetterSent } from './LetterSent';

interface Form {
  readonly name: string;
  readonly email: string;
  readonly password: string;
}

/** One notebook on several devices, and with others. */
export function SignInScreen() {
  const router = useRouter();
  const { person, signedOut } = useApp((state) => state.me);
  const [isNew, setNew] = useState(false);
  const [writtenTo, setWrittenTo] = useState<string | undefined>();
  if (person?.account && !signedOut)
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
  return (
    <Screen>
      {writtenTo === undefined ? (
        <SignIn isNew={isNew} setNew={setNew} onWritten={setWrittenTo} />
      ) : (
        <LetterSent
          to={writtenTo}
          then={t.openTheLinkInIt}
          onBack={() => {
            setWrittenTo(undefined);
            setNew(false);
          }}
        />
      )}
    </Screen>
  );
}

interface SignInProps {
  /** Whether an account is made. */
  readonly isNew: boolean;
  readonly setNew: (isNew: boolean) => void;
  /** A letter went to this address. */
  readonly onWritten: (email: string) => void;
}

/** Signs in, or makes an account. */
function useSignIn({ isNew, onWritten }: Omit<SignInProps, 'setNew'>) {
  const act = useAct();
  const router = useRouter();
  const letters = useApp((state) => state.me.letters);
  const mailed = letters === 'smtp' || letters === 'mailbox';
  const [wrong, setWrong] = useState<string | undefined>();
  // The state of a form is a proxy: what is asked of it is asked by name.
  const {
    control,
    handleSubmit,
    formState: { errors, isSubmitting },
  } = useForm<Form>({ defaultValues: { name: '', email: '', password: '' } });
  const send = handleSubmit(async ({ name, email, password }) => {
    setWrong(undefined);
    const outcome = await act(
      isNew ? signUp(name.trim(), email.trim(), password) : signIn(email.trim(), password),
    );
    if (!outcome.ok) setWrong(outcome.title);
    else if (isNew && mailed) onWritten(email.trim());
    else router.replace('/');
  });
  return { control, errors, isSubmitting, wrong, mailed, send: () => void send() };
}

function SignIn({ isNew, setNew, onWritten }: SignInProps) {
  const router = useRouter();
  const wide = useWide();
  const { person, demoOffered } = useApp((state) => state.me);
  const here = useApp((state) => state.outbox.waiting.filter((entry) => entry.kind === 'finds').length);
  const form = useSignIn({ isNew, onWritten });
  return (
    <View style={wide ? styles.narrow : styles.all}>
      <Title>{t.oneNotebookOnEveryDevice}</Title>
      <Body>{t.withoutAnAccountEverythingWorks}</Body>
      {demoOffered ? <DemoDoor onOpen={() => router.replace('/')} /> : null}
      <ChipRow label={t.account}>
        <Chip label={t.iHaveAnAccount} chosen={!isNew} onPress={() => setNew(false)} />
        <Chip label={t.iAmNewHere} chosen={isNew} onPress={() => setNew(true)} />
      </ChipRow>
      <SignInFields isNew={isNew} form={form} />
      {form.wrong ? <SmallStrong role="alert">{form.wrong}</SmallStrong> : null}
      <Button label={isNew ? t.makeTheAccount : t.signIn} disabled={form.isSubmitting} onPress={form.send} />
      {form.mailed && !isNew ? (
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
  );
}

interface SignInFieldsProps {
  readonly isNew: boolean;
  readonly form: ReturnType<typeof useSignIn>;
}

function SignInFields({ isNew, form: { control, errors, mailed, send } }: SignInFieldsProps) {
  return (
    <>
      {isNew ? (
        <Controller
          control={control}
          name="name"
          rules={{ validate: (text) => (text.trim() === '' ? t.nameHowOthersOfA : true) }}
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
      <PasswordField isNew={isNew} form={{ control, errors, send }} />
    </>
  );
}

function PasswordField({
  isNew,
  form: { control, errors, send },
}: {
  readonly isNew: boolean;
  readonly form: Pick<SignInFieldsProps['form'], 'control' | 'errors' | 'send'>;
}) {
  return (
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
          onSubmitEditing={send}
        />
      )}
    />
  );
}

const styles = StyleSheet.create({
  all: { gap: space.m },
  narrow: { gap: space.m, maxWidth: 560 },
  start: { alignSelf: 'flex-start' },
});
