import { useRouter } from 'expo-router';
import { View } from 'react-native';
import {
  Button,
  Chip,
  ChipRow,
  Field,
  Notice,
  Screen,
  Small,
  SmallStrong,
  Title,
  useWide,
} from '../../components';
import { t } from '../../text/en/eating';
import { t as pantryText } from '../../text/en/pantry';
import { Cooked } from './BoilingDown';
import { Choose } from './Choose';
import { PortionEaters } from './PortionEaters';
import { type Ready, styles, type What, WHAT } from './portionKinds';
import { type PortionForm, usePortion } from './usePortion';

interface PortionProps {
  readonly first: string | undefined;
  readonly what: What;
  readonly choices: readonly Ready[];
  /** Batches that are in question, and so are not offered. */
  readonly held: number;
}

export function Portion({ first, what: asked, choices, held }: PortionProps) {
  const wide = useWide();
  const form = usePortion(asked, choices, first);
  const parts = (
    <>
      <View style={[styles.block, wide && styles.grow]}>
        <OfWhat form={form} choices={choices} held={held} />
      </View>
      <View style={[styles.block, wide && styles.grow]}>
        <Details form={form} />
      </View>
    </>
  );
  return (
    <Screen>
      <Title>{WHAT[form.what][0]}</Title>
      {wide ? <View style={styles.columns}>{parts}</View> : parts}
    </Screen>
  );
}

function OfWhat({
  form: { what, setWhat, chosen },
  choices,
  held,
}: Pick<PortionProps, 'choices' | 'held'> & { readonly form: PortionForm }) {
  const router = useRouter();
  return (
    <>
      <ChipRow label={pantryText.whatBecameOfIt}>
        {(['meal', 'outward', 'gift', 'thrown-out'] as const).map((one) => (
          <Chip key={one} label={WHAT[one][0]} chosen={what === one} onPress={() => setWhat(one)} />
        ))}
      </ChipRow>
      {choices.length === 0 ? (
        <Notice
          title={t.nothingIsReady}
          text={t.onlyWhatIsReadyAnd}
          action={pantryText.pantry}
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
    </>
  );
}

function Details({ form }: { readonly form: PortionForm }) {
  const { what, dish, setDish, toWhom, setToWhom, cooked, setCooked, uncooked, missing } = form;
  return (
    <>
      {form.eating ? <PortionEaters form={form} /> : null}
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
      {missing.length > 0 && form.chosen.picked.length > 0 ? (
        <Small>{t.stillToBeTold(missing.join(', '))}</Small>
      ) : null}
      <Button label={WHAT[what][1]} disabled={missing.length > 0} onPress={form.save} />
    </>
  );
}
