import { useCallback, useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import {
  Body,
  Button,
  Field,
  Heading,
  Line,
  Rule,
  Small,
  SmallStrong,
  Strong,
  Stack,
  Row,
} from '../../components';
import { useAct, useApp } from '../../notebook/store';
import { dayWords } from '../../text/days';
import { t } from '../../text/en/people';
import { deleteAccount, endSession, sessionsOf, signOut, signOutEverywhere, type Outcome } from './account';

const Sessions = z.object({
  sessions: z.array(
    z.object({
      id: z.string(),
      current: z.boolean(),
      device: z.string(),
      since: z.string(),
      lastUsed: z.string(),
    }),
  ),
  hasPassword: z.boolean(),
});
type SessionsHere = z.infer<typeof Sessions>;

/** What can be done with an account: take everything along, sign out here or elsewhere, delete it. */
export function Account() {
  const act = useAct();
  const { person, signedOut } = useApp((state) => state.me);
  const [problem, setProblem] = useState<(Outcome & { readonly ok: false }) | undefined>();
  const [deleting, setDeleting] = useState(false);
  const [known, setKnown] = useState<SessionsHere | undefined>();
  const here = person?.account === true && signedOut !== true;
  const look = useCallback(async () => {
    const outcome = await act(sessionsOf());
    setKnown(Sessions.safeParse(outcome.ok ? outcome.answer : undefined).data);
  }, [act]);
  useEffect(() => {
    if (here) void look();
  }, [here, look]);
  if (!person || !here) return null;
  const save = (outcome: Outcome) => setProblem(outcome.ok ? undefined : outcome);
  const end = async (id: string) => {
    save(await act(endSession(id)));
    await look();
  };
  return (
    <Stack gap="s">
      <Heading>{t.yourAccount}</Heading>
      <Row wrap gap="m">
        <Button
          label={t.takeEverythingAlong}
          tone="outline"
          onPress={() => window.location.assign('/api/v1/me/export')}
        />
        <Button label={t.signOut} tone="outline" onPress={() => void act(signOut()).then(save)} />
      </Row>
      <Small soft>{t.aFileWithAllYou}</Small>
      {known && known.sessions.length > 1 ? (
        <SignedIn sessions={known.sessions} onEnd={(id) => void end(id)} />
      ) : null}
      <Row wrap gap="m">
        <Button
          label={t.signOutEverywhere}
          tone="plain"
          onPress={() => void act(signOutEverywhere()).then(save)}
        />
        <Button label={t.deleteTheAccount} tone="plain" onPress={() => setDeleting(true)} />
      </Row>
      {deleting ? (
        <Delete
          name={person.name}
          hasPassword={known?.hasPassword === true}
          wrong={problem?.field === 'password' ? problem.title : undefined}
          onDelete={(name, password) => void act(deleteAccount(name, password)).then(save)}
        />
      ) : null}
      {problem && problem.field !== 'password' ? (
        <SmallStrong role="alert">{problem.title}</SmallStrong>
      ) : null}
    </Stack>
  );
}

/** Where else somebody is signed in: a phone that was lost is signed out from here. */
function SignedIn({
  sessions,
  onEnd,
}: {
  readonly sessions: SessionsHere['sessions'];
  readonly onEnd: (id: string) => void;
}) {
  return (
    <>
      <Strong>{t.whereYouAreSignedIn}</Strong>
      <View role="list" aria-label={t.whereYouAreSignedIn}>
        <Rule />
        {sessions.map(({ id, current, device, since, lastUsed }) => (
          <View key={id} role="listitem">
            <Line
              end={
                current ? null : (
                  <Button
                    label={t.signOutThere}
                    tone="plain"
                    aria-label={t.signOutThereOn(device)}
                    onPress={() => onEnd(id)}
                  />
                )
              }
            >
              <Strong>{current ? t.thisDevice(device) : device}</Strong>
              <Small soft>
                {current
                  ? t.since(dayWords(new Date(since), new Date()))
                  : t.sinceAndUsed(
                      dayWords(new Date(since), new Date()),
                      dayWords(new Date(lastUsed), new Date()),
                    )}
              </Small>
            </Line>
            <Rule />
          </View>
        ))}
      </View>
    </>
  );
}

function Delete({
  name,
  hasPassword,
  wrong,
  onDelete,
}: {
  readonly name: string;
  readonly hasPassword: boolean;
  readonly wrong: string | undefined;
  readonly onDelete: (name: string, password: string | undefined) => void;
}) {
  const [written, setWritten] = useState('');
  const [password, setPassword] = useState('');
  return (
    <Stack gap="s">
      <Body>{t.yourOwnNotebookIsDeleted}</Body>
      <Field label={t.writeYourNameToSay} value={written} onChangeText={setWritten} maxLength={80} />
      {hasPassword ? (
        <Field
          label={t.yourPassword}
          value={password}
          onChangeText={setPassword}
          secureTextEntry
          maxLength={200}
          wrong={wrong}
        />
      ) : null}
      <Button
        label={t.deleteItForGood}
        tone="outline"
        disabled={written !== name || (hasPassword && password === '')}
        style={styles.start}
        onPress={() => onDelete(written, hasPassword ? password : undefined)}
      />
    </Stack>
  );
}

const styles = StyleSheet.create({
  start: { alignSelf: 'flex-start' },
});
