import { useState } from 'react';
import { View } from 'react-native';
import type { FieldsOf } from '@pause/core';
import { Heading, Field, Button, Body, Chip } from '../../components';
import { guide } from '../../deciding/guide';
import type { Group } from '../../notebook/api';
import { useAct } from '../../notebook/store';
import { School, Chosen } from './GroupChosen';
import { styles } from './groupStyles';

/** The rules of a group. */

const WANTED = guide.taxa.filter(({ taxon }) => taxon.parts.length > 0).map(({ id }) => id);

const OFTEN_PROTECTED = guide.taxa.filter(({ taxon }) => taxon.protection === 'often').map(({ id }) => id);
type Change = { readonly [F in keyof FieldsOf<'group'>]?: FieldsOf<'group'>[F] | undefined };

/** A keeper's word; what is told as undefined is no rule any more. */
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
  const said = name.trim();
  return (
    <View style={styles.block}>
      <Heading>What it is called</Heading>
      <Field label="Name of the group" value={name} onChangeText={setName} maxLength={80} />
      {said !== '' && said !== group.name ? (
        <Button label="Call it so" tone="outline" style={styles.start} onPress={() => save({ name: said })} />
      ) : null}
    </View>
  );
}

/** The schools on which people differ, each with its reason; a keeper chooses. */
export function Rules({ group }: { readonly group: Group }) {
  const { policy } = group;
  const may = group.role === 'keeper';
  const set = useTell(group);
  const grades = policy.secondLook ?? [];
  const deadly = policy.extraBars?.deadly ?? 0;
  return (
    <View style={styles.block}>
      <Heading>Its rules</Heading>
      <Body soft>
        {may
          ? 'They can only make a verdict stricter than the guide’s own, never laxer; every verdict says whose rules they are.'
          : 'A keeper of the group chooses them. They can only make a verdict stricter, never laxer.'}
      </Body>
      <School
        title="A second look"
        why="A person who was not told the answer sees what one’s own eye has stopped looking for."
      >
        <Chip
          kind="checkbox"
          label="Where no expert reviewed a deadly pair"
          chosen={policy.secondLookWhenUnreviewed === true}
          disabled={!may}
          onPress={() => set({ secondLookWhenUnreviewed: policy.secondLookWhenUnreviewed !== true })}
        />
        <Chip
          kind="checkbox"
          label="For everything deadly"
          chosen={grades.includes('deadly')}
          disabled={!may}
          onPress={() =>
            set({
              secondLook: grades.includes('deadly')
                ? grades.filter((g) => g !== 'deadly')
                : [...grades, 'deadly'],
            })
          }
        />
        <Chip
          kind="checkbox"
          label="For everything serious"
          chosen={grades.includes('serious')}
          disabled={!may}
          onPress={() =>
            set({
              secondLook: grades.includes('serious')
                ? grades.filter((g) => g !== 'serious')
                : [...grades, 'serious'],
            })
          }
        />
      </School>
      <School
        title="Earned pairs"
        why="Who has practised a pair well, lately, and with nothing dangerous in between, misreads it less. It is asked of whoever decides, besides all bars."
      >
        {(['deadly', 'serious'] as const).map((grade) => (
          <Chip
            key={grade}
            kind="checkbox"
            label={grade === 'deadly' ? 'With what is deadly' : 'With what is serious'}
            chosen={policy.earned?.includes(grade) === true}
            disabled={!may}
            onPress={() =>
              set({
                earned: policy.earned?.includes(grade)
                  ? policy.earned.filter((one) => one !== grade)
                  : [...(policy.earned ?? []), grade],
              })
            }
          />
        ))}
      </School>
      <School
        title="Bars against what is deadly"
        why="Three are proof against any two mistakes; each one more against one mistake more."
      >
        {[0, 1, 2].map((more) => (
          <Chip
            key={more}
            label={`${3 + more}`}
            aria-label={`${3 + more} bars`}
            chosen={deadly === more}
            disabled={!may}
            onPress={() => set({ extraBars: more === 0 ? undefined : { ...policy.extraBars, deadly: more } })}
          />
        ))}
      </School>
      <School
        title="Range, season, habitat"
        why="They say what to expect; but plants travel and seasons shift, so they never rule anything out."
      >
        <Chip
          label="Order and raise doubts"
          chosen={policy.place !== 'ignored'}
          disabled={!may}
          onPress={() => set({ place: undefined })}
        />
        <Chip
          label="Left out altogether"
          chosen={policy.place === 'ignored'}
          disabled={!may}
          onPress={() => set({ place: 'ignored' })}
        />
      </School>
      <School
        title="The family as a hint"
        why="Knowing a family helps to name and to learn; rules of families have exceptions."
      >
        <Chip
          label="Told"
          chosen={policy.familyHint !== false}
          disabled={!may}
          onPress={() => set({ familyHint: undefined })}
        />
        <Chip
          label="Each by itself"
          chosen={policy.familyHint === false}
          disabled={!may}
          onPress={() => set({ familyHint: false })}
        />
      </School>
      <Chosen
        title="Left alone, whatever is seen"
        why="Some edible ones are not worth it: the lookalike is deadly, the difference fine, better food is near."
        chosen={policy.forgoneTaxa ?? []}
        taxa={WANTED}
        may={may}
        onChange={(forgoneTaxa) => set({ forgoneTaxa })}
      />
      <Chosen
        title="Protected where you gather"
        why="As a keeper found out for your places. The guide marks what is often protected; this is not the law, and laws change."
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
