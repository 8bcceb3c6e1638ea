import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import {
  harms,
  partings,
  READINGS_NEEDED,
  union,
  type CompiledCharacter,
  type CompiledTaxon,
  type Known,
  type StageId,
} from '@pause/core';
import {
  Body,
  Button,
  colour,
  Heading,
  Notice,
  OrganGlyph,
  Rule,
  Screen,
  Small,
  SmallStrong,
  space,
  Strong,
  stroke,
  TARGET,
  Title,
  typeSize,
  useWide,
} from '../../components';
import { latePart } from '../../components/latePart';
import { TaxonDrawing } from '../../components/plates/TaxonDrawing';
import { guide } from '../../deciding/guide';
import { monthsOf } from '../../text/months';
import {
  cautionFor,
  characterName,
  CommonName,
  commonName,
  GRADE,
  harmLine,
  LANGUAGE,
  lengthWords,
  lowerFirst,
  stageName,
} from '../../text/names';
import { few } from '../../text/reasons';

const NOTHING = new Set<string>();

/** All that the guide says of one taxon. */
export function TaxonScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const router = useRouter();
  const taxon = guide.taxon(id);
  if (!taxon)
    return (
      <Screen>
        <Notice
          whole
          title="Not in this guide"
          text="What it does not name, it does not know."
          action="To the guide"
          onAction={() => router.replace('/guide')}
        />
      </Screen>
    );
  return (
    <Screen panes>
      <ScrollView tabIndex={0} contentContainerStyle={styles.page} key={id}>
        <View style={styles.sheet}>
          <Head taxon={taxon} />
          <Plates taxon={taxon} />
          <Harm taxon={taxon} />
          <Lookalikes taxon={taxon} />
          <Uses taxon={taxon} />
          <Characters taxon={taxon} />
          <Sources taxon={taxon} />
        </View>
      </ScrollView>
    </Screen>
  );
}

interface TaxonProps {
  readonly taxon: CompiledTaxon;
}

function Head({ taxon: { id, taxon, grade } }: TaxonProps) {
  const router = useRouter();
  const others = Object.entries(taxon.vernacularNames).map(
    ([language, names]) => `${LANGUAGE[language] ?? language}: ${names.join(', ')}`,
  );
  const shared = guide.taxa.filter(
    (t) =>
      t.id !== id &&
      Object.values(t.taxon.vernacularNames)
        .flat()
        .some((name) => Object.values(taxon.vernacularNames).flat().includes(name)),
  );
  return (
    <View style={styles.block}>
      <Title>{CommonName(id)}</Title>
      <Body>
        <Body style={styles.scientific}>{taxon.scientificName}</Body> {taxon.scientificNameAuthorship} ·{' '}
        {taxon.family}
      </Body>
      <Small soft>{others.join(' · ')}</Small>
      {grade === 'none' ? null : (
        <View style={styles.grade}>
          <Strong on="dark">{harmLine(id)}</Strong>
        </View>
      )}
      {shared.length > 0 ? (
        <Body>
          <Strong>A name of it is a name of something else, too: </Strong>
          {few(shared.map((t) => t.taxon.scientificName))}. Only the scientific name tells them apart.
        </Body>
      ) : null}
      {(taxon.nearDoubles ?? []).map((double) => (
        <Body key={double.taxon}>
          <Strong>Pause never says collect: </Strong>it is too like {commonName(double.taxon)}. {double.why}
        </Body>
      ))}
      {taxon.parts.length > 0 ? (
        <View style={styles.ways}>
          <Button
            label="Found one: check it"
            onPress={() =>
              router.push({ pathname: '/new', params: { plan: taxon.bodyPlan, text: taxon.scientificName } })
            }
          />
          <Button
            label="Pocket card"
            tone="outline"
            onPress={() => router.push({ pathname: '/card', params: { of: id } })}
          />
        </View>
      ) : null}
    </View>
  );
}

function Plates({ taxon }: TaxonProps) {
  return (
    <View style={styles.block}>
      <Heading>Drawn from what is stated</Heading>
      <ScrollView
        horizontal
        contentContainerStyle={styles.plates}
        tabIndex={0}
        role="list"
        aria-label="Plates by stage"
      >
        {taxon.taxon.stages.map((stage) => (
          <View key={stage} style={styles.plate} role="listitem" aria-label={stageName(stage)}>
            <TaxonDrawing taxon={taxon} stage={stage} height={230} accent={NOTHING} />
            <SmallStrong style={styles.centred}>{stageName(stage)}</SmallStrong>
            {monthsOf(taxon.taxon, stage).map((line) => (
              <Small key={line} soft style={styles.centred}>
                {line}
              </Small>
            ))}
          </View>
        ))}
      </ScrollView>
      <Small soft>
        What is not stated is not drawn. No photograph, no single plant: compare the marks, not the picture.
      </Small>
    </View>
  );
}

function Harm({ taxon: { taxon } }: TaxonProps) {
  const { harm, harmfulParts } = taxon;
  const lines = [
    harm.effects,
    harm.touch && `On the skin: ${lowerFirst(harm.touch)}`,
    harm.sap && `Its sap: ${lowerFirst(harm.sap)}`,
    harm.sun && `In the sun: ${lowerFirst(harm.sun)}`,
  ].filter((line): line is string => Boolean(line));
  const byRoute = Object.entries(harm.byRoute ?? {}).map(
    ([route, grade]) => `${ROUTE[route] ?? route}: ${GRADE[grade]}`,
  );
  if (lines.length + byRoute.length + (harmfulParts?.length ?? 0) === 0 && !harm.syndrome) return null;
  return (
    <View style={[styles.block, styles.harm]}>
      <Heading>What it does</Heading>
      {harm.syndrome ? <Strong>{harm.syndrome}</Strong> : null}
      {lines.map((line) => (
        <Body key={line}>{line}</Body>
      ))}
      {byRoute.length > 0 ? <Body>Other than eaten: {byRoute.join('; ')}.</Body> : null}
      {(harmfulParts ?? []).map((part) => (
        <Body key={part.part}>
          <Strong>Not this part, the {part.name}: </Strong>
          {lowerFirst(part.why)}
        </Body>
      ))}
    </View>
  );
}
const ROUTE: Readonly<Record<string, string>> = {
  eaten: 'eaten',
  skin: 'on the skin',
  wound: 'on a wound',
  inhaled: 'breathed in',
  smoked: 'smoked',
  none: 'no contact',
};

/** What it is taken for; for a danger, what is taken for it. */
function Lookalikes({ taxon }: TaxonProps) {
  const router = useRouter();
  const named = taxon.taxon.lookalikes.flatMap((id) => guide.taxon(id) ?? []);
  const takenFor = guide.taxa.filter((t) => t.taxon.lookalikes.includes(taxon.id));
  const others = named.length > 0 ? named : takenFor;
  if (others.length === 0) return null;
  return (
    <View style={styles.block}>
      <Heading>{named.length > 0 ? 'What looks like it' : 'What it is mistaken for'}</Heading>
      <View role="list">
        <Rule />
        {others.map((other) => {
          const [target, danger] = named.length > 0 ? [taxon, other] : [other, taxon];
          const parts = partings(guide, target, danger, undefined);
          return (
            <View key={other.id} role="listitem">
              <Pressable
                role="link"
                onPress={() => router.push({ pathname: '/pair', params: { a: target.id, b: danger.id } })}
                style={styles.other}
              >
                <View style={styles.about}>
                  <Strong>{CommonName(other.id)}</Strong>
                  <Small soft>{harmLine(other.id) || GRADE.none}</Small>
                  <Small>
                    {parts.length > 0
                      ? `Parted by ${few(
                          parts.map((p) => lowerFirst(characterName(p.character))),
                          4,
                        )}.`
                      : 'Nothing always parts them.'}
                  </Small>
                </View>
                <SmallStrong style={styles.underlined}>Side by side</SmallStrong>
              </Pressable>
              <Rule />
            </View>
          );
        })}
      </View>
      {taxon.taxon.nearRelatives.length > 0 ? (
        <Small soft>Not in this guide at all: {taxon.taxon.nearRelatives.join(', ')}.</Small>
      ) : null}
    </View>
  );
}

function Uses({ taxon: { taxon } }: TaxonProps) {
  const { parts, food, cautions, benefits, otherUses, regrowth, protection } = taxon;
  if (parts.length === 0 && (otherUses ?? []).length === 0) return null;
  return (
    <View style={styles.block}>
      <Heading>What it is wanted for</Heading>
      {food ? (
        <Body>
          {food.gives}; in place of {food.replaces}.
        </Body>
      ) : null}
      {parts.map((part) => (
        <View key={`${part.part} ${part.use}`} style={styles.use}>
          <Strong>
            {part.name}
            {part.route && part.route !== 'eaten' ? `, ${ROUTE[part.route] ?? part.route}` : ''}
          </Strong>
          <Small soft>{part.stages.map((s) => lowerFirst(stageName(s))).join(', ')}</Small>
          {part.before.map((line) => (
            <Body key={line}>{line}</Body>
          ))}
        </View>
      ))}
      {cautions.map((caution) => (
        <Body key={caution.for + caution.text}>
          <Strong>
            {cautionFor(caution.for)}
            {caution.level === 'rules-out' ? ', not at all' : caution.level === 'ask' ? ', ask first' : ''}
            :{' '}
          </Strong>
          {lowerFirst(caution.text)}
        </Body>
      ))}
      {(otherUses ?? []).map((use) => (
        <Body key={use.use}>
          <Strong>Not as food: </Strong>
          {use.use}
        </Body>
      ))}
      {(benefits ?? []).map((b) => (
        <Small key={b.text} soft>
          {b.text} ({SOURCE[b.source]})
        </Small>
      ))}
      {regrowth ? (
        <Body>
          <Strong>How it grows back: </Strong>
          {lowerFirst(regrowth.text)}
        </Body>
      ) : null}
      {protection === 'often' ? (
        <Body>
          <Strong>Often protected.</Strong> Look up your own law.
        </Body>
      ) : null}
    </View>
  );
}
const SOURCE = { tradition: 'handed down', trial: 'from a trial', study: 'from a study' } as const;

/** What can be seen of it, as a table by organ. */
function Characters({ taxon }: TaxonProps) {
  const wide = useWide();
  const rows = useMemo(
    () =>
      guide.characters.flatMap((c) => {
        const known = statedOf(taxon, c);
        return known
          ? [
              {
                id: c.id,
                organ: c.character.organ,
                name: c.character.name,
                words: knownWords(taxon, c.id, c.index, known),
                read: readWords(taxon.taxon, c.id),
              },
            ]
          : [];
      }),
    [taxon],
  );
  const [readers, setReaders] = useState(false);
  const organs = [...new Set(rows.map((row) => row.organ))];
  return (
    <View style={styles.block}>
      <Heading>What is to be seen</Heading>
      <View
        role="table"
        aria-label={`Characters of ${commonName(taxon.id)}`}
        style={wide ? styles.columns : undefined}
      >
        {organs.map((organ) => (
          <View key={organ} role="rowgroup" style={wide ? styles.column : undefined}>
            {rows
              .filter((row) => row.organ === organ)
              .map((row, i) => (
                <View key={row.id}>
                  <View role="row" style={styles.row}>
                    <View style={styles.glyph}>
                      {i === 0 ? <OrganGlyph organ={organ} size={18} colour={colour.ink} /> : null}
                    </View>
                    <Small role="rowheader" soft style={styles.name}>
                      {row.name}
                      {taxon.taxon.signature.includes(row.id) ? ' ◆' : ''}
                    </Small>
                    <Small role="cell" style={styles.value}>
                      {row.words}
                      {readers ? <Small soft>{`  ${row.read}`}</Small> : null}
                    </Small>
                  </View>
                  <Rule />
                </View>
              ))}
          </View>
        ))}
      </View>
      <Button
        label={readers ? 'Hide who read what' : 'Who read what'}
        tone="plain"
        style={styles.start}
        onPress={() => setReaders(!readers)}
      />
      {readers ? <ReadBy taxon={taxon} /> : null}
      {taxon.taxon.signature.length > 0 ? (
        <Small soft>◆ One of its own marks: all of them must be seen before Pause says collect.</Small>
      ) : null}
    </View>
  );
}

/** What is stated, over all stages: without what is only supposed so that it bars nothing. */
function statedOf(taxon: CompiledTaxon, character: CompiledCharacter): Known | undefined {
  const [first, ...rest] = taxon.atStage.get(character.index)?.values() ?? [];
  return first && rest.reduce((all, one) => union(all, one, character), first);
}

/** How many read it: "read by 3", or that too few did for it to rule anything out. */
function readWords(taxon: CompiledTaxon['taxon'], character: string): string {
  const counts = taxon.statements
    .filter((one) => one.character === character)
    .map(({ readBy = [] }) => readBy.length);
  const least = Math.min(...counts);
  return harms(taxon.harm) && least < READINGS_NEEDED
    ? `read by ${least}: it rules nothing out yet`
    : least > 0
      ? `read by ${least}`
      : '';
}

/** What is stated of a character: the usual, the occasional in brackets, by stage where it changes. */
function knownWords(taxon: CompiledTaxon, id: string, index: number, known: Known): string {
  const character = guide.character(id);
  if (!character) return '';
  if (known.kind === 'number') {
    const {
      usual: [low, high],
      possible: [least, most],
    } = known;
    const words = (n: number) =>
      character.character.kind === 'count' ? String(n) : lengthWords(Math.round(n * 10) / 10);
    const span = low === high ? words(low) : `${words(low)} to ${words(high)}`;
    return least === low && most === high ? span : `${span} (${words(least)} to ${words(most)})`;
  }
  const labels = (mask: number) =>
    [...character.stateBit]
      .filter(([, bit]) => (bit & mask) !== 0)
      .flatMap(([state]) => {
        const c = character.character;
        return 'states' in c ? [lowerFirst(c.states.find((s) => s.id === state)?.label ?? state)] : [];
      });
  const byStage = [...(taxon.atStage.get(index) ?? new Map<StageId, Known>())].flatMap(([stage, at]) =>
    at.kind === 'states' ? [{ stage, usual: labels(at.usual).join(', ') }] : [],
  );
  const changes = new Set(byStage.map((s) => s.usual)).size > 1;
  const rare = labels(known.possible & ~known.usual);
  const usual = changes
    ? byStage.map((s) => `${lowerFirst(stageName(s.stage))}: ${s.usual}`).join('; ')
    : labels(known.usual).join(', ');
  return rare.length > 0 ? `${usual} (also ${rare.join(', ')})` : usual;
}

const ReadBy = latePart(
  () => import('./ReadBy').then((m) => m.ReadBy),
  () => null,
);

function Sources({ taxon: { taxon } }: TaxonProps) {
  return (
    <>
      <Small soft>
        {taxon.review.reviewedBy
          ? `Reviewed by ${taxon.review.reviewedBy}.`
          : 'General knowledge on which references agree. No local expert has reviewed it.'}
      </Small>
      <Reviews taxon={taxon.id} />
    </>
  );
}
const Reviews = latePart(
  () => import('../withPeople').then((m) => m.Reviews),
  () => null,
);

const styles = StyleSheet.create({
  page: { padding: space.l, paddingBottom: space.xl },
  sheet: { gap: space.xl, width: '100%', maxWidth: 960 },
  block: { gap: space.s },
  scientific: { fontStyle: 'italic' },
  grade: {
    backgroundColor: colour.leave,
    alignSelf: 'flex-start',
    paddingHorizontal: space.m,
    paddingVertical: space.xs,
  },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m, paddingTop: space.s },
  plates: { gap: space.l },
  plate: { width: 200, gap: 2 },
  centred: { textAlign: 'center' },
  harm: { borderLeftWidth: 5, borderLeftColor: colour.ink, paddingLeft: space.m },
  other: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: space.m,
    minHeight: TARGET,
    paddingVertical: space.s,
  },
  underlined: { textDecorationLine: 'underline' },
  use: { borderLeftWidth: stroke.thick, borderLeftColor: colour.line, paddingLeft: space.m },
  columns: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.xl, rowGap: space.m },
  column: { width: '47%' },
  row: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.s, paddingVertical: space.xs },
  glyph: { width: 22 },
  name: { width: typeSize(116) },
  about: { flexGrow: 1, flexShrink: 1, flexBasis: typeSize(160) },
  value: { flexGrow: 1, flexShrink: 1, flexBasis: typeSize(150) },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
});
