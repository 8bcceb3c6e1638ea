import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Body, Button, Loading, Notice, Rule, Screen, Title, Row } from '../../components';
import { UpdateLine } from '../../components/UpdateLine';
import { useFinds, useToday } from '../../notebook/useFinds';
import { t } from '../../text/en/finds';
import { FindLine } from './FindLine';

/** The log of finds, newest first. Walking away is a result too, and counted. */
export function FindsScreen() {
  const router = useRouter();
  const { status, items } = useFinds();
  const today = useToday();
  const left = items.filter((find) => find.choice === 'leave').length;
  const collected = items.filter((find) => find.choice === 'collect').length;
  return (
    <Screen>
      <UpdateLine />
      <Row wrap gap="s" align="centre">
        <Title style={styles.grow}>{t.finds}</Title>
        <Button label={t.pantry} tone="outline" onPress={() => router.push('/pantry')} />
        <Button label={t.logbook} tone="outline" onPress={() => router.push('/logbook')} />
      </Row>
      {status === 'loading' || status === 'idle' ? <Loading what={t.openingTheNotebook} /> : null}
      {status === 'ready' && items.length === 0 ? (
        <Notice
          title={t.nothingHasBeenFoundYet}
          text={t.aFindBeginsWithWhat}
          action={t.aNewFind}
          onAction={() => router.push('/new')}
        />
      ) : null}
      {items.length > 0 ? (
        <>
          <Body soft>{t.collectedWalkedAwayFromOpen(collected, left, items.length - collected - left)}</Body>
          <View role="list" aria-label={t.finds}>
            <Rule />
            {items.map((find) => (
              <FindLine key={find.id} find={find} today={today} />
            ))}
          </View>
        </>
      ) : null}
    </Screen>
  );
}

const styles = StyleSheet.create({
  grow: { flexGrow: 1 },
});
