import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { syncAll } from '../notebook/open';
import { acknowledgeNotKept, acknowledgeRefusals } from '../notebook/outboxActions';
import { useAct, useApp, type State } from '../notebook/store';
import { Button } from './Button';
import { colour, space, stroke } from './tokens';
import { Small, SmallStrong } from './Words';

interface Said {
  readonly title: string;
  readonly text: string;
  readonly action: string;
  readonly alert?: boolean;
  readonly does: 'notKept' | 'refused' | 'again' | 'notebook' | 'signIn';
}
const several = (count: number, one: string, more: string) =>
  count === 1 ? `One ${one}` : `${count} ${more}`;

/** What has to be known about the notebook before anything else; nothing while all is well. */
function whatToSay({ me, outbox }: State): Said | undefined {
  const { waiting, refused, away, notKept, notTaken, clockOff, newerVersion, fetching } = outbox;
  if (notKept !== undefined)
    return {
      title: 'Your last entry was not kept',
      text: `${notKept} It does not count: make room, then enter it again.`,
      action: 'I have read it',
      alert: true,
      does: 'notKept',
    };
  if (refused[0])
    return {
      title: `The server refused ${refused.length === 1 ? 'an entry' : `${refused.length} entries`}`,
      text: refused[0].reason,
      action: 'I have read it',
      alert: true,
      does: 'refused',
    };
  if (me.signedOut)
    return {
      title: `${me.person?.name ?? 'You'} is signed out`,
      text: `What you record stays on this device${waiting.length > 0 ? ` (${waiting.length} now)` : ''} until you sign in again.`,
      action: 'Sign in',
      does: 'signIn',
    };
  if (away && waiting.length > 0 && me.person?.account)
    return {
      title: `${several(waiting.length, 'entry waits', 'entries wait')} to be sent`,
      text: 'Kept on this device; tried again every few seconds.',
      action: 'Try now',
      does: 'again',
    };
  if (notTaken !== undefined)
    return {
      title: 'What others recorded could not be kept here',
      text: `${notTaken} What you recorded is safe. Make room, then try again.`,
      action: 'Try now',
      does: 'again',
    };
  if (newerVersion)
    return {
      title: 'Somebody recorded something with a newer Pause',
      text: 'This one cannot read it yet. What is here is right as far as it goes.',
      action: 'More',
      does: 'notebook',
    };
  if (clockOff)
    return {
      title: `This device’s clock is ${clockWords(clockOff)}`,
      text: 'Pause reckons with the notebook’s time instead.',
      action: 'More',
      does: 'notebook',
    };
  if (fetching)
    return {
      title: `Fetching the notebook: ${fetching.here} of ${fetching.all}`,
      text: 'You can go on meanwhile.',
      action: 'More',
      does: 'notebook',
    };
  return undefined;
}

/** How far a clock is off, as people say it. */
function clockWords(minutes: number): string {
  const [far, way] = [Math.abs(minutes), minutes > 0 ? 'ahead' : 'behind'];
  if (far >= 36 * 60) return `${Math.round(far / 1440)} days ${way}`;
  if (far >= 18 * 60) return `a day ${way}`;
  return far >= 90 ? `${Math.round(far / 60)} hours ${way}` : `${far} minutes ${way}`;
}

/** What is to be said, why, and what can be done about it. */
export function OutboxWords() {
  const act = useAct();
  const router = useRouter();
  const line = useApp((state) => {
    const all = whatToSay(state);
    return all ? JSON.stringify(all) : undefined;
  });
  if (line === undefined) return null;
  const { title, text, action, alert, does } = JSON.parse(line) as Said;
  const press = () => {
    if (does === 'notKept') act(acknowledgeNotKept());
    else if (does === 'refused') void act(acknowledgeRefusals());
    else if (does === 'again') void act(syncAll());
    else router.push(does === 'signIn' ? '/sign-in' : '/notebook');
  };
  return (
    <View style={styles.line} role={alert ? 'alert' : 'status'}>
      <View style={styles.words}>
        <SmallStrong>{title}</SmallStrong>
        <Small>{text}</Small>
      </View>
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
  words: { flex: 1 },
});
