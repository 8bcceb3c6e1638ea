import { View } from 'react-native';
import type { CompiledTaxon } from '@pause/core';
import { legs, dangerousAt, pickingAt, groundOf, type KitItem } from '@pause/core/outings';
import { Strong, Small, Body, SmallStrong, Rule } from '../../components';
import { guide } from '../../deciding/guide';
import type { Place } from '../../notebook/usePlaces';
import { t as placesText } from '../../text/en/places';
import { t } from '../../text/en/walk';
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

interface StopProps {
  readonly number: number;
  readonly place: Place;
  readonly on: string;
  readonly targets: readonly Target[];
  readonly minutes: ReturnType<typeof legs>[number] | undefined;
}

export function Stop({ number, place, on, targets, minutes }: StopProps) {
  const { fields } = place;
  const dangers = dangerousAt(place.page.sightings, guide);
  const seen = new Set(place.page.sightings.filter(({ what }) => what === 'seen').map(({ taxon }) => taxon));
  const here = targets.filter(({ taxon }) => seen.has(taxon.id));
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
      {pickingLines(here, fields, on).map((line) => (
        <Small key={line}>{line}</Small>
      ))}
      {here.some(({ part }) => part.part === 'root') ? <Small>{diggingWords(fields)}</Small> : null}
      {dangers.length > 0 ? (
        <SmallStrong>{placesText.dangerousHere(few(dangers.map(commonName)))}</SmallStrong>
      ) : null}
      {fields.hazards && fields.hazards.length > 0 ? (
        <Small>
          {placesText.mindYourself(fields.hazards.map((one) => HAZARD[one].toLowerCase()).join(', '))}
        </Small>
      ) : null}
      <Rule style={styles.under} />
    </View>
  );
}

/** Whether each of these may be picked there on that day, each line once. */
function pickingLines(here: readonly Target[], fields: Place['fields'], on: string): string[] {
  const lines = here.flatMap(({ taxon, part }) => {
    const { permission, reasons } = pickingAt(fields, taxon.id, part.part, on);
    if (reasons.length > 0) return reasons.map(pickingWords);
    return permission === 'allowed' ? [t.pickingIsAllowed] : [];
  });
  return [...new Set(lines)];
}

function diggingWords(fields: Place['fields']): string {
  const { digging } = groundOf(fields);
  if (digging === 'never') return t.doNotDigHere;
  return digging === 'hard' ? t.stonyGroundDiggingIsSlow : t.closeTheGroundAgainAfter;
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
