import { useRouter } from 'expo-router';
import { useMemo, useRef, useState } from 'react';
import { View, ScrollView } from 'react-native';
import { type FindRecord, unnamedOf, type CharacterId, type PieceId, type TaxonId } from '@pause/core';
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
import { upper, commonName } from '../../../text/names';
import { few } from '../../../text/reasons';
import { asCheck } from '../asCheck';
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
  const wide = useWide();
  const tablet = useTwoPanes();
  const find = useMemo(() => unnamedOf(record, guide), [record]);
  const earlier = useApp((state) => state.list.items);
  const identification = useIdentification(find, earlier);
  const name = useNaming(record);
  const piece = record.pieces.filter((p) => p.purpose === 'decide').at(-1)?.id;
  if (!identification || !piece)
    return (
      <Screen>
        <Loading what={t.comparingWithTheGuide} />
      </Screen>
    );
  const card = <NextQuestion record={record} piece={piece} identification={identification} />;
  const candidates = <Candidates identification={identification} onName={name} record={record} />;
  const strip = <DangerStrip identification={identification} />;
  const seen = (
    <>
      <Heading>{t.seen}</Heading>
      <Seen record={record} slips />
    </>
  );
  if (tablet)
    return (
      <Screen panes rooms={wide} strip={strip}>
        <View style={styles.panes}>
          <ScrollView style={styles.pane} contentContainerStyle={styles.paneContent}>
            <NamingHead record={record} />
            {candidates}
          </ScrollView>
          <ScrollView style={[styles.pane, styles.second]} contentContainerStyle={styles.paneContent}>
            {card}
            {seen}
          </ScrollView>
        </View>
      </Screen>
    );
  const begun = record.readings.length > 0;
  return (
    <Screen panes rooms={false} strip={strip}>
      <ScrollView contentContainerStyle={styles.paneContent}>
        <NamingHead record={record} />
        {begun ? candidates : null}
        <Rule strong />
        {card}
        {begun ? null : candidates}
        {seen}
      </ScrollView>
    </Screen>
  );
}

/** Gives the find a name, and goes on from there. */
function useNaming(record: FindRecord) {
  const act = useAct();
  const router = useRouter();
  return (taxon: TaxonId, to: 'around' | 'verdict' = 'around') => {
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
}

function NamingHead({ record }: { readonly record: FindRecord }) {
  return (
    <View>
      <FindWaysOut find={record.id} />
      <Small soft>
        {[record.number ? t.find(record.number) : t.newFind, record.placeNote].filter(Boolean).join(' · ')}
      </Small>
      <Title>{t.whatCouldItBe}</Title>
    </View>
  );
}

interface NextQuestionProps {
  readonly record: FindRecord;
  readonly piece: PieceId;
  readonly identification: Identification;
}

/** The next question, and taking back the last answer. */
function NextQuestion({ record, piece, identification }: NextQuestionProps) {
  const act = useAct();
  const wide = useWide();
  const me = useApp((state) => state.me.person?.id ?? '');
  const answering = useRef<CharacterId>(undefined);
  const [later, setLater] = useState<readonly CharacterId[]>([]);
  const isWithdrawn = (id: string) => record.withdrawals.some((w) => w.reading === id);
  const passed = new Set<string>([
    ...later,
    ...record.skips.map((s) => s.character),
    ...record.readings.filter((r) => !isWithdrawn(r.id)).map((r) => r.character),
  ]);
  const next = identification.checks.find((c) => !passed.has(c.character));
  const last = [...record.readings]
    .sort((a, b) => (a.at < b.at ? 1 : -1))
    .find((r) => r.by === me && !isWithdrawn(r.id));
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
  const cannotSmell = () => void act(changeContext(record.id, { cannotSmell: true }));
  return (
    <>
      {next ? (
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
          {...(record.context.cannotSmell ? {} : { onCannotSmell: cannotSmell })}
          beside={<Pictures find={record.id} character={next.character} />}
        />
      ) : (
        <Body soft>{t.theGuideKnowsNoFurther}</Body>
      )}
      {last ? (
        <Button
          label={t.takeBackTheLastAnswer}
          tone="plain"
          style={styles.start}
          onPress={() => void act(takeBack(record.id, last.id))}
        />
      ) : null}
    </>
  );
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
