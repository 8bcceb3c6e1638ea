import { useLocalSearchParams, useRouter } from 'expo-router';
import { ScrollView, StyleSheet, View } from 'react-native';
import { statesIn } from '@pause/core';
import { partings, type CompiledTaxon, type StageId } from '@pause/core';
import {
  Body,
  Button,
  colour,
  Heading,
  Notice,
  Rule,
  Screen,
  Small,
  SmallStrong,
  space,
  Strong,
  WaysOut,
  Row,
  Grow,
} from '../../components';
import { TaxonDrawing } from '../../components/plates/TaxonDrawing';
import { usualStage } from '../../components/plates/TaxonSmall';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/card';
import { listed } from '../../text/messages';
import { stateLabel, characterName, CommonName, harmLine, lowerFirst, stageName } from '../../text/names';

const NOTHING = new Set<string>();
const MOST = 4;

/** A card for the pocket: a target and what looks like it, for paper. */
export function CardScreen() {
  const { of } = useLocalSearchParams<{ of?: string }>();
  const router = useRouter();
  const taxon = guide.taxon(of ?? '');
  if (!taxon)
    return (
      <Screen>
        <Notice
          whole
          title={t.notInThisGuide}
          text={t.thereIsNoCardOf}
          action={t.toTheGuide}
          onAction={() => router.replace('/guide')}
        />
      </Screen>
    );
  const page = { pathname: '/taxon/[id]' as const, params: { id: taxon.id } };
  const others = taxon.taxon.lookalikes.flatMap((id) => guide.taxon(id) ?? []);
  return (
    <Screen
      panes
      rooms={false}
      strip={
        <View role="navigation" aria-label={t.card} style={styles.strip}>
          <Button
            label={t.back}
            tone="outline"
            style={styles.way}
            onPress={() => (router.canGoBack() ? router.back() : router.replace(page))}
          />
          <Button label={t.printIt} style={styles.way} onPress={() => window.print()} />
        </View>
      }
    >
      <ScrollView tabIndex={0} contentContainerStyle={styles.page}>
        <WaysOut ways={[{ href: page, label: t.inTheGuide }]} />
        <View style={styles.card} role="article" aria-label={t.pocketCardOf(CommonName(taxon.id))}>
          <Target taxon={taxon} />
          {others.map((other) => (
            <Against key={other.id} target={taxon} other={other} />
          ))}
          <Rule strong />
          <Small>{t.threeProofsAgainstEachDeadly}</Small>
        </View>
      </ScrollView>
    </Screen>
  );
}

/** The target as it is drawn, with the marks that must all be seen. */
function Target({ taxon }: { readonly taxon: CompiledTaxon }) {
  const { signature, stages, parts, scientificName } = taxon.taxon;
  const wanted = parts[0]?.stages ?? stages;
  const stage = wanted[Math.min(1, wanted.length - 1)];
  return (
    <Row gap="m" align="centre">
      {stage ? <TaxonDrawing taxon={taxon} stage={stage} height={180} accent={new Set(signature)} /> : null}
      <Grow>
        <Heading aria-level={1}>{CommonName(taxon.id)}</Heading>
        <Small style={styles.scientific}>{scientificName}</Small>
        <SmallStrong>{t.allOfTheseMustBe}</SmallStrong>
        {signature.map((id) => (
          <Small key={id}>
            ◆ {characterName(id)}: {lowerFirst(usualWords(taxon, id, stages))}
          </Small>
        ))}
        {stage ? <Small soft>{t.drawn(lowerFirst(stageName(stage)))}</Small> : null}
      </Grow>
    </Row>
  );
}

function Against({ target, other }: { readonly target: CompiledTaxon; readonly other: CompiledTaxon }) {
  const seen = new Set<string>();
  const parts = partings(guide, target, other, undefined)
    .filter((p) => !seen.has(p.group) && seen.add(p.group))
    .slice(0, MOST);
  const stage = usualStage(other);
  return (
    <View style={styles.against}>
      <View style={styles.small}>
        {stage ? (
          <TaxonDrawing taxon={other} stage={stage} height={110} accent={NOTHING} scale={false} />
        ) : null}
      </View>
      <Grow>
        <Strong>{CommonName(other.id)}</Strong>
        <Small>{harmLine(other.id)}</Small>
        {parts.map((p) => (
          <Small key={p.character}>
            {t.not(characterName(p.character), words(p.character, p.target), words(p.character, p.other))}
          </Small>
        ))}
        {parts.length === 0 ? <Body>{t.nothingAlwaysPartsThemLeave}</Body> : null}
      </Grow>
    </View>
  );
}

function words(character: string, states: readonly string[]): string {
  const labels = states.slice(0, 3).map((id) => lowerFirst(stateLabel(character, id)));
  return labels.length > 0 ? listed(labels, 'disjunction') : t.there;
}

function usualWords(taxon: CompiledTaxon, id: string, stages: readonly StageId[]): string {
  const character = guide.character(id);
  if (!character) return '';
  const mask = stages.reduce((bits, stage) => {
    const known = taxon.atStage.get(character.index)?.get(stage);
    return known?.kind === 'states' ? bits | known.usual : bits;
  }, 0);
  return words(id, statesIn(character, mask));
}

const styles = StyleSheet.create({
  page: { padding: space.l },
  card: { gap: space.m, maxWidth: 640, width: '100%', alignSelf: 'center' },
  scientific: { fontStyle: 'italic' },
  against: {
    flexDirection: 'row',
    gap: space.m,
    borderTopWidth: 1,
    borderTopColor: colour.ink,
    paddingTop: space.s,
    alignItems: 'center',
  },
  small: { width: 100, alignItems: 'center' },
  strip: {
    flexDirection: 'row',
    gap: space.m,
    padding: space.m,
    paddingHorizontal: space.l,
    borderTopWidth: 1,
    borderTopColor: colour.line,
  },
  way: { flex: 1, maxWidth: 320 },
});
