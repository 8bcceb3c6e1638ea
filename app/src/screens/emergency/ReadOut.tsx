import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { GRADES, type CompiledTaxon, type FindSummary } from '@pause/core';
import { Body, Button, Chip, colour, Heading, Small, space, Strong } from '../../components';
import { ChooseTaxon } from '../../components/names/ChooseTaxon';
import { guide } from '../../deciding/guide';
import { startFind } from '../../notebook/actions';
import { useAct } from '../../notebook/store';
import { useFinds, useToday } from '../../notebook/useFinds';
import { dayWords } from '../../text/days';
import { CHOICE, commonName, GRADE, harmLine, OUTCOME } from '../../text/names';

/** So many of one's own finds are offered, the latest ones. */
const FINDS_OFFERED = 8;
const ELSE = 'else';
const NOT_OWN = 'Somebody ate of it';

/**
 * What to read out on the telephone: about a find of this notebook, or about something that somebody else
 * brought.
 */
export function ReadOut() {
  const finds = useFinds().items;
  const [chosen, setChosen] = useState<string>();
  const find = finds.find((one) => one.id === chosen);
  const choose = (id: string) => setChosen(id === chosen ? undefined : id);
  return (
    <View style={[styles.block, styles.marked]}>
      <Heading>What it may have been</Heading>
      <View role="radiogroup" aria-label="What it may have been" style={styles.finds}>
        {finds.slice(0, FINDS_OFFERED).map((one) => (
          <Chip
            key={one.id}
            label={`${one.number ?? 'new'} · ${one.target === undefined ? 'no name yet' : commonName(one.target)}`}
            chosen={one.id === chosen}
            onPress={() => choose(one.id)}
          />
        ))}
        <Chip label="Something else" chosen={chosen === ELSE} onPress={() => choose(ELSE)} />
      </View>
      {find ? <OwnFind find={find} /> : null}
      {chosen === ELSE ? <SomethingElse /> : null}
    </View>
  );
}

function OwnFind({ find }: { readonly find: FindSummary }) {
  const router = useRouter();
  const today = useToday();
  const taxon = guide.taxon(find.target ?? '');
  return (
    <View style={styles.block} role="status">
      <Body>
        <Strong>Read this out: </Strong>
        {taxon
          ? takenFor(taxon)
          : find.target === undefined
            ? 'it was given no name'
            : `taken for ${find.target}, which this guide does not know`}
        . Found {dayWords(new Date(find.startedAt), today)}
        {find.placeNote ? `, ${find.placeNote}` : ''}. {find.readings} things were looked at; the last verdict
        was {find.outcome ? OUTCOME[find.outcome].toLowerCase() : 'none'}
        {find.choice ? `, and it was ${CHOICE[find.choice].toLowerCase()}` : ''}.
      </Body>
      {taxon ? <MistakenFor taxon={taxon} /> : null}
      <Body soft>
        {taxon
          ? 'That is what it was taken for, not what was eaten. Say that, too.'
          : 'Anything may have been eaten. The sheet names what is not ruled out.'}
      </Body>
      <Button
        label="The whole sheet, for whoever treats"
        tone="outline"
        style={styles.start}
        onPress={() => router.push({ pathname: '/sheet/[id]', params: { id: find.id } })}
      />
    </View>
  );
}

/**
 * A friend's mushrooms, a berry in a child's hand: by the name that somebody gave it, or by what is left of
 * it. What is looked at becomes a find, so that it stands on a sheet.
 */
function SomethingElse() {
  const act = useAct();
  const router = useRouter();
  const [taxon, setTaxon] = useState<CompiledTaxon>();
  const [looking, setLooking] = useState(false);
  const sheet = ({ id: target, taxon: { kingdom, bodyPlan } }: CompiledTaxon) => {
    void act(startFind({ kingdom, bodyPlan, target, placeNote: NOT_OWN, context: {} })).then(
      (id) => id && router.push({ pathname: '/sheet/[id]', params: { id } }),
    );
  };
  const look = ({ kingdom, id: bodyPlan }: (typeof guide.guide.bodyPlans)[number]) => {
    void act(startFind({ kingdom, bodyPlan, placeNote: NOT_OWN, context: {} })).then(
      (id) => id && router.push({ pathname: '/find/[id]/name', params: { id } }),
    );
  };
  if (taxon) {
    return (
      <View style={styles.block} role="status">
        <Body>
          <Strong>Read this out: </Strong>
          {takenFor(taxon)}.
        </Body>
        <MistakenFor taxon={taxon} />
        <Body soft>That is the name somebody gave it, not what was eaten. Say that, too.</Body>
        <View style={styles.finds}>
          <Button label="The whole sheet, for whoever treats" tone="outline" onPress={() => sheet(taxon)} />
          <Button label="Another name" tone="plain" onPress={() => setTaxon(undefined)} />
        </View>
      </View>
    );
  }
  return (
    <View style={styles.block}>
      <Strong>By the name that somebody gave it</Strong>
      <ChooseTaxon
        label="Name of what was eaten"
        placeholder="Common or scientific name"
        first={[]}
        onChoose={setTaxon}
      />
      <Strong>By its looks, if some of it is left</Strong>
      {looking ? (
        <>
          <Small soft>Which of these is it most like?</Small>
          <View role="group" aria-label="Form of what was eaten" style={styles.finds}>
            {guide.guide.bodyPlans.map((plan) => (
              <Button
                key={plan.id}
                label={plan.name}
                tone="outline"
                aria-label={`${plan.name}: ${plan.hint}`}
                onPress={() => look(plan)}
              />
            ))}
          </View>
        </>
      ) : (
        <Button
          label="Look at what is left"
          tone="outline"
          style={styles.start}
          onPress={() => setLooking(true)}
        />
      )}
      <Body soft>
        If it has no name and nothing is left: say where it grew and what it looked like. Anything may have
        been eaten.
      </Body>
    </View>
  );
}

const takenFor = ({ id, grade, taxon: { scientificName, family } }: CompiledTaxon) =>
  `taken for ${commonName(id)}, ${scientificName}, of the family ${family}${grade === 'none' ? '' : `, which is ${harmLine(id)}`}`;

function MistakenFor({ taxon }: { readonly taxon: CompiledTaxon }) {
  const worst = taxon.taxon.lookalikes
    .flatMap((id) => guide.taxon(id) ?? [])
    .filter(({ grade }) => grade !== 'none')
    .sort((a, b) => GRADES.indexOf(b.grade) - GRADES.indexOf(a.grade));
  if (worst.length === 0) return null;
  return (
    <Body>
      It is mistaken for:{' '}
      {worst.map(({ taxon: { scientificName }, grade }) => `${scientificName} (${GRADE[grade]})`).join(', ')}.
    </Body>
  );
}

const styles = StyleSheet.create({
  finds: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  block: { gap: space.s },
  marked: { borderLeftWidth: 5, borderLeftColor: colour.ink, paddingLeft: space.m },
  start: { alignSelf: 'flex-start' },
});
