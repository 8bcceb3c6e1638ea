import { Redirect, useLocalSearchParams, Link } from 'expo-router';
import {
  useMemo,
  useDeferredValue,
  useSyncExternalStore,
  use,
  memo,
  useState,
  useEffect,
  useRef,
  startTransition,
} from 'react';
import {
  type LayoutChangeEvent,
  View,
  ScrollView,
  type NativeSyntheticEvent,
  type NativeScrollEvent,
  Pressable,
} from 'react-native';
import type { ReadingId, Verdict, Check, CharacterId, Case, PieceId } from '@pause/core';
import {
  Screen,
  Loading,
  useWide,
  useTwoPanes,
  space,
  Small,
  SmallStrong,
  Button,
  Heading,
  Body,
  Rule,
} from '../../components';
import { FindFrame } from '../../components/FindFrame';
import { Pictures } from '../../components/photos/late';
import { guide } from '../../deciding/guide';
import { startPiece, read, passOver, takeBack, changeContext } from '../../notebook/actions';
import { useAct } from '../../notebook/store';
import { useCase } from '../../notebook/useCase';
import { t } from '../../text/en/check';
import { characterOf, readingWords, lowerFirst } from '../../text/names';
import { movedWords } from '../../text/reasons';
import { cardKey, type Answer, AnswerCard } from './card';
import { Header, MostUrgent } from './CheckHeader';
import { type CheckProps, Newest, type CheckNow, BarsNow, STRIP } from './CheckParts';
import { styles } from './checkStyles';
import { GlovesFirst } from './GlovesFirst';
import { KeysSheet } from './KeysSheet';
import { NothingToAsk, MissingAround } from './NothingToAsk';
import { OtherChecks, MoreWays } from './OtherWays';
import { TheirWord } from './second/TheirWord';
import { Seen } from './Seen';
import { useSaving, isJudging, useCount, useEffects, useLatest } from './useJudged';
import { useKeys } from './useKeys';

export function CheckScreen() {
  return (
    <FindFrame
      render={({ record, evaluation, current }) =>
        record.targets.length === 0 ? (
          <Redirect href={{ pathname: '/find/[id]/name', params: { id: record.id } }} />
        ) : evaluation ? (
          <CheckView record={record} evaluation={evaluation} current={current} />
        ) : (
          <Screen>
            <Loading what={t.comparingWithTheGuide} />
          </Screen>
        )
      }
    />
  );
}

interface Last {
  readonly reading: ReadingId;
  readonly words: string;
  /** The bars as they stood before it. */
  readonly rows: Verdict['rows'];
}

/** What is asked now: what the person chose, else what the core proposes first. */
function currentCheck(
  checks: readonly Check[],
  chosen: CharacterId | undefined,
  find: Case,
): Check | undefined {
  if (chosen === undefined) return checks[0];
  const proposed = checks.find((check) => check.character === chosen);
  if (proposed) return proposed;
  const character = characterOf(chosen);
  return character && guide.taxon(find.target)
    ? {
        character: chosen,
        why: 'brings-nearer',
        seconds: character.seconds,
        damage: character.damage,
        skin: [],
        gain: 0,
      }
    : undefined;
}

function CheckView({ record, evaluation, current }: CheckProps) {
  // The same record gives the same case, so that what hangs on it is not worked out anew at every drawing.
  const find = useCase(record);
  const now = useMemo(
    () => (find ? { record, evaluation, current, find } : undefined),
    [record, evaluation, current, find],
  );
  // Strip and bars are drawn first, everything else right after them: one answer moves all of it, and only
  // those two are waited for.
  const shown = useDeferredValue(now);
  return now && shown ? (
    <Newest value={now}>
      <CheckOf shown={shown} />
    </Newest>
  ) : null;
}

/** What is asked; busy while an answer is being judged, and until what it came to is shown. */
function Asking({
  shown,
  check,
  saving,
  onLayout,
  children,
}: {
  readonly shown: CheckNow;
  readonly check: Check | undefined;
  readonly saving: ReturnType<typeof useSaving>;
  readonly onLayout: (event: LayoutChangeEvent) => void;
  readonly children: React.ReactNode;
}) {
  const judging = isJudging(useSyncExternalStore(saving.subscribe, saving.get, saving.get), check, shown);
  return (
    <View style={styles.next} aria-busy={judging || shown !== use(Newest)} onLayout={onLayout}>
      {children}
    </View>
  );
}

const CheckOf = memo(function CheckOf({ shown }: { readonly shown: CheckNow }) {
  const act = useAct();
  const { record, evaluation, find } = shown;
  const wide = useWide();
  const tablet = useTwoPanes();
  const [chosen, setChosen] = useState<CharacterId | undefined>();
  const [last, setLast] = useState<Last | undefined>();
  const [sheet, setSheet] = useState(false);
  const [compare, setCompare] = useState<PieceId | undefined>();
  const { again, together, word } = useLocalSearchParams<{
    again?: string;
    together?: string;
    word?: string;
  }>();
  const { verdict } = evaluation;
  // What the verdict leans on is asked once more, on a piece beside this one.
  const leaned = useMemo(
    () =>
      again ? record.readings.filter((r) => again.split(',').includes(r.id)).map((r) => r.character) : [],
    [again, record.readings],
  );
  const lookedAgain = new Set<string>(
    record.readings.filter((r) => r.piece === compare).map((r) => r.character),
  );
  const open = leaned.filter((c, i) => leaned.indexOf(c) === i && !lookedAgain.has(c));
  useEffect(() => {
    if (leaned.length > 0 && !compare) setCompare(act(startPiece(record.id, 'compare')));
    // Once, when the screen is opened for it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  // What two people saw differently is looked at once more by both, on the piece itself.
  const [before] = useState(record.readings.length);
  const seenTogether = new Set<string>(record.readings.slice(before).map((r) => r.character));
  const disputed = together?.split(',').filter((c) => characterOf(c) && !seenTogether.has(c)) ?? [];
  const lookAgainAt =
    compare && leaned.length > 0 ? open.join() : disputed.length > 0 ? disputed.join() : undefined;
  // The same evaluation proposes the same, so that what hangs on it is not drawn anew.
  const checks = useMemo(
    () =>
      lookAgainAt === undefined
        ? evaluation.checks
        : lookAgainAt.split(',').flatMap((c) => currentCheck([], c as CharacterId, find) ?? []),
    [lookAgainAt, evaluation, find],
  );
  const piece = compare ?? (verdict.piece as PieceId);
  const check = useMemo(() => currentCheck(checks, chosen, find), [checks, chosen, find]);
  const judged = useCount(verdict);
  const key = check ? cardKey(check, judged) : '';
  const effects = useEffects(find, check, wide);

  const moved = last ? movedWords(last.rows, verdict.rows) : undefined;
  const scroller = useRef<ScrollView>(null);
  const scrolled = useRef(0);
  const [cardTop, setCardTop] = useState(0);
  /** Whoever scrolled past the question gets the next one in view. */
  const toCard = () =>
    scroller.current?.scrollTo({ y: tablet ? 0 : Math.max(0, cardTop - space.m), animated: false });
  const settleDown = () => {
    setChosen(undefined);
    if (scrolled.current > cardTop) toCard();
  };
  const follow = {
    ref: scroller,
    scrollEventThrottle: 100,
    onScroll: (event: NativeSyntheticEvent<NativeScrollEvent>) => {
      scrolled.current = event.nativeEvent.contentOffset.y;
    },
  };
  const saving = useSaving();
  /** An answer that waits for the word of whoever looks along. */
  const [waiting, setWaiting] = useState<{ readonly of: CharacterId; readonly given: Answer }>();
  // Whoever turns to another question meanwhile has not answered that one.
  const given = waiting?.of === check?.character ? waiting?.given : undefined;
  const keep = useLatest(({ value, sureness, note }: Answer, along?: string) => {
    if (!check || isJudging(saving.get(), check, shown)) return;
    setWaiting(undefined);
    // The core is asked before anything is drawn.
    const keeping = act(
      read(record.id, {
        piece,
        character: check.character,
        value,
        sureness,
        ...(note ? { note } : {}),
        ...(along === undefined ? {} : { together: [along] }),
      }),
    );
    saving.set({ character: check.character, before: verdict });
    void keeping.then((reading) => {
      // Said only once it is kept; what was not kept may be told again.
      if (!reading) return saving.set(undefined);
      // Strip and bars are drawn before it.
      startTransition(() => {
        setLast({ reading, words: readingWords({ character: check.character, value }), rows: verdict.rows });
        settleDown();
      });
    });
  });
  const answer = useLatest((answered: Answer) => {
    if (word !== undefined && check && disputed.includes(check.character))
      setWaiting({ of: check.character, given: answered });
    else keep(answered);
  });
  const pass = useLatest(() => {
    if (!check || isJudging(saving.get(), check, shown)) return;
    saving.set({ character: check.character, before: verdict });
    void act(passOver(record.id, piece, check.character));
    setLast(undefined);
    settleDown();
  });
  const back = useLatest(() => {
    if (!last) return;
    // Until that is judged the question is still the one before: an answer meant for the one that comes back
    // must not land on it.
    saving.set(check && { character: check.character, before: verdict });
    void act(takeBack(record.id, last.reading)).then((kept) => {
      if (!kept) saving.set(undefined);
    });
    setLast(undefined);
    settleDown();
  });
  const [worn, setWorn] = useState(false);
  const gloves = check !== undefined && !worn && wantsGloves(check);
  /** Only what is looked at, as long as there is any of it. */
  const withoutGloves = useLatest(() => {
    const looking = checks.find((c) => !wantsGloves(c));
    if (looking && looking.character !== check?.character) setChosen(looking.character);
    else pass();
  });
  const cannotSmell = useLatest(() => {
    void act(changeContext(record.id, { cannotSmell: true }));
    settleDown();
  });
  useKeys({ z: back, '?': () => setSheet(!sheet) }, wide);

  const choose = useLatest((character: CharacterId) => {
    setChosen(character);
    toCard();
  });
  const beside = useMemo(
    () => (check ? <Pictures find={record.id} character={check.character} /> : null),
    [record.id, check],
  );
  const comparing = useLatest(() => setCompare(act(startPiece(record.id, 'compare'))));
  const header = useMemo(() => <Header record={record} find={find} piece={piece} />, [record, find, piece]);
  const bars = useMemo(() => <BarsNow checks={checks} onChoose={choose} />, [checks, choose]);
  const asking = useMemo(
    () => (
      <>
        {last ? (
          <View style={styles.last} role="status">
            <Small style={styles.grow}>
              <SmallStrong>{t.recorded} </SmallStrong>
              {lowerFirst(last.words)}. {moved}
            </Small>
            <Button label={wide ? t.takeBackZ : t.takeBack} tone="plain" onPress={back} />
          </View>
        ) : null}
        {compare ? (
          <View style={styles.last}>
            <Small style={styles.grow}>{t.youAreLookingAtAnother}</Small>
            <Button label={t.backToThePiece} tone="plain" onPress={() => setCompare(undefined)} />
          </View>
        ) : null}
        {check && given && word !== undefined ? (
          <TheirWord
            record={record}
            person={word}
            seen={readingWords({ character: check.character, value: given.value })}
            onWord={(same) => keep(given, same ? word : undefined)}
            onBack={() => setWaiting(undefined)}
          />
        ) : check && gloves ? (
          <GlovesFirst skin={check.skin} onOn={() => setWorn(true)} onWithout={withoutGloves} />
        ) : check ? (
          <AnswerCard
            key={key}
            check={check}
            target={find.target}
            stages={record.context.stages}
            effects={effects}
            keys={wide}
            onAnswer={answer}
            onPass={pass}
            {...(find.context.cannotSmell ? {} : { onCannotSmell: cannotSmell })}
            beside={beside}
          />
        ) : (
          <NothingToAsk record={record} find={find} evaluation={evaluation} />
        )}
        <MissingAround record={record} evaluation={evaluation} />
        <OtherChecks find={find} current={check} onChoose={choose} />
        <MoreWays record={record} onCompare={comparing} />
      </>
    ),
    [
      last,
      moved,
      wide,
      back,
      compare,
      check,
      given,
      word,
      keep,
      gloves,
      withoutGloves,
      key,
      find,
      record,
      evaluation,
      effects,
      answer,
      pass,
      cannotSmell,
      beside,
      choose,
      comparing,
    ],
  );
  const toTop = useLatest((event: LayoutChangeEvent) => setCardTop(tablet ? 0 : event.nativeEvent.layout.y));
  const next = (
    <Asking shown={shown} check={check} saving={saving} onLayout={toTop}>
      {asking}
    </Asking>
  );

  if (wide) {
    return (
      <Screen panes strip={STRIP}>
        <View style={styles.panes}>
          <ScrollView style={styles.pane} contentContainerStyle={styles.paneContent}>
            {header}
            <Link href={{ pathname: '/find/[id]/around', params: { id: record.id } }} asChild>
              <Pressable role="link" style={styles.topLink}>
                <SmallStrong style={styles.underlined}>{t.placeStageAndCondition}</SmallStrong>
              </Pressable>
            </Link>
            <Heading>{t.seen}</Heading>
            <Seen record={record} slips />
          </ScrollView>
          <ScrollView style={[styles.pane, styles.middle]} contentContainerStyle={styles.paneContent}>
            <Heading>{t.betweenYouAndIt}</Heading>
            <Body soft>{t.threeGroundsForDeadlyTwo}</Body>
            {bars}
            <MostUrgent id={record.id} find={find} verdict={verdict} />
          </ScrollView>
          <ScrollView
            {...follow}
            style={[styles.pane, styles.widePane]}
            contentContainerStyle={styles.paneContent}
          >
            {sheet ? <KeysSheet onClose={() => setSheet(false)} /> : null}
            {next}
          </ScrollView>
        </View>
      </Screen>
    );
  }
  if (tablet) {
    return (
      <Screen panes rooms={false} strip={STRIP}>
        <View style={styles.panes}>
          <ScrollView style={styles.pane} contentContainerStyle={styles.paneContent}>
            {header}
            {bars}
            <Heading>{t.seen}</Heading>
            <Seen record={record} slips />
          </ScrollView>
          <ScrollView
            {...follow}
            style={[styles.pane, styles.second]}
            contentContainerStyle={styles.paneContent}
          >
            {next}
          </ScrollView>
        </View>
      </Screen>
    );
  }
  return (
    <Screen panes rooms={false} strip={STRIP}>
      <ScrollView {...follow} contentContainerStyle={styles.phone}>
        {header}
        {bars}
        <Rule strong style={styles.bleed} />
        {next}
        <Heading>{t.seen}</Heading>
        <Seen record={record} slips />
      </ScrollView>
    </Screen>
  );
});

/** Whether it touches what may harm the skin, or is made with gloves anyway. */
function wantsGloves({ character, skin }: Check): boolean {
  return skin.length > 0 || (characterOf(character)?.gear ?? []).includes('gloves');
}
