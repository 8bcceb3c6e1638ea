import { useState, useMemo } from 'react';
import { View } from 'react-native';
import type { Sighting } from '@pause/core';
import { pickingAt } from '@pause/core/outings';
import { Heading, Strong, Body, Small, Loading, Rule, SmallStrong, Button } from '../../components';
import { TaxonSmall } from '../../components/plates/TaxonSmall';
import { guide } from '../../deciding/guide';
import { useApp } from '../../notebook/store';
import { type Place, useDay } from '../../notebook/usePlaces';
import { t } from '../../text/en/places';
import { CommonName, upper, lowerFirst, stageName } from '../../text/names';
import { memberName } from '../../text/people';
import { pickingWords, isoDayName, WHEN, whyWords } from '../../text/places';
import { LookAgain } from './LookAgain';
import { LookingBack } from './LookingBack';
import { styles } from './placeStyles';
import { useAhead } from './useAhead';
import { WindowAxis, WindowBar, windowWords } from './WindowBar';

/** What is coming at a place, was seen there, and may be taken. */

const [BACK, AHEAD] = [60, 150];

/** Whether one may pick here, and how that is known. */
export function May({ place, today }: { readonly place: Place; readonly today: string }) {
  const { picking, owner, source } = place.fields;
  const { permission, reasons } = pickingAt(place.fields, undefined, undefined, today);
  return (
    <View style={styles.block}>
      <Heading>{t.mayOnePickHere}</Heading>
      <Strong>
        {permission === 'allowed' ? t.yesAsFarAsYou : permission === 'forbidden' ? t.no : t.askFirst}
      </Strong>
      {reasons.map((reason) => (
        <Body key={reason.code}>{pickingWords(reason)}</Body>
      ))}
      {place.fields.allowances?.map((allowance) => (
        <Body key={JSON.stringify(allowance)}>{pickingWords({ code: 'allowance', allowance })}</Body>
      ))}
      {picking?.may === 'permit' && picking.permitUntil !== undefined && picking.permitUntil >= today ? (
        <Body>{t.until(picking.permitName ?? t.permit, isoDayName(picking.permitUntil))}</Body>
      ) : null}
      <Small soft>
        {[owner, source && `${source.text}, ${isoDayName(source.on)}`].filter(Boolean).join(' · ') ||
          t.nobodyHasSaidYetWhose}
      </Small>
      <Small soft>{t.thisIsWhatPeopleRecorded}</Small>
    </View>
  );
}

/** Uses for which what is gathered is dried first. */
const FOR_DRYING: readonly string[] = ['tea', 'bitter-infusion', 'infused-oil'];

/** When what was seen here can be had, and when to look again. */
export function Coming({ place, places }: { readonly place: Place; readonly places: readonly Place[] }) {
  const { looked, question } = useAhead(places);
  const today = useDay();
  const range = { from: today - BACK, to: today + AHEAD };
  const list = looked?.list.filter((one) => one.place === place.id) ?? [];
  const ripening = list.some(({ when }) => when === 'soon' || when === 'later');
  return (
    <View style={styles.block}>
      <Heading>{t.whenToCome}</Heading>
      {!looked ? (
        <Loading what={t.lookingAhead} />
      ) : list.length === 0 ? (
        <Body>{t.nothingThatWasSeenHere}</Body>
      ) : (
        <>
          <WindowAxis range={range} today={today} />
          <View role="list" aria-label={t.whatComesHere}>
            <Rule strong />
            {list.map((one) => (
              <View key={`${one.taxon} ${one.part}`} role="listitem" style={styles.line}>
                <View style={styles.first}>
                  <TaxonSmall of={one.taxon} height={48} />
                  <Strong style={styles.grow}>{CommonName(one.taxon)}</Strong>
                  <SmallStrong>{WHEN[one.when]}</SmallStrong>
                </View>
                <WindowBar
                  begins={one.begins}
                  ends={one.ends}
                  range={range}
                  today={today}
                  label={windowWords(one.begins, one.ends)}
                />
                <Small>
                  {upper(guide.taxon(one.taxon)?.taxon.parts[one.part]?.name ?? '')}:{' '}
                  {windowWords(one.begins, one.ends)}.
                </Small>
                {FOR_DRYING.includes(guide.taxon(one.taxon)?.taxon.parts[one.part]?.use ?? '') ? (
                  <Small>{t.toBeDriedGoOn}</Small>
                ) : null}
                {one.why && whyWords(one.why) ? <Small soft>{whyWords(one.why)}</Small> : null}
                <Rule />
              </View>
            ))}
          </View>
        </>
      )}
      {ripening ? <LookAgain place={place} places={places} question={question} /> : null}
    </View>
  );
}

/** What was seen here, newest first, and over the years. */
export function Seen({ place }: { readonly place: Place }) {
  const group = useApp(({ me: { person } }) => person?.groups.find((one) => one.id === place.page.group));
  const [all, setAll] = useState(false);
  const sightings = useMemo(
    () => [...place.page.sightings].sort((a, b) => (a.on < b.on ? 1 : a.on > b.on ? -1 : 0)),
    [place],
  );
  const shown = all ? sightings : sightings.slice(0, 5);
  return (
    <View style={styles.block}>
      <Heading>{t.whatWasSeenHere}</Heading>
      {sightings.length === 0 ? <Body>{t.nothingYetALookAt}</Body> : null}
      <View role="list" aria-label={t.sightings}>
        {shown.map(({ id, taxon, what, stages, on, note, by, worthVisit }) => (
          <View key={id} role="listitem" style={styles.seen}>
            <Body>
              {worthVisit
                ? t.worthAVisit(sightingWords({ taxon, what, stages }))
                : sightingWords({ taxon, what, stages })}
            </Body>
            <Small soft>
              {[isoDayName(on), group ? memberName(group, by) : undefined, note].filter(Boolean).join(' · ')}
            </Small>
          </View>
        ))}
      </View>
      {shown.length < sightings.length ? (
        <Button
          label={t.all(sightings.length)}
          tone="plain"
          style={styles.start}
          onPress={() => setAll(true)}
        />
      ) : null}
      <LookingBack place={place} />
    </View>
  );
}

/** What was seen, in words. */
function sightingWords({ taxon, what, stages }: Pick<Sighting, 'taxon' | 'what' | 'stages'>): string {
  const name = CommonName(taxon);
  if (what === 'nothing') return t.lookedNothing(name);
  if (what === 'suspected') return t.suspectedHere(name);
  return stages ? t.seenAt(name, stages.map((stage) => lowerFirst(stageName(stage))).join(', ')) : name;
}
