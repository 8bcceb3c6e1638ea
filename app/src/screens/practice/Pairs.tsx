import { useRouter } from 'expo-router';
import { useState, useMemo } from 'react';
import { View } from 'react-native';
import type { CompiledTaxon } from '@pause/core';
import { pairCard, cardOf, isEarned, EARNED } from '@pause/core/practice';
import { Heading, Small, Rule, Strong, Button } from '../../components';
import { guide } from '../../deciding/guide';
import { type Practice, WANTED, pairStanding } from '../../notebook/practice';
import { t } from '../../text/en/practice';
import { upper, numberWord, CommonName, commonName, GRADE } from '../../text/names';
import { agoWords } from '../../text/practice';
import { styles } from './practiceStyles';

/** The pairs that somebody confuses. */

interface PairsProps {
  readonly practice: Practice;
}

interface PairOf {
  readonly target: CompiledTaxon;
  readonly other: CompiledTaxon;
}

/** All pairs with something deadly or serious: those practised before come first, then those to be met soon. */
function pairsBy({ history, soon }: Pick<Practice, 'history' | 'soon'>): PairOf[] {
  const known = ({ target, other }: PairOf) => Number(history.cards.has(pairCard(target.id, other.id)));
  return WANTED.flatMap((target) =>
    target.taxon.lookalikes.flatMap((id) => {
      const other = guide.taxon(id);
      return other && (other.grade === 'deadly' || other.grade === 'serious') ? [{ target, other }] : [];
    }),
  ).sort(
    (a, b) =>
      known(b) - known(a) ||
      (soon.get(b.target.id) ?? 0) - (soon.get(a.target.id) ?? 0) ||
      Number(b.other.grade === 'deadly') - Number(a.other.grade === 'deadly') ||
      (a.target.id < b.target.id ? -1 : 1),
  );
}

/** The pairs that can kill or harm, and how well one knows each. */
export function Pairs({ practice }: PairsProps) {
  const { history, now, soon } = practice;
  const [all, setAll] = useState(false);
  const pairs = useMemo(() => pairsBy({ history, soon }), [soon, history]);
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
        {pairs.slice(0, all ? pairs.length : FIRST).map((pair) => (
          <PairLine key={`${pair.target.id} ${pair.other.id}`} pair={pair} practice={practice} />
        ))}
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

/** A sitting of one pair asks it so many times. */
const TIMES = 4;

function PairLine({
  pair: { target, other },
  practice: { history, now },
}: PairsProps & { readonly pair: PairOf }) {
  const router = useRouter();
  const { card, earned } = pairStanding(history, target.id, other.id, now);
  const cards = Array.from({ length: TIMES }, () => pairCard(target.id, other.id)).join(',');
  return (
    <View role="listitem">
      <View style={styles.row}>
        <View style={styles.pair}>
          <Strong>{CommonName(target.id)}</Strong>
          <Small soft>{t.andGraded(commonName(other.id), GRADE[other.grade])}</Small>
        </View>
        <Button
          label={card ? (earned ? t.earned : upper(agoWords(card.last, now))) : t.begin}
          aria-label={t.practiseAnd(
            commonName(target.id),
            commonName(other.id),
            card ? (earned ? t.earnedLower : t.last(agoWords(card.last, now))) : t.neverYet,
          )}
          tone="plain"
          onPress={() => router.push({ pathname: '/practice/drill', params: { cards } })}
        />
      </View>
      <Rule />
    </View>
  );
}

const FIRST = 5;
