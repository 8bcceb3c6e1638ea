import { View } from 'react-native';
import type { CompiledTaxon } from '@pause/core';
import { Heading, Body, Strong, Small } from '../../components';
import { lowerFirst, stageName, cautionFor } from '../../text/names';
import { styles } from './taxonStyles';

/** What a taxon is used for. */

export interface TaxonProps {
  readonly taxon: CompiledTaxon;
}

export const ROUTE: Readonly<Record<string, string>> = {
  eaten: 'eaten',
  skin: 'on the skin',
  wound: 'on a wound',
  inhaled: 'breathed in',
  smoked: 'smoked',
  none: 'no contact',
};

export function Uses({ taxon: { taxon } }: TaxonProps) {
  const { parts, food, cautions, benefits, otherUses, regrowth, protection } = taxon;
  if (parts.length === 0 && (otherUses ?? []).length === 0) return null;
  return (
    <View style={styles.block}>
      <Heading>What it is wanted for</Heading>
      {food ? (
        <Body>
          {food.gives}; in place of {food.replaces}.
        </Body>
      ) : null}
      {parts.map((part) => (
        <View key={`${part.part} ${part.use}`} style={styles.use}>
          <Strong>
            {part.name}
            {part.route && part.route !== 'eaten' ? `, ${ROUTE[part.route] ?? part.route}` : ''}
          </Strong>
          <Small soft>{part.stages.map((s) => lowerFirst(stageName(s))).join(', ')}</Small>
          {part.before.map((line) => (
            <Body key={line}>{line}</Body>
          ))}
        </View>
      ))}
      {cautions.map((caution) => (
        <Body key={caution.for + caution.text}>
          <Strong>
            {cautionFor(caution.for)}
            {caution.level === 'rules-out' ? ', not at all' : caution.level === 'ask' ? ', ask first' : ''}
            :{' '}
          </Strong>
          {lowerFirst(caution.text)}
        </Body>
      ))}
      {(otherUses ?? []).map((use) => (
        <Body key={use.use}>
          <Strong>Not as food: </Strong>
          {use.use}
        </Body>
      ))}
      {(benefits ?? []).map((b) => (
        <Small key={b.text} soft>
          {b.text} ({SOURCE[b.source]})
        </Small>
      ))}
      {regrowth ? (
        <Body>
          <Strong>How it grows back: </Strong>
          {lowerFirst(regrowth.text)}
        </Body>
      ) : null}
      {protection === 'often' ? (
        <Body>
          <Strong>Often protected.</Strong> Look up your own law.
        </Body>
      ) : null}
    </View>
  );
}

const SOURCE = { tradition: 'handed down', trial: 'from a trial', study: 'from a study' } as const;
