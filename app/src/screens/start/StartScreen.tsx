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
  Row,
  Grow,
} from '../../components';
import { latePart } from '../../components/latePart';
import { UpdateLine } from '../../components/UpdateLine';
import { guide } from '../../deciding/guide';
import { look } from '../../notebook/look';
import { useAct, useApp } from '../../notebook/store';
import { useFinds, useToday } from '../../notebook/useFinds';
import { t } from '../../text/en/start';
import { factLine } from '../../text/messages';
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
/** As high as what is about this month: what is below is not pushed away when it comes. */
const TODAY_HEIGHT = 242;
const Today = latePart(
  () => import('./Today').then((m) => m.Today),
  () => <View style={{ height: TODAY_HEIGHT }} />,
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
      <Row gap="m" align="centre">
        {wide ? null : <PauseMark size={40} colour={colour.ink} />}
        <Grow>
          <Title>{t.beforeYouPickIt}</Title>
          <Whose />
        </Grow>
      </Row>
      <Body>{t.sayWhatYouBelieveIt}</Body>
      <Button
        label={t.aNewFind}
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
 * Asked at the first start, in one line that is there at once; what is put in comes when it is wanted.
 */
function AskWhomToCall() {
  const act = useAct();
  const asked = useApp((state) => state.look.callsAsked);
  const [open, setOpen] = useState(false);
  if (asked === true) return null;
  if (open) return <WhomToCall />;
  return (
    <View style={styles.calls} role="region" aria-label={t.whomToCall}>
      <SmallStrong>{t.ifSomebodyEatsTheWrongThing}</SmallStrong>
      <View style={styles.answers}>
        <Button label={t.putInTheNumbers} tone="plain" onPress={() => setOpen(true)} />
        <Button
          label={t.notNow}
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
        ? factLine(
            person.account ? t.sNotebook(person.name) : t.theNotebookOfThisDevice,
            person.demo && person.account && t.demoTheOstrelValleyAnd,
            away && t.withoutAConnectionAsThis,
          )
        : t.openingTheNotebook}
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
      {settled ? null : <Loading what={t.openingTheNotebook} />}
      <View style={wide ? styles.columns : undefined}>
        <View style={styles.column}>
          <Block title={t.goingOn} label={t.findsThatAreNotDecided} finds={open} today={today} />
          {settled && wide ? <Today /> : null}
        </View>
        <Block title={t.foundLately} label={t.findsDecidedLately} finds={lately} today={today} />
      </View>
      {settled && items.length === 0 ? (
        <Notice title={t.nothingHasBeenFoundYet} text={t.whatYouCheckWillStand} />
      ) : null}
      {settled && !wide ? <Today /> : null}
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
        <Button label={t.pantry} tone="plain" onPress={() => router.push('/pantry')} />
        <Button label={t.practice} tone="plain" onPress={() => router.push('/practice')} />
        <Button label={t.notebookAndPeople} tone="plain" onPress={() => router.push('/notebook')} />
        <Button label={t.howItLooksHere} tone="plain" onPress={() => router.push('/look')} />
      </View>
      <View style={styles.caution}>
        <Small soft>{t.pauseNeverSaysThatAnything(guide.taxa.length)}</Small>
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
  // A strip in it is pushed sideways, and must not make it wider.
  column: { gap: space.m, flexGrow: 1, flexShrink: 1, flexBasis: 'auto', minWidth: 0 },
  block: { gap: space.s, marginTop: space.m, flexGrow: 1, flexShrink: 1, flexBasis: 'auto', minWidth: 320 },
  begin: { alignSelf: 'flex-start', minWidth: 320 },
  ways: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.xl },
  calls: { paddingLeft: space.m, borderLeftWidth: stroke.thick, borderLeftColor: colour.ink },
  answers: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.xl },
  caution: { marginTop: space.xs },
});
