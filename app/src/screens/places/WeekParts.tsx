import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { type CompiledTaxon, currentFields } from '@pause/core';
import { isoOf } from '@pause/core/lib/day';
import { Button, Small, SmallStrong } from '../../components';
import type { Looked, Question } from '../../deciding/season/look';
import { useAct, useApp } from '../../notebook/store';
import { type Place, type EaterPage, useDay } from '../../notebook/usePlaces';
import { t as placesText } from '../../text/en/places';
import { t } from '../../text/en/week';
import { CommonName } from '../../text/names';
import { isoDayName } from '../../text/places';
import { loadWeather, forgetWeather } from './weather';
import { styles } from './weekStyles';

/** The parts of a week. */

export interface WeekProps {
  readonly looked: Looked;
  readonly places: readonly Place[];
  readonly eaters: readonly EaterPage[];
  readonly question: Question;
  readonly onWeather: () => void;
}

/** What is about too and is never collected with Pause: to be known, not to be gone for. */
export function Never({ taxa }: { readonly taxa: readonly CompiledTaxon[] }) {
  const [open, setOpen] = useState(false);
  if (taxa.length === 0) return null;
  return (
    <View style={styles.block}>
      <Button
        label={open ? t.notWithPauseAndWhy : t.notWithPauseCount(taxa.length)}
        tone="plain"
        style={styles.start}
        onPress={() => setOpen(!open)}
      />
      {open ? (
        <View role="list" aria-label={t.notWithPauseHeading} style={styles.block}>
          {taxa.map(({ id, taxon }) => (
            <View key={id} role="listitem">
              <Small>
                <SmallStrong>{CommonName(id)}: </SmallStrong>
                {taxon.nearDoubles?.[0]?.why ?? ''}
              </Small>
            </View>
          ))}
        </View>
      ) : null}
    </View>
  );
}

/** A table of a station near by makes the days one's own. */
export function Weather({
  simulated,
  onChange,
}: {
  readonly simulated: boolean;
  readonly onChange: () => void;
}) {
  const act = useAct();
  const [messages, setMessage] = useState<readonly string[]>([]);
  const [explained, setExplained] = useState(false);
  return (
    <View style={styles.block}>
      <View style={styles.ways}>
        <Button
          label={t.loadWeather}
          tone="plain"
          onPress={() =>
            void act(loadWeather()).then((lines) => {
              setMessage(lines);
              onChange();
            })
          }
        />
        {simulated ? null : (
          <Button
            label={t.forgetIt}
            aria-label={t.forgetTheWeatherThatWas}
            tone="plain"
            onPress={() =>
              void act(forgetWeather()).then(() => {
                setMessage([]);
                onChange();
              })
            }
          />
        )}
        <Button
          label={t.whatSuchATableHolds}
          tone="plain"
          aria-expanded={explained}
          onPress={() => setExplained(!explained)}
        />
      </View>
      {explained ? <Small soft>{t.aTableCsvOfDaily}</Small> : null}
      {messages.map((line) => (
        <SmallStrong key={line} role="alert">
          {line}
        </SmallStrong>
      ))}
    </View>
  );
}

/** Walks that are still to be gone, and the way to plan another. */
export function Ways() {
  const router = useRouter();
  const act = useAct();
  const today = isoOf(useDay());
  const pages = useApp((state) => state.pages.all);
  const walks = Object.values(pages)
    .filter(({ kind }) => kind === 'walk')
    .map((page) => ({ id: page.id, on: currentFields(page, 'walk').on ?? today }))
    .filter(({ on }) => on >= today)
    .sort((a, b) => (a.on < b.on ? -1 : 1));
  const plan = () =>
    void import('../../notebook/outside')
      .then(({ beginPage }) => act(beginPage('walk', { on: today })))
      .then((id) => {
        if (id !== undefined) router.push({ pathname: '/walk/[id]', params: { id } });
      });
  return (
    <View style={styles.ways}>
      <Button label={t.planAWalk} onPress={plan} />
      {walks.map(({ id, on }) => (
        <Button
          key={id}
          label={t.theWalkOf(isoDayName(on))}
          tone="outline"
          onPress={() => router.push({ pathname: '/walk/[id]', params: { id } })}
        />
      ))}
      <Button label={placesText.places} tone="outline" onPress={() => router.push('/places')} />
      <Button label={placesText.whoEatsAlong} tone="outline" onPress={() => router.push('/eaters')} />
    </View>
  );
}
