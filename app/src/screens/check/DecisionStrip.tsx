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
import { aroundLine, briefLine, stripLine } from '../../text/strip';

/** Mark, word, and the one line of what is missing. Always in view; the way to the verdict. */
export const DecisionStrip = memo(function DecisionStrip({
  find,
  verdict,
  plan,
  around = false,
  compact = false,
}: {
  readonly find: string;
  readonly verdict: Verdict;
  readonly plan?: AskedPlan;
  readonly around?: boolean;
  /** In one line. */
  readonly compact?: boolean;
}) {
  return (
    <Sentence
      find={find}
      outcome={verdict.outcome}
      line={around ? aroundLine(verdict) : stripLine(verdict, plan)}
      brief={compact ? briefLine(verdict, plan) : undefined}
      onward={around && verdict.outcome === 'pause'}
    />
  );
});

/** A long reason does not take the screen: all of it is in the verdict. */
const MOST_LINES = 3;

/** Drawn anew only where its words change. */
const Sentence = memo(function Sentence({
  find,
  outcome,
  line,
  brief,
  onward,
}: {
  readonly find: string;
  readonly outcome: Verdict['outcome'];
  readonly line: string;
  /** In as few words as fit, where there is room for one line only. */
  readonly brief: string | undefined;
  readonly onward: boolean;
}) {
  const compact = brief !== undefined;
  const wide = useWide();
  const left = useApp((state) => state.look.hand === 'left');
  const dark = outcome !== 'pause';
  return (
    <View
      style={[styles.strip, compact && styles.compact, left && styles.left, styles[outcome]]}
      role="status"
      aria-live="polite"
      aria-label={`${OUTCOME[outcome]}. ${line}`}
    >
      <Mark
        outcome={outcome}
        size={compact ? 30 : wide ? 44 : 38}
        colour={dark ? colour.onDark : colour.ink}
      />
      <View style={[styles.words, (wide || compact) && styles.inLine, compact && styles.close]}>
        <VerdictWord on={dark ? 'dark' : 'light'} style={[styles.word, compact && styles.wordCompact]}>
          {OUTCOME[outcome]}
        </VerdictWord>
        <Body
          on={dark ? 'dark' : 'light'}
          numberOfLines={compact ? 2 : wide ? undefined : MOST_LINES}
          style={[styles.lineText, compact && styles.lineCompact]}
        >
          {brief ?? line}
        </Body>
      </View>
      <Onward find={find} dark={dark} onward={onward} compact={compact} />
    </View>
  );
});

/** Keeps its place while the verdict is worked out, so that nothing moves under a finger when it comes. */
export const StripPlace = () => <View style={[styles.strip, styles.place]} />;

const Mark = memo(OutcomeMark);

const Onward = memo(function Onward({
  find,
  dark,
  onward,
  compact,
}: {
  readonly find: string;
  readonly dark: boolean;
  readonly onward: boolean;
  readonly compact: boolean;
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
      style={({ pressed }) => [
        styles.go,
        compact && styles.goCompact,
        dark && styles.goOnDark,
        pressed && styles.pressed,
      ]}
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
  place: { minHeight: 83 },
  left: { flexDirection: 'row-reverse' },
  pause: { backgroundColor: colour.pause },
  leave: { backgroundColor: colour.leave },
  collect: { backgroundColor: colour.collect },
  words: { flex: 1 },
  inLine: { flexDirection: 'row', alignItems: 'center', gap: space.l },
  compact: { paddingHorizontal: space.m, paddingVertical: 5, gap: space.s, borderTopWidth: stroke.medium },
  close: { gap: space.s },
  wordCompact: { fontSize: typeSize(21, 1.2), lineHeight: typeSize(24, 1.2) },
  lineCompact: { fontSize: typeSize(15, 1.5), lineHeight: typeSize(18, 1.5), flex: 1 },
  goCompact: { minWidth: 48, height: 48, paddingHorizontal: 0 },
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
