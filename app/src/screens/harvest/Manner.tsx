import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Manner as Hand } from '@pause/core/harvest/taking';
import { Body, Button, Field, Heading, Rule, Small, space, Stack, Row } from '../../components';
import { MOST_STEPS, useOwnSteps } from '../../notebook/ownSteps';
import { t } from '../../text/en/harvest';
import { BAG, GIVE_BACK, LEAVE, TOOL, WEATHER, WHERE } from '../../text/harvest';
import { upper } from '../../text/names';
import { few } from '../../text/reasons';

/** By which hand: what the plant asks for, and what the person does besides, in their own words. */

interface MannerProps {
  readonly manner: Hand;
  readonly regrowth: string | undefined;
}

export function Manner({ manner: { tools, where, leave, giveBack, weather, bag }, regrowth }: MannerProps) {
  const [own, save] = useOwnSteps();
  const lines = [
    t.with(WHERE[where], few(tools.map((tool) => TOOL[tool]))),
    ...(leave.length > 0 ? [t.leave(few(leave.map((one) => LEAVE[one])))] : []),
    ...giveBack.map((one) => `${GIVE_BACK[one]}.`),
    t.into(WEATHER[weather], BAG[bag]),
  ];
  return (
    <Stack gap="s">
      <Heading>{t.byWhichHand}</Heading>
      <View role="list" aria-label={t.byWhichHand}>
        {lines.map((line) => (
          <View key={line} role="listitem" style={styles.line}>
            <Body>{line}</Body>
            <Rule />
          </View>
        ))}
        {own.map((step, index) => (
          <View key={`${step} ${index}`} role="listitem" style={styles.line}>
            <Row align="centre" gap="m">
              <Body style={styles.grow}>{upper(step)}</Body>
              <Button
                label={t.takeAway}
                aria-label={t.takeStepAway(step)}
                tone="plain"
                onPress={() => save(own.filter((_, at) => at !== index))}
              />
            </Row>
            <Rule />
          </View>
        ))}
      </View>
      {regrowth ? <Small soft>{regrowth}</Small> : null}
      <AddStep full={own.length >= MOST_STEPS} onAdd={(step) => save([...own, step])} />
    </Stack>
  );
}

interface AddStepProps {
  readonly full: boolean;
  readonly onAdd: (step: string) => void;
}

function AddStep({ full, onAdd }: AddStepProps) {
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const written = text.trim();
  if (!open)
    return (
      <Button label={t.aStepOfYourOwn} tone="plain" style={styles.start} onPress={() => setOpen(true)} />
    );
  return (
    <Stack gap="s">
      <Field
        label={t.whatYouDoBesidesA}
        value={text}
        onChangeText={setText}
        maxLength={200}
        hint={t.staysOnThisDeviceAnd}
      />
      <Row align="centre" gap="m">
        <Button
          label={t.putItDown}
          disabled={written === '' || full}
          onPress={() => {
            onAdd(written);
            setText('');
            setOpen(false);
          }}
        />
        <Button label={t.notNow} tone="plain" onPress={() => setOpen(false)} />
      </Row>
    </Stack>
  );
}

const styles = StyleSheet.create({
  line: { gap: space.s, paddingTop: space.s },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
});
