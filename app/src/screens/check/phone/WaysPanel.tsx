import CircleSlash from 'lucide-react-native/icons/circle-slash';
import Eye from 'lucide-react-native/icons/eye';
import Feather from 'lucide-react-native/icons/feather';
import Hand from 'lucide-react-native/icons/hand';
import Layers from 'lucide-react-native/icons/layers';
import ListChecks from 'lucide-react-native/icons/list-checks';
import NotebookPen from 'lucide-react-native/icons/notebook-pen';
import SkipForward from 'lucide-react-native/icons/skip-forward';
import Wind from 'lucide-react-native/icons/wind';
import { type ComponentType, type ReactNode, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button, colour, corner, space, stroke, Strong, typeSize } from '../../../components';
import { t } from '../../../text/en/answer';

export interface WaysPanelProps {
  /** Where two or more answers can be named. */
  readonly onSeveral: (() => void) | undefined;
  /** It cannot be told, and why. */
  readonly onCantTell: (why: string) => void;
  /** Whether it is asked by the nose. */
  readonly smelled: boolean;
  readonly onPass: () => void;
  /** Where something is smelled. */
  readonly onCannotSmell: (() => void) | undefined;
  /** A note with the answer, and pictures. */
  readonly note: ReactNode;
  /** Everything else that can be read; nothing where all questions are given. */
  readonly otherChecks: ReactNode;
  /** Another piece, or another name; nothing while there is no name. */
  readonly pieces: ReactNode;
  readonly onClose: () => void;
}

type Page = 'note' | 'otherChecks' | 'pieces';

/** What can be done with a question besides answering it. Shown in place of the answers. */
export function WaysPanel({
  onSeveral,
  onCantTell,
  smelled,
  onPass,
  onCannotSmell,
  ...props
}: WaysPanelProps) {
  const [page, setPage] = useState<Page>();
  if (page)
    return (
      <View style={styles.page}>
        {props[page]}
        <Button label={t.backToTheAnswers} tone="outline" onPress={props.onClose} />
      </View>
    );
  return (
    <View role="group" aria-label={t.waysToAnswer} style={styles.grid}>
      {onSeveral ? <Way icon={ListChecks} label={t.unsureBetweenSeveral} onPress={onSeveral} /> : null}
      <Way icon={CircleSlash} label={t.notOnThisPiece} onPress={() => onCantTell(t.notOnThisPieceSentence)} />
      {smelled ? (
        <>
          <Way icon={Feather} label={t.tooFaint} onPress={() => onCantTell(t.tooFaintSentence)} />
          <Way icon={Hand} label={t.maybeMyFingers} onPress={() => onCantTell(t.maybeMyFingersSentence)} />
        </>
      ) : null}
      <Way icon={SkipForward} label={t.skipForNow} onPress={onPass} />
      {onCannotSmell ? <Way icon={Wind} label={t.cantSmellToday} onPress={onCannotSmell} /> : null}
      <Way icon={NotebookPen} label={t.notePhotoOrSketch} onPress={() => setPage('note')} />
      {props.otherChecks ? (
        <Way icon={Eye} label={t.somethingElseSeen} onPress={() => setPage('otherChecks')} />
      ) : null}
      {props.pieces ? (
        <Way icon={Layers} label={t.anotherPieceOrName} onPress={() => setPage('pieces')} />
      ) : null}
    </View>
  );
}

interface WayProps {
  readonly icon: ComponentType<{ size: number; color: string; strokeWidth: number }>;
  readonly label: string;
  readonly onPress: () => void;
}

function Way({ icon: Icon, label, onPress }: WayProps) {
  return (
    <Pressable
      role="button"
      onPress={onPress}
      style={({ pressed }) => [styles.way, pressed && styles.pressed]}
    >
      <View style={styles.icon}>
        <Icon size={24} color={colour.ink} strokeWidth={2} />
      </View>
      <Strong style={styles.label}>{label}</Strong>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  page: { gap: space.m },
  grid: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  way: {
    flexGrow: 1,
    flexBasis: 150,
    minHeight: 64,
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s,
    padding: space.s,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    borderRadius: corner,
    backgroundColor: colour.ground,
  },
  pressed: { backgroundColor: colour.shade },
  icon: { width: 24 },
  label: { flexShrink: 1, lineHeight: typeSize(20) },
});
