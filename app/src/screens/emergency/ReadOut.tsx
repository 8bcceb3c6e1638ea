import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { GRADES, type CompiledTaxon, type FindSummary } from '@pause/core';
import { Body, Button, Chip, colour, Heading, Small, space, Strong, Row, Stack } from '../../components';
import { ChooseTaxon } from '../../components/names/ChooseTaxon';
import { guide } from '../../deciding/guide';
import { startFind } from '../../notebook/actions';
import { useAct } from '../../notebook/store';
import { useFinds, useToday } from '../../notebook/useFinds';
import { dayWords } from '../../text/days';
import { t } from '../../text/en/emergency';
import { sentences } from '../../text/messages';
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
      <Row wrap gap="s" role="radiogroup" aria-label={t.whatItMayHaveBeen}>
        {finds.slice(0, FINDS_OFFERED).map((one) => (
          <Chip
            key={one.id}
            label={`${one.number ?? 'new'} · ${one.target === undefined ? t.noNameYet : commonName(one.target)}`}
            chosen={one.id === chosen}
            onPress={() => choose(one.id)}
          />
        ))}
        <Chip label={t.somethingElse} chosen={chosen === ELSE} onPress={() => choose(ELSE)} />
      </Row>
      {find ? <OwnFind find={find} /> : null}
      {chosen === ELSE ? <SomethingElse /> : null}
    </View>
  );
}

function OwnFind({ find }: { readonly find: FindSummary }) {
  const router = useRouter();
  const today = useToday();
  const taxon = guide.taxon(find.target ?? '');
  const day = dayWords(new Date(find.startedAt), today);
  const verdict = find.outcome ? OUTCOME[find.outcome].toLowerCase() : t.none;
  return (
    <Stack gap="s" role="status">
      <Body>
        <Strong>{t.readThisOut} </Strong>
        {sentences(
          `${
            taxon
              ? takenFor(taxon)
              : find.target === undefined
                ? t.itWasGivenNoName
                : t.takenForWhichThisGuide(find.target)
          }.`,
          find.placeNote ? t.foundAt(day, find.placeNote) : t.found(day),
          find.choice
            ? t.thingsWereLookedAtAndDecided(find.readings, verdict, CHOICE[find.choice].toLowerCase())
            : t.thingsWereLookedAt(find.readings, verdict),
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
    </Stack>
  );
}

/**
 * A friend's mushrooms, a berry in a child's hand: by the name that somebody gave it, or by what is left of
 * it. What is looked at becomes a find, so that it is on a sheet.
 */
function SomethingElse() {
  const [taxon, setTaxon] = useState<CompiledTaxon>();
  if (taxon) return <ByName taxon={taxon} onAnother={() => setTaxon(undefined)} />;
  return (
    <Stack gap="s">
      <Strong>{t.byTheNameThatSomebody}</Strong>
      <ChooseTaxon
        label={t.nameOfWhatWasEaten}
        placeholder={t.commonOrScientificName}
        first={[]}
        onChoose={setTaxon}
      />
      <Strong>{t.byItsLooksIfSome}</Strong>
      <ByLooks />
      <Body soft>{t.ifItHasNoName}</Body>
    </Stack>
  );
}

/** What a name says, to be read out. */
function ByName({ taxon, onAnother }: { readonly taxon: CompiledTaxon; readonly onAnother: () => void }) {
  const act = useAct();
  const router = useRouter();
  const sheet = () => {
    const { kingdom, bodyPlan } = taxon.taxon;
    void act(startFind({ kingdom, bodyPlan, target: taxon.id, placeNote: NOT_OWN, context: {} })).then(
      (id) => id && router.push({ pathname: '/sheet/[id]', params: { id } }),
    );
  };
  return (
    <Stack gap="s" role="status">
      <Body>
        <Strong>{t.readThisOut} </Strong>
        {takenFor(taxon)}.
      </Body>
      <MistakenFor taxon={taxon} />
      <Body soft>{t.thatIsTheNameSomebody}</Body>
      <Row wrap gap="s">
        <Button label={t.theWholeSheetForWhoever} tone="outline" onPress={sheet} />
        <Button label={t.anotherName} tone="plain" onPress={onAnother} />
      </Row>
    </Stack>
  );
}

/** By its form, from what is left of it. */
function ByLooks() {
  const act = useAct();
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const look = ({ kingdom, id: bodyPlan }: (typeof guide.guide.bodyPlans)[number]) => {
    void act(startFind({ kingdom, bodyPlan, placeNote: NOT_OWN, context: {} })).then(
      (id) => id && router.push({ pathname: '/find/[id]/name', params: { id } }),
    );
  };
  if (!open)
    return (
      <Button label={t.lookAtWhatIsLeft} tone="outline" style={styles.start} onPress={() => setOpen(true)} />
    );
  return (
    <>
      <Small soft>{t.whichOfTheseIsIt}</Small>
      <Row wrap gap="s" role="group" aria-label={t.formOfWhatWasEaten}>
        {guide.guide.bodyPlans.map((plan) => (
          <Button
            key={plan.id}
            label={plan.name}
            tone="outline"
            aria-label={`${plan.name}: ${plan.hint}`}
            onPress={() => look(plan)}
          />
        ))}
      </Row>
    </>
  );
}

const takenFor = ({ id, grade, taxon: { scientificName, family } }: CompiledTaxon) =>
  grade === 'none'
    ? t.takenForOfTheFamily(commonName(id), scientificName, family)
    : t.takenForWhichIs(commonName(id), scientificName, family, harmLine(id));

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
  block: { gap: space.s },
  marked: { borderLeftWidth: 5, borderLeftColor: colour.ink, paddingLeft: space.m },
  start: { alignSelf: 'flex-start' },
});
