import { useRouter } from 'expo-router';
import { useMemo, useRef, useState } from 'react';
import { View, ScrollView } from 'react-native';
import { type FindRecord, unnamedOf, type CharacterId, type TaxonId, type Check } from '@pause/core';
import type { Identification } from '@pause/core/advice/identify';
import {
  useWide,
  useTwoPanes,
  Screen,
  Loading,
  Body,
  Small,
  Title,
  Button,
  Heading,
  Rule,
  Strong,
} from '../../../components';
import { FindFrame } from '../../../components/FindFrame';
import { FindWaysOut } from '../../../components/FindWaysOut';
import { Pictures } from '../../../components/photos/late';
import { guide } from '../../../deciding/guide';
import { changeTarget, changeContext, read, passOver, takeBack } from '../../../notebook/actions';
import { useAct, useApp } from '../../../notebook/store';
import { t } from '../../../text/en/naming';
import { characterOf, upper, commonName } from '../../../text/names';
import { few } from '../../../text/reasons';
import { type Answer, AnswerCard, cardKey } from '../card';
import { Seen } from '../Seen';
import { Candidates } from './Candidates';
import { styles } from './namingStyles';
import { useIdentification } from './useIdentification';

/** What it could be, from what is seen; and from there to a name that can be checked. */
export function NamingScreen() {
  return <FindFrame render={({ record }) => <Naming record={record} />} />;
}

function Naming({ record }: { readonly record: FindRecord }) {
  const act = useAct();
  const router = useRouter();
  const wide = useWide();
  const tablet = useTwoPanes();
  const find = useMemo(() => unnamedOf(record, guide), [record]);
  const me = useApp((state) => state.me.person?.id ?? '');
  const earlier = useApp((state) => state.list.items);
  const identification = useIdentification(find, earlier);
  const answering = useRef<CharacterId>(undefined);
  const [later, setLater] = useState<readonly CharacterId[]>([]);
  const piece = record.pieces.filter((p) => p.purpose === 'decide').at(-1)?.id;
  if (!identification || !piece)
    return (
      <Screen>
        <Loading what={t.comparingWithTheGuide} />
      </Screen>
    );

  const passed = new Set<string>([
    ...later,
    ...record.skips.map((s) => s.character),
    ...record.readings
      .filter((r) => !record.withdrawals.some((w) => w.reading === r.id))
      .map((r) => r.character),
  ]);
  const next = identification.checks.find((c) => !passed.has(c.character));
  const last = [...record.readings]
    .sort((a, b) => (a.at < b.at ? 1 : -1))
    .find((r) => r.by === me && !record.withdrawals.some((w) => w.reading === r.id));
  const name = (taxon: TaxonId, to: 'around' | 'verdict' = 'around') => {
    const [only, ...more] = guide.taxon(taxon)?.taxon.parts ?? [];
    const named = act(changeTarget(record.id, taxon));
    if (only && more.length === 0) void act(changeContext(record.id, { part: only.part, use: only.use }));
    void named.then(
      (kept) =>
        kept &&
        router.replace(
          to === 'around'
            ? { pathname: '/find/[id]/around', params: { id: record.id, first: '1' } }
            : { pathname: '/find/[id]/verdict', params: { id: record.id } },
        ),
    );
  };
  const answer = ({ value, sureness, note }: Answer) => {
    // Until it is kept the same question stays: a second tap on it is no second answer.
    if (!next || answering.current === next.character) return;
    answering.current = next.character;
    void act(
      read(record.id, { piece, character: next.character, value, sureness, ...(note ? { note } : {}) }),
    ).then(() => {
      answering.current = undefined;
    });
  };
  const card = next ? (
    <AnswerCard
      key={cardKey(asCheck(next.character), record.readings.length + record.skips.length + later.length)}
      check={asCheck(next.character)}
      target={undefined}
      stages={record.context.stages}
      effects={[]}
      keys={wide}
      onAnswer={answer}
      onPass={() => {
        void act(passOver(record.id, piece, next.character));
        setLater([...later, next.character]);
      }}
      {...(record.context.cannotSmell
        ? {}
        : {
            onCannotSmell: () => {
              void act(changeContext(record.id, { cannotSmell: true }));
            },
          })}
      beside={<Pictures find={record.id} character={next.character} />}
    />
  ) : (
    <Body soft>{t.theGuideKnowsNoFurther}</Body>
  );
  const candidates = <Candidates identification={identification} onName={name} record={record} />;
  const head = (
    <View>
      <FindWaysOut find={record.id} />
      <Small soft>
        {[record.number ? t.find(record.number) : t.newFind, record.placeNote].filter(Boolean).join(' · ')}
      </Small>
      <Title>{t.whatCouldItBe}</Title>
    </View>
  );
  const back = last ? (
    <Button
      label={t.takeBackTheLastAnswer}
      tone="plain"
      style={styles.start}
      onPress={() => {
        void act(takeBack(record.id, last.id));
      }}
    />
  ) : null;
  if (tablet) {
    return (
      <Screen panes rooms={wide} strip={<DangerStrip identification={identification} />}>
        <View style={styles.panes}>
          <ScrollView style={styles.pane} contentContainerStyle={styles.paneContent}>
            {head}
            {candidates}
          </ScrollView>
          <ScrollView style={[styles.pane, styles.second]} contentContainerStyle={styles.paneContent}>
            {card}
            {back}
            <Heading>{t.seen}</Heading>
            <Seen record={record} slips />
          </ScrollView>
        </View>
      </Screen>
    );
  }
  return (
    <Screen panes rooms={false} strip={<DangerStrip identification={identification} />}>
      <ScrollView contentContainerStyle={styles.paneContent}>
        {head}
        {record.readings.length > 0 ? candidates : null}
        <Rule strong />
        {card}
        {back}
        {record.readings.length === 0 ? candidates : null}
        <Heading>{t.seen}</Heading>
        <Seen record={record} slips />
      </ScrollView>
    </Screen>
  );
}

function asCheck(character: CharacterId): Check {
  const known = characterOf(character);
  return {
    character,
    why: 'brings-nearer',
    seconds: known?.seconds ?? 0,
    damage: known?.damage ?? 'none',
    skin: [],
    gain: 0,
  };
}

/** Dangerous ones that nothing seen speaks against: always in view, never scrolled away. */
function DangerStrip({ identification }: { readonly identification: Identification }) {
  const fitting = identification.candidates.filter(
    (c) => c.fitsEverything && (c.grade === 'deadly' || c.grade === 'serious'),
  );
  const deadly = fitting.filter((c) => c.grade === 'deadly').length;
  return (
    <View style={styles.strip} role="status" aria-live="polite">
      <Strong>
        {fitting.length === 0
          ? t.noDangerousOneOfThe
          : t.dangerousOnesFitAllThat(
              fitting.length,
              deadly > 0 ? `, ${deadly === fitting.length ? t.deadly : t.ofThemDeadly(deadly)}` : '',
            )}
      </Strong>
      <Small>
        {t.aLikelyNameIsNo(
          fitting.length > 0
            ? `${upper(
                few(
                  fitting.map((c) => commonName(c.taxon)),
                  4,
                ),
              )}. `
            : '',
        )}
      </Small>
    </View>
  );
}
