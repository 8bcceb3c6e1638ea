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
import { t } from '../../text/en/emergency';
import { CHOICE, commonName, GRADE, harmLine, OUTCOME } from '../../text/names';

/** So many of one's own finds are offered, the latest ones. */
const FINDS_OFFERED = 8;
const ELSE = 'else';
const NOT_OWN = t.somebodyAteOfIt;

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
      <Heading>{t.whatItMayHaveBeen}</Heading>
      <View role="radiogroup" aria-label={t.whatItMayHaveBeen} style={styles.finds}>
        {finds.slice(0, FINDS_OFFERED).map((one) => (
          <Chip
            key={one.id}
            label={`${one.number ?? 'new'} · ${one.target === undefined ? t.noNameYet : commonName(one.target)}`}
            chosen={one.id === chosen}
            onPress={() => choose(one.id)}
          />
        ))}
        <Chip label={t.somethingElse} chosen={chosen === ELSE} onPress={() => choose(ELSE)} />
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
        <Strong>{t.readThisOut} </Strong>
        {t.foundThingsWereLookedAt(
          taxon
            ? takenFor(taxon)
            : find.target === undefined
              ? t.itWasGivenNoName
              : t.takenForWhichThisGuide(find.target),
          dayWords(new Date(find.startedAt), today),
          find.placeNote ? `, ${find.placeNote}` : '',
          find.readings,
          find.outcome ? OUTCOME[find.outcome].toLowerCase() : t.none,
          find.choice ? t.andItWas(CHOICE[find.choice].toLowerCase()) : '',
        )}
      </Body>
      {taxon ? <MistakenFor taxon={taxon} /> : null}
      <Body soft>{taxon ? t.thatIsWhatItWas : t.anythingMayHaveBeenEaten}</Body>
      <Button
        label={t.theWholeSheetForWhoever}
        tone="outline"
        style={styles.start}
        onPress={() => router.push({ pathname: '/sheet/[id]', params: { id: find.id } })}
      />
    </View>
  );
}

/**
 * A friend's mushrooms, a berry in a child's hand: by the name that somebody gave it, or by what is left of
 * it. What is looked at becomes a find, so that it is on a sheet.
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
          <Strong>{t.readThisOut} </Strong>
          {takenFor(taxon)}.
        </Body>
        <MistakenFor taxon={taxon} />
        <Body soft>{t.thatIsTheNameSomebody}</Body>
        <View style={styles.finds}>
          <Button label={t.theWholeSheetForWhoever} tone="outline" onPress={() => sheet(taxon)} />
          <Button label={t.anotherName} tone="plain" onPress={() => setTaxon(undefined)} />
        </View>
      </View>
    );
  }
  return (
    <View style={styles.block}>
      <Strong>{t.byTheNameThatSomebody}</Strong>
      <ChooseTaxon
        label={t.nameOfWhatWasEaten}
        placeholder={t.commonOrScientificName}
        first={[]}
        onChoose={setTaxon}
      />
      <Strong>{t.byItsLooksIfSome}</Strong>
      {looking ? (
        <>
          <Small soft>{t.whichOfTheseIsIt}</Small>
          <View role="group" aria-label={t.formOfWhatWasEaten} style={styles.finds}>
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
          label={t.lookAtWhatIsLeft}
          tone="outline"
          style={styles.start}
          onPress={() => setLooking(true)}
        />
      )}
      <Body soft>{t.ifItHasNoName}</Body>
    </View>
  );
}

const takenFor = ({ id, grade, taxon: { scientificName, family } }: CompiledTaxon) =>
  t.takenForOfTheFamily(
    commonName(id),
    scientificName,
    family,
    grade === 'none' ? '' : t.whichIs(harmLine(id)),
  );

function MistakenFor({ taxon }: { readonly taxon: CompiledTaxon }) {
  const worst = taxon.taxon.lookalikes
    .flatMap((id) => guide.taxon(id) ?? [])
    .filter(({ grade }) => grade !== 'none')
    .sort((a, b) => GRADES.indexOf(b.grade) - GRADES.indexOf(a.grade));
  if (worst.length === 0) return null;
  return (
    <Body>
      {t.itIsMistakenFor(
        worst.map(({ taxon: { scientificName }, grade }) => `${scientificName} (${GRADE[grade]})`).join(', '),
      )}
    </Body>
  );
}

const styles = StyleSheet.create({
  finds: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  block: { gap: space.s },
  marked: { borderLeftWidth: 5, borderLeftColor: colour.ink, paddingLeft: space.m },
  start: { alignSelf: 'flex-start' },
});
