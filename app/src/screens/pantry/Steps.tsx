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
  Stack,
  Row,
  Grow,
} from '../../components';
import { now } from '../../notebook/add';
import { changeFields } from '../../notebook/changeFields';
import { newId } from '../../notebook/open';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/making';
import { BESIDES, stepWords } from '../../text/pantry';
import { StartTimer } from './Timers';

type Done = BatchFields['steps'][number];

interface StepsProps {
  readonly id: string;
  readonly steps: readonly Step[];
  readonly done: readonly Done[];
}

/**
 * What is done to it, one after another; what has to be done is left out only with a reason, which stays on
 * its label, and never where it keeps somebody from harm.
 */
export function Steps({ id, steps, done }: StepsProps) {
  return (
    <Stack gap="s">
      <Heading>{t.whatIsDoneToIt}</Heading>
      <View role="list" aria-label={t.steps}>
        <Rule strong />
        {steps.map((step) => (
          <StepLine key={step.id} id={id} step={step} last={done.findLast((one) => one.step === step.id)} />
        ))}
      </View>
      <Another id={id} taken={steps.map(stepWords)} />
    </Stack>
  );
}

interface StepLineProps {
  readonly id: string;
  readonly step: Step;
  /** What was recorded of it last. */
  readonly last: Done | undefined;
}

function StepLine({ id, step, last }: StepLineProps) {
  const act = useAct();
  const [leaving, setLeaving] = useState(false);
  const words = stepWords(step);
  const isDone = last !== undefined && last.leftOut === undefined;
  const save = (more: Partial<Done>) =>
    void act(
      changeFields(id, 'batch', ({ steps: all = [] }) => ({
        steps: [...all.filter((one) => one.step !== step.id), { step: step.id, at: act(now()), ...more }],
      })),
    );
  const undo = () =>
    void act(
      changeFields(id, 'batch', ({ steps: all = [] }) => ({
        steps: all.filter((one) => one.step !== step.id),
      })),
    );
  return (
    <View role="listitem">
      <Row align="centre" gap="m">
        <Tick step={step} last={last} onPress={() => (isDone ? undo() : save({}))} />
        {last === undefined && step.required && step.safety !== true && !leaving ? (
          <Button
            label={t.leaveOut}
            aria-label={t.leaveStepOut(words)}
            tone="plain"
            onPress={() => setLeaving(true)}
          />
        ) : null}
      </Row>
      {last === undefined && (step.minutes !== undefined || step.days !== undefined) ? (
        <View style={styles.ways}>
          <StartTimer id={id} step={step} />
        </View>
      ) : null}
      {leaving ? (
        <Leaving
          onLeave={(leftOut) => {
            save({ leftOut });
            setLeaving(false);
          }}
          onBack={() => setLeaving(false)}
        />
      ) : null}
      <Rule />
    </View>
  );
}

/** Whether it is done; else whether it has to be, or why it was left out. */
function Tick({ step, last, onPress }: Omit<StepLineProps, 'id'> & { readonly onPress: () => void }) {
  const words = stepWords(step);
  const isDone = last !== undefined && last.leftOut === undefined;
  return (
    <Pressable role="checkbox" aria-checked={isDone} aria-label={words} onPress={onPress} style={styles.tick}>
      <View style={[styles.box, isDone && styles.ticked]}>
        {isDone ? <Check size={20} color={colour.onDark} strokeWidth={3} /> : null}
      </View>
      <Grow>
        <Body style={isDone ? styles.soft : undefined}>{words}</Body>
        {last?.leftOut !== undefined ? (
          <SmallStrong>{t.leftOut(last.leftOut)}</SmallStrong>
        ) : step.required && !isDone ? (
          <Small>{t.hasToBeDone}</Small>
        ) : null}
      </Grow>
    </Pressable>
  );
}

interface LeavingProps {
  readonly onLeave: (why: string) => void;
  readonly onBack: () => void;
}

/** Why a step is left out. */
function Leaving({ onLeave, onBack }: LeavingProps) {
  const [why, setWhy] = useState('');
  return (
    <View style={styles.leaving}>
      <Field
        label={t.whyItIsLeftOut}
        value={why}
        onChangeText={setWhy}
        maxLength={200}
        hint={t.theLabelShowsItFrom}
      />
      <View style={styles.ways}>
        <Button label={t.leaveItOut} disabled={why.trim() === ''} onPress={() => onLeave(why.trim())} />
        <Button label={t.doItAfterAll} tone="plain" onPress={onBack} />
      </View>
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
    <Stack gap="s">
      <ChipRow label={t.anotherStep}>
        {BESIDES.filter((one) => !taken.includes(one)).map((one) => (
          <Chip key={one} kind="checkbox" label={one} chosen={false} onPress={() => add(one)} />
        ))}
      </ChipRow>
      <Field label={t.orInYourWords} value={text} onChangeText={setText} maxLength={120} />
      <Row wrap gap="m" align="centre">
        <Button
          label={t.addIt}
          tone="outline"
          disabled={text.trim() === ''}
          onPress={() => add(text.trim())}
        />
        <Button label={t.notNow} tone="plain" onPress={() => setOpen(false)} />
      </Row>
    </Stack>
  );
}

const BOX = 28;
const styles = StyleSheet.create({
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
  ways: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    gap: space.m,
    alignItems: 'center',
    paddingLeft: BOX + space.m,
    paddingBottom: space.s,
  },
  start: { alignSelf: 'flex-start' },
  leaving: { gap: space.s, paddingBottom: space.m, paddingLeft: BOX + space.m },
});
