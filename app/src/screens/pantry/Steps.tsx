import Check from 'lucide-react-native/icons/check';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { Step } from '@pause/core/harvest/preparing';
import type { BatchFields } from '@pause/core/pantry';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  colour,
  Field,
  Heading,
  Rule,
  Small,
  SmallStrong,
  space,
  stroke,
  TARGET,
} from '../../components';
import { now } from '../../notebook/add';
import { changeFields } from '../../notebook/changeFields';
import { newId } from '../../notebook/open';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/pantry';
import { BESIDES, stepWords } from '../../text/pantry';
import { StartTimer } from './Timers';

type Done = BatchFields['steps'][number];

/**
 * What is done to it, one after another; what has to be done is left out only with a reason, which stays on
 * its label, and never where it keeps somebody from harm.
 */
export function Steps({
  id,
  steps,
  done,
}: {
  readonly id: string;
  readonly steps: readonly Step[];
  readonly done: readonly Done[];
}) {
  const act = useAct();
  const [leaving, setLeaving] = useState<string>();
  const [why, setWhy] = useState('');
  const put = (step: string, more: Partial<Done>) =>
    void act(
      changeFields(id, 'batch', ({ steps: all = [] }) => ({
        steps: [...all.filter((one) => one.step !== step), { step, at: act(now()), ...more }],
      })),
    );
  const undo = (step: string) =>
    void act(
      changeFields(id, 'batch', ({ steps: all = [] }) => ({ steps: all.filter((one) => one.step !== step) })),
    );
  const leave = (step: string) => {
    put(step, { leftOut: why.trim() });
    setLeaving(undefined);
    setWhy('');
  };
  return (
    <View style={styles.block}>
      <Heading>{t.whatIsDoneToIt}</Heading>
      <View role="list" aria-label={t.steps}>
        <Rule strong />
        {steps.map((step) => {
          const last = done.findLast((one) => one.step === step.id);
          const words = stepWords(step);
          const isDone = last !== undefined && last.leftOut === undefined;
          return (
            <View key={step.id} role="listitem">
              <View style={styles.step}>
                <Pressable
                  role="checkbox"
                  aria-checked={isDone}
                  aria-label={words}
                  onPress={() => (isDone ? undo(step.id) : put(step.id, {}))}
                  style={styles.tick}
                >
                  <View style={[styles.box, isDone && styles.ticked]}>
                    {isDone ? <Check size={20} color={colour.onDark} strokeWidth={3} /> : null}
                  </View>
                  <View style={styles.grow}>
                    <Body style={isDone ? styles.soft : undefined}>{words}</Body>
                    {last?.leftOut !== undefined ? (
                      <SmallStrong>{t.leftOut(last.leftOut)}</SmallStrong>
                    ) : step.required && !isDone ? (
                      <Small>{t.hasToBeDone}</Small>
                    ) : null}
                  </View>
                </Pressable>
                {last === undefined && step.required && step.safety !== true && leaving !== step.id ? (
                  <Button
                    label={t.leaveOut}
                    aria-label={t.leaveStepOut(words)}
                    tone="plain"
                    onPress={() => {
                      setLeaving(step.id);
                      setWhy('');
                    }}
                  />
                ) : null}
              </View>
              {last === undefined && (step.minutes !== undefined || step.days !== undefined) ? (
                <View style={styles.ways}>
                  <StartTimer id={id} step={step} />
                </View>
              ) : null}
              {leaving === step.id ? (
                <View style={styles.leaving}>
                  <Field
                    label={t.whyItIsLeftOut}
                    value={why}
                    onChangeText={setWhy}
                    maxLength={200}
                    hint={t.theLabelShowsItFrom}
                  />
                  <View style={styles.ways}>
                    <Button
                      label={t.leaveItOut}
                      disabled={why.trim() === ''}
                      onPress={() => leave(step.id)}
                    />
                    <Button label={t.doItAfterAll} tone="plain" onPress={() => setLeaving(undefined)} />
                  </View>
                </View>
              ) : null}
              <Rule />
            </View>
          );
        })}
      </View>
      <Another id={id} taken={steps.map(stepWords)} />
    </View>
  );
}

/** A step that is no step of every kitchen: washing, soaking, peeling, or one in one's own words. */
function Another({ id, taken }: { readonly id: string; readonly taken: readonly string[] }) {
  const act = useAct();
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const add = (note: string) => {
    void act(
      changeFields(id, 'batch', ({ added = [] }) => ({
        added: [...added, { id: newId(), text: note }].slice(0, 40),
      })),
    );
    setText('');
    setOpen(false);
  };
  if (!open)
    return <Button label={t.anotherStep} tone="plain" style={styles.start} onPress={() => setOpen(true)} />;
  return (
    <View style={styles.block}>
      <ChipRow label={t.anotherStep}>
        {BESIDES.filter((one) => !taken.includes(one)).map((one) => (
          <Chip key={one} kind="checkbox" label={one} chosen={false} onPress={() => add(one)} />
        ))}
      </ChipRow>
      <Field label={t.orInYourWords} value={text} onChangeText={setText} maxLength={120} />
      <View style={styles.buttons}>
        <Button
          label={t.addIt}
          tone="outline"
          disabled={text.trim() === ''}
          onPress={() => add(text.trim())}
        />
        <Button label={t.notNow} tone="plain" onPress={() => setOpen(false)} />
      </View>
    </View>
  );
}

const BOX = 28;
const styles = StyleSheet.create({
  block: { gap: space.s },
  step: { flexDirection: 'row', alignItems: 'center', gap: space.m },
  tick: {
    flex: 1,
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    minHeight: TARGET + 4,
    paddingVertical: space.s,
  },
  box: {
    width: BOX,
    height: BOX,
    borderWidth: stroke.medium,
    borderColor: colour.ink,
    borderRadius: 3,
    alignItems: 'center',
    justifyContent: 'center',
    backgroundColor: colour.card,
  },
  ticked: { backgroundColor: colour.ink },
  soft: { color: colour.inkSoft },
  grow: { flex: 1 },
  ways: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    gap: space.m,
    alignItems: 'center',
    paddingLeft: BOX + space.m,
    paddingBottom: space.s,
  },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m, alignItems: 'center' },
  start: { alignSelf: 'flex-start' },
  leaving: { gap: space.s, paddingBottom: space.m, paddingLeft: BOX + space.m },
});
