import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import type { Manner as Hand } from '@pause/core/harvest/taking';
import { Body, Button, Field, Heading, Rule, Small, space } from '../../components';
import { useAct, type Thunk } from '../../notebook/store';
import { t } from '../../text/en/harvest';
import { BAG, GIVE_BACK, LEAVE, TOOL, WEATHER, WHERE } from '../../text/harvest';
import { upper } from '../../text/names';
import { few } from '../../text/reasons';

/** By which hand: what the plant asks for, and what the person does besides, in their own words. */

const STEPS = 'steps';
const Steps = z.array(z.string()).catch([]);
const MOST = 20;
const kept =
  (): Thunk<Promise<string[]>> =>
  async (_, __, { device }) =>
    Steps.parse(await device.file(STEPS));
const keep =
  (steps: readonly string[]): Thunk<Promise<void>> =>
  async (_, __, { device }) => {
    await device.keepFile(STEPS, steps).catch(() => undefined);
  };

export function Manner({
  manner: { tools, where, leave, giveBack, weather, bag },
  regrowth,
}: {
  readonly manner: Hand;
  readonly regrowth: string | undefined;
}) {
  const act = useAct();
  const [own, setOwn] = useState<readonly string[]>([]);
  const [text, setText] = useState('');
  const [adding, setAdding] = useState(false);
  useEffect(() => {
    void act(kept()).then(setOwn);
  }, [act]);
  const put = (steps: readonly string[]) => {
    setOwn(steps);
    void act(keep(steps));
  };
  const lines = [
    t.with(WHERE[where], few(tools.map((tool) => TOOL[tool]))),
    ...(leave.length > 0 ? [t.leave(few(leave.map((one) => LEAVE[one])))] : []),
    ...giveBack.map((one) => `${GIVE_BACK[one]}.`),
    t.into(WEATHER[weather], BAG[bag]),
  ];
  const written = text.trim();
  return (
    <View style={styles.block}>
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
            <View style={styles.own}>
              <Body style={styles.grow}>{upper(step)}</Body>
              <Button
                label={t.takeAway}
                aria-label={t.takeStepAway(step)}
                tone="plain"
                onPress={() => put(own.filter((_, at) => at !== index))}
              />
            </View>
            <Rule />
          </View>
        ))}
      </View>
      {regrowth ? <Small soft>{regrowth}</Small> : null}
      {adding ? (
        <View style={styles.block}>
          <Field
            label={t.whatYouDoBesidesA}
            value={text}
            onChangeText={setText}
            maxLength={200}
            hint={t.staysOnThisDeviceAnd}
          />
          <View style={styles.own}>
            <Button
              label={t.putItDown}
              disabled={written === '' || own.length >= MOST}
              onPress={() => {
                put([...own, written]);
                setText('');
                setAdding(false);
              }}
            />
            <Button label={t.notNow} tone="plain" onPress={() => setAdding(false)} />
          </View>
        </View>
      ) : (
        <Button label={t.aStepOfYourOwn} tone="plain" style={styles.start} onPress={() => setAdding(true)} />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.s },
  line: { gap: space.s, paddingTop: space.s },
  own: { flexDirection: 'row', alignItems: 'center', gap: space.m },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
});
