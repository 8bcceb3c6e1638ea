import { Link } from 'expo-router';
import { Pressable, StyleSheet, View } from 'react-native';
import { isoOf } from '@pause/core/lib/day';
import type { Recalled } from '@pause/core/pantry/recall';
import {
  Body,
  Button,
  colour,
  Heading,
  Loading,
  Notice,
  Rule,
  Screen,
  Small,
  space,
  stroke,
  Strong,
  TARGET,
  Title,
  Stack,
  Row,
} from '../../components';
import { now } from '../../notebook/add';
import { changeFields } from '../../notebook/changeFields';
import { usePantry, type Pantry } from '../../notebook/pantry';
import { recallKey, useRecalls } from '../../notebook/recalls';
import { useAct } from '../../notebook/store';
import { useFinds, useToday } from '../../notebook/useFinds';
import { useDay } from '../../notebook/usePlaces';
import { dayWords } from '../../text/days';
import { t as pantryText } from '../../text/en/pantry';
import { t } from '../../text/en/sheet';
import { CommonName } from '../../text/names';
import { causeWords, measureWords } from '../../text/recalls';
import { portionWords } from './PantryParts';

/** Everything that descends from something recalled: why, by which way, and what to do with it. */
export function RecallScreen() {
  const pantry = usePantry();
  const recalls = useRecalls(pantry);
  const nameOf = useNames(pantry);
  if (!pantry.ready || !recalls.ready)
    return (
      <Screen>
        <Loading what={t.askingEverythingThatWasCollected} />
      </Screen>
    );
  const rest = recalls.all.filter((one) => !recalls.open.includes(one));
  return (
    <Screen>
      <View>
        <Title>{t.whatNoLongerHolds}</Title>
        <Body soft>{t.whenAGuideIsCorrected}</Body>
      </View>
      {recalls.all.length === 0 ? <Notice title={t.everythingHolds} text={t.byAllThatIsOn} /> : null}
      <View role="list" aria-label={t.toBeSeenTo}>
        {recalls.open.map((one) => (
          <Hit key={one.id} one={one} nameOf={nameOf} onSeen={() => recalls.seenTo(one)} />
        ))}
      </View>
      {rest.length > 0 ? (
        <Stack gap="s">
          <Heading>{t.seenTo}</Heading>
          <View role="list" aria-label={t.seenTo}>
            {rest.map((one) => (
              <View key={one.id} role="listitem" style={styles.seen}>
                <Strong>{nameOf(one.id)}</Strong>
                <Small soft>{one.causes.map((cause) => causeWords(cause, nameOf(cause.of))).join(' ')}</Small>
                <Rule />
              </View>
            ))}
          </View>
        </Stack>
      ) : null}
    </Screen>
  );
}

/** What anything that can be in question is called here. */
export function useNames(pantry: Pantry): (id: string) => string {
  const finds = useFinds().items;
  const today = useToday();
  return (id) => {
    const find = finds.find((one) => one.id === id);
    if (find)
      return [
        find.number === undefined ? pantryText.aFind : t.findNumber(find.number),
        find.target && CommonName(find.target),
      ]
        .filter(Boolean)
        .join(' ');
    const batch = pantry.batches.find((one) => one.id === id);
    if (batch) return batch.fields.name ?? pantryText.aBatch;
    const harvest = pantry.harvests.find((one) => one.id === id);
    if (harvest) return t.harvestOf(CommonName(harvest.fields.taxon ?? '').toLowerCase());
    const portion = pantry.portions.find((one) => one.id === id);
    if (portion)
      return portion.fields.at
        ? `${portionWords(pantry, portion)}, ${dayWords(new Date(portion.fields.at), today)}`
        : portionWords(pantry, portion);
    const taste = pantry.tastes.find((one) => one.id === id);
    return taste ? t.firstTasteOf(CommonName(taste.fields.taxon ?? '').toLowerCase()) : t.aFindThatIsNot;
  };
}

function hrefOf({ id, kind, way }: Recalled) {
  if (kind === 'batch') return { pathname: '/batch/[id]', params: { id } } as const;
  if (kind === 'portion') return { pathname: '/portion/[id]', params: { id } } as const;
  if (kind === 'taste') return { pathname: '/taste/[id]', params: { id } } as const;
  return {
    pathname: kind === 'harvest' ? '/find/[id]/sort' : '/find/[id]',
    params: { id: kind === 'harvest' ? (way.at(-2) ?? id) : id },
  } as const;
}

function Hit({
  one,
  nameOf,
  onSeen,
}: {
  readonly one: Recalled;
  readonly nameOf: (id: string) => string;
  readonly onSeen: () => void;
}) {
  const act = useAct();
  const today = isoOf(useDay());
  const [word, what] = measureWords(one);
  const seen = (did: 'held' | 'discarded') => {
    onSeen();
    if (one.kind === 'batch')
      void act(
        changeFields(one.id, 'batch', () => ({
          recalled: { at: act(now()), because: recallKey(one), did },
          ...(did === 'discarded' ? { ended: { on: today, why: 'thrown-out' as const } } : {}),
        })),
      );
  };
  return (
    <View role="listitem" style={styles.hit} aria-label={nameOf(one.id)}>
      <Link href={hrefOf(one)} asChild>
        <Pressable role="link" style={styles.name}>
          <Strong style={styles.underlined}>{nameOf(one.id)}</Strong>
        </Pressable>
      </Link>
      <Heading>{word}</Heading>
      <Body>{what}</Body>
      {one.causes.map((cause) => (
        <Body key={`${cause.code} ${cause.of}`}>{causeWords(cause, nameOf(cause.of))}</Body>
      ))}
      {one.way.length > 1 ? <Small soft>{one.way.map(nameOf).join(' → ')}</Small> : null}
      <Row wrap gap="s">
        {one.kind === 'batch' ? (
          <Button label={pantryText.itIsThrownOut} tone="outline" onPress={() => seen('discarded')} />
        ) : null}
        <Button
          label={
            one.kind === 'portion'
              ? one.measure === 'warn'
                ? t.theyAreTold
                : t.theyAreAsked
              : t.itIsPutAside
          }
          tone="outline"
          onPress={() => seen('held')}
        />
      </Row>
    </View>
  );
}

const styles = StyleSheet.create({
  hit: {
    gap: space.s,
    padding: space.m,
    marginBottom: space.m,
    borderLeftWidth: stroke.thick * 2,
    borderLeftColor: colour.ink,
    backgroundColor: colour.card,
  },
  name: { minHeight: TARGET, justifyContent: 'center' },
  underlined: { textDecorationLine: 'underline' },
  seen: { gap: space.xs, paddingTop: space.s },
});
