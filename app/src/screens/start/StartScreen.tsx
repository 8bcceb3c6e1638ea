import { useRouter } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';
import { useDeferredValue, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { FindSummary } from '@pause/core';
import {
  Body,
  Button,
  colour,
  Heading,
  Loading,
  Notice,
  PauseMark,
  Rule,
  Screen,
  Small,
  SmallStrong,
  space,
  stroke,
  Title,
  useWide,
} from '../../components';
import { latePart } from '../../components/latePart';
import { UpdateLine } from '../../components/UpdateLine';
import { guide } from '../../deciding/guide';
import { look } from '../../notebook/look';
import { useAct, useApp } from '../../notebook/store';
import { useFinds, useToday } from '../../notebook/useFinds';
import { FindLine } from '../finds/FindLine';
import { DemoDoor } from '../people/DemoDoor';

const Warned = latePart(
  () => import('../later').then((m) => m.Warned),
  () => null,
);
const Recalled = latePart(
  () => import('../later').then((m) => m.Recalled),
  () => null,
);
const WhomToCall = latePart(
  () => import('./WhomToCall').then((m) => m.WhomToCall),
  () => null,
);
const SHOWN = 5;

/**
 * What is going on, and what was found lately. Each part follows what it shows: nothing else is drawn again
 * when the notebook opens or the server answers.
 */
export function StartScreen() {
  const router = useRouter();
  const wide = useWide();
  return (
    <Screen>
      <UpdateLine />
      <View style={styles.head}>
        {wide ? null : <PauseMark size={40} colour={colour.ink} />}
        <View style={styles.grow}>
          <Title>Before you pick it</Title>
          <Whose />
        </View>
      </View>
      <Body>
        Say what you believe it is. Pause asks for what would tell it from everything dangerous that looks
        like it.
      </Body>
      <Button
        label="A new find"
        icon={<Plus size={22} color={colour.onDark} strokeWidth={2.5} />}
        onPress={() => router.push('/new')}
        {...(wide ? { style: styles.begin } : {})}
      />
      <AskWhomToCall />
      <Notebook />
    </Screen>
  );
}

/**
 * Asked at the first start, in one line that stands there at once; what is put in comes when it is wanted.
 */
function AskWhomToCall() {
  const act = useAct();
  const asked = useApp((state) => state.look.callsAsked);
  const [open, setOpen] = useState(false);
  if (asked === true) return null;
  if (open) return <WhomToCall />;
  return (
    <View style={styles.calls} role="region" aria-label="Whom to call">
      <SmallStrong>If somebody eats the wrong thing, whom do you call?</SmallStrong>
      <View style={styles.answers}>
        <Button label="Put in the numbers" tone="plain" onPress={() => setOpen(true)} />
        <Button
          label="Not now"
          tone="plain"
          onPress={() => act(look.actions.lookSet({ callsAsked: true }))}
        />
      </View>
    </View>
  );
}

/** Whose notebook this is. */
function Whose() {
  const person = useApp((state) => state.me.person);
  const away = useApp((state) => state.outbox.away);
  return (
    <Small soft>
      {person
        ? `${person.account ? `${person.name}’s notebook` : 'The notebook of this device'}${person.demo && person.account ? ' · demo: the Ostrel valley and everyone in it are made up' : ''}${away ? ' · without a connection, as this device knows it' : ''}`
        : 'Opening the notebook …'}
    </Small>
  );
}

function Notebook() {
  const wide = useWide();
  const { person, demoOffered, asked } = useApp((state) => state.me);
  const { status, items: known } = useFinds();
  // The rows are drawn bit by bit: a tap in between is not kept waiting.
  const items = useDeferredValue(known);
  const today = useToday();
  const open = items.filter((find) => find.choice === undefined);
  // Nothing that was read a moment ago is pushed away by what comes later.
  const settled = useDeferredValue(items.length > 0 || (asked === true && status === 'ready'));
  const lately = items.filter((find) => find.choice !== undefined).slice(0, SHOWN);
  return (
    <>
      {items.some(({ choice }) => choice === 'collect') ? <Recalled /> : null}
      {person && person.groups.length > 0 ? <Warned /> : null}
      {settled && demoOffered && !person?.account ? <DemoDoor /> : null}
      {settled ? null : <Loading what="Opening the notebook …" />}
      <View style={wide ? styles.columns : undefined}>
        <Block title="Going on" label="Finds that are not decided" finds={open} today={today} />
        <Block title="Found lately" label="Finds decided lately" finds={lately} today={today} />
      </View>
      {settled && items.length === 0 ? (
        <Notice title="Nothing has been found yet" text="What you check will stand here." />
      ) : null}
      {settled ? <Onward /> : null}
    </>
  );
}

/** Where else one may want to go, and what to keep in mind. */
function Onward() {
  const router = useRouter();
  return (
    <>
      <View style={styles.ways}>
        <Button label="Pantry" tone="plain" onPress={() => router.push('/pantry')} />
        <Button label="Practice" tone="plain" onPress={() => router.push('/practice')} />
        <Button label="Notebook and people" tone="plain" onPress={() => router.push('/notebook')} />
        <Button label="How it looks here" tone="plain" onPress={() => router.push('/look')} />
      </View>
      <View style={styles.caution}>
        <Small soft>
          Pause never says that anything is safe. Its guide covers {guide.taxa.length} taxa; it is general
          knowledge, and no local expert has reviewed it. Ask the owner, the law of the place, and someone who
          knows.
        </Small>
      </View>
    </>
  );
}

function Block({
  title,
  label,
  finds,
  today,
}: {
  readonly title: string;
  readonly label: string;
  readonly finds: readonly FindSummary[];
  readonly today: Date;
}) {
  if (finds.length === 0) return null;
  return (
    <View style={styles.block}>
      <Heading>{title}</Heading>
      <View role="list" aria-label={label}>
        <Rule />
        {finds.map((find) => (
          <FindLine key={find.id} find={find} today={today} />
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  head: { flexDirection: 'row', gap: space.m, alignItems: 'center' },
  grow: { flex: 1 },
  block: { gap: space.s, marginTop: space.m, flexGrow: 1, flexShrink: 1, flexBasis: 'auto', minWidth: 320 },
  begin: { alignSelf: 'flex-start', minWidth: 320 },
  ways: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.xl },
  calls: { paddingLeft: space.m, borderLeftWidth: stroke.thick, borderLeftColor: colour.ink },
  answers: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.xl },
  caution: { marginTop: space.xs },
});
