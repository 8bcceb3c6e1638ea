import { useRouter } from 'expo-router';
import ArrowRight from 'lucide-react-native/icons/arrow-right';
import { Pressable, StyleSheet, View } from 'react-native';
import type { Plan, Verdict } from '@pause/core';
import { OUTCOME } from '../../words/names';
import { stripLine } from '../../words/reasons';
import { Body, colour, corner, OutcomeMark, space, Strong, stroke, useWide, VerdictWord } from '../../ui';

/** Mark, word, and the one line of what is missing. Always in view; the way to the verdict. */
export function DecisionStrip({ find, verdict, plan }: { readonly find: string; readonly verdict: Verdict; readonly plan?: Plan }) {
  const router = useRouter();
  const wide = useWide();
  const { outcome } = verdict;
  const dark = outcome !== 'pause';
  const ink = dark ? colour.onDark : colour.ink;
  const line = stripLine(verdict, plan);
  return (
    <View style={[styles.strip, styles[outcome]]} role="status" aria-live="polite" aria-label={`${OUTCOME[outcome]}. ${line}`}>
      <OutcomeMark outcome={outcome} size={wide ? 44 : 38} colour={ink} />
      <View style={[styles.words, wide && styles.wordsWide]}>
        <VerdictWord on={dark ? 'dark' : 'light'} style={styles.word}>{OUTCOME[outcome]}</VerdictWord>
        <Body on={dark ? 'dark' : 'light'} style={styles.lineText}>{line}</Body>
      </View>
      <Pressable
        role="link"
        aria-label="See the verdict and its reasons"
        onPress={() => router.push({ pathname: '/find/[id]/verdict', params: { id: find } })}
        style={({ pressed }) => [styles.go, dark && styles.goOnDark, pressed && styles.pressed]}
      >
        {wide ? <Strong on={dark ? 'light' : 'dark'}>Reasons</Strong> : null}
        <ArrowRight size={24} color={dark ? colour.ink : colour.onDark} strokeWidth={2.5} />
      </Pressable>
    </View>
  );
}

const styles = StyleSheet.create({
  strip: { flexDirection: 'row', alignItems: 'center', gap: space.l, paddingHorizontal: space.l, paddingVertical: space.m, borderTopWidth: stroke.thick, borderTopColor: colour.ink },
  pause: { backgroundColor: colour.pause },
  leave: { backgroundColor: colour.leave },
  collect: { backgroundColor: colour.collect },
  words: { flex: 1 },
  wordsWide: { flexDirection: 'row', alignItems: 'center', gap: space.l },
  word: { fontSize: 25, lineHeight: 29 },
  lineText: { lineHeight: 22, flexShrink: 1 },
  go: { minWidth: 56, height: 56, paddingHorizontal: space.m, borderRadius: corner, backgroundColor: colour.ink, alignItems: 'center', justifyContent: 'center', flexDirection: 'row', gap: space.s },
  goOnDark: { backgroundColor: colour.onDark },
  pressed: { opacity: 0.75 },
});
