import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Body, Button, colour, corner, Heading, SmallStrong, space, stroke } from '../../components';
import { useAct } from '../../notebook/store';
import { openDemo } from './account';

/** The demo, opened by one tap as somebody who is made up. */
export function DemoDoor({ onOpen }: { readonly onOpen?: () => void }) {
  const act = useAct();
  const [wrong, setWrong] = useState<string | undefined>();
  return (
    <View style={styles.demo} role="region" aria-label="The demo">
      <Heading>This is the demo</Heading>
      <Body>
        The Ostrel valley, its people and their finds are made up. Open it as one of them: one tap, no
        password.
      </Body>
      <Button
        label="Open it as Mirel Aschkar"
        onPress={() =>
          void act(openDemo()).then((outcome) => {
            if (!outcome.ok) setWrong(outcome.title);
            else onOpen?.();
          })
        }
      />
      {wrong ? <SmallStrong role="alert">{wrong}</SmallStrong> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  demo: {
    gap: space.s,
    padding: space.l,
    backgroundColor: colour.card,
    borderWidth: stroke.medium,
    borderColor: colour.ink,
    borderRadius: corner,
  },
});
