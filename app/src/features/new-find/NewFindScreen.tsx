import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { Pressable, StyleSheet, TextInput, View } from 'react-native';
import type { BodyPlan, CompiledTaxon, Kingdom } from '@pause/core';
import { guide } from '../../evaluate/guide';
import { changeTarget, startFind } from '../../store/actions';
import { useAct, useApp } from '../../store/store';
import { CommonName, GRADE } from '../../words/names';
import { Body, BodyPlanDrawing, Button, colour, corner, font, Heading, Notice, Rule, Screen, Small, SmallStrong, space, Strong, stroke, TARGET, Title, useWide } from '../../ui';
import { searchTaxa, sharingName } from './search';

/** What kind of body it has, then what the person believes it is. */
export function NewFindScreen() {
  const { find } = useLocalSearchParams<{ find?: string }>();
  const router = useRouter();
  const act = useAct();
  const wide = useWide();
  const ready = useApp((state) => state.me.status === 'ready');
  const [plan, setPlan] = useState<string | undefined>();
  const [text, setText] = useState('');
  const [placeNote, setPlaceNote] = useState('');
  const matches = useMemo(() => searchTaxa(guide, text, plan), [text, plan]);
  const shared = useMemo(() => sharingName(guide, text), [text]);
  const chosenPlan = guide.guide.bodyPlans.find((p) => p.id === plan);

  const choose = (taxon: CompiledTaxon) => {
    if (find) {
      act(changeTarget(find, taxon.id));
      router.replace({ pathname: '/find/[id]/check', params: { id: find } });
      return;
    }
    if (!chosenPlan) return;
    const [only, ...more] = taxon.taxon.parts;
    const note = placeNote.trim();
    const id = act(startFind({
      kingdom: chosenPlan.kingdom, bodyPlan: chosenPlan.id, target: taxon.id, ...(note ? { placeNote: note } : {}),
      context: only && more.length === 0 ? { part: only.part, use: only.use } : {},
    }));
    router.push({ pathname: '/find/[id]/around', params: { id } });
  };

  return (
    <Screen>
      <Title>{find ? 'What do you take it for now?' : 'A new find'}</Title>
      {find ? null : chosenPlan && !wide ? (
        <ChosenPlan plan={chosenPlan} onAgain={() => setPlan(undefined)} />
      ) : (
        <>
          <Plans kingdom="Fungi" title="A fungus, and below its cap" plan={plan} onPlan={setPlan} />
          <Plans kingdom="Plantae" title="A plant" plan={plan} onPlan={setPlan} />
        </>
      )}
      {plan || find ? (
        <>
          {find ? null : (
            <View style={styles.field}>
              <Heading>Where?</Heading>
              <TextInput
                aria-label="Where, in your own words"
                value={placeNote}
                onChangeText={setPlaceNote}
                maxLength={200}
                placeholder="Only for your notebook; may stay empty"
                placeholderTextColor={colour.inkSoft}
                style={styles.input}
              />
            </View>
          )}
          <View style={styles.field}>
            <Heading>I think it is …</Heading>
            <TextInput
              aria-label="Name, in any language, or scientific"
              value={text}
              onChangeText={setText}
              autoCapitalize="none"
              autoCorrect={false}
              placeholder="Common or scientific name"
              placeholderTextColor={colour.inkSoft}
              style={styles.input}
            />
          </View>
          {shared.length > 0 ? (
            <View role="alert" style={styles.field}>
              <Strong>“{text.trim()}” is a name of {shared.length === 2 ? 'two' : 'several'} of these:</Strong>
              <Body>{shared.map((t) => t.taxon.scientificName).join(' and ')}. Only the scientific name tells them apart; be sure which one you mean.</Body>
            </View>
          ) : null}
          <View role="list" aria-label="Taxa of the guide">
            <Rule />
            {matches.map(({ taxon, name, otherPlan }) => (
              <View key={taxon.id} role="listitem">
                <Pressable role="button" disabled={!ready} onPress={() => choose(taxon)} aria-label={`${CommonName(taxon.id)}, ${taxon.taxon.scientificName}`} style={({ pressed }) => [styles.taxon, pressed && styles.pressed]}>
                  <View style={styles.grow}>
                    <Strong>{CommonName(taxon.id)}{name ? <Small soft>  {name}</Small> : null}</Strong>
                    <Small soft style={styles.scientific}>{taxon.taxon.scientificName}</Small>
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
              title="Not in this guide"
              text={`The guide holds ${guide.taxa.length} taxa, and this is none of them. What it does not know it cannot compare; leave it standing.`}
              action="Show all again"
              onAction={() => setText('')}
            />
          ) : null}
          {ready ? null : <Body soft>The notebook is not open yet; a find can be started as soon as the server answers.</Body>}
        </>
      ) : null}
    </Screen>
  );
}

/** On a phone the chosen form stands for all, so that the names come into view. */
function ChosenPlan({ plan, onAgain }: { readonly plan: BodyPlan; readonly onAgain: () => void }) {
  return (
    <View style={styles.chosen} role="radiogroup" aria-label="The form chosen">
      <View style={styles.chosenPlan} role="radio" aria-checked aria-label={`${plan.name}: ${plan.hint}`}>
        <BodyPlanDrawing plan={plan.id} size={56} colour={colour.ink} />
        <View style={styles.grow}>
          <Strong>{plan.name}</Strong>
          <Small soft>{plan.hint}</Small>
        </View>
      </View>
      <Button label="Change" tone="plain" onPress={onAgain} />
    </View>
  );
}

function Plans({ kingdom, title, plan, onPlan }: {
  readonly kingdom: Kingdom; readonly title: string; readonly plan: string | undefined; readonly onPlan: (plan: string) => void;
}) {
  const wide = useWide();
  const size = wide ? 72 : 54;
  return (
    <View style={styles.field}>
      <Heading>{title}</Heading>
      <View style={styles.plans} role="radiogroup" aria-label={title}>
        {guide.guide.bodyPlans.filter((p) => p.kingdom === kingdom).map((p) => (
          <Pressable
            key={p.id}
            role="radio"
            aria-checked={p.id === plan}
            aria-label={`${p.name}: ${p.hint}`}
            onPress={() => onPlan(p.id)}
            style={[styles.plan, p.id === plan && styles.planChosen]}
          >
            <BodyPlanDrawing plan={p.id} size={size} colour={colour.ink} />
            <Strong style={styles.planName}>{p.name}</Strong>
          </Pressable>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  plans: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  plan: {
    width: '31.5%', maxWidth: 124, minHeight: 96, alignItems: 'center', justifyContent: 'center', gap: 2, padding: space.xs,
    borderRadius: corner, borderWidth: stroke.thin, borderColor: colour.line, backgroundColor: colour.card,
  },
  planName: { textAlign: 'center' },
  chosen: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  chosenPlan: { flex: 1, flexDirection: 'row', alignItems: 'center', gap: space.m },
  planChosen: { borderColor: colour.ink, borderWidth: stroke.thick },
  field: { gap: space.s },
  input: {
    minHeight: 54, borderWidth: stroke.thin, borderColor: colour.ink, borderRadius: corner, backgroundColor: colour.card,
    fontFamily: font.read, fontSize: 17, color: colour.ink, paddingHorizontal: space.m,
  },
  taxon: { minHeight: TARGET + 12, flexDirection: 'row', alignItems: 'center', gap: space.m, paddingVertical: space.s },
  pressed: { opacity: 0.6 },
  grow: { flex: 1 },
  scientific: { fontStyle: 'italic' },
});
