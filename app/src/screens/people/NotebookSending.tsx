import { View } from 'react-native';
import { type Entry, findsOf, entriesOf } from '@pause/core';
import { Heading, Body, Rule, Strong, Small, Button } from '../../components';
import { syncAll } from '../../notebook/open';
import { useAct, useApp } from '../../notebook/store';
import { dayWords } from '../../text/days';
import { t } from '../../text/en/people';
import { KIND } from '../../text/groups';
import { CommonName } from '../../text/names';
import { styles } from './notebookStyles';

/** What waits to be sent. */

/** What waits, what went, what was refused and why; and what else is to be known of this device. */
export function Sending() {
  const act = useAct();
  const { waiting, away, syncedAt } = useApp((state) => state.outbox);
  const account = useApp((state) => state.me.person?.account === true && state.me.signedOut !== true);
  return (
    <View style={styles.block}>
      <Heading>
        {!account
          ? t.onThisDevice
          : waiting.length === 0
            ? t.everythingRecordedHereIsAt
            : t.entriesWaitToBeSent(waiting.length)}
      </Heading>
      <Body soft>
        {!account
          ? t.entriesToBeSentWhen(waiting.length)
          : away
            ? t.thereIsNoConnectionAll
            : syncedAt
              ? t.theServerWasLastHeard(dayWords(new Date(syncedAt), new Date()))
              : t.theServerHasNotBeen}
      </Body>
      <WhatWaits />
      <WhatWasRefused />
      <Notes />
      {account ? (
        <Button label={t.lookNow} tone="outline" style={styles.start} onPress={() => void act(syncAll())} />
      ) : null}
    </View>
  );
}

/** What an entry is of: the name of its find, or a page of the notebook. */
function useNameOf() {
  const finds = useApp((state) => state.finds);
  const lines = useApp((state) => state.list.items);
  return (find: string | undefined) => {
    if (find === undefined) return t.aPageOfTheNotebook;
    const target =
      finds[find]?.record?.targets.at(-1)?.taxon ?? lines.find((line) => line.id === find)?.target;
    return target ? CommonName(target) : t.aFindWithoutAName;
  };
}

function WhatWaits() {
  const waiting = useApp((state) => state.outbox.waiting);
  const nameOf = useNameOf();
  const ofPages = waiting.filter(({ page }) => page !== undefined);
  const byFind: { readonly find: string | undefined; readonly entries: readonly Entry[] }[] = [
    ...[...findsOf(waiting)].map((find) => ({ find, entries: entriesOf(waiting, find) })),
    ...(ofPages.length > 0 ? [{ find: undefined, entries: ofPages }] : []),
  ];
  if (byFind.length === 0) return null;
  return (
    <View role="list" aria-label={t.whatWaits}>
      <Rule />
      {byFind.map(({ find, entries }) => (
        <View key={find ?? 'pages'} role="listitem">
          <View style={styles.line}>
            <Strong style={styles.grow}>{nameOf(find)}</Strong>
            <Small soft>
              {entries.length === 1 && entries[0] ? KIND[entries[0].kind] : t.entries(entries.length)}
            </Small>
          </View>
          <Rule />
        </View>
      ))}
    </View>
  );
}

function WhatWasRefused() {
  const refused = useApp((state) => state.outbox.refused);
  const nameOf = useNameOf();
  if (refused.length === 0) return null;
  return (
    <View role="list" aria-label={t.whatWasRefused} style={styles.block}>
      <Strong>{t.refused}</Strong>
      {refused.map(({ entry, reason }) => (
        <Body key={entry.body.id}>{t.of(KIND[entry.kind], nameOf(entry.find), reason)}</Body>
      ))}
    </View>
  );
}

/** What else is to be known: pictures on their way, a wrong clock, another version. */
function Notes() {
  const { clockOff, newerVersion, otherGuide, notTaken, fetching, pictures } = useApp(
    (state) => state.outbox,
  );
  const notes = [
    ...(pictures ? [t.photosAndSketchesAreOn(pictures.left, Math.round(pictures.share * 100))] : []),
    ...(fetching ? [t.theNotebookIsBeingFetched(fetching.here, fetching.all)] : []),
    ...(clockOff ? [t.thisDevicesClockIsWrong] : []),
    ...(newerVersion ? [t.somebodyRecordedSomethingWithA] : []),
    ...(otherGuide ? [t.theServerDecidesByAnother] : []),
    ...(notTaken ? [t.whatOthersRecordedCouldNot(notTaken)] : []),
  ];
  return notes.map((note) => <Body key={note}>{note}</Body>);
}
