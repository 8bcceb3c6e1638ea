import { View } from 'react-native';
import { type Entry, findsOf, entriesOf } from '@pause/core';
import { Heading, Body, Rule, Strong, Small, Button } from '../../components';
import { syncAll } from '../../notebook/open';
import { useAct, useApp } from '../../notebook/store';
import { dayWords } from '../../text/days';
import { KIND } from '../../text/groups';
import { CommonName } from '../../text/names';
import { styles } from './notebookStyles';

/** What waits to be sent. */

/** What waits, what went, what was refused and why; and what else is to be known of this device. */
export function Sending() {
  const act = useAct();
  const {
    waiting,
    refused,
    away,
    syncedAt,
    clockOff,
    newerVersion,
    otherGuide,
    notTaken,
    fetching,
    pictures,
  } = useApp((state) => state.outbox);
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
    ...(newerVersion
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
            : syncedAt
              ? `The server was last heard of ${dayWords(new Date(syncedAt), new Date())}.`
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
