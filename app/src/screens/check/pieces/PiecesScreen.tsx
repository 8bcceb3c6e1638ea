import { useRouter } from 'expo-router';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { countOf, type Case, type FindRecord, type TaxonId } from '@pause/core';
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
  Strong,
  stroke,
  Title,
  VerdictWord,
  Grow,
} from '../../../components';
import { FindFrame } from '../../../components/FindFrame';
import { FindWaysOut } from '../../../components/FindWaysOut';
import { startFind } from '../../../notebook/actions';
import { add, now } from '../../../notebook/add';
import { newId, person } from '../../../notebook/open';
import { useOwnRates } from '../../../notebook/ownRates';
import { useAct, type Thunk } from '../../../notebook/store';
import { useCase } from '../../../notebook/useCase';
import { t } from '../../../text/en/pieces';
import { commonName, timeWords } from '../../../text/names';
import { PieceLines, usePieceCheck } from './PieceLines';

/** One more was gone through; or the last count was a slip. */
function countPiece(find: string, result: 'passed' | 'stray' | 'taken-back'): Thunk<Promise<boolean>> {
  return (dispatch) =>
    dispatch(
      add({
        kind: 'counts',
        find,
        body: { id: newId(), at: dispatch(now()), by: dispatch(person()), result },
      }),
    );
}

/** The rest of the patch, piece by piece: pass, stray, stop. */
export function PiecesScreen() {
  return <FindFrame render={({ record }) => <Pieces record={record} />} />;
}

function Pieces({ record }: { readonly record: FindRecord }) {
  const router = useRouter();
  const find = useCase(record);
  const pieceCheck = usePieceCheck(find);
  const back = () => router.replace({ pathname: '/find/[id]', params: { id: record.id } });
  if (!find)
    return (
      <Screen>
        <Notice
          whole
          title={t.noNameYet}
          text={t.onlyWhatHasBeenChecked}
          action={t.backToTheFind}
          onAction={back}
        />
      </Screen>
    );
  if (!pieceCheck)
    return (
      <Screen>
        <Loading what={t.workingOutTheQuickestChecks} />
      </Screen>
    );
  if (!pieceCheck.feasible)
    return (
      <Screen>
        <Title>{t.pieceByPiece}</Title>
        <Body>
          {t.noQuickCheckPartsThe(
            pieceCheck.obstacles
              .flatMap((o) => (o.code === 'cannot-bar' ? [commonName(o.taxon)] : []))
              .join(', '),
          )}
        </Body>
        <Button label={t.backToTheFind} tone="outline" style={styles.start} onPress={back} />
      </Screen>
    );
  return (
    <Screen panes rooms={false} strip={<PassesOrStray record={record} target={find.target} />}>
      <ScrollView tabIndex={0} contentContainerStyle={styles.page}>
        <FindWaysOut find={record.id} />
        <Small soft role="heading" aria-level={1}>
          {t.theRestOfThePatch(commonName(find.target))}
        </Small>
        <Tally record={record} />
        <Checks record={record} find={find} pieceCheck={pieceCheck} />
        <Rule strong />
        <Button label={t.stopHere} tone="outline" style={styles.start} onPress={back} />
        <Small soft>{t.theCountIsKeptWith}</Small>
      </ScrollView>
    </Screen>
  );
}

/** The two big buttons: a piece passes, or it is a stray, and a find is opened for it. */
function PassesOrStray({ record, target }: { readonly record: FindRecord; readonly target: TaxonId }) {
  const act = useAct();
  const router = useRouter();
  const stray = () => {
    void act(countPiece(record.id, 'stray'));
    void act(
      startFind({
        kingdom: record.kingdom,
        bodyPlan: record.bodyPlan ?? '',
        placeNote: t.strayAmongThePiecesOf(record.number ? t.find(record.number) : commonName(target)),
        ...(record.group ? { group: record.group } : {}),
        context: {},
      }),
    ).then((id) => {
      if (id) router.push({ pathname: '/find/[id]/name', params: { id } });
    });
  };
  return (
    <View style={styles.strip}>
      <Pressable
        role="button"
        onPress={stray}
        style={({ pressed }) => [styles.big, styles.stray, pressed && styles.pressed]}
      >
        <Strong>{t.stray}</Strong>
        <Small style={styles.under}>{t.opensAFindForIt}</Small>
      </Pressable>
      <Pressable
        role="button"
        onPress={() => void act(countPiece(record.id, 'passed'))}
        style={({ pressed }) => [styles.big, styles.passes, pressed && styles.pressed]}
      >
        <Strong on="dark">{t.passes}</Strong>
        <Small on="dark" style={styles.under}>
          {t.allOfItAsDrawn}
        </Small>
      </Pressable>
    </View>
  );
}

/** How many passed, and how many strays there were. */
function Tally({ record }: { readonly record: FindRecord }) {
  const act = useAct();
  const count = countOf(record);
  return (
    <View
      style={styles.tally}
      role="status"
      aria-live="polite"
      aria-label={t.passedStrays(count.passed, count.strays)}
    >
      <View>
        <VerdictWord>{count.passed}</VerdictWord>
        <Small soft>{t.passed}</Small>
      </View>
      <View>
        <VerdictWord>{count.strays}</VerdictWord>
        <Small soft>{t.strays(count.strays)}</Small>
      </View>
      <Grow />
      <Button
        label={t.takeBack}
        tone="plain"
        disabled={!count.last}
        onPress={() => void act(countPiece(record.id, 'taken-back'))}
      />
    </View>
  );
}

interface ChecksProps {
  readonly record: FindRecord;
  readonly find: Case & { readonly target: TaxonId };
  readonly pieceCheck: Extract<NonNullable<ReturnType<typeof usePieceCheck>>, { readonly feasible: true }>;
}

/** What every piece is looked at for, and how many strays slip through all the same. */
function Checks({ record, find, pieceCheck }: ChecksProps) {
  const rates = useOwnRates();
  if (pieceCheck.checks.length === 0) return <PieceLines check={pieceCheck} find={find} />;
  const own = pieceCheck.checks.some(({ character }) => rates?.has(character));
  const slips = pieceCheck.slips.slice(1);
  return (
    <>
      <Heading>{t.onEachPieceEveryOne}</Heading>
      <Body soft>{t.aboutAPieceAnythingElse(timeWords(pieceCheck.seconds))}</Body>
      <PieceLines check={pieceCheck} find={find} />
      {slips.length > 1 ? (
        <Small soft>
          {t.ofTheStraysSlipsThrough(
            own ? t.inYourHandsByWhat : t.inOrdinaryHands,
            share(slips[0]?.share ?? 0),
            share(slips.at(-1)?.share ?? 0),
            countOf(record).strays > 0 ? t.thereAreStraysHereDo : '',
          )}
        </Small>
      ) : null}
    </>
  );
}

const share = (s: number) =>
  s <= 0 ? t.noStray : s < 0.001 ? t.fewerThanOneInA : t.oneIn(Math.max(1, Math.round(1 / s)));

const styles = StyleSheet.create({
  page: {
    padding: space.l,
    gap: space.m,
    paddingBottom: space.xl,
    width: '100%',
    maxWidth: 720,
    alignSelf: 'center',
  },
  tally: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.xl, alignItems: 'center' },
  under: { textAlign: 'center', maxWidth: '100%' },
  start: { alignSelf: 'flex-start' },
  strip: {
    flexDirection: 'row',
    gap: space.m,
    padding: space.m,
    paddingHorizontal: space.l,
    borderTopWidth: stroke.thick,
    borderTopColor: colour.ink,
    justifyContent: 'center',
  },
  big: {
    flex: 1,
    maxWidth: 340,
    minHeight: 84,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: corner,
    borderWidth: stroke.thick,
    borderColor: colour.ink,
  },
  stray: { backgroundColor: colour.card },
  passes: { backgroundColor: colour.ink },
  pressed: { opacity: 0.7 },
});
