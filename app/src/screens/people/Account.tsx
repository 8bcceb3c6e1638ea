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
  space,
  Strong,
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
    <View style={styles.block}>
      <Heading>{t.yourAccount}</Heading>
      <View style={styles.ways}>
        <Button
          label={t.takeEverythingAlong}
          tone="outline"
          onPress={() => window.location.assign('/api/v1/me/export')}
        />
        <Button label={t.signOut} tone="outline" onPress={() => void act(signOut()).then(save)} />
      </View>
      <Small soft>{t.aFileWithAllYou}</Small>
      {known && known.sessions.length > 1 ? (
        <SignedIn sessions={known.sessions} onEnd={(id) => void end(id)} />
      ) : null}
      <View style={styles.ways}>
        <Button
          label={t.signOutEverywhere}
          tone="plain"
          onPress={() => void act(signOutEverywhere()).then(save)}
        />
        <Button label={t.deleteTheAccount} tone="plain" onPress={() => setDeleting(true)} />
      </View>
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
    </View>
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
              <Strong>
                {device}
                {current ? t.here : ''}
              </Strong>
              <Small soft>
                {t.since(
                  dayWords(new Date(since), new Date()),
                  current ? '' : t.used(dayWords(new Date(lastUsed), new Date())),
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
    <View style={styles.block}>
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
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.s },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m },
  start: { alignSelf: 'flex-start' },
});
