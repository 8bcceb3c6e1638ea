import { useRouter, Link } from 'expo-router';
import { useState } from 'react';
import { View, Pressable } from 'react-native';
import { useWide, Screen, Title, Body, Button, Heading, Rule, Strong, Small, Field } from '../../components';
import { newId } from '../../notebook/open';
import { useApp, useAct } from '../../notebook/store';
import { t } from '../../text/en/people';
import { ROLE } from '../../text/groups';
import { sentences } from '../../text/messages';
import { Account } from './Account';
import { beginGroup } from './account';
import { Sending } from './NotebookSending';
import { styles } from './notebookStyles';

/** Whose notebook this is, what went and what waits, and with whom it is shared. */
export function NotebookScreen() {
  const wide = useWide();
  return (
    <Screen>
      <Title>{t.notebookAndPeople}</Title>
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
    return <Body>{sentences(t.sNotebook(person.name), person.demo && t.demoIsMadeUp)}</Body>;
  return (
    <View style={styles.block}>
      <Body>{person?.account ? t.isSignedOutWhatYou(person.name) : t.nobodyIsSignedInEverything}</Body>
      <Button
        label={person?.account ? t.signInAgain : t.signInOrMakeAn}
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
      setWrong(t.nameOfTheGroupIt);
      return;
    }
    const id = newId();
    const outcome = await act(beginGroup(id, name.trim()));
    if (outcome.ok) router.push({ pathname: '/group/[id]', params: { id } });
    else setWrong(outcome.title);
  };
  return (
    <View style={styles.block}>
      <Heading>{t.groups}</Heading>
      <Body soft>{t.aGroupKeepsOneNotebook}</Body>
      <View role="list" aria-label={t.yourGroups}>
        <Rule />
        {person.groups.map((group) => (
          <View key={group.id} role="listitem">
            <Link href={{ pathname: '/group/[id]', params: { id: group.id } }} asChild>
              <Pressable role="link" style={styles.line}>
                <View style={styles.grow}>
                  <Strong>{group.name}</Strong>
                  <Small soft>{t.peopleYouAre(group.members.length, ROLE[group.role].toLowerCase())}</Small>
                </View>
              </Pressable>
            </Link>
            <Rule />
          </View>
        ))}
        {person.groups.length === 0 ? <Body>{t.youBelongToNoneYet}</Body> : null}
      </View>
      <View style={styles.ways}>
        <Button label={t.joinByACode} tone="outline" onPress={() => router.push('/join')} />
        {name === undefined ? (
          <Button label={t.beginAGroup} tone="outline" onPress={() => setName('')} />
        ) : null}
      </View>
      {name === undefined ? null : (
        <View style={styles.block}>
          <Field
            label={t.nameOfTheGroup}
            value={name}
            onChangeText={setName}
            maxLength={80}
            wrong={wrong}
            onSubmitEditing={() => void begin()}
          />
          <Button label={t.beginIt} onPress={() => void begin()} style={styles.start} />
        </View>
      )}
    </View>
  );
}
