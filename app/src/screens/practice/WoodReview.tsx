import { useMemo } from 'react';
import { View } from 'react-native';
import { statesRead, plan, statesIn } from '@pause/core';
import { individualOf, findOf, type LookedAt, type Encounter, type Scored } from '@pause/core/practice';
import {
  useWide,
  Button,
  Screen,
  WaysOut,
  Small,
  VerdictWord,
  Body,
  PlateView,
  Row,
  Strong,
  Heading,
  Rule,
  SmallStrong,
} from '../../components';
import { StatePicture } from '../../components/plates/StatePicture';
import type { Plates } from '../../components/plates/usePlates';
import { Uprights } from '../../components/Uprights';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/practice';
import {
  lowerFirst,
  CommonName,
  scientificName,
  harmLine,
  characterName,
  timeWords,
  characterOf,
} from '../../text/names';
import { resultWords, TO_PRACTICE, DECIDED, pointsWords } from '../../text/practice';
import type { Done } from './WalkEnd';
import { styles } from './woodStyles';

interface ReviewProps {
  readonly plates: Plates;
  readonly done: Done;
  readonly at: number;
  readonly of: number;
  readonly onNext: () => void;
}

/** What it was, and what the looks were worth. */
export function Review({ plates, done, at, of, onNext }: ReviewProps) {
  const wide = useWide();
  const { encounter, looks, scored } = done;
  const strip = (
    <View style={styles.strip}>
      <Button label={at < of ? t.theNextFind : t.theEndOfTheWalk} style={styles.way} onPress={onNext} />
    </View>
  );
  return (
    <Screen strip={strip} rooms={false}>
      <WaysOut ways={TO_PRACTICE} />
      <Result done={done} />
      <View style={wide ? styles.columns : styles.column}>
        <View style={[styles.column, wide && styles.grow]}>
          <WhatItWas plates={plates} encounter={encounter} />
          {scored.misread.length > 0 ? (
            <View style={styles.block}>
              <Heading>{t.readOtherwiseThanItWas}</Heading>
              {scored.misread.map((id) => (
                <Misread key={id} character={id} specimen={encounter.specimen} looks={looks} />
              ))}
            </View>
          ) : null}
          <ReadingsSeen scored={scored} encounter={encounter} />
        </View>
        <View style={[styles.column, wide && styles.grow]}>
          <BarsThen scored={scored} />
          <TwoWays done={done} />
        </View>
      </View>
    </Screen>
  );
}

const isOf = ({ specimen, target }: Encounter) => guide.taxon(specimen.taxon) ?? target;

/** Whether the decision was good, and why. */
function Result({ done: { encounter, decided, scored } }: Pick<ReviewProps, 'done'>) {
  const { line, why, tone } = resultWords(scored, decided, { is: isOf(encounter), hoped: encounter.target });
  const on = tone === 'even' ? 'light' : 'dark';
  return (
    <View
      style={[styles.band, tone === 'bad' ? styles.bad : tone === 'good' ? styles.good : styles.even]}
      role="status"
    >
      <Small on={on}>{t.youSaid(lowerFirst(DECIDED[decided]), pointsWords(scored.points))}</Small>
      <VerdictWord on={on}>{line}</VerdictWord>
      <Body on={on}>{why}</Body>
    </View>
  );
}

function WhatItWas({ plates, encounter }: Pick<ReviewProps, 'plates'> & { readonly encounter: Encounter }) {
  const { specimen, target } = encounter;
  const { id } = isOf(encounter);
  const plate = useMemo(
    () => plates.individualPlate(guide, individualOf(specimen), target.taxon.kingdom),
    [plates, specimen, target],
  );
  return (
    <Row gap="l" align="centre">
      <PlateView plate={plate} pathOf={plates.pathData} wash height={150} />
      <View style={styles.grow}>
        <Strong>{CommonName(id)}</Strong>
        <Small soft style={styles.scientific}>
          {scientificName(id)}
        </Small>
        <Small soft>{harmLine(id)}</Small>
        {specimen.strained.length > 0 ? (
          <Small>
            {t.notQuiteAsUsualIn(specimen.strained.map((one) => lowerFirst(characterName(one))).join(', '))}
          </Small>
        ) : null}
      </View>
    </Row>
  );
}

/** The bars as they were when it was decided. */
function BarsThen({ scored }: { readonly scored: Scored }) {
  const rows = scored.verdict.rows.filter((row) => !row.otherKingdom && row.need > 0 && row.listed);
  return (
    <View style={styles.block}>
      <Heading>{t.theBarsAsTheyWere}</Heading>
      <View role="list" aria-label={t.theBarsAsTheyWere}>
        {rows.map((row) => (
          <View key={row.taxon} role="listitem">
            <View style={styles.row}>
              <View style={styles.grow}>
                <Strong>{CommonName(row.taxon)}</Strong>
              </View>
              <View role="img" aria-label={t.ofBarsFilled(Math.min(row.have, row.need), row.need)}>
                <Uprights row={row} size="small" />
              </View>
            </View>
            <Rule />
          </View>
        ))}
      </View>
    </View>
  );
}

/** One's own looks beside the plan. */
function TwoWays({ done: { encounter, looks, scored } }: Pick<ReviewProps, 'done'>) {
  const { specimen, target } = encounter;
  const proposed = useMemo(() => plan(guide, findOf(guide, specimen, target, [])), [specimen, target]);
  const seconds = looks.reduce((sum, { character }) => sum + (characterOf(character)?.seconds ?? 0), 0);
  return (
    <View style={styles.two}>
      <View style={styles.half}>
        <SmallStrong>{t.yourWay}</SmallStrong>
        {looks.length === 0 ? <Small soft>{t.noLookAtAll}</Small> : null}
        {looks.map(({ character }) => (
          <Small key={character} soft={scored.wasted.includes(character)}>
            {scored.wasted.includes(character)
              ? t.broughtNothing(characterName(character))
              : characterName(character)}
          </Small>
        ))}
        <Small soft>{timeWords(seconds)}</Small>
      </View>
      <View style={[styles.half, styles.rightHalf]}>
        <SmallStrong>{t.thePlan}</SmallStrong>
        {proposed.feasible ? (
          <>
            {proposed.checks.map(({ character }) => (
              <Small key={character}>{characterName(character)}</Small>
            ))}
            <Small soft>{timeWords(proposed.seconds)}</Small>
          </>
        ) : (
          <Small>{t.atThisStageNothingSettles}</Small>
        )}
      </View>
    </View>
  );
}

function Misread({
  character,
  specimen,
  looks,
}: {
  readonly character: LookedAt['character'];
  readonly specimen: Encounter['specimen'];
  readonly looks: readonly LookedAt[];
}) {
  const shown = statesRead(specimen.shows.get(character));
  const read = statesRead(looks.find((look) => look.character === character)?.value);
  if (shown.length === 0 || read.length === 0) return null;
  return (
    <View style={styles.block}>
      <SmallStrong>{characterName(character)}</SmallStrong>
      <View style={styles.two}>
        <View style={styles.half}>
          <Small soft>{t.itWasHeading}</Small>
          <StatePicture character={character} states={shown} height={84} />
        </View>
        <View style={[styles.half, styles.rightHalf]}>
          <Small soft>{t.youRead}</Small>
          <StatePicture character={character} states={read} height={84} />
        </View>
      </View>
    </View>
  );
}

/** The check that would have shown it. */
function ReadingsSeen({
  scored,
  encounter: { specimen, target },
}: {
  readonly scored: Scored;
  readonly encounter: Encounter;
}) {
  const { telling, was } = scored;
  if (telling === undefined) return null;
  const shown = statesRead(specimen.shows.get(telling));
  const character = guide.character(telling);
  const usual = character && target.atStage.get(character.index)?.get(specimen.stage);
  const own = character && usual?.kind === 'states' ? statesIn(character, usual.usual) : [];
  return (
    <View style={styles.block}>
      <Heading>{was ? t.theNextLookWouldBe : t.thisWouldHaveShownIt}</Heading>
      <Strong>{characterName(telling)}</Strong>
      {!was && shown.length > 0 && own.length > 0 ? (
        <View style={styles.two}>
          <View style={styles.half}>
            <Small soft>{t.here}</Small>
            <StatePicture character={telling} states={shown} height={84} />
          </View>
          <View style={[styles.half, styles.rightHalf]}>
            <Small soft>{CommonName(target.id)}</Small>
            <StatePicture character={telling} states={own} height={84} />
          </View>
        </View>
      ) : (
        <Small soft>{characterOf(telling)?.how}</Small>
      )}
    </View>
  );
}
