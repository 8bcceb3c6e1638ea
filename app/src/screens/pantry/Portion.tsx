import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { cautionsFor } from '@pause/core';
import { cookingRefusal, mustBeCooked } from '@pause/core/harvest/preparing';
import type { BatchFields } from '@pause/core/pantry';
import { mealReminders } from '@pause/core/pantry/tasting';
import {
  useWide,
  ChipRow,
  Chip,
  Notice,
  SmallStrong,
  Heading,
  Field,
  Button,
  Strong,
  Body,
  Small,
  Screen,
  Title,
} from '../../components';
import { now } from '../../notebook/add';
import { usePantry, madeOf, hadBefore, begin } from '../../notebook/pantry';
import { useAct, useApp } from '../../notebook/store';
import { useEaters } from '../../notebook/usePlaces';
import { t } from '../../text/en/pantry';
import { cautionFor, lowerFirst } from '../../text/names';
import { mealReminderWords } from '../../text/pantry';
import { Cooked } from './BoilingDown';
import { useChosen, Choose } from './Choose';
import { type What, type Ready, namesOf, styles, WHAT } from './portionKinds';

export function Portion({
  first,
  what: asked,
  choices,
  held,
}: {
  readonly first: string | undefined;
  readonly what: What;
  readonly choices: readonly Ready[];
  readonly held: number;
}) {
  const act = useAct();
  const router = useRouter();
  const wide = useWide();
  const pantry = usePantry();
  const eaters = useEaters();
  const me = useApp((state) => state.me.person?.name ?? '');
  const [what, setWhat] = useState<What>(asked);
  const chosen = useChosen(choices, first);
  const { picked, amounts, group } = chosen;
  const [who, setWho] = useState<readonly string[]>([]);
  const [other, setOther] = useState('');
  const [dish, setDish] = useState('');
  const [toWhom, setToWhom] = useState('');
  const [cooked, setCooked] = useState<BatchFields['cooked']>();
  const mades = picked.flatMap(({ contents }) => contents.flatMap((one) => madeOf(one) ?? []));
  const uncooked = picked
    .filter(({ ready }) => !ready)
    .flatMap(({ contents }) => contents.flatMap((one) => madeOf(one) ?? []));
  const names = namesOf(
    me,
    eaters.flatMap(({ fields }) => fields.name ?? []),
  );
  const eating = what === 'meal' || what === 'outward';
  const eaterOf = (name: string) => eaters.find(({ fields }) => fields.name === name);
  const warnings = eating
    ? who.flatMap((name) => {
        const eater = eaterOf(name);
        return eater
          ? mades.flatMap((made) =>
              cautionsFor(
                { cautions: eater.fields.cautions ?? [] },
                made.taxon,
                what === 'outward' ? 'skin' : 'eaten',
              ).map((caution) => ({ name, caution, taxon: made.taxon.id })),
            )
          : [];
      })
    : [];
  const minds = (name: string) => eaterOf(name)?.fields.cautions ?? [];
  const reminders =
    what === 'meal'
      ? mealReminders({
          who,
          minds,
          taxa: mades.map(({ taxon }) => taxon.id),
          hadBefore: (name) => hadBefore(pantry, name),
        })
      : [];
  const rulesOut = warnings.filter(({ caution }) => caution.level === 'rules-out');
  const refused =
    what === 'meal' && cooked ? uncooked.flatMap((made) => cookingRefusal(made, cooked) ?? []) : [];
  const outwardOnly =
    what === 'meal' && mades.some(({ part }) => part.route !== undefined && part.route !== 'eaten');
  const why = [
    picked.length === 0 && t.ofWhatLower,
    picked.length > 0 && !chosen.right && t.howMuchAsItCan,
    eating && who.length === 0 && t.byWhom,
    what === 'gift' && toWhom.trim() === '' && t.whoHasItNow,
    what === 'meal' && uncooked.some(mustBeCooked) && (!cooked || refused.length > 0) && t.howItWasCookedAs,
    outwardOnly && t.nothingThatIsForThe,
    rulesOut.length > 0 && t.nobodyWhomItIsNot,
  ].filter((one) => one !== false);
  const put = () => {
    void act(
      begin(
        'portion',
        {
          what,
          at: act(now()),
          of: amounts.map(({ source }) => source),
          ...(eating ? { who: [...who] } : {}),
          ...(dish.trim() === '' || what !== 'meal' ? {} : { dish: dish.trim() }),
          ...(what === 'gift' ? { toWhom: toWhom.trim() } : {}),
          ...(what === 'meal' && cooked ? { cooked } : {}),
        },
        group,
      ),
    ).then((id) => {
      if (id !== undefined) router.replace({ pathname: '/portion/[id]', params: { id } });
    });
  };
  const toggle = (name: string) =>
    setWho(who.includes(name) ? who.filter((one) => one !== name) : [...who, name]);
  const left = (
    <View style={[styles.block, wide && styles.grow]}>
      <ChipRow label={t.whatBecameOfIt}>
        {(['meal', 'outward', 'gift', 'thrown-out'] as const).map((one) => (
          <Chip key={one} label={WHAT[one][0]} chosen={what === one} onPress={() => setWhat(one)} />
        ))}
      </ChipRow>
      {choices.length === 0 ? (
        <Notice
          title={t.nothingIsReady}
          text={t.onlyWhatIsReadyAnd}
          action={t.pantry}
          onAction={() => router.push('/pantry')}
        />
      ) : null}
      <Choose
        choices={choices}
        chosen={chosen}
        asks={t.howMuchOfIt}
        whole={(known) => (known ? t.allThatIsLeft : t.someNotWeighed)}
      />
      {held > 0 && what !== 'thrown-out' ? (
        <SmallStrong>{t.batchesAreInQuestionAnd(held)}</SmallStrong>
      ) : null}
    </View>
  );
  const right = (
    <View style={[styles.block, wide && styles.grow]}>
      {eating ? (
        <>
          <Heading>{what === 'meal' ? t.whoAte : t.onWhom}</Heading>
          <ChipRow label={what === 'meal' ? t.whoAte : t.onWhom}>
            {[...new Set([...names, ...who])].map((name) => (
              <Chip
                key={name}
                kind="checkbox"
                label={name}
                chosen={who.includes(name)}
                onPress={() => toggle(name)}
              />
            ))}
          </ChipRow>
          <View style={styles.row}>
            <View style={styles.grow}>
              <Field label={t.somebodyElse} value={other} onChangeText={setOther} maxLength={80} />
            </View>
            <Button
              label={t.add}
              tone="outline"
              disabled={other.trim() === ''}
              style={styles.low}
              onPress={() => {
                setWho([...new Set([...who, other.trim()])]);
                setOther('');
              }}
            />
          </View>
          {warnings.map(({ name, caution, taxon }) => (
            <View key={`${name} ${taxon} ${caution.for}`} style={styles.warning} role="alert">
              <Strong>
                {name}: {caution.level === 'rules-out' ? t.notForThem : t.askAPharmacistOrDoctor}
              </Strong>
              <Body>
                {cautionFor(caution.for)}: {lowerFirst(caution.text)}
              </Body>
            </View>
          ))}
          {reminders.length > 0 ? (
            <View role="list" aria-label={t.toBeMindedAtThe} style={styles.block}>
              {reminders.map((one) => (
                <View key={`${one.name} ${one.code}`} role="listitem" style={styles.reminder}>
                  <Body>{mealReminderWords(one)}</Body>
                </View>
              ))}
            </View>
          ) : null}
        </>
      ) : null}
      {what === 'meal' ? (
        <Field label={t.whatTheDishWas} value={dish} onChangeText={setDish} maxLength={120} />
      ) : null}
      {what === 'meal' && uncooked.length > 0 ? (
        <Cooked cooked={cooked} made={uncooked} onChange={setCooked} />
      ) : null}
      {what === 'gift' ? (
        <Field
          label={t.whoHasItNowLabel}
          value={toWhom}
          onChangeText={setToWhom}
          maxLength={80}
          hint={t.soThatYouCanWarn}
        />
      ) : null}
      {why.length > 0 && picked.length > 0 ? <Small>{t.stillToBeTold(why.join(', '))}</Small> : null}
      <Button label={WHAT[what][1]} disabled={why.length > 0} onPress={put} />
    </View>
  );
  return (
    <Screen>
      <Title>{WHAT[what][0]}</Title>
      {wide ? (
        <View style={styles.columns}>
          {left}
          {right}
        </View>
      ) : (
        <>
          {left}
          {right}
        </>
      )}
    </Screen>
  );
}
