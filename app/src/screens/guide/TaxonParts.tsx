import { useRouter } from 'expo-router';
import { View, Pressable } from 'react-native';
import { partings } from '@pause/core';
import { Title, Body, Small, Strong, Button, Heading, SmallStrong, Rule } from '../../components';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/taxon';
import {
  LANGUAGE,
  CommonName,
  harmLine,
  commonName,
  lowerFirst,
  GRADE,
  characterName,
} from '../../text/names';
import { few } from '../../text/reasons';
import { styles } from './taxonStyles';
import { type TaxonProps, ROUTE } from './TaxonUses';

/** The head of a taxon, its harm, lookalikes and uses. */

/** What it is called, and what it does in a word. */
export function Head({ taxon: { id, taxon, grade } }: TaxonProps) {
  return (
    <View style={styles.head}>
      <View style={styles.about}>
        <Title>{CommonName(id)}</Title>
        <Body style={styles.scientific}>{taxon.scientificName}</Body>
      </View>
      {grade === 'none' ? null : (
        <View style={styles.grade}>
          <Strong on="dark">{harmLine(id)}</Strong>
        </View>
      )}
    </View>
  );
}

/** Where to go from it, its other names, and what it is too like. */
export function Names({ taxon: { id, taxon } }: TaxonProps) {
  const router = useRouter();
  const others = Object.entries(taxon.vernacularNames).map(
    ([language, names]) => `${LANGUAGE[language] ?? language}: ${names.join(', ')}`,
  );
  const shared = guide.taxa.filter(
    (other) =>
      other.id !== id &&
      Object.values(other.taxon.vernacularNames)
        .flat()
        .some((name) => Object.values(taxon.vernacularNames).flat().includes(name)),
  );
  return (
    <View style={styles.block}>
      {taxon.parts.length > 0 ? (
        <View style={styles.ways}>
          <Button
            label={t.foundOneCheckIt}
            onPress={() =>
              router.push({ pathname: '/new', params: { plan: taxon.bodyPlan, text: taxon.scientificName } })
            }
          />
          <Button
            label={t.pocketCard}
            tone="outline"
            onPress={() => router.push({ pathname: '/card', params: { of: id } })}
          />
        </View>
      ) : null}
      <Body>
        <Body style={styles.scientific}>{taxon.scientificName}</Body> {taxon.scientificNameAuthorship} ·{' '}
        {taxon.family}
      </Body>
      <Small soft>{others.join(' · ')}</Small>
      {shared.length > 0 ? (
        <Body>
          <Strong>{t.aNameOfItIs} </Strong>
          {t.onlyTheScientificNameTells(few(shared.map((other) => other.taxon.scientificName)))}
        </Body>
      ) : null}
      {(taxon.nearDoubles ?? []).map((double) => (
        <Body key={double.taxon}>
          <Strong>{t.pauseNeverSaysCollect} </Strong>
          {t.itIsTooLike(commonName(double.taxon), double.why)}
        </Body>
      ))}
      <Small soft>{t.whatIsNotStatedIs}</Small>
    </View>
  );
}

export function Harm({ taxon: { taxon } }: TaxonProps) {
  const { harm, harmfulParts } = taxon;
  const lines = [
    harm.effects,
    harm.touch && t.touchOnTheSkin(lowerFirst(harm.touch)),
    harm.sap && t.itsSap(lowerFirst(harm.sap)),
    harm.sun && t.inTheSun(lowerFirst(harm.sun)),
  ].filter((line): line is string => Boolean(line));
  const byRoute = Object.entries(harm.byRoute ?? {}).map(
    ([route, grade]) => `${ROUTE[route] ?? route}: ${GRADE[grade]}`,
  );
  if (lines.length + byRoute.length + (harmfulParts?.length ?? 0) === 0 && !harm.syndrome) return null;
  return (
    <View style={[styles.block, styles.harm]}>
      <Heading>{t.whatItDoes}</Heading>
      {harm.syndrome ? <Strong>{harm.syndrome}</Strong> : null}
      {lines.map((line) => (
        <Body key={line}>{line}</Body>
      ))}
      {byRoute.length > 0 ? <Body>{t.otherThanEaten(byRoute.join('; '))}</Body> : null}
      {(harmfulParts ?? []).map((part) => (
        <Body key={part.part}>
          <Strong>{t.notThisPartThe(part.name)} </Strong>
          {lowerFirst(part.why)}
        </Body>
      ))}
    </View>
  );
}

/** What it is taken for; for a danger, what is taken for it. */
export function Lookalikes({ taxon }: TaxonProps) {
  const router = useRouter();
  const named = taxon.taxon.lookalikes.flatMap((id) => guide.taxon(id) ?? []);
  const takenFor = guide.taxa.filter((other) => other.taxon.lookalikes.includes(taxon.id));
  const others = named.length > 0 ? named : takenFor;
  if (others.length === 0) return null;
  return (
    <View style={styles.block}>
      <Heading>{named.length > 0 ? t.whatLooksLikeIt : t.whatItIsMistakenFor}</Heading>
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
                      ? t.partedBy(
                          few(
                            parts.map((p) => lowerFirst(characterName(p.character))),
                            4,
                          ),
                        )
                      : t.nothingAlwaysPartsThem}
                  </Small>
                </View>
                <SmallStrong style={styles.underlined}>{t.sideBySide}</SmallStrong>
              </Pressable>
              <Rule />
            </View>
          );
        })}
      </View>
      {taxon.taxon.nearRelatives.length > 0 ? (
        <Small soft>{t.notInThisGuideAt(taxon.taxon.nearRelatives.join(', '))}</Small>
      ) : null}
    </View>
  );
}
