import { StyleSheet, View } from 'react-native';
import { Body, Button, colour, corner, Heading, space, stroke } from '../../components';
import { look } from '../../notebook/look';
import { useAct, useApp } from '../../notebook/store';
import { t } from '../../text/en/start';
import { Calls } from '../emergency/Calls';

/** Asks at the first start for the numbers that nobody wants to look for when they are needed. */
export function WhomToCall() {
  const act = useAct();
  const poisonLine = useApp((state) => state.look.poisonLine);
  return (
    <View style={styles.card} role="region" aria-label={t.whomToCall}>
      <Heading>{t.ifSomebodyEatsTheWrong}</Heading>
      <Body>{t.putInTheNumberOf}</Body>
      <Calls needed={false} />
      <Button
        label={poisonLine ? t.done : t.notNow}
        tone={poisonLine ? 'ink' : 'outline'}
        style={styles.start}
        onPress={() => act(look.actions.lookSet({ callsAsked: true }))}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  card: {
    gap: space.s,
    marginTop: space.m,
    padding: space.m,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    borderRadius: corner,
    backgroundColor: colour.card,
  },
  start: { alignSelf: 'flex-start' },
});
