import { useMemo } from 'react';
import { View } from 'react-native';
import type { CompiledTaxon } from '@pause/core';
import { Heading } from '..';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/components';
import { commonName } from '../../text/names';
import { nearNames } from './nearNames';
import { TaxonRow } from './TaxonRow';

interface DidYouMeanProps {
  /** What was typed, and is no name of the guide. */
  readonly text: string;
  readonly onChoose: (taxon: CompiledTaxon) => void;
}

/** Taxa whose names are nearly what was typed; nothing where there are none. */
export function DidYouMean({ text, onChoose }: DidYouMeanProps) {
  const near = useMemo(() => nearNames(guide, text), [text]);
  if (near.length === 0) return null;
  return (
    <View>
      <Heading>{t.didYouMean}</Heading>
      <View role="list" aria-label={t.didYouMean}>
        {near.map(({ taxon, name }) => (
          <TaxonRow
            key={taxon.id}
            taxon={taxon}
            name={name === commonName(taxon.id) ? undefined : name}
            onChoose={onChoose}
          />
        ))}
      </View>
    </View>
  );
}
