import { useLocalSearchParams, useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import {
  Body,
  Button,
  colour,
  corner,
  Heading,
  Loading,
  Notice,
  Rule,
  Screen,
  Small,
  space,
  stroke,
  Strong,
  Title,
  Stack,
  Grow,
} from '../../components';
import { sourceOf, usePantry, type Pantry, type PortionPage as Page } from '../../notebook/pantry';
import { useApp } from '../../notebook/store';
import { momentWords } from '../../text/days';
import { t } from '../../text/en/eating';
import { t as pantryText } from '../../text/en/pantry';
import { CommonName, partName, scientificName } from '../../text/names';
import { amountWords, METHOD, SPOILS, cookedWords } from '../../text/pantry';
import { isoDayName } from '../../text/places';
import { spoilsFor } from './batch';
import { HowItWent } from './HowItWent';
import { portionWords } from './PantryParts';

/** What was eaten, used or given: of what, by whom, and how it went. */
export function PortionPage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const pantry = usePantry();
  const portion = pantry.portions.find((one) => one.id === id);
  if (!pantry.ready)
    return (
      <Screen>
        <Loading what={pantryText.openingTheNotebook} />
      </Screen>
    );
  if (!portion)
    return (
      <Screen>
        <Notice whole title={t.thereIsNoSuchPage} text={t.theAddressNamesAMeal} />
      </Screen>
    );
  return <Portion portion={portion} pantry={pantry} />;
}

interface PortionProps {
  readonly portion: Page;
  readonly pantry: Pantry;
}

function Portion({ portion, pantry }: PortionProps) {
  const { what = 'meal', at, cooked, toWhom } = portion.fields;
  return (
    <Screen>
      <View>
        <Small soft>{at ? momentWords(new Date(at)) : ''}</Small>
        <Title>{portionWords(pantry, portion)}</Title>
        {cooked ? <Body>{cookedWords(cooked)}</Body> : null}
      </View>
      <OfWhat portion={portion} pantry={pantry} />
      {what === 'gift' ? <GiftNote portion={portion} pantry={pantry} toWhom={toWhom ?? ''} /> : null}
      {what === 'meal' || what === 'outward' ? <HowItWent portion={portion} /> : null}
    </Screen>
  );
}

function OfWhat({ portion: { fields }, pantry }: PortionProps) {
  const { what = 'meal', of = [], who = [] } = fields;
  return (
    <Stack gap="s">
      <Heading>{pantryText.ofWhat}</Heading>
      <View role="list" aria-label={pantryText.ofWhat}>
        <Rule strong />
        {of.map((source) => (
          <SourceLine key={source.id} source={source} pantry={pantry} />
        ))}
      </View>
      {who.length > 0 ? (
        <Body>
          {what === 'meal' ? t.eatenBy : t.eatenOn} {who.join(', ')}.
        </Body>
      ) : null}
    </Stack>
  );
}

function SourceLine({
  source,
  pantry,
}: {
  readonly source: NonNullable<Page['fields']['of']>[number];
  readonly pantry: Pantry;
}) {
  const router = useRouter();
  const from = sourceOf(pantry, source);
  const ownName = from?.name === '' ? CommonName(from.contents[0]?.taxon ?? '') : from?.name;
  const name = ownName ?? pantryText.aFind;
  return (
    <View role="listitem">
      <View style={styles.line}>
        <Grow>
          <Strong>{name}</Strong>
          <Small soft>
            {from?.contents
              .map((one) => `${scientificName(one.taxon)}, ${partName(one.taxon, one.part)}`)
              .join('; ')}
          </Small>
        </Grow>
        <Button
          label={t.open}
          aria-label={t.openNamed(name)}
          tone="plain"
          onPress={() =>
            router.push({
              pathname: source.of === 'batch' ? '/batch/[id]' : '/find/[id]',
              params: { id: source.id },
            })
          }
        />
      </View>
      <Rule />
    </View>
  );
}

/** What goes with it: to be printed and handed over. */
function GiftNote({
  portion,
  pantry,
  toWhom,
}: {
  readonly portion: Page;
  readonly pantry: Pantry;
  readonly toWhom: string;
}) {
  const me = useApp((state) => state.me.person?.name ?? '');
  const batches = (portion.fields.of ?? []).flatMap(({ id, amount }) =>
    pantry.batches.filter((one) => one.id === id).map((batch) => ({ batch, amount })),
  );
  return (
    <Stack gap="s">
      <View style={styles.note} role="article" aria-label={t.aNoteToHandOver}>
        <Heading>{t.for(toWhom)}</Heading>
        {batches.map(({ batch: { id, fields }, amount }) => (
          <View key={id}>
            <Strong>
              {fields.name}
              {amount ? `, ${amountWords(amount)}` : ''}
            </Strong>
            <Body>
              {(fields.contents ?? [])
                .map(
                  (one) =>
                    `${CommonName(one.taxon)} (${scientificName(one.taxon)}), ${partName(one.taxon, one.part)}`,
                )
                .join('; ')}
              ; {fields.method ? METHOD[fields.method][1] : ''}
              {fields.on ? `, ${isoDayName(fields.on)}` : ''}.
            </Body>
            {fields.bestBefore ? <Body>{t.bestBeforeSentence(isoDayName(fields.bestBefore))}</Body> : null}
            {spoilsFor(fields).map((one) => (
              <Body key={one}>{SPOILS[one]}</Body>
            ))}
          </View>
        ))}
        <Body>{t.gatheredWildAndLookedAt(me)}</Body>
      </View>
      <Button
        label={t.printTheNote}
        tone="outline"
        style={styles.start}
        {...({ dataSet: { print: 'no' } } as object)}
        onPress={() => window.print()}
      />
    </Stack>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: space.m, paddingVertical: space.s },
  start: { alignSelf: 'flex-start' },
  note: {
    gap: space.s,
    padding: space.l,
    backgroundColor: colour.card,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    borderRadius: corner,
  },
});
