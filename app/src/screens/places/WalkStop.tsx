import { View } from 'react-native';
import type { CompiledTaxon } from '@pause/core';
import { legs, dangerousAt, pickingAt, groundOf, type KitItem } from '@pause/core/outings';
import { Strong, Small, Body, SmallStrong, Rule } from '../../components';
import { guide } from '../../deciding/guide';
import type { Place } from '../../notebook/usePlaces';
import { t } from '../../text/en/places';
import { KIT, kitReason } from '../../text/kit';
import { upper, commonName } from '../../text/names';
import { pickingWords, siteWords, metres, HAZARD } from '../../text/places';
import { few } from '../../text/reasons';
import { styles } from './walkStyles';

/** One stop of a walk. */

export interface Target {
  readonly taxon: CompiledTaxon;
  readonly part: CompiledTaxon['taxon']['parts'][number];
}

export function Stop({
  number,
  place,
  on,
  targets,
  minutes,
}: {
  readonly number: number;
  readonly place: Place;
  readonly on: string;
  readonly targets: readonly Target[];
  readonly minutes: ReturnType<typeof legs>[number] | undefined;
}) {
  const { fields } = place;
  const dangers = dangerousAt(place.page.sightings, guide);
  const seen = new Set(place.page.sightings.filter(({ what }) => what === 'seen').map(({ taxon }) => taxon));
  const here = targets.filter(({ taxon }) => seen.has(taxon.id));
  const facts = [
    ...new Set(
      here
        .flatMap(({ taxon, part }) => {
          const { permission, reasons } = pickingAt(fields, taxon.id, part.part, on);
          return reasons.length > 0
            ? reasons.map(pickingWords)
            : [permission === 'allowed' ? t.pickingIsAllowed : ''];
        })
        .filter(Boolean),
    ),
  ];
  const { digging } = groundOf(fields);
  return (
    <View role="listitem" style={styles.stop}>
      <Strong>
        {number}. {place.name}
      </Strong>
      <Small soft>
        {[siteWords(fields), minutes && t.fromTheLastOneAbout(metres(minutes.metres), minutes.minutes)]
          .filter(Boolean)
          .join(' · ')}
      </Small>
      {here.length > 0 ? (
        <Body>
          {upper(here.map(({ taxon, part }) => `${commonName(taxon.id)}, ${part.name}`).join('; '))}.
        </Body>
      ) : null}
      {facts.map((line) => (
        <Small key={line}>{line}</Small>
      ))}
      {here.some(({ part }) => part.part === 'root') ? (
        <Small>
          {digging === 'never'
            ? t.doNotDigHere
            : digging === 'hard'
              ? t.stonyGroundDiggingIsSlow
              : t.closeTheGroundAgainAfter}
        </Small>
      ) : null}
      {dangers.length > 0 ? <SmallStrong>{t.dangerousHere(few(dangers.map(commonName)))}</SmallStrong> : null}
      {fields.hazards && fields.hazards.length > 0 ? (
        <Small>{t.mindYourself(fields.hazards.map((one) => HAZARD[one].toLowerCase()).join(', '))}</Small>
      ) : null}
      <Rule style={styles.under} />
    </View>
  );
}

export function Kit({ item: { item, reason } }: { readonly item: KitItem }) {
  return (
    <View role="listitem" style={styles.kit}>
      <Body>{KIT[item] ?? upper(item)}</Body>
      <Small soft style={styles.grow}>
        {kitReason(reason)}
      </Small>
    </View>
  );
}
