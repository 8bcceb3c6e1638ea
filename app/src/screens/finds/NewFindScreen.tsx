import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState, useMemo } from 'react';
import { View, Pressable } from 'react-native';
import {
  type FindSummary,
  isCollectable,
  type CompiledTaxon,
  type BodyPlan,
  type TaxonId,
  type Context,
} from '@pause/core';
import {
  Screen,
  Title,
  Loading,
  useWide,
  Heading,
  Button,
  Input,
  ChipRow,
  Chip,
  Small,
  Rule,
  Strong,
  SmallStrong,
  Notice,
} from '../../components';
import { NameField } from '../../components/names/NameField';
import { searchTaxa } from '../../components/names/search';
import { SharedName } from '../../components/names/SharedName';
import { guide } from '../../deciding/guide';
import { changeTarget, startFind } from '../../notebook/actions';
import { useApp, useAct } from '../../notebook/store';
import { useFinds, useToday } from '../../notebook/useFinds';
import { t } from '../../text/en/newFind';
import { usualIn } from '../../text/months';
import { CommonName, GRADE } from '../../text/names';
import { styles } from './newFindStyles';
import { AGAIN, QUICK, withNote } from './newFindWords';
import { ChosenPlan, Plans } from './PlanChoice';

/** What kind of body it has, then what the person believes it is. */
export function NewFindScreen() {
  const { find } = useLocalSearchParams<{ find?: string }>();
  const { status, items } = useFinds();
  // An empty notebook may be one that only the server knows yet: its finds, its groups, its season.
  const known = useApp(({ me }) => me.person !== undefined && (me.person.account || me.asked === true));
  const ready = status === 'ready' && (known || items.length > 0);
  return (
    <Screen>
      <Title>{find ? t.whatDoYouTakeIt : t.aNewFind}</Title>
      {ready ? <Form find={find} found={items} /> : <Loading what={t.openingTheNotebook} />}
    </Screen>
  );
}

/**
 * What is offered is what was known when the form was opened: nothing moves, or comes to mean another taxon,
 * under a finger.
 */
function Form({
  find,
  found: foundNow,
}: {
  readonly find: string | undefined;
  readonly found: readonly FindSummary[];
}) {
  const {
    plan: givenPlan,
    text: givenText,
    place,
  } = useLocalSearchParams<{ plan?: string; text?: string; place?: string }>();
  const router = useRouter();
  const act = useAct();
  const wide = useWide();
  const [found] = useState(foundNow);
  const monthNow = useToday().getMonth() + 1;
  const [month] = useState(monthNow);
  const groupsNow = useApp((state) => state.me.person?.groups);
  const [groups, setGroups] = useState(groupsNow);
  const [plan, setPlan] = useState<string | undefined>(givenPlan);
  const choosePlan = (chosen: string | undefined) => {
    setGroups(groupsNow);
    setPlan(chosen);
  };
  const [text, setText] = useState(givenText ?? '');
  const [placeNote, setPlaceNote] = useState('');
  const [group, setGroup] = useState<string | undefined>();
  const matches = useMemo(() => searchTaxa(guide, text, plan), [text, plan]);
  const chosenPlan = guide.guide.bodyPlans.find((p) => p.id === plan);

  // What was found before, or is about now, is one tap away, with the form that the guide gives it.
  const before = useMemo(() => {
    const again = [...new Set(found.flatMap((f) => f.target ?? []))]
      .flatMap((id) => guide.taxon(id) ?? [])
      .filter(isCollectable)
      .slice(0, AGAIN);
    const now = guide.taxa.filter(
      (one) =>
        isCollectable(one) &&
        one.taxon.phenology !== undefined &&
        usualIn(one.taxon, month) &&
        !again.some(({ id }) => id === one.id),
    );
    return [...again, ...now].slice(0, QUICK);
  }, [found, month]);

  const choose = (taxon: CompiledTaxon, of = chosenPlan) => {
    if (find) {
      void act(changeTarget(find, taxon.id)).then(
        (kept) => kept && router.replace({ pathname: '/find/[id]/check', params: { id: find } }),
      );
      return;
    }
    if (!of) return;
    const [only, ...more] = taxon.taxon.parts;
    begin(
      of,
      {
        target: taxon.id,
        ...(only && more.length === 0 ? { wanted: { part: only.part, use: only.use } } : {}),
      },
      (id) => router.push({ pathname: '/find/[id]/around', params: { id, first: '1' } }),
    );
  };

  const begin = (
    { kingdom, id: bodyPlan }: BodyPlan,
    { target, wanted }: { readonly target?: TaxonId; readonly wanted?: Pick<Context, 'part' | 'use'> },
    then: (id: string) => void,
  ) => {
    const note = placeNote.trim();
    // What is known of the place need not be told again.
    const around = place
      ? import('../later').then(({ atPlace }) => act(atPlace(place, kingdom, target, wanted?.part)))
      : Promise.resolve(undefined);
    void around
      .then((at) =>
        act(
          startFind({
            kingdom,
            bodyPlan,
            ...(target ? { target } : {}),
            ...withNote(note || at?.name),
            ...(at && place ? { placePage: place, answers: at.answers } : {}),
            ...(group ? { group } : {}),
            context: { ...wanted, ...at?.context },
          }),
        ),
      )
      .then((id) => {
        if (id) then(id);
      });
  };

  return (
    <>
      {find || chosenPlan || before.length === 0 ? null : (
        <View style={styles.field}>
          <Heading>{t.oneOfThese}</Heading>
          <View role="group" aria-label={t.foundBeforeOrAboutNow} style={styles.before}>
            {before.map((taxon) => (
              <Button
                key={taxon.id}
                label={CommonName(taxon.id)}
                tone="outline"
                onPress={() =>
                  choose(
                    taxon,
                    guide.guide.bodyPlans.find((p) => p.id === taxon.taxon.bodyPlan),
                  )
                }
              />
            ))}
          </View>
        </View>
      )}
      {find ? null : chosenPlan && !wide ? (
        <ChosenPlan plan={chosenPlan} onAgain={() => choosePlan(undefined)} />
      ) : (
        <>
          <Plans kingdom="Fungi" title={t.aFungusAndBelowIts} plan={plan} onPlan={choosePlan} />
          <Plans kingdom="Plantae" title={t.aPlant} plan={plan} onPlan={choosePlan} />
        </>
      )}
      {plan || find ? (
        <>
          {find ? null : (
            <View style={styles.field}>
              <Heading>{t.where}</Heading>
              <Input
                aria-label={t.whereInYourOwnWords}
                value={placeNote}
                onChangeText={setPlaceNote}
                maxLength={200}
                placeholder={t.onlyForYourNotebookMay}
              />
            </View>
          )}
          {find || !groups?.length ? null : (
            <View style={styles.field}>
              <Heading>{t.inWhoseNotebook}</Heading>
              <ChipRow label={t.inWhoseNotebook}>
                <Chip label={t.mine} chosen={group === undefined} onPress={() => setGroup(undefined)} />
                {groups.map(({ id, name }) => (
                  <Chip key={id} label={name} chosen={group === id} onPress={() => setGroup(id)} />
                ))}
              </ChipRow>
              {group ? <Small soft>{t.theGroupSeesTheFind}</Small> : null}
            </View>
          )}
          {find ? null : (
            <Button
              label={t.iHaveNoNameFor}
              tone="outline"
              style={styles.unnamed}
              onPress={() => {
                if (chosenPlan)
                  begin(chosenPlan, {}, (id) => router.push({ pathname: '/find/[id]/name', params: { id } }));
              }}
            />
          )}
          <View style={styles.field}>
            <Heading>{t.iThinkItIs}</Heading>
            <NameField text={text} placeholder={t.commonOrScientificName} onText={setText} />
          </View>
          <SharedName text={text} />
          <View role="list" aria-label={t.taxaOfTheGuide}>
            <Rule />
            {matches.map(({ taxon, name, otherPlan }) => (
              <View key={taxon.id} role="listitem">
                <Pressable
                  role="button"
                  onPress={() => choose(taxon)}
                  style={({ pressed }) => [styles.taxon, pressed && styles.pressed]}
                >
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
            <Notice
              title={t.notInThisGuide}
              text={t.theGuideHoldsTaxaAnd(guide.taxa.length)}
              action={t.showAllAgain}
              onAction={() => setText('')}
            />
          ) : null}
        </>
      ) : null}
    </>
  );
}
