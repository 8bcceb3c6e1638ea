import Check from 'lucide-react-native/icons/check';
import Ellipsis from 'lucide-react-native/icons/ellipsis';
import Undo2 from 'lucide-react-native/icons/undo-2';
import { Pressable, StyleSheet, View } from 'react-native';
import type { Sureness } from '@pause/core';
import { colour, SmallStrong, stroke, Strong, TARGET } from '../../../components';
import { useApp } from '../../../notebook/store';
import { t } from '../../../text/en/check';

export interface SurenessBarProps {
  readonly sureness: Sureness;
  readonly onChoose: (sureness: Sureness) => void;
  /** Takes the last answer back, if there is one. */
  readonly onBack: (() => void) | undefined;
  /** Whether what else can be done is shown, and showing or hiding it. */
  readonly ways: boolean;
  readonly onWays: () => void;
  /** Somebody new is shown what a touch and a hold do. */
  readonly hint: boolean;
  readonly onHintRead: () => void;
}

const LABELS: readonly { readonly id: Sureness; readonly label: string }[] = [
  { id: 'sure', label: t.sure },
  { id: 'fairly', label: t.fairly },
  { id: 'guess', label: t.guess },
];

/** At the thumb: how sure the next answer is, taking the last one back, and the other ways. */
export function SurenessBar({ onBack, ways, onWays, hint, onHintRead, ...levels }: SurenessBarProps) {
  const left = useApp((state) => state.look.hand === 'left');
  return (
    <View style={[styles.bar, left && styles.left]}>
      {hint ? <Hint onRead={onHintRead} /> : <Levels {...levels} />}
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
        aria-expanded={ways}
        onPress={onWays}
        style={({ pressed }) => [styles.icon, (pressed || ways) && styles.pressed]}
      >
        <Ellipsis size={24} color={colour.ink} strokeWidth={2.5} />
      </Pressable>
    </View>
  );
}

function Levels({ sureness, onChoose }: Pick<SurenessBarProps, 'sureness' | 'onChoose'>) {
  return (
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
  );
}

/** Shown until the first answer, or until it was read. */
function Hint({ onRead }: { readonly onRead: () => void }) {
  return (
    <Pressable role="button" aria-label={t.hintRead} onPress={onRead} style={styles.hint}>
      <SmallStrong on="dark" style={styles.hintWords}>
        {t.touchOrHold}
      </SmallStrong>
      <Check size={22} color={colour.onDark} strokeWidth={2.5} />
    </Pressable>
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
  hint: {
    flex: 1,
    minHeight: TARGET,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: 12,
    backgroundColor: colour.ink,
  },
  hintWords: { flex: 1, lineHeight: 19 },
  icon: { width: 56, minHeight: TARGET, alignItems: 'center', justifyContent: 'center' },
  pressed: { backgroundColor: colour.shade },
  off: { opacity: 0.25 },
});
