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

/** What it was, and what the looks were worth. */
export function Review({
  plates,
  done: { encounter, decided, looks, scored },
  at,
  of,
  onNext,
}: {
  readonly plates: Plates;
  readonly done: Done;
  readonly at: number;
  readonly of: number;
  readonly onNext: () => void;
}) {
  const wide = useWide();
  const { specimen, target } = encounter;
  const is = guide.taxon(specimen.taxon) ?? target;
  const { line, why, tone } = resultWords(scored, decided, { is, hoped: target });
  const plate = useMemo(
    () => plates.individualPlate(individualOf(specimen), target.taxon.kingdom),
    [plates, specimen, target],
  );
  const rows = scored.verdict.rows.filter((row) => !row.otherKingdom && row.need > 0 && row.listed);
  const proposed = useMemo(() => plan(guide, findOf(guide, specimen, target, [])), [specimen, target]);
  const strip = (
    <View style={styles.strip}>
      <Button label={at < of ? t.theNextFind : t.theEndOfTheWalk} style={styles.way} onPress={onNext} />
    </View>
  );
  return (
    <Screen strip={strip} rooms={false}>
      <WaysOut ways={TO_PRACTICE} />
      <View
        style={[styles.band, tone === 'bad' ? styles.bad : tone === 'good' ? styles.good : styles.even]}
        role="status"
      >
        <Small on={tone === 'even' ? 'light' : 'dark'}>
          {t.youSaid(lowerFirst(DECIDED[decided]), pointsWords(scored.points))}
        </Small>
        <VerdictWord on={tone === 'even' ? 'light' : 'dark'}>{line}</VerdictWord>
        <Body on={tone === 'even' ? 'light' : 'dark'}>{why}</Body>
      </View>
      <View style={wide ? styles.columns : styles.column}>
        <View style={[styles.column, wide && styles.grow]}>
          <View style={styles.afar}>
            <PlateView plate={plate} pathOf={plates.pathData} height={150} />
            <View style={styles.grow}>
              <Strong>{CommonName(is.id)}</Strong>
              <Small soft style={styles.scientific}>
                {scientificName(is.id)}
              </Small>
              <Small soft>{harmLine(is.id)}</Small>
              {specimen.strained.length > 0 ? (
                <Small>
                  {t.notQuiteAsUsualIn(
                    specimen.strained.map((id) => lowerFirst(characterName(id))).join(', '),
                  )}
                </Small>
              ) : null}
            </View>
          </View>
          {scored.misread.length > 0 ? (
            <View style={styles.block}>
              <Heading>{t.readOtherwiseThanItWas}</Heading>
              {scored.misread.map((id) => (
                <Misread key={id} character={id} specimen={specimen} looks={looks} />
              ))}
            </View>
          ) : null}
          <ReadingsSeen scored={scored} encounter={encounter} />
        </View>
        <View style={[styles.column, wide && styles.grow]}>
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
          <View style={styles.two}>
            <View style={styles.half}>
              <SmallStrong>{t.yourWay}</SmallStrong>
              {looks.length === 0 ? (
                <Small soft>{t.noLookAtAll}</Small>
              ) : (
                looks.map(({ character }) => (
                  <Small key={character} soft={scored.wasted.includes(character)}>
                    {characterName(character)}
                    {scored.wasted.includes(character) ? t.broughtNothing : ''}
                  </Small>
                ))
              )}
              <Small soft>
                {timeWords(
                  looks.reduce((sum, { character }) => sum + (characterOf(character)?.seconds ?? 0), 0),
                )}
              </Small>
            </View>
            <View style={[styles.half, styles.rightHalf]}>
              <SmallStrong>{t.thePlan}</SmallStrong>
              {proposed.feasible ? (
                proposed.checks.map(({ character }) => (
                  <Small key={character}>{characterName(character)}</Small>
                ))
              ) : (
                <Small>{t.atThisStageNothingSettles}</Small>
              )}
              {proposed.feasible ? <Small soft>{timeWords(proposed.seconds)}</Small> : null}
            </View>
          </View>
        </View>
      </View>
    </Screen>
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

/** The check that would have told. */
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
