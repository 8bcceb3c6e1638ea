import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { Encounter, WalkDecision, LookedAt, Scored } from '@pause/core/practice';
import { Screen, Small, Title, Body, Rule, Strong, SmallStrong, Button } from '../../components';
import { t } from '../../text/en/practice';
import { numberWord, CommonName, commonName, lowerFirst, characterName } from '../../text/names';
import { pointsWords, DECIDED } from '../../text/practice';
import { styles } from './woodStyles';

/** The end of a walk in the wood. */

export interface Done {
  readonly encounter: Encounter;
  readonly decided: WalkDecision;
  readonly looks: readonly LookedAt[];
  readonly scored: Scored;
}

/** The walk as a whole. */
export function WalkEnd({
  done,
  seed,
  gentle,
  onAgain,
}: {
  readonly done: readonly Done[];
  readonly seed: number;
  readonly gentle: boolean;
  readonly onAgain: () => void;
}) {
  const router = useRouter();
  const [copied, setCopied] = useState(false);
  const points = done.reduce((sum, { scored }) => sum + scored.points, 0);
  const dangerous = done.filter(
    ({ scored, decided }) => decided === 'collect' && scored.risked !== 'none',
  ).length;
  const address = `${window.location.origin}/practice/wood?seed=${seed}`;
  return (
    <Screen>
      <View>
        <Small soft>{t.practiceWood}</Small>
        <Title>
          {gentle
            ? t.wellLooked
            : dangerous === 0
              ? t.nothingDangerousTaken
              : t.thatWereNotSafeTo(dangerous, numberWord(dangerous))}
        </Title>
        {gentle ? (
          <Body>{t.whateverYouFindOutdoorsShow}</Body>
        ) : (
          <Body>{t.pointsOneDangerousFindTaken(pointsWords(points))}</Body>
        )}
      </View>
      <View role="list" aria-label={t.findsOfThisWalk}>
        <Rule />
        {done.map(({ encounter, decided, scored }, index) => (
          <View key={index} role="listitem">
            <View style={styles.row}>
              <View style={styles.grow}>
                <Strong>{CommonName(encounter.specimen.taxon)}</Strong>
                <Small soft>
                  {encounter.specimen.taxon === encounter.target.id
                    ? t.asYouHoped
                    : t.not(commonName(encounter.target.id))}{' '}
                  · {lowerFirst(DECIDED[decided])}
                  {scored.misread.length > 0
                    ? t.misread(scored.misread.map((id) => lowerFirst(characterName(id))).join(', '))
                    : ''}
                </Small>
              </View>
              {gentle ? null : <SmallStrong>{pointsWords(scored.points)}</SmallStrong>}
            </View>
            <Rule />
          </View>
        ))}
      </View>
      <Button label={t.anotherWalk} onPress={onAgain} />
      <Button label={t.toPractice} tone="outline" onPress={() => router.replace('/practice')} />
      <Button
        label={copied ? t.copied : t.copyTheAddressOfThis}
        tone="plain"
        style={styles.start}
        onPress={() => {
          void navigator.clipboard.writeText(address).then(
            () => setCopied(true),
            () => undefined,
          );
        }}
      />
      <Small soft>{t.whoeverOpensItMeetsThe}</Small>
    </Screen>
  );
}
