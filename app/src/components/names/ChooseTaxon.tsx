import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { CompiledTaxon } from '@pause/core';
import { Input, Rule, SmallStrong, space, Strong, TARGET } from '..';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/components';
import { CommonName, GRADE } from '../../text/names';
import { searchTaxa } from './search';

const MOST = 6;

interface ChooseTaxonProps {
  /** What is asked for, as the field is called. */
  readonly label: string;
  readonly placeholder: string;
  /** Offered before anything is typed. */
  readonly first: readonly CompiledTaxon[];
  readonly onChoose: (taxon: CompiledTaxon) => void;
}

/** A taxon by any of its names; the likeliest ones stand there before anything is typed. */
export function ChooseTaxon({ label, placeholder, first, onChoose }: ChooseTaxonProps) {
  const [text, setText] = useState('');
  const matches =
    text.trim() === ''
      ? first
      : searchTaxa(guide, text, undefined)
          .slice(0, MOST)
          .map((match) => match.taxon);
  return (
    <>
      <Input
        aria-label={label}
        value={text}
        onChangeText={setText}
        placeholder={placeholder}
        autoCapitalize="none"
        autoCorrect={false}
      />
      <View role="list" aria-label={t.whichOne}>
        {matches.map((one) => (
          <View key={one.id} role="listitem">
            <Pressable role="button" onPress={() => onChoose(one)} style={styles.line}>
              <Strong style={styles.grow}>{CommonName(one.id)}</Strong>
              {one.grade === 'none' ? null : <SmallStrong>{GRADE[one.grade]}</SmallStrong>}
            </Pressable>
            <Rule />
          </View>
        ))}
      </View>
    </>
  );
}

const styles = StyleSheet.create({
  line: { minHeight: TARGET, flexDirection: 'row', alignItems: 'center', gap: space.m },
  grow: { flex: 1 },
});
