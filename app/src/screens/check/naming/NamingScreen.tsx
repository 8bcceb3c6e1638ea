import { useRouter } from 'expo-router';
import { useMemo, useRef, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import {
  isCollectable,
  unnamedOf,
  type CharacterId,
  type Check,
  type FindRecord,
  type TaxonId,
} from '@pause/core';
import type { Candidate, Identification } from '@pause/core/advice/identify';
import {
  Body,
  Button,
  Chip,
  colour,
  Heading,
  Loading,
  Rule,
  Screen,
  Small,
  SmallStrong,
  space,
  Strong,
  stroke,
  Title,
  typeSize,
  useTwoPanes,
  useWide,
} from '../../../components';
import { FindFrame } from '../../../components/FindFrame';
import { FindWaysOut } from '../../../components/FindWaysOut';
import { Pictures } from '../../../components/photos/late';
import { TaxonDrawing } from '../../../components/plates/TaxonDrawing';
import { guide } from '../../../deciding/guide';
import { changeTarget, passOver, read, takeBack, tellContext } from '../../../notebook/actions';
import { useAct, useApp } from '../../../notebook/store';
import {
  characterOf,
  CommonName,
  commonName,
  harmLine,
  openNameWords,
  scientificName,
  upper,
} from '../../../text/names';
import { few } from '../../../text/reasons';
import { AnswerCard, cardKey, type Answer } from '../card';
import { Seen } from '../Seen';
import { useIdentification } from './useIdentification';

/** What it could be, from what is seen; and from there to a name that can be checked. */
export function NamingScreen() {
  return <FindFrame render={({ record }) => <Naming record={record} />} />;
}

/** So many candidates stand in view; the rest is one tap away. */
const SHOWN = 5;
const NOTHING = new Set<string>();

function Naming({ record }: { readonly record: FindRecord }) {
  const act = useAct();
  const router = useRouter();
  const wide = useWide();
  const tablet = useTwoPanes();
  const find = useMemo(() => unnamedOf(record, guide), [record]);
  const me = useApp((state) => state.me.person?.id ?? '');
  const earlier = useApp((state) => state.list.items);
  const told = useIdentification(find, earlier);
  const answering = useRef<CharacterId>(undefined);
  const [later, setLater] = useState<readonly CharacterId[]>([]);
  const piece = record.pieces.filter((p) => p.purpose === 'decide').at(-1)?.id;
  if (!told || !piece)
    return (
      <Screen>
        <Loading what="Comparing with the guide …" />
      </Screen>
    );

  const passed = new Set<string>([
    ...later,
    ...record.skips.map((s) => s.character),
    ...record.readings
      .filter((r) => !record.withdrawals.some((w) => w.reading === r.id))
      .map((r) => r.character),
  ]);
  const next = told.checks.find((c) => !passed.has(c.character));
  const last = [...record.readings]
    .sort((a, b) => (a.at < b.at ? 1 : -1))
    .find((r) => r.by === me && !record.withdrawals.some((w) => w.reading === r.id));
  const name = (taxon: TaxonId, to: 'around' | 'verdict' = 'around') => {
    const [only, ...more] = guide.taxon(taxon)?.taxon.parts ?? [];
    const named = act(changeTarget(record.id, taxon));
    if (only && more.length === 0)
      void act(tellContext(record.id, { ...record.context, part: only.part, use: only.use }));
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
    // Until it is kept the same question stands: a second tap on it is no second answer.
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
              void act(tellContext(record.id, { ...record.context, cannotSmell: true }));
            },
          })}
      beside={<Pictures find={record.id} character={next.character} />}
    />
  ) : (
    <Body soft>
      The guide knows no further look that would tell these apart. Name one and check it, or leave the name
      open.
    </Body>
  );
  const candidates = <Candidates told={told} onName={name} record={record} />;
  const head = (
    <View>
      <FindWaysOut find={record.id} />
      <Small soft>
        {[record.number ? `Find ${record.number}` : 'New find', record.placeNote].filter(Boolean).join(' · ')}
      </Small>
      <Title>What could it be?</Title>
    </View>
  );
  const back = last ? (
    <Button
      label="Take back the last answer"
      tone="plain"
      style={styles.start}
      onPress={() => {
        void act(takeBack(record.id, last.id));
      }}
    />
  ) : null;
  if (tablet) {
    return (
      <Screen panes rooms={wide} strip={<DangerStrip told={told} />}>
        <View style={styles.panes}>
          <ScrollView style={styles.pane} contentContainerStyle={styles.paneContent}>
            {head}
            {candidates}
          </ScrollView>
          <ScrollView style={[styles.pane, styles.second]} contentContainerStyle={styles.paneContent}>
            {card}
            {back}
            <Heading>Seen</Heading>
            <Seen record={record} slips />
          </ScrollView>
        </View>
      </Screen>
    );
  }
  return (
    <Screen panes rooms={false} strip={<DangerStrip told={told} />}>
      <ScrollView contentContainerStyle={styles.paneContent}>
        {head}
        {record.readings.length > 0 ? candidates : null}
        <Rule strong />
        {card}
        {back}
        {record.readings.length === 0 ? candidates : null}
        <Heading>Seen</Heading>
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
function DangerStrip({ told }: { readonly told: Identification }) {
  const fitting = told.candidates.filter(
    (c) => c.fitsEverything && (c.grade === 'deadly' || c.grade === 'serious'),
  );
  const deadly = fitting.filter((c) => c.grade === 'deadly').length;
  return (
    <View style={styles.strip} role="status" aria-live="polite">
      <Strong>
        {fitting.length === 0
          ? 'No dangerous one of the guide fits all that was seen.'
          : `${fitting.length === 1 ? 'One dangerous one fits' : `${fitting.length} dangerous ones fit`} all that was seen${deadly > 0 ? `, ${deadly === fitting.length ? 'deadly' : `${deadly} of them deadly`}` : ''}.`}
      </Strong>
      <Small>
        {fitting.length > 0
          ? `${upper(
              few(
                fitting.map((c) => commonName(c.taxon)),
                4,
              ),
            )}. `
          : ''}
        A likely name is no ground: only the check rules out.
      </Small>
    </View>
  );
}

function Candidates({
  told,
  record,
  onName,
}: {
  readonly told: Identification;
  readonly record: FindRecord;
  readonly onName: (taxon: TaxonId, to?: 'around' | 'verdict') => void;
}) {
  const act = useAct();
  const router = useRouter();
  const [all, setAll] = useState(false);
  const [open, setOpen] = useState<TaxonId>();
  const [pair, setPair] = useState<readonly TaxonId[]>([]);
  const shown = told.candidates.slice(0, all ? 15 : SHOWN);
  const compare = (taxon: TaxonId) =>
    setPair(pair.includes(taxon) ? pair.filter((t) => t !== taxon) : [...pair.slice(-1), taxon]);
  const [family] = told.families;
  const genus = genusOf(shown[0]?.taxon);
  const leaveOpen = (openName: NonNullable<FindRecord['context']['openName']>) => {
    void act(tellContext(record.id, { ...record.context, openName })).then(
      (kept) => kept && router.replace({ pathname: '/find/[id]', params: { id: record.id } }),
    );
  };
  return (
    <View style={styles.block}>
      <View style={styles.block} role="list" aria-label="Candidates">
        {shown.map((candidate) => (
          <View key={candidate.taxon} role="listitem">
            <CandidateLine
              candidate={candidate}
              opened={open === candidate.taxon}
              onOpen={() => setOpen(open === candidate.taxon ? undefined : candidate.taxon)}
            />
            {open === candidate.taxon ? (
              <View style={styles.ways}>
                <Button label="I take it for this: check it" onPress={() => onName(candidate.taxon)} />
                {candidate.grade === 'deadly' || candidate.grade === 'serious' ? (
                  <Button
                    label="A dangerous one stands here: note it"
                    tone="outline"
                    onPress={() => onName(candidate.taxon, 'verdict')}
                  />
                ) : null}
                <Chip
                  kind="checkbox"
                  label="Compare"
                  chosen={pair.includes(candidate.taxon)}
                  onPress={() => compare(candidate.taxon)}
                />
              </View>
            ) : null}
            <Rule />
          </View>
        ))}
      </View>
      {told.none > 0.02 ? (
        <Small soft>Something that is not in this guide: {percent(told.none)}.</Small>
      ) : null}
      <View style={styles.ways}>
        {told.candidates.length > SHOWN ? (
          <Button label={all ? 'Fewer' : 'More'} tone="plain" onPress={() => setAll(!all)} />
        ) : null}
        {pair.length === 2 ? (
          <Button
            label="Compare these two"
            tone="outline"
            onPress={() => router.push({ pathname: '/pair', params: { a: pair[0], b: pair[1] } })}
          />
        ) : null}
      </View>
      {record.readings.length > 0 ? (
        <View style={styles.block}>
          <SmallStrong>Leave the name open: it is kept, and never collected.</SmallStrong>
          <View style={styles.ways}>
            {genus ? (
              <Button
                label={`Genus only: ${genus}`}
                tone="outline"
                onPress={() => leaveOpen({ kind: 'genus', name: genus })}
              />
            ) : null}
            {family && family.probability > 0.5 ? (
              <Button
                label={`Family only: ${family.family}`}
                tone="outline"
                onPress={() => leaveOpen({ kind: 'family', name: family.family })}
              />
            ) : null}
            {pair.length === 2 ? (
              <Button
                label={`One of two: ${openNameWords({ kind: 'one-of', taxa: [...pair] })}`}
                tone="outline"
                onPress={() => leaveOpen({ kind: 'one-of', taxa: [...pair] })}
              />
            ) : null}
          </View>
          {pair.length < 2 ? (
            <Small soft>For “one of two”, open two candidates and mark both with Compare.</Small>
          ) : null}
        </View>
      ) : null}
    </View>
  );
}

const genusOf = (taxon: TaxonId | undefined) => (taxon ? scientificName(taxon).split(' ')[0] : undefined);
const percent = (p: number) => (p < 0.01 ? 'under 1 %' : `${Math.round(p * 100)} %`);

function CandidateLine({
  candidate,
  opened,
  onOpen,
}: {
  readonly candidate: Candidate;
  readonly opened: boolean;
  readonly onOpen: () => void;
}) {
  const taxon = guide.taxon(candidate.taxon);
  const stage = taxon?.taxon.stages[Math.min(1, taxon.taxon.stages.length - 1)];
  return (
    <View style={styles.candidate}>
      <View style={styles.plate}>
        {taxon && stage ? (
          <TaxonDrawing taxon={taxon} stage={stage} height={72} accent={NOTHING} scale={false} />
        ) : null}
      </View>
      <View style={styles.grow}>
        <Strong>{CommonName(candidate.taxon)}</Strong>
        <Small soft={candidate.grade === 'none'}>
          {candidate.grade === 'none' ? scientificName(candidate.taxon) : harmLine(candidate.taxon)}
          {candidate.fitsEverything ? '' : ' · something speaks against it'}
          {taxon && taxon.taxon.parts.length > 0 && !isCollectable(taxon)
            ? ' · never collected with Pause'
            : ''}
        </Small>
        <View style={styles.chance} role="img" aria-label={`${percent(candidate.probability)} likely`}>
          <View style={[styles.length, { width: `${Math.max(1, candidate.probability * 100)}%` }]} />
        </View>
      </View>
      <Button
        label={opened ? 'Close' : 'Choose'}
        tone="plain"
        aria-label={`${opened ? 'Close' : 'Choose'}: ${commonName(candidate.taxon)}`}
        aria-expanded={opened}
        onPress={onOpen}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  panes: { flex: 1, flexDirection: 'row', minHeight: 0 },
  pane: { flex: 1 },
  second: { borderLeftWidth: 1, borderLeftColor: colour.line },
  paneContent: { padding: space.l, paddingBottom: space.xl, gap: space.m },
  block: { gap: space.s },
  candidate: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: space.m,
    minHeight: 80,
    paddingVertical: space.s,
  },
  plate: { width: 62, alignItems: 'center' },
  grow: { flexGrow: 1, flexShrink: 1, flexBasis: typeSize(132), gap: 2 },
  chance: { height: 8, borderWidth: 1, borderColor: colour.ink, marginTop: space.xs },
  length: { height: '100%', backgroundColor: colour.ink },
  ways: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    gap: space.s,
    alignItems: 'center',
    paddingBottom: space.s,
  },
  start: { alignSelf: 'flex-start' },
  strip: {
    paddingHorizontal: space.l,
    paddingVertical: space.m,
    borderTopWidth: stroke.thick,
    borderTopColor: colour.ink,
    backgroundColor: colour.pause,
    gap: 2,
  },
});
