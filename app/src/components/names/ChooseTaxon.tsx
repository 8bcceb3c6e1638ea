import { useState } from 'react';
import { View } from 'react-native';
import type { CompiledTaxon } from '@pause/core';
import { Input } from '..';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/components';
import { DidYouMean } from './late';
import { searchTaxa } from './search';
import { TaxonRow } from './TaxonRow';

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
          <TaxonRow key={one.id} taxon={one} onChoose={onChoose} />
        ))}
      </View>
      {matches.length === 0 && text.trim() !== '' ? <DidYouMean text={text} onChoose={onChoose} /> : null}
    </>
  );
}
