import Ellipsis from 'lucide-react-native/icons/ellipsis';
import Undo2 from 'lucide-react-native/icons/undo-2';
import { Pressable, StyleSheet, View } from 'react-native';
import type { Sureness } from '@pause/core';
import { colour, stroke, Strong, TARGET } from '../../../components';
import { useApp } from '../../../notebook/store';
import { t } from '../../../text/en/check';

export interface SurenessBarProps {
  readonly sureness: Sureness;
  readonly onChoose: (sureness: Sureness) => void;
  /** Takes the last answer back, if there is one. */
  readonly onBack: (() => void) | undefined;
  /** Shows what else can be done than answer. */
  readonly onMore: () => void;
}

const LABELS: readonly { readonly id: Sureness; readonly label: string }[] = [
  { id: 'sure', label: t.sure },
  { id: 'fairly', label: t.fairly },
  { id: 'guess', label: t.guess },
];

/** At the thumb: how sure the next answer is, taking the last one back, and the other ways. */
export function SurenessBar({ sureness, onChoose, onBack, onMore }: SurenessBarProps) {
  const left = useApp((state) => state.look.hand === 'left');
  return (
    <View style={[styles.bar, left && styles.left]}>
      <View style={styles.levels} role="radiogroup" aria-label={t.howSureAreYou}>
        {LABELS.map(({ id, label }) => (
          <Pressable
            key={id}
            role="radio"
            aria-checked={sureness === id}
            onPress={() => onChoose(id)}
            style={[styles.level, sureness === id && styles.chosen]}
          >
            <Strong on={sureness === id ? 'dark' : 'light'}>{label}</Strong>
          </Pressable>
        ))}
      </View>
      <Pressable
        role="button"
        aria-label={t.takeBack}
        disabled={!onBack}
        aria-disabled={!onBack}
        onPress={onBack}
        style={({ pressed }) => [styles.icon, pressed && styles.pressed, !onBack && styles.off]}
      >
        <Undo2 size={22} color={colour.ink} strokeWidth={2.25} />
      </Pressable>
      <Pressable
        role="button"
        aria-label={t.otherWaysToAnswer}
        onPress={onMore}
        style={({ pressed }) => [styles.icon, pressed && styles.pressed]}
      >
        <Ellipsis size={24} color={colour.ink} strokeWidth={2.5} />
      </Pressable>
    </View>
  );
}

const styles = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    borderTopWidth: stroke.medium,
    borderTopColor: colour.ink,
    backgroundColor: colour.ground,
  },
  left: { flexDirection: 'row-reverse' },
  levels: { flex: 1, flexDirection: 'row' },
  level: {
    flex: 1,
    minHeight: TARGET,
    alignItems: 'center',
    justifyContent: 'center',
    borderRightWidth: stroke.thin,
    borderRightColor: colour.ink,
  },
  chosen: { backgroundColor: colour.ink },
  icon: { width: 56, minHeight: TARGET, alignItems: 'center', justifyContent: 'center' },
  pressed: { backgroundColor: colour.shade },
  off: { opacity: 0.25 },
});
