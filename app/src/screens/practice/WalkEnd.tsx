import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { Encounter, WalkDecision, LookedAt, Scored } from '@pause/core/practice';
import { Screen, Small, Title, Body, Rule, Strong, SmallStrong, Button } from '../../components';
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
        <Small soft>Practice wood</Small>
        <Title>
          {gentle
            ? 'Well looked'
            : dangerous === 0
              ? 'Nothing dangerous taken'
              : dangerous === 1
                ? 'One that was not safe to take'
                : `${numberWord(dangerous)} that were not safe to take`}
        </Title>
        {gentle ? (
          <Body>Whatever you find outdoors, show it to an adult before anybody picks it.</Body>
        ) : (
          <Body>{pointsWords(points)} points. One dangerous find taken outweighs many left for nothing.</Body>
        )}
      </View>
      <View role="list" aria-label="Finds of this walk">
        <Rule />
        {done.map(({ encounter, decided, scored }, index) => (
          <View key={index} role="listitem">
            <View style={styles.row}>
              <View style={styles.grow}>
                <Strong>{CommonName(encounter.specimen.taxon)}</Strong>
                <Small soft>
                  {encounter.specimen.taxon === encounter.target.id
                    ? 'as you hoped'
                    : `not ${commonName(encounter.target.id)}`}{' '}
                  · {lowerFirst(DECIDED[decided])}
                  {scored.misread.length > 0
                    ? ` · ${scored.misread.map((id) => lowerFirst(characterName(id))).join(', ')} misread`
                    : ''}
                </Small>
              </View>
              {gentle ? null : <SmallStrong>{pointsWords(scored.points)}</SmallStrong>}
            </View>
            <Rule />
          </View>
        ))}
      </View>
      <Button label="Another walk" onPress={onAgain} />
      <Button label="To practice" tone="outline" onPress={() => router.replace('/practice')} />
      <Button
        label={copied ? 'Copied' : 'Copy the address of this walk'}
        tone="plain"
        style={styles.start}
        onPress={() => {
          void navigator.clipboard.writeText(address).then(
            () => setCopied(true),
            () => undefined,
          );
        }}
      />
      <Small soft>Whoever opens it meets the same five finds.</Small>
    </Screen>
  );
}
