import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronUp from 'lucide-react-native/icons/chevron-up';
import { Pressable, StyleSheet, View } from 'react-native';
import type { Identification } from '@pause/core/advice/identify';
import { colour, SmallStrong, stroke } from '../../../components';
import { t } from '../../../text/en/naming';
import { CommonName } from '../../../text/names';
import { Chance, percent } from './Chance';

const SHOWN = 2;

interface CandidatesBandProps {
  readonly identification: Identification;
  readonly open: boolean;
  readonly onToggle: () => void;
}

/** The likeliest candidates, and how likely it is none of the guide, in one line; a touch shows all of them. */
export function CandidatesBand({ identification, open, onToggle }: CandidatesBandProps) {
  const { candidates, none } = identification;
  const cells = [
    ...candidates.slice(0, SHOWN).map(({ taxon, probability }) => ({
      id: taxon,
      name: CommonName(taxon),
      probability,
    })),
    { id: '', name: t.notInTheGuide, probability: none },
  ];
  const Chevron = open ? ChevronUp : ChevronDown;
  return (
    <View role="group" aria-label={t.howLikelyEachIs} style={styles.band}>
      {cells.map(({ id, name, probability }) => (
        <Pressable
          key={id}
          role="button"
          aria-expanded={open}
          aria-label={`${name}, ${t.likely(percent(probability))}`}
          onPress={onToggle}
          style={({ pressed }) => [styles.cell, pressed && styles.pressed]}
        >
          <SmallStrong numberOfLines={2} style={styles.name}>
            {name}
          </SmallStrong>
          <Chance probability={probability} />
        </Pressable>
      ))}
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={open ? t.hideTheCandidates : t.showAllCandidates}
        onPress={onToggle}
        style={({ pressed }) => [styles.more, pressed && styles.pressed]}
      >
        <Chevron size={22} color={colour.ink} strokeWidth={2.25} />
      </Pressable>
    </View>
  );
}

const styles = StyleSheet.create({
  band: {
    flexDirection: 'row',
    borderTopWidth: stroke.medium,
    borderBottomWidth: stroke.medium,
    borderColor: colour.ink,
  },
  cell: {
    flex: 1,
    minWidth: 0,
    minHeight: 60,
    paddingVertical: 4,
    justifyContent: 'space-between',
    paddingHorizontal: 6,
    borderRightWidth: 1,
    borderRightColor: colour.line,
  },
  name: { lineHeight: 17 },
  more: { width: 44, minHeight: 48, alignItems: 'center', justifyContent: 'center' },
  pressed: { backgroundColor: colour.shade },
});
