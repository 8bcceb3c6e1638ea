import { useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { type CompiledTaxon, type FindSummary, isCollectable } from '@pause/core';
import { Button, Heading, Loading, Screen, Title, useWide } from '../../components';
import { NameField } from '../../components/names/NameField';
import { searchTaxa } from '../../components/names/search';
import { SharedName } from '../../components/names/SharedName';
import { guide } from '../../deciding/guide';
import { useApp } from '../../notebook/store';
import { useFinds, useToday } from '../../notebook/useFinds';
import { t } from '../../text/en/newFind';
import { usualIn } from '../../text/months';
import { Matches, NotebookChoice, QuickTaxa, useGroups, WhereField } from './NewFindParts';
import { styles } from './newFindStyles';
import { AGAIN, QUICK } from './newFindWords';
import { ChosenPlan, Plans } from './PlanChoice';
import { useBeginning } from './useBeginning';

/** What it is thought to be, by its name, or first what kind of body it has. */
export function NewFindScreen() {
  const { find, plan: given } = useLocalSearchParams<{ find?: string; plan?: string }>();
  const [plan, setPlan] = useState<string | undefined>(given);
  const { status, items } = useFinds();
  // An empty notebook may be one that only the server knows yet: its finds, its groups, its season.
  const known = useApp(({ me }) => me.person !== undefined && (me.person.account || me.asked === true));
  const ready = status === 'ready' && (known || items.length > 0);
  return (
    <Screen shown={plan}>
      <Title>{find ? t.whatDoYouTakeIt : t.aNewFind}</Title>
      {ready ? (
        <Form find={find} found={items} plan={plan} setPlan={setPlan} />
      ) : (
        <Loading what={t.openingTheNotebook} />
      )}
    </Screen>
  );
}

/** What was found before, or is about in a month: one tap away. */
function quickTaxa(found: readonly FindSummary[], month: number): readonly CompiledTaxon[] {
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
}

const planOf = (id: string | undefined) => guide.guide.bodyPlans.find((plan) => plan.id === id);

interface FormProps {
  readonly find: string | undefined;
  readonly found: readonly FindSummary[];
  /** The shape that was chosen, if any. */
  readonly plan: string | undefined;
  readonly setPlan: (plan: string | undefined) => void;
}

/**
 * What is offered is what was known when the form was opened: nothing moves, or comes to mean another taxon,
 * under a finger.
 */
function Form({ find, found, plan, setPlan }: FormProps) {
  const given = useLocalSearchParams<{ text?: string }>();
  const wide = useWide();
  const month = useToday().getMonth() + 1;
  const [quick] = useState(() => quickTaxa(found, month));
  const groupsNow = useGroups();
  const [groups, setGroups] = useState(groupsNow);
  const choosePlan = (chosen: string | undefined) => {
    setGroups(groupsNow);
    setPlan(chosen);
  };
  const [text, setText] = useState(given.text ?? '');
  const [placeNote, setPlaceNote] = useState('');
  const [group, setGroup] = useState<string | undefined>();
  const chosenPlan = planOf(plan);
  const { choose, beginUnnamed } = useBeginning({ find, placeNote, group });
  const plans = <AllPlans plan={plan} onPlan={choosePlan} />;
  const byName = (
    <ByName
      plan={plan}
      all={plan !== undefined || find !== undefined}
      text={text}
      setText={setText}
      onChoose={(taxon) => choose(taxon, chosenPlan ?? planOf(taxon.taxon.bodyPlan))}
    />
  );
  if (!find && !chosenPlan)
    return (
      <>
        {byName}
        {text.trim() !== '' || quick.length === 0 ? null : (
          <QuickTaxa taxa={quick} onChoose={(taxon) => choose(taxon, planOf(taxon.taxon.bodyPlan))} />
        )}
        {plans}
      </>
    );
  return (
    <>
      {find ? null : chosenPlan && !wide ? (
        <ChosenPlan plan={chosenPlan} onAgain={() => choosePlan(undefined)} />
      ) : (
        plans
      )}
      {plan && !find ? (
        <>
          <WhereField placeNote={placeNote} onPlaceNote={setPlaceNote} />
          {groups?.length ? <NotebookChoice groups={groups} group={group} onGroup={setGroup} /> : null}
          <WithoutGuideName
            text={text}
            plan={plan}
            onBegin={(typed) => chosenPlan && beginUnnamed(chosenPlan, typed)}
          />
        </>
      ) : null}
      {byName}
    </>
  );
}

interface WithoutGuideNameProps {
  readonly text: string;
  readonly plan: string;
  readonly onBegin: (typed: string | undefined) => void;
}

/** Begins a find that is named later: without a name, or with one that the guide does not know, as it was typed. */
function WithoutGuideName({ text, plan, onBegin }: WithoutGuideNameProps) {
  const typed = text.trim();
  const unknown = typed !== '' && searchTaxa(guide, typed, plan).length === 0;
  return (
    <Button
      label={unknown ? t.goOnAs(typed) : t.iHaveNoNameFor}
      tone="outline"
      style={styles.unnamed}
      onPress={() => onBegin(unknown ? typed.slice(0, LONGEST_NAME) : undefined)}
    />
  );
}

/** As long as a typed name may be. */
const LONGEST_NAME = 120;

interface AllPlansProps {
  readonly plan: string | undefined;
  readonly onPlan: (plan: string | undefined) => void;
}

function AllPlans(props: AllPlansProps) {
  return (
    <>
      <Plans kingdom="Fungi" title={t.aFungusAndBelowIts} {...props} />
      <Plans kingdom="Plantae" title={t.aPlant} {...props} />
    </>
  );
}

interface ByNameProps {
  readonly plan: string | undefined;
  /** All taxa are listed while no name is typed. */
  readonly all: boolean;
  readonly text: string;
  readonly setText: (text: string) => void;
  readonly onChoose: React.ComponentProps<typeof Matches>['onChoose'];
}

/** What somebody thinks it is, by its name. */
function ByName({ plan, all, text, setText, onChoose }: ByNameProps) {
  const matches = useMemo(() => searchTaxa(guide, text, plan), [text, plan]);
  return (
    <>
      <View style={styles.field}>
        <Heading>{t.iThinkItIs}</Heading>
        <NameField text={text} placeholder={t.commonOrScientificName} onText={setText} />
      </View>
      {all || text.trim() !== '' ? (
        <>
          <SharedName text={text} />
          <Matches matches={matches} text={text} plan={plan} onChoose={onChoose} onAll={() => setText('')} />
        </>
      ) : null}
    </>
  );
}
