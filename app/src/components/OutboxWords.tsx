import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { syncAll } from '../notebook/open';
import { acknowledgeNotKept, acknowledgeRefusals } from '../notebook/outboxActions';
import { useAct, useApp, type State } from '../notebook/store';
import { t } from '../text/en/components';
import { Button } from './Button';
import { Grow } from './layout';
import { colour, space, stroke } from './tokens';
import { Small, SmallStrong } from './Words';

interface Shown {
  readonly title: string;
  readonly text: string;
  readonly action: string;
  readonly alert?: boolean;
  readonly does: 'notKept' | 'refused' | 'again' | 'notebook' | 'signIn';
}

/** What has to be known about the notebook before anything else; nothing while all is well. */
const whatToSay = (state: State): Shown | undefined => mustBeRead(state) ?? isUnderWay(state);

/** What was not kept, refused, or waits for somebody. */
function mustBeRead({ me, outbox }: State): Shown | undefined {
  const { waiting, refused, away, notKept } = outbox;
  if (notKept !== undefined)
    return {
      title: t.yourLastEntryWasNot,
      text: t.itDoesNotCountMake(notKept),
      action: t.iHaveReadIt,
      alert: true,
      does: 'notKept',
    };
  if (refused[0])
    return {
      title: t.theServerRefusedEntries(refused.length),
      text: refused[0].reason,
      action: t.iHaveReadIt,
      alert: true,
      does: 'refused',
    };
  if (me.signedOut)
    return {
      title: t.isSignedOut(me.person?.name ?? t.you),
      text: waiting.length > 0 ? t.whatYouRecordStaysOnWaiting(waiting.length) : t.whatYouRecordStaysOn,
      action: t.signIn,
      does: 'signIn',
    };
  if (away && waiting.length > 0 && me.person?.account)
    return {
      title: t.entriesWaitToBeSent(waiting.length),
      text: t.keptOnThisDeviceTried,
      action: t.tryNow,
      does: 'again',
    };
  return undefined;
}

function isUnderWay({ outbox }: State): Shown | undefined {
  const { notTaken, clockOff, newerVersion, fetching } = outbox;
  if (notTaken !== undefined)
    return {
      title: t.whatOthersRecordedCouldNot,
      text: t.whatYouRecordedIsSafe(notTaken),
      action: t.tryNow,
      does: 'again',
    };
  if (newerVersion)
    return {
      title: t.somebodyRecordedSomethingWithA,
      text: t.thisOneCannotReadIt,
      action: t.more,
      does: 'notebook',
    };
  if (clockOff)
    return {
      title: t.thisDevicesClockIs(clockWords(clockOff)),
      text: t.pauseReckonsWithTheNotebooks,
      action: t.more,
      does: 'notebook',
    };
  if (fetching)
    return {
      title: t.fetchingTheNotebookOf(fetching.here, fetching.all),
      text: t.youCanGoOnMeanwhile,
      action: t.more,
      does: 'notebook',
    };
  return undefined;
}

/** How far a clock is off, as people say it. */
function clockWords(minutes: number): string {
  const [far, way] = [Math.abs(minutes), minutes > 0 ? t.ahead : t.behind];
  if (far >= 36 * 60) return t.days(Math.round(far / 1440), way);
  if (far >= 18 * 60) return t.aDay(way);
  return far >= 90 ? t.hours(Math.round(far / 60), way) : t.minutes(far, way);
}

/** What is shown, why, and what can be done about it. */
export function OutboxWords() {
  const act = useAct();
  const router = useRouter();
  const line = useApp((state) => {
    const all = whatToSay(state);
    return all ? JSON.stringify(all) : undefined;
  });
  if (line === undefined) return null;
  const { title, text, action, alert, does } = JSON.parse(line) as Shown;
  const press = () => {
    if (does === 'notKept') act(acknowledgeNotKept());
    else if (does === 'refused') void act(acknowledgeRefusals());
    else if (does === 'again') void act(syncAll());
    else router.push(does === 'signIn' ? '/sign-in' : '/notebook');
  };
  return (
    <View style={styles.line} role={alert ? 'alert' : 'status'}>
      <Grow>
        <SmallStrong>{title}</SmallStrong>
        <Small>{text}</Small>
      </Grow>
      <Button label={action} tone="outline" onPress={press} />
    </View>
  );
}

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    paddingHorizontal: space.l,
    paddingVertical: space.s,
    backgroundColor: colour.card,
    borderBottomWidth: stroke.medium,
    borderBottomColor: colour.ink,
  },
});
