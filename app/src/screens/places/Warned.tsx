import { Link } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { z } from 'zod';
import type { CompiledGuide, PageRecord, Sighting } from '@pause/core';
import { dangerousAt } from '@pause/core/outings';
import { Button, colour, Small, space, stroke, Strong, TARGET } from '../../components';
import { guide } from '../../deciding/guide';
import { useAct, useApp, type Thunk } from '../../notebook/store';
import { useToday } from '../../notebook/useFinds';
import { useOpenPages } from '../../notebook/useOpenPages';
import { placeOf, type Place } from '../../notebook/usePlaces';
import { t } from '../../text/en/places';
import { CommonName } from '../../text/names';
import { memberName } from '../../text/people';
import { isoDayName } from '../../text/places';

/**
 * Somebody of a group saw or suspects a dangerous one: whoever opens Pause sees it, until they have read it.
 */

const WARN_DAYS = 14;
const SHOWN = 3;
const DAY_MS = 86_400_000;

export interface Warning {
  readonly place: Place;
  readonly sighting: Sighting;
}

/**
 * What others recorded of dangerous ones in the last fortnight and still holds, newest first; of one kind at one
 * place only the last word.
 *
 * @param read ids of sightings that were read before
 */
export function warningsOf(
  pages: readonly PageRecord[],
  me: string,
  now: Date,
  read: readonly string[],
  guide: CompiledGuide,
): Warning[] {
  const since = new Date(now.getTime() - WARN_DAYS * DAY_MS).toISOString();
  return pages
    .filter(({ kind, group }) => kind === 'place' && group !== undefined)
    .flatMap((page) =>
      dangerousAt(page.sightings, guide).flatMap((taxon): Warning[] => {
        const seen = page.sightings
          .filter((one) => one.taxon === taxon && one.what !== 'nothing' && one.by !== me && one.at >= since)
          .sort((a, b) => (a.at < b.at ? 1 : -1));
        const [sighting] = seen;
        return sighting && !seen.some(({ id }) => read.includes(id))
          ? [{ place: placeOf(page), sighting }]
          : [];
      }),
    )
    .sort((a, b) => (a.sighting.at < b.sighting.at ? 1 : -1));
}

const READ = 'warned';
const Ids = z.array(z.string()).catch([]);
const readBefore =
  (): Thunk<Promise<string[]>> =>
  async (_, __, { device }) =>
    Ids.parse(await device.file(READ));
const keepRead =
  (ids: readonly string[]): Thunk<Promise<void>> =>
  async (_, __, { device }) => {
    await device.keepFile(READ, ids).catch(() => undefined);
  };

export function Warned() {
  const act = useAct();
  const opened = useOpenPages();
  const me = useApp((state) => state.me.person);
  const pages = useApp((state) => state.pages.all);
  const today = useToday();
  const [read, setRead] = useState<readonly string[] | undefined>();
  useEffect(() => {
    void act(readBefore()).then(setRead);
  }, [act]);
  const warnings = useMemo(
    () => (opened && me && read ? warningsOf(Object.values(pages), me.id, today, read, guide) : []),
    [me, opened, pages, read, today],
  );
  if (!read || warnings.length === 0) return null;
  const understood = () => {
    const now = [...read, ...warnings.map(({ sighting }) => sighting.id)].slice(-200);
    setRead(now);
    void act(keepRead(now));
  };
  return (
    <View style={styles.warned} role="status" aria-label={t.toldByYourGroup}>
      {warnings.slice(0, SHOWN).map(({ place, sighting: { id, taxon, by, what, on, note } }) => {
        const group = me?.groups.find((one) => one.id === place.page.group);
        return (
          <Link key={id} href={{ pathname: '/place/[id]', params: { id: place.id } }} asChild>
            <Pressable role="link" style={styles.line}>
              <Strong>
                {CommonName(taxon)} {what === 'suspected' ? t.suspected : t.seen}: {place.name}
              </Strong>
              <Small>
                {[group ? memberName(group, by) : undefined, isoDayName(on), note]
                  .filter(Boolean)
                  .join(' · ')}
              </Small>
            </Pressable>
          </Link>
        );
      })}
      {warnings.length > SHOWN ? <Small>{t.andMoreOnThePlaces(warnings.length - SHOWN)}</Small> : null}
      <Button label={t.understood} tone="outline" style={styles.start} onPress={understood} />
    </View>
  );
}

const styles = StyleSheet.create({
  warned: {
    gap: space.s,
    padding: space.m,
    backgroundColor: colour.card,
    borderLeftWidth: stroke.thick * 2,
    borderLeftColor: colour.ink,
  },
  line: { minHeight: TARGET, justifyContent: 'center' },
  start: { alignSelf: 'flex-start' },
});
