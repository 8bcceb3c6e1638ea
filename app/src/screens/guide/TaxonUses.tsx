import { View } from 'react-native';
import { preparationsOf, type CompiledTaxon } from '@pause/core';
import { Heading, Body, Strong, Small } from '../../components';
import { t } from '../../text/en/taxon';
import { lowerFirst, stageName, cautionFor } from '../../text/names';
import { styles } from './taxonStyles';

type Level = CompiledTaxon['taxon']['cautions'][number]['level'];
const CAUTION_LEVEL: Readonly<Record<Level, (whom: string) => string>> = {
  'rules-out': t.notAtAllFor,
  ask: t.askFirstFor,
  note: t.forWhom,
};

/** What a taxon is used for. */

export interface TaxonProps {
  readonly taxon: CompiledTaxon;
}

export const ROUTE: Readonly<Record<string, string>> = {
  eaten: t.eaten,
  skin: t.onTheSkin,
  wound: t.onAWound,
  inhaled: t.breathedIn,
  smoked: t.smoked,
  none: t.noContact,
};

export function Uses({ taxon: { taxon } }: TaxonProps) {
  const { parts, food, cautions, benefits, otherUses, regrowth, protection } = taxon;
  if (parts.length === 0 && (otherUses ?? []).length === 0) return null;
  return (
    <View style={styles.block}>
      <Heading>{t.whatItIsWantedFor}</Heading>
      {food ? <Body>{t.inPlaceOf(food.gives, food.replaces)}</Body> : null}
      {parts.map((part) => (
        <View key={`${part.part} ${part.use}`} style={styles.use}>
          <Strong>
            {part.name}
            {part.route && part.route !== 'eaten' ? `, ${ROUTE[part.route] ?? part.route}` : ''}
          </Strong>
          <Small soft>{part.stages.map((s) => lowerFirst(stageName(s))).join(', ')}</Small>
          {preparationsOf(part).map(({ text }) => (
            <Body key={text}>{text}</Body>
          ))}
        </View>
      ))}
      {cautions.map((caution) => (
        <Body key={caution.for + caution.text}>
          <Strong>{CAUTION_LEVEL[caution.level](cautionFor(caution.for))} </Strong>
          {lowerFirst(caution.text)}
        </Body>
      ))}
      {(otherUses ?? []).map((use) => (
        <Body key={use.use}>
          <Strong>{t.notAsFood} </Strong>
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
          <Strong>{t.howItGrowsBack} </Strong>
          {lowerFirst(regrowth.text)}
        </Body>
      ) : null}
      {protection === 'often' ? (
        <Body>
          <Strong>{t.oftenProtected}</Strong> {t.lookUpYourOwnLaw}
        </Body>
      ) : null}
    </View>
  );
}

const SOURCE = { tradition: t.handedDown, trial: t.fromATrial, study: t.fromAStudy } as const;
