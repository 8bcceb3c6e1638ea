import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Body, Button, colour, corner, Heading, SmallStrong, space, stroke } from '../../components';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/account';
import { openDemo } from './account';

/** The demo, opened by one tap as somebody who is made up. */
export function DemoDoor({ onOpen }: { readonly onOpen?: () => void }) {
  const act = useAct();
  const [wrong, setWrong] = useState<string | undefined>();
  return (
    <View style={styles.demo} role="region" aria-label={t.theDemo}>
      <Heading>{t.thisIsTheDemo}</Heading>
      <Body>{t.theOstrelValleyItsPeople}</Body>
      <Button
        label={t.openItAsMirelAschkar}
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
