import { Link, useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { entriesOf, findsOf, type Entry } from '@pause/core';
import {
  Body,
  Button,
  Field,
  Heading,
  Rule,
  Screen,
  Small,
  space,
  Strong,
  TARGET,
  Title,
  useWide,
} from '../../components';
import { newId, syncAll } from '../../notebook/actions';
import { useAct, useApp } from '../../notebook/store';
import { dayWords } from '../../text/days';
import { KIND, ROLE } from '../../text/groups';
import { CommonName } from '../../text/names';
import { beginGroup } from './account';
import { Account } from './Account';

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

/** What waits, what went, what was refused and why; and what else is to be known of this device. */
function Sending() {
  const act = useAct();
  const { waiting, refused, away, heardAt, clockOff, newerTold, otherGuide, notTaken, fetching, pictures } =
    useApp((state) => state.outbox);
  const finds = useApp((state) => state.finds);
  const lines = useApp((state) => state.list.items);
  const account = useApp((state) => state.me.person?.account === true && state.me.signedOut !== true);
  const name = (find: string | undefined) => {
    if (find === undefined) return 'A page of the notebook';
    const target =
      finds[find]?.record?.targets.at(-1)?.taxon ?? lines.find((line) => line.id === find)?.target;
    return target ? CommonName(target) : 'A find without a name yet';
  };
  const ofPages = waiting.filter(({ page }) => page !== undefined);
  const byFind: { readonly find: string | undefined; readonly entries: readonly Entry[] }[] = [
    ...[...findsOf(waiting)].map((find) => ({ find, entries: entriesOf(waiting, find) })),
    ...(ofPages.length > 0 ? [{ find: undefined, entries: ofPages }] : []),
  ];
  const notes = [
    ...(pictures
      ? [
          `Photos and sketches are on their way: ${pictures.left} left, ${Math.round(pictures.share * 100)} % of this one has gone.`,
        ]
      : []),
    ...(fetching
      ? [`The notebook is being fetched: ${fetching.here} of ${fetching.all} entries are here.`]
      : []),
    ...(clockOff
      ? [
          'This device’s clock is wrong. New entries get the time of the notebook; earlier ones are ordered by when they arrived. Set the clock right.',
        ]
      : []),
    ...(newerTold
      ? [
          'Somebody recorded something with a newer Pause. It waits at the server; open the newer Pause on this device, and it will be here.',
        ]
      : []),
    ...(otherGuide
      ? [
          'The server decides by another version of the guide. Verdicts made here are reached again there, and where they differ both are shown.',
        ]
      : []),
    ...(notTaken
      ? [
          `What others recorded could not be kept here. ${notTaken} Make room on the device; what you recorded yourself is safe.`,
        ]
      : []),
  ];
  return (
    <View style={styles.block}>
      <Heading>
        {!account
          ? 'On this device'
          : waiting.length === 0
            ? 'Everything recorded here is at the server'
            : waiting.length === 1
              ? 'One entry waits to be sent'
              : `${waiting.length} entries wait to be sent`}
      </Heading>
      <Body soft>
        {!account
          ? `${waiting.length} ${waiting.length === 1 ? 'entry' : 'entries'}, to be sent when somebody signs in.`
          : away
            ? 'There is no connection. All of it is kept on this device, and tried again every few seconds.'
            : heardAt
              ? `The server was last heard of ${dayWords(new Date(heardAt), new Date())}.`
              : 'The server has not been heard of yet.'}
      </Body>
      {byFind.length > 0 ? (
        <View role="list" aria-label="What waits">
          <Rule />
          {byFind.map(({ find, entries }) => (
            <View key={find ?? 'pages'} role="listitem">
              <View style={styles.line}>
                <Strong style={styles.grow}>{name(find)}</Strong>
                <Small soft>
                  {entries.length === 1 && entries[0] ? KIND[entries[0].kind] : `${entries.length} entries`}
                </Small>
              </View>
              <Rule />
            </View>
          ))}
        </View>
      ) : null}
      {refused.length > 0 ? (
        <View role="list" aria-label="What was refused" style={styles.block}>
          <Strong>Refused</Strong>
          {refused.map(({ entry, reason }) => (
            <Body key={entry.body.id}>
              {KIND[entry.kind]} of {name(entry.find)}: {reason}
            </Body>
          ))}
        </View>
      ) : null}
      {notes.map((note) => (
        <Body key={note}>{note}</Body>
      ))}
      {account ? (
        <Button label="Look now" tone="outline" style={styles.start} onPress={() => void act(syncAll())} />
      ) : null}
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

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.l },
  block: { gap: space.s },
  line: {
    minHeight: TARGET + 8,
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    paddingVertical: space.s,
  },
  grow: { flex: 1 },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
  start: { alignSelf: 'flex-start' },
});
