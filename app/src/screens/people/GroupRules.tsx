import { useState } from 'react';
import { View } from 'react-native';
import { BARS_NEEDED, type FieldsOf } from '@pause/core';
import { Heading, Field, Button, Body, Chip } from '../../components';
import { guide } from '../../deciding/guide';
import type { Group } from '../../notebook/api';
import { toggled } from '../../notebook/changeFields';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/people';
import { School, Chosen } from './GroupChosen';
import { styles } from './groupStyles';

/** The rules of a group. */

const WANTED = guide.taxa.filter(({ taxon }) => taxon.parts.length > 0).map(({ id }) => id);

const OFTEN_PROTECTED = guide.taxa.filter(({ taxon }) => taxon.protection === 'often').map(({ id }) => id);
type Change = { readonly [F in keyof FieldsOf<'group'>]?: FieldsOf<'group'>[F] | undefined };

/** Changes rules, as a keeper; one that is undefined is no rule any more. */
function useTell(group: Group): (change: Change) => void {
  const act = useAct();
  return (change) =>
    void import('../../notebook/outside').then(({ changeGroup }) =>
      act(
        changeGroup(
          group.id,
          Object.fromEntries(Object.entries(change).map(([field, value]) => [field, value ?? null])),
        ),
      ),
    );
}

export function Name({ group }: { readonly group: Group }) {
  const save = useTell(group);
  const [name, setName] = useState(group.name);
  const typed = name.trim();
  return (
    <View style={styles.block}>
      <Heading>{t.whatItIsCalled}</Heading>
      <Field label={t.nameOfTheGroup} value={name} onChangeText={setName} maxLength={80} />
      {typed !== '' && typed !== group.name ? (
        <Button
          label={t.callItSo}
          tone="outline"
          style={styles.start}
          onPress={() => save({ name: typed })}
        />
      ) : null}
    </View>
  );
}

interface RuleProps {
  readonly policy: Group['policy'];
  readonly may: boolean;
  readonly set: (change: Change) => void;
}

/** The schools on which people differ, each with its reason; a keeper chooses. */
export function Rules({ group }: { readonly group: Group }) {
  const { policy } = group;
  const may = group.role === 'keeper';
  const set = useTell(group);
  const rule = { policy, may, set };
  return (
    <View style={styles.block}>
      <Heading>{t.itsRules}</Heading>
      <Body soft>{may ? t.theyCanOnlyMakeA : t.aKeeperOfTheGroup}</Body>
      <SecondLooks {...rule} />
      <EarnedPairs {...rule} />
      <ExtraBars {...rule} />
      <PlaceAndFamily {...rule} />
      <Chosen
        title={t.leftAloneWhateverIsSeen}
        why={t.someEdibleOnesAreNot}
        chosen={policy.forgoneTaxa ?? []}
        taxa={WANTED}
        may={may}
        onChange={(forgoneTaxa) => set({ forgoneTaxa })}
      />
      <Chosen
        title={t.protectedWhereYouGather}
        why={t.asAKeeperFoundOut}
        chosen={policy.protectedTaxa ?? []}
        taxa={
          OFTEN_PROTECTED.length > 0
            ? [...new Set([...OFTEN_PROTECTED, ...(policy.protectedTaxa ?? [])])]
            : WANTED
        }
        may={may}
        onChange={(protectedTaxa) => set({ protectedTaxa })}
      />
    </View>
  );
}

function SecondLooks({ policy, may, set }: RuleProps) {
  const grades = policy.secondLook ?? [];
  return (
    <School title={t.aSecondLook} why={t.aPersonWhoWasNot}>
      <Chip
        kind="checkbox"
        label={t.whereNoExpertReviewedA}
        chosen={policy.secondLookWhenUnreviewed === true}
        disabled={!may}
        onPress={() => set({ secondLookWhenUnreviewed: policy.secondLookWhenUnreviewed !== true })}
      />
      {(['deadly', 'serious'] as const).map((grade) => (
        <Chip
          key={grade}
          kind="checkbox"
          label={grade === 'deadly' ? t.forEverythingDeadly : t.forEverythingSerious}
          chosen={grades.includes(grade)}
          disabled={!may}
          onPress={() => set({ secondLook: toggled(grades, grade) })}
        />
      ))}
    </School>
  );
}

function EarnedPairs({ policy, may, set }: RuleProps) {
  return (
    <School title={t.earnedPairs} why={t.whoHasPractisedAPair}>
      {(['deadly', 'serious'] as const).map((grade) => (
        <Chip
          key={grade}
          kind="checkbox"
          label={grade === 'deadly' ? t.withWhatIsDeadly : t.withWhatIsSerious}
          chosen={policy.earned?.includes(grade) === true}
          disabled={!may}
          onPress={() => set({ earned: toggled(policy.earned, grade) })}
        />
      ))}
    </School>
  );
}

function ExtraBars({ policy, may, set }: RuleProps) {
  const deadly = policy.extraBars?.deadly ?? 0;
  return (
    <School title={t.barsAgainstWhatIsDeadly} why={t.threeAreProofAgainstAny}>
      {[0, 1, 2].map((more) => (
        <Chip
          key={more}
          label={`${BARS_NEEDED.deadly + more}`}
          aria-label={t.bars(BARS_NEEDED.deadly + more)}
          chosen={deadly === more}
          disabled={!may}
          onPress={() => set({ extraBars: more === 0 ? undefined : { ...policy.extraBars, deadly: more } })}
        />
      ))}
    </School>
  );
}

function PlaceAndFamily({ policy, may, set }: RuleProps) {
  return (
    <>
      <School title={t.rangeSeasonHabitat} why={t.theySayWhatToExpect}>
        <Chip
          label={t.orderAndRaiseDoubts}
          chosen={policy.place !== 'ignored'}
          disabled={!may}
          onPress={() => set({ place: undefined })}
        />
        <Chip
          label={t.leftOutAltogether}
          chosen={policy.place === 'ignored'}
          disabled={!may}
          onPress={() => set({ place: 'ignored' })}
        />
      </School>
      <School title={t.theFamilyAsAHint} why={t.knowingAFamilyHelpsTo}>
        <Chip
          label={t.told}
          chosen={policy.familyHint !== false}
          disabled={!may}
          onPress={() => set({ familyHint: undefined })}
        />
        <Chip
          label={t.eachByItself}
          chosen={policy.familyHint === false}
          disabled={!may}
          onPress={() => set({ familyHint: false })}
        />
      </School>
    </>
  );
}
