import { Link } from 'expo-router';
import { useMemo } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { currentFields, isCollectable } from '@pause/core';
import { isoOf } from '@pause/core/lib/day';
import { colour, corner, Heading, Rule, Small, SmallStrong, space, Stack, typeSize } from '../../components';
import { LinkRow } from '../../components/LinkRow';
import { TaxonSmall } from '../../components/plates/TaxonSmall';
import { guide } from '../../deciding/guide';
import { useApp } from '../../notebook/store';
import { useToday } from '../../notebook/useFinds';
import { useDay } from '../../notebook/usePlaces';
import { t } from '../../text/en/start';
import { usualIn } from '../../text/months';
import { CommonName } from '../../text/names';
import { isoDayName } from '../../text/places';

/** What is about in this month, and what is due. */
export function Today() {
  return (
    <>
      <About />
      <Due />
    </>
  );
}

/** Walks that were planned, and what is being made. */
function Due() {
  const today = isoOf(useDay());
  const pages = useApp((state) => state.pages.all);
  const { walks, making } = useMemo(() => {
    const all = Object.values(pages);
    return {
      walks: all
        .filter(({ kind }) => kind === 'walk')
        .map((page) => ({ id: page.id, on: currentFields(page, 'walk').on ?? '' }))
        .filter(({ on }) => on >= today)
        .sort((a, b) => (a.on < b.on ? -1 : 1)),
      making: all
        .filter(({ kind }) => kind === 'batch')
        .map((page) => ({ id: page.id, fields: currentFields(page, 'batch') }))
        .filter(({ fields }) => fields.readyOn === undefined && fields.ended === undefined),
    };
  }, [pages, today]);
  if (walks.length + making.length === 0) return null;
  return (
    <Stack gap="s">
      <Heading>{t.due}</Heading>
      <View role="list" aria-label={t.due}>
        <Rule />
        {walks.map(({ id, on }) => (
          <LinkRow
            key={id}
            href={{ pathname: '/walk/[id]', params: { id } }}
            before={<TaxonSmall of={undefined} height={48} />}
            name={t.aWalk}
            line={isoDayName(on)}
          />
        ))}
        {making.map(({ id, fields }) => (
          <LinkRow
            key={id}
            href={{ pathname: '/batch/[id]', params: { id } }}
            before={<TaxonSmall of={fields.contents?.[0]?.taxon} height={48} />}
            name={fields.name ?? t.aBatch}
            line={t.beingMade}
          />
        ))}
      </View>
    </Stack>
  );
}

/** So many kinds are shown. */
const MOST = 12;

/** What can be met in this month and is wanted, to be leafed through sideways. */
function About() {
  const month = useToday().getMonth() + 1;
  const taxa = guide.taxa
    .filter((one) => isCollectable(one) && one.taxon.phenology !== undefined && usualIn(one.taxon, month))
    .slice(0, MOST);
  if (taxa.length === 0) return null;
  return (
    <Stack gap="s">
      <Heading>{t.aboutNow}</Heading>
      <Small soft>{t.byTheGuideNotSeen}</Small>
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        style={styles.bleed}
        contentContainerStyle={styles.strip}
      >
        {taxa.map(({ id }) => (
          <Link key={id} href={{ pathname: '/taxon/[id]', params: { id } }} asChild>
            <Pressable role="link" style={styles.card}>
              <TaxonSmall of={id} height={96} />
              <SmallStrong style={styles.name}>{CommonName(id)}</SmallStrong>
            </Pressable>
          </Link>
        ))}
      </ScrollView>
    </Stack>
  );
}

const styles = StyleSheet.create({
  bleed: { marginHorizontal: -space.l },
  strip: { gap: space.s, paddingHorizontal: space.l },
  card: {
    width: typeSize(112),
    alignItems: 'center',
    gap: space.xs,
    padding: space.s,
    backgroundColor: colour.card,
    borderRadius: corner,
  },
  name: { textAlign: 'center' },
});
