import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { Encounter, WalkDecision, LookedAt, Scored } from '@pause/core/practice';
import { Screen, Small, Title, Body, Rule, Strong, SmallStrong, Button } from '../../components';
import { t } from '../../text/en/practice';
import { factLine, listed } from '../../text/messages';
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

interface WalkEndProps {
  readonly done: readonly Done[];
  readonly seed: number;
  readonly gentle: boolean;
  readonly onAgain: () => void;
}

/** The walk as a whole. */
export function WalkEnd({ done, seed, gentle, onAgain }: WalkEndProps) {
  const router = useRouter();
  const points = done.reduce((sum, { scored }) => sum + scored.points, 0);
  const dangerous = done.filter(
    ({ scored, decided }) => decided === 'collect' && scored.risked !== 'none',
  ).length;
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
        <Body>
          {gentle ? t.whateverYouFindOutdoorsShow : t.pointsOneDangerousFindTaken(pointsWords(points))}
        </Body>
      </View>
      <View role="list" aria-label={t.findsOfThisWalk}>
        <Rule />
        {done.map((one, index) => (
          <DoneLine key={index} done={one} gentle={gentle} />
        ))}
      </View>
      <Button label={t.anotherWalk} onPress={onAgain} />
      <Button label={t.toPractice} tone="outline" onPress={() => router.replace('/practice')} />
      <CopyAddress seed={seed} />
      <Small soft>{t.whoeverOpensItMeetsThe}</Small>
    </Screen>
  );
}

function DoneLine({
  done: { encounter, decided, scored },
  gentle,
}: Pick<WalkEndProps, 'gentle'> & { readonly done: Done }) {
  const hoped = encounter.specimen.taxon === encounter.target.id;
  return (
    <View role="listitem">
      <View style={styles.row}>
        <View style={styles.grow}>
          <Strong>{CommonName(encounter.specimen.taxon)}</Strong>
          <Small soft>
            {factLine(
              hoped ? t.asYouHoped : t.not(commonName(encounter.target.id)),
              lowerFirst(DECIDED[decided]),
              scored.misread.length > 0 &&
                t.misread(listed(scored.misread.map((id) => lowerFirst(characterName(id))))),
            )}
          </Small>
        </View>
        {gentle ? null : <SmallStrong>{pointsWords(scored.points)}</SmallStrong>}
      </View>
      <Rule />
    </View>
  );
}

/** Whoever opens the address meets the same finds. */
function CopyAddress({ seed }: Pick<WalkEndProps, 'seed'>) {
  const [copied, setCopied] = useState(false);
  const copy = () =>
    void navigator.clipboard.writeText(`${window.location.origin}/practice/wood?seed=${seed}`).then(
      () => setCopied(true),
      () => undefined,
    );
  return (
    <Button
      label={copied ? t.copied : t.copyTheAddressOfThis}
      tone="plain"
      style={styles.start}
      onPress={copy}
    />
  );
}
