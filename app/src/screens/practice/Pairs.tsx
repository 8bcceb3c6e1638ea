import { useRouter } from 'expo-router';
import { useState, useMemo } from 'react';
import { View } from 'react-native';
import { pairCard, cardOf, isEarned, EARNED } from '@pause/core/practice';
import { Heading, Small, Rule, Strong, Button } from '../../components';
import { guide } from '../../deciding/guide';
import { type Practice, WANTED, pairStanding } from '../../notebook/practice';
import { t } from '../../text/en/practice';
import { upper, numberWord, CommonName, commonName, GRADE } from '../../text/names';
import { agoWords } from '../../text/practice';
import { styles } from './practiceStyles';

/** The pairs that somebody confuses. */

/** The pairs that can kill or harm, and how well one knows each. */
export function Pairs({ practice: { history, now, soon } }: { readonly practice: Practice }) {
  const router = useRouter();
  const [all, setAll] = useState(false);
  const pairs = useMemo(
    () =>
      WANTED.flatMap((target) =>
        target.taxon.lookalikes.flatMap((id) => {
          const other = guide.taxon(id);
          return other && (other.grade === 'deadly' || other.grade === 'serious') ? [{ target, other }] : [];
        }),
      ).sort(
        (a, b) =>
          Number(history.cards.has(pairCard(b.target.id, b.other.id))) -
            Number(history.cards.has(pairCard(a.target.id, a.other.id))) ||
          (soon.get(b.target.id) ?? 0) - (soon.get(a.target.id) ?? 0) ||
          Number(b.other.grade === 'deadly') - Number(a.other.grade === 'deadly') ||
          (a.target.id < b.target.id ? -1 : 1),
      ),
    [soon, history],
  );
  const known = [...history.cards].filter(([id]) => cardOf(id)?.kind === 'pair');
  const earned = known.filter(([, { memory, lastDangerous }]) => isEarned(memory, lastDangerous, now)).length;
  return (
    <View style={styles.block}>
      <Heading>{t.pairsHeading}</Heading>
      <Small soft>
        {t.earnedIsWhatHasBeen(
          earned === 0 ? t.noneIsEarnedYet : t.areEarned(upper(numberWord(earned)), earned),
          numberWord(EARNED.times),
        )}
      </Small>
      <View role="list" aria-label={t.pairsHeading}>
        <Rule />
        {pairs.slice(0, all ? pairs.length : FIRST).map(({ target, other }) => {
          const { card, earned: is } = pairStanding(history, target.id, other.id, now);
          return (
            <View key={`${target.id} ${other.id}`} role="listitem">
              <View style={styles.row}>
                <View style={styles.pair}>
                  <Strong>{CommonName(target.id)}</Strong>
                  <Small soft>{t.andGraded(commonName(other.id), GRADE[other.grade])}</Small>
                </View>
                <Button
                  label={card ? (is ? t.earned : upper(agoWords(card.last, now))) : t.begin}
                  aria-label={t.practiseAnd(
                    commonName(target.id),
                    commonName(other.id),
                    card ? (is ? t.earnedLower : t.last(agoWords(card.last, now))) : t.neverYet,
                  )}
                  tone="plain"
                  onPress={() =>
                    router.push({
                      pathname: '/practice/drill',
                      params: {
                        cards: Array.from({ length: 4 }, () => pairCard(target.id, other.id)).join(','),
                      },
                    })
                  }
                />
              </View>
              <Rule />
            </View>
          );
        })}
      </View>
      {all || pairs.length <= FIRST ? null : (
        <Button
          label={t.showAll(pairs.length)}
          tone="plain"
          style={styles.start}
          onPress={() => setAll(true)}
        />
      )}
    </View>
  );
}

const FIRST = 5;
