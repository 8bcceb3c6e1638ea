import { useRouter } from 'expo-router';
import { useContext, useMemo, useState } from 'react';
import { FlatList, Pressable, ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import type { CompiledTaxon, HarmGrade } from '@pause/core';
import {
  Button,
  Chip,
  colour,
  corner,
  Notice,
  Screen,
  Small,
  space,
  Strong,
  stroke,
  TARGET,
  Title,
  useWide,
  Stack,
  Row,
} from '../../components';
import { DidYouMean } from '../../components/names/late';
import { NameField } from '../../components/names/NameField';
import { searchTaxa } from '../../components/names/search';
import { SharedName } from '../../components/names/SharedName';
import { BodyPlanGlyph } from '../../components/plates/BodyPlanGlyph';
import { TextSize } from '../../components/Words';
import { guide } from '../../deciding/guide';
import { useToday } from '../../notebook/useFinds';
import { t } from '../../text/en/guide';
import { usualIn } from '../../text/months';
import { GuideEntry } from './GuideEntry';

const GRADES: readonly { readonly id: HarmGrade | 'all'; readonly label: string }[] = [
  { id: 'all', label: t.all },
  { id: 'none', label: t.wanted },
  { id: 'deadly', label: t.deadly },
  { id: 'serious', label: t.serious },
  { id: 'unpleasant', label: t.unpleasant },
];

/** What is looked for, and what of the guide is like that. */
function useSearch() {
  const month = useToday().getMonth() + 1;
  const [text, setText] = useState('');
  const [grade, setGrade] = useState<HarmGrade | 'all'>('all');
  const [plan, setPlan] = useState<string>();
  const [now, setNow] = useState(false);
  const found = useMemo(
    () =>
      searchTaxa(guide, text, undefined)
        .map(({ taxon, name }) => ({ taxon, name }))
        .filter(
          ({ taxon }) =>
            (grade === 'all' || (grade === 'none' ? taxon.taxon.parts.length > 0 : taxon.grade === grade)) &&
            (plan === undefined || taxon.taxon.bodyPlan === plan) &&
            (!now || usualIn(taxon.taxon, month)),
        ),
    [text, grade, plan, now, month],
  );
  const showAll = () => {
    setText('');
    setGrade('all');
    setPlan(undefined);
    setNow(false);
  };
  const isAll = !text && !plan && !now && grade === 'all';
  return { text, setText, grade, setGrade, plan, setPlan, now, setNow, found, isAll, showAll };
}

/** The guide to leaf through: by form, by harm, by month, by a name in any language. */
export function GuideScreen() {
  const router = useRouter();
  const columns = useColumns();
  const search = useSearch();
  const open = ({ id }: CompiledTaxon) => router.push({ pathname: '/taxon/[id]', params: { id } });
  return (
    <Screen panes>
      <FlatList
        key={columns}
        data={search.found}
        keyExtractor={({ taxon }) => taxon.id}
        numColumns={columns}
        {...(columns > 1 ? { columnWrapperStyle: styles.shelf } : {})}
        ListHeaderComponent={<SearchHead search={search} />}
        ListEmptyComponent={
          <>
            <DidYouMean text={search.text} onChoose={open} />
            <Notice title={t.noneLikeThat} text={t.nothingInThisGuideIs} />
          </>
        }
        contentContainerStyle={styles.page}
        initialNumToRender={4}
        renderItem={({ item }) => (
          <GuideEntry
            taxon={item.taxon}
            name={item.name}
            shared={columns > 1}
            onOpen={() => open(item.taxon)}
          />
        )}
      />
    </Screen>
  );
}

interface SearchProps {
  readonly search: ReturnType<typeof useSearch>;
}

function SearchHead({ search }: SearchProps) {
  const { text, setText, grade, setGrade, plan, now, setNow, found } = search;
  const planName = guide.guide.bodyPlans.find((p) => p.id === plan)?.name ?? '';
  return (
    <Stack gap="s">
      <Title>{t.theGuide}</Title>
      <Small soft>{t.taxaGeneralKnowledgeReviewedBy(guide.taxa.length)}</Small>
      <View style={styles.name}>
        <NameField text={text} placeholder={t.nameInAnyLanguage} onText={setText} />
      </View>
      <SharedName text={text} />
      <ScrollView horizontal showsHorizontalScrollIndicator={false} style={styles.bleed}>
        <Row gap="s" role="group" aria-label={t.which} style={styles.inset}>
          {GRADES.map(({ id, label }) => (
            <Chip key={id} label={label} chosen={grade === id} onPress={() => setGrade(id)} />
          ))}
          <Chip kind="checkbox" label={t.toBeMetThisMonth} chosen={now} onPress={() => setNow(!now)} />
        </Row>
      </ScrollView>
      <BodyPlans search={search} />
      <View style={styles.count}>
        <Strong style={styles.grow}>
          {t.ofThem(found.length === 1 ? t.one : found.length, plan ? ` · ${planName}` : '')}
        </Strong>
        {search.isAll ? null : <Button label={t.showAll} tone="plain" onPress={search.showAll} />}
      </View>
    </Stack>
  );
}

function BodyPlans({ search: { plan, setPlan } }: SearchProps) {
  return (
    <ScrollView horizontal showsHorizontalScrollIndicator={false} style={styles.bleed}>
      <Row gap="xs" role="radiogroup" aria-label={t.form} style={styles.inset}>
        {guide.guide.bodyPlans.map((p) => (
          <Pressable
            key={p.id}
            role="radio"
            aria-checked={p.id === plan}
            aria-label={`${p.name}: ${p.hint}`}
            onPress={() => setPlan(p.id === plan ? undefined : p.id)}
            style={[styles.plan, p.id === plan && styles.planChosen]}
          >
            <BodyPlanGlyph plan={p.id} size={34} colour={colour.ink} />
          </Pressable>
        ))}
      </Row>
    </ScrollView>
  );
}

/** Narrower than this, in usual letters, plates are one below the other, px. */
const ONE_COLUMN = 260;

/** As many columns as plates with their names have room for. */
function useColumns(): number {
  const wide = useWide();
  const { width } = useWindowDimensions();
  // In large letters a name needs the whole width.
  const room = width / useContext(TextSize);
  return wide ? Math.max(3, Math.min(6, Math.floor(room / 230))) : room < ONE_COLUMN ? 1 : 2;
}

const styles = StyleSheet.create({
  page: { padding: space.l, paddingBottom: space.xl },
  name: { maxWidth: 560, width: '100%' },
  plan: {
    width: TARGET,
    height: TARGET,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: corner,
    borderWidth: stroke.medium,
    borderColor: 'transparent',
  },
  planChosen: { borderColor: colour.ink, backgroundColor: colour.card },
  count: { flexDirection: 'row', alignItems: 'center', minHeight: TARGET },
  // Rows that are pushed sideways go to the edge of the screen.
  bleed: { marginHorizontal: -space.l },
  inset: { paddingHorizontal: space.l },
  shelf: { gap: space.m },
  grow: { flex: 1 },
});
