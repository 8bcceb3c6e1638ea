import { useRouter, Link } from 'expo-router';
import { useState } from 'react';
import { View, Pressable } from 'react-native';
import { useWide, Screen, Title, Body, Button, Heading, Rule, Strong, Small, Field } from '../../components';
import { newId } from '../../notebook/open';
import { useApp, useAct } from '../../notebook/store';
import { ROLE } from '../../text/groups';
import { Account } from './Account';
import { beginGroup } from './account';
import { Sending } from './NotebookSending';
import { styles } from './notebookStyles';

/** Whose notebook this is, what went and what waits, and with whom it is shared. */
export function NotebookScreen() {
  const wide = useWide();
  return (
    <Screen>
      <Title>Notebook and people</Title>
      <View style={wide ? styles.columns : styles.column}>
        <View style={[styles.column, wide && styles.grow]}>
          <Whose />
          <Sending />
        </View>
        <View style={[styles.column, wide && styles.grow]}>
          <Groups />
          <Account />
        </View>
      </View>
    </Screen>
  );
}

function Whose() {
  const router = useRouter();
  const { person, signedOut } = useApp((state) => state.me);
  if (person?.account && !signedOut)
    return (
      <Body>
        {person.name}’s notebook
        {person.demo ? '. This is the demo: the Ostrel valley and everyone in it are made up.' : '.'}
      </Body>
    );
  return (
    <View style={styles.block}>
      <Body>
        {person?.account
          ? `${person.name} is signed out. What you record stays on this device until you sign in again.`
          : 'Nobody is signed in. Everything you record is on this device, and nowhere else: if it is lost, so is the notebook.'}
      </Body>
      <Button
        label={person?.account ? 'Sign in again' : 'Sign in, or make an account'}
        style={styles.start}
        onPress={() => router.push('/sign-in')}
      />
    </View>
  );
}

function Groups() {
  const act = useAct();
  const router = useRouter();
  const { person, signedOut } = useApp((state) => state.me);
  const [name, setName] = useState<string | undefined>();
  const [wrong, setWrong] = useState<string | undefined>();
  if (!person?.account || signedOut) return null;
  const begin = async () => {
    if (!name?.trim()) {
      setWrong('Name of the group: it is missing');
      return;
    }
    const id = newId();
    const outcome = await act(beginGroup(id, name.trim()));
    if (outcome.ok) router.push({ pathname: '/group/[id]', params: { id } });
    else setWrong(outcome.title);
  };
  return (
    <View style={styles.block}>
      <Heading>Groups</Heading>
      <Body soft>A group keeps one notebook. The best safeguard there is are other eyes.</Body>
      <View role="list" aria-label="Your groups">
        <Rule />
        {person.groups.map((group) => (
          <View key={group.id} role="listitem">
            <Link href={{ pathname: '/group/[id]', params: { id: group.id } }} asChild>
              <Pressable role="link" style={styles.line}>
                <View style={styles.grow}>
                  <Strong>{group.name}</Strong>
                  <Small soft>
                    {group.members.length === 1 ? 'You alone' : `${group.members.length} people`} · you are{' '}
                    {ROLE[group.role].toLowerCase()}
                  </Small>
                </View>
              </Pressable>
            </Link>
            <Rule />
          </View>
        ))}
        {person.groups.length === 0 ? <Body>You belong to none yet.</Body> : null}
      </View>
      <View style={styles.ways}>
        <Button label="Join by a code" tone="outline" onPress={() => router.push('/join')} />
        {name === undefined ? (
          <Button label="Begin a group" tone="outline" onPress={() => setName('')} />
        ) : null}
      </View>
      {name === undefined ? null : (
        <View style={styles.block}>
          <Field
            label="Name of the group"
            value={name}
            onChangeText={setName}
            maxLength={80}
            wrong={wrong}
            onSubmitEditing={() => void begin()}
          />
          <Button label="Begin it" onPress={() => void begin()} style={styles.start} />
        </View>
      )}
    </View>
  );
}
