import { useRouter } from 'expo-router';
import ArrowRight from 'lucide-react-native/icons/arrow-right';
import { memo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { AskedPlan, Verdict } from '@pause/core';
import {
  Body,
  colour,
  corner,
  OutcomeMark,
  space,
  Strong,
  stroke,
  useWide,
  VerdictWord,
  typeSize,
} from '../../components';
import { useApp } from '../../notebook/store';
import { t } from '../../text/en/decisionStrip';
import { OUTCOME } from '../../text/names';
import { aroundLine, stripLine } from '../../text/strip';

/** Mark, word, and the one line of what is missing. Always in view; the way to the verdict. */
export const DecisionStrip = memo(function DecisionStrip({
  find,
  verdict,
  plan,
  around = false,
}: {
  readonly find: string;
  readonly verdict: Verdict;
  readonly plan?: AskedPlan;
  readonly around?: boolean;
}) {
  return (
    <Sentence
      find={find}
      outcome={verdict.outcome}
      line={around ? aroundLine(verdict) : stripLine(verdict, plan)}
      onward={around && verdict.outcome === 'pause'}
    />
  );
});

/** Drawn anew only where something else is said. */
const Sentence = memo(function Sentence({
  find,
  outcome,
  line,
  onward,
}: {
  readonly find: string;
  readonly outcome: Verdict['outcome'];
  readonly line: string;
  readonly onward: boolean;
}) {
  const wide = useWide();
  const left = useApp((state) => state.look.hand === 'left');
  const dark = outcome !== 'pause';
  return (
    <View
      style={[styles.strip, left && styles.left, styles[outcome]]}
      role="status"
      aria-live="polite"
      aria-label={`${OUTCOME[outcome]}. ${line}`}
    >
      <Mark outcome={outcome} size={wide ? 44 : 38} colour={dark ? colour.onDark : colour.ink} />
      <View style={[styles.words, wide && styles.wordsWide]}>
        <VerdictWord on={dark ? 'dark' : 'light'} style={styles.word}>
          {OUTCOME[outcome]}
        </VerdictWord>
        <Body on={dark ? 'dark' : 'light'} style={styles.lineText}>
          {line}
        </Body>
      </View>
      <Onward find={find} dark={dark} onward={onward} />
    </View>
  );
});

const Mark = memo(OutcomeMark);

const Onward = memo(function Onward({
  find,
  dark,
  onward,
}: {
  readonly find: string;
  readonly dark: boolean;
  readonly onward: boolean;
}) {
  const router = useRouter();
  const wide = useWide();
  return (
    <Pressable
      role="link"
      aria-label={onward ? t.onToTheCheck : t.seeTheVerdictAndIts}
      onPress={() =>
        router.push({ pathname: onward ? '/find/[id]/check' : '/find/[id]/verdict', params: { id: find } })
      }
      style={({ pressed }) => [styles.go, dark && styles.goOnDark, pressed && styles.pressed]}
    >
      {wide ? <Strong on={dark ? 'light' : 'dark'}>{onward ? t.check : t.reasons}</Strong> : null}
      <ArrowRight size={24} color={dark ? colour.ink : colour.onDark} strokeWidth={2.5} />
    </Pressable>
  );
});

const styles = StyleSheet.create({
  strip: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.l,
    paddingHorizontal: space.l,
    paddingVertical: space.m,
    borderTopWidth: stroke.thick,
    borderTopColor: colour.ink,
  },
  left: { flexDirection: 'row-reverse' },
  pause: { backgroundColor: colour.pause },
  leave: { backgroundColor: colour.leave },
  collect: { backgroundColor: colour.collect },
  words: { flex: 1 },
  wordsWide: { flexDirection: 'row', alignItems: 'center', gap: space.l },
  word: { fontSize: typeSize(25, 1.2), lineHeight: typeSize(29, 1.2) },
  lineText: { fontSize: typeSize(17, 1.5), lineHeight: typeSize(22, 1.5), flexShrink: 1 },
  go: {
    minWidth: 56,
    height: 56,
    paddingHorizontal: space.m,
    borderRadius: corner,
    backgroundColor: colour.ink,
    alignItems: 'center',
    justifyContent: 'center',
    flexDirection: 'row',
    gap: space.s,
  },
  goOnDark: { backgroundColor: colour.onDark },
  pressed: { opacity: 0.75 },
});
