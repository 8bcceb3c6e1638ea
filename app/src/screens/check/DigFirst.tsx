import { View } from 'react-native';
import { bearsDigging, type FindRecord } from '@pause/core';
import { Body, Button, Heading, Small, Stack } from '../../components';
import { guide } from '../../deciding/guide';
import { useOwnSteps } from '../../notebook/ownSteps';
import { t } from '../../text/en/digging';
import { upper } from '../../text/names';
import type { Context } from './AroundEaters';
import { OneOf, Permission, Protection, type SectionProps } from './AroundQuestions';
import { styles } from './aroundStyles';
import { useSaveContext } from './useSaveContext';

/**
 * What comes before anything is dug up for looking, which the plant does not survive: the owner's word, the law, how
 * many stand there and whether they bear it, and what the person does besides.
 */
export function DigFirst({ record, onDone }: { readonly record: FindRecord; readonly onDone?: () => void }) {
  const { context } = record;
  const save = useSaveContext(record.id);
  const taxon = guide.taxon(record.targets.at(-1)?.taxon ?? '');
  const asksLaw = taxon === undefined || taxon.taxon.protection === 'often';
  const mayDig = bearsDigging(record, taxon);
  return (
    <View style={styles.around} role="group" aria-label={t.beforeYouDig}>
      <Stack gap="s">
        <Heading>{t.beforeYouDig}</Heading>
        <Body>{t.itDoesNotSurvive}</Body>
      </Stack>
      <Permission context={context} save={save} />
      {asksLaw ? <Protection context={context} taxon={taxon} save={save} /> : null}
      <Patch context={context} save={save} />
      <OwnSteps />
      {mayDig ? null : <Small soft>{t.onlyWhere}</Small>}
      <Button
        label={t.digOneUp}
        disabled={!mayDig}
        onPress={() => {
          save({ mayDig: true });
          onDone?.();
        }}
      />
      <Button
        label={t.nothingIsDug}
        tone="outline"
        onPress={() => {
          save({ mayDig: false });
          onDone?.();
        }}
      />
    </View>
  );
}

const SIZES = { few: t.fewerThanTen, tens: t.tens, hundreds: t.hundreds, thousands: t.thousands } as const;

/** How many stand there, and whether they bear it. */
function Patch({ context, save }: { readonly context: Context; readonly save: SectionProps['save'] }) {
  return (
    <>
      <OneOf
        title={t.howManyStandHere}
        options={Object.entries(SIZES) as [keyof typeof SIZES, string][]}
        chosen={context.patchSize}
        onChoose={(patchSize) => save({ patchSize })}
      />
      <OneOf
        title={t.doesThePatchBearIt}
        options={[
          [true, t.itThrives],
          [false, t.itIsThin],
        ]}
        chosen={context.patchThrives}
        onChoose={(patchThrives) => save({ patchThrives })}
      />
    </>
  );
}

/** What the person does besides, in their own words. */
function OwnSteps() {
  const [own] = useOwnSteps();
  if (own.length === 0) return null;
  return (
    <Stack gap="xs">
      <Heading>{t.yourOwnSteps}</Heading>
      {own.map((step) => (
        <Body key={step}>{upper(step)}</Body>
      ))}
    </Stack>
  );
}
