import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { reminderDue } from '@pause/core/pantry/tasting';
import { Button, colour, corner, Small, space, Strong } from '../../components';
import { usePantry, type Pantry } from '../../notebook/pantry';
import { useRecalls, type Recalls } from '../../notebook/recalls';
import { useToday } from '../../notebook/useFinds';
import { t as pantryText } from '../../text/en/pantry';
import { t } from '../../text/en/sheet';
import { commonName } from '../../text/names';

/**
 * Something that was gathered or made is recalled: shown wherever one begins, until somebody has seen to
 * it.
 */
export function RecallNotice({ recalls: { open, run } }: { readonly recalls: Recalls }) {
  const router = useRouter();
  if (run) return <Small soft>{t.theNotebookAsksEverythingAgain(run.done, run.total)}</Small>;
  const made = open.filter(({ kind }) => kind !== 'find');
  if (open.length === 0) return null;
  const most = made.length > 0 ? made : open;
  return (
    <View style={styles.notice} role="status" aria-label={pantryText.inQuestion}>
      <Strong>{t.thingsYouNoLongerStand(most.length, made.length > 0 ? t.have : t.found)}</Strong>
      <Small>{made.length > 0 ? t.eatNothingOfItUntil : t.itWasCollectedAndWould}</Small>
      <Button
        label={pantryText.whatAndWhy}
        tone="outline"
        style={styles.start}
        onPress={() => router.push('/recall')}
      />
    </View>
  );
}

/** Somebody tasted something new, and should be asked how they are. */
function Reminders({ tastes }: Pick<Pantry, 'tastes'>) {
  const router = useRouter();
  const now = useToday();
  const due = tastes.flatMap(
    ({ id, fields: { at, eater = pantryText.somebody, taxon = '', asked = [], signs = [], ended } }) => {
      const hours =
        at === undefined || ended
          ? undefined
          : reminderDue(at, [...asked, ...signs.map((one) => one.at)], now);
      return hours === undefined ? [] : [{ id, hours, eater, taxon }];
    },
  );
  return (
    <>
      {due.map(({ id, hours, eater, taxon }) => (
        <View key={id} style={styles.notice} role="status" aria-label={t.toBeAsked}>
          <Strong>{t.howIs(eater)}</Strong>
          <Small>{t.hoursHaveGoneSinceThe(hours, commonName(taxon))}</Small>
          <Button
            label={pantryText.putItDown}
            tone="outline"
            style={styles.start}
            onPress={() => router.push({ pathname: '/taste/[id]', params: { id } })}
          />
        </View>
      ))}
    </>
  );
}

/** The same for the first screen, where the pantry is not open. */
export function Recalled() {
  const pantry = usePantry();
  return (
    <>
      <RecallNotice recalls={useRecalls(pantry)} />
      <Reminders tastes={pantry.tastes} />
    </>
  );
}

const styles = StyleSheet.create({
  notice: { gap: space.xs, padding: space.m, backgroundColor: colour.pause, borderRadius: corner },
  start: { alignSelf: 'flex-start', marginTop: space.xs },
});
