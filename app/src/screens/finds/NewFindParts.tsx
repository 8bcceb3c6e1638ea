import { Pressable, View } from 'react-native';
import type { CompiledTaxon } from '@pause/core';
import { Chip, ChipRow, Heading, Input, Notice, Rule, Small, SmallStrong, Strong } from '../../components';
import { DidYouMean } from '../../components/names/late';
import type { searchTaxa } from '../../components/names/search';
import { TaxonSmall } from '../../components/plates/late';
import { guide } from '../../deciding/guide';
import { useApp } from '../../notebook/store';
import { t } from '../../text/en/newFind';
import { CommonName, GRADE } from '../../text/names';
import { styles } from './newFindStyles';

/** What was found before, or is about now. */
export function QuickTaxa({
  taxa,
  onChoose,
}: {
  readonly taxa: readonly CompiledTaxon[];
  readonly onChoose: (taxon: CompiledTaxon) => void;
}) {
  return (
    <View style={styles.field}>
      <Heading>{t.oneOfThese}</Heading>
      <View role="group" aria-label={t.foundBeforeOrAboutNow} style={styles.before}>
        {taxa.map((taxon) => (
          <Pressable
            key={taxon.id}
            role="button"
            onPress={() => onChoose(taxon)}
            style={({ pressed }) => [styles.quick, pressed && styles.pressed]}
          >
            <TaxonSmall of={taxon.id} height={72} />
            <SmallStrong style={styles.quickName}>{CommonName(taxon.id)}</SmallStrong>
          </Pressable>
        ))}
      </View>
    </View>
  );
}

export function WhereField({
  placeNote,
  onPlaceNote,
}: {
  readonly placeNote: string;
  readonly onPlaceNote: (note: string) => void;
}) {
  return (
    <View style={styles.field}>
      <Heading>{t.where}</Heading>
      <Input
        aria-label={t.whereInYourOwnWords}
        value={placeNote}
        onChangeText={onPlaceNote}
        maxLength={200}
        placeholder={t.onlyForYourNotebookMay}
      />
    </View>
  );
}

type Groups = NonNullable<ReturnType<typeof useGroups>>;

export const useGroups = () => useApp((state) => state.me.person?.groups);

export function NotebookChoice({
  groups,
  group,
  onGroup,
}: {
  readonly groups: Groups;
  readonly group: string | undefined;
  readonly onGroup: (group: string | undefined) => void;
}) {
  return (
    <View style={styles.field}>
      <Heading>{t.inWhoseNotebook}</Heading>
      <ChipRow label={t.inWhoseNotebook}>
        <Chip label={t.mine} chosen={group === undefined} onPress={() => onGroup(undefined)} />
        {groups.map(({ id, name }) => (
          <Chip key={id} label={name} chosen={group === id} onPress={() => onGroup(id)} />
        ))}
      </ChipRow>
      {group ? <Small soft>{t.theGroupSeesTheFind}</Small> : null}
    </View>
  );
}

/** The taxa that a name may mean. */
export function Matches({
  matches,
  text,
  plan,
  onChoose,
  onAll,
}: {
  readonly matches: ReturnType<typeof searchTaxa>;
  /** What was typed. */
  readonly text: string;
  /** The shape that was chosen, if any. */
  readonly plan: string | undefined;
  readonly onChoose: (taxon: CompiledTaxon) => void;
  readonly onAll: () => void;
}) {
  return (
    <>
      <View role="list" aria-label={t.taxaOfTheGuide}>
        <Rule />
        {matches.map(({ taxon, name, otherPlan }) => (
          <View key={taxon.id} role="listitem">
            <Pressable
              role="button"
              onPress={() => onChoose(taxon)}
              style={({ pressed }) => [styles.taxon, pressed && styles.pressed]}
            >
              <TaxonSmall of={taxon.id} height={60} />
              <View style={styles.grow}>
                <Strong>
                  {CommonName(taxon.id)}
                  {name ? <Small soft> {name}</Small> : null}
                </Strong>
                <Small soft style={styles.scientific}>
                  {taxon.taxon.scientificName}
                </Small>
              </View>
              {taxon.grade === 'none' ? null : <SmallStrong>{GRADE[taxon.grade]}</SmallStrong>}
              {otherPlan ? <Small soft>{otherPlan}</Small> : null}
            </Pressable>
            <Rule />
          </View>
        ))}
      </View>
      {matches.length === 0 ? (
        <>
          <DidYouMean text={text} onChoose={onChoose} />
          <Notice
            title={t.notInThisGuide}
            text={t.theGuideHoldsTaxaAnd(guide.taxa.length, plan !== undefined)}
            action={t.showAllAgain}
            onAction={onAll}
          />
        </>
      ) : null}
    </>
  );
}
