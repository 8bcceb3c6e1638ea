import { View } from 'react-native';
import { type Confusion, type PairHistory, rateOf } from '@pause/core/practice';
import { useWide, Heading, Small, Strong, SmallStrong, Rule } from '../../components';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/practice';
import { CommonName, commonName, GRADE, characterName, lowerFirst, stateLabel } from '../../text/names';
import { cardName } from '../../text/practice';
import { RateBar, spanWords, BarKey } from './charts';
import { styles } from './confusionStyles';

/** What is taken for what, as a picture. */

type Taken = readonly { readonly was: string; readonly as: string; readonly times: number }[];

export function Picture({
  confusion,
  pairs: allPairs,
  taken,
}: {
  readonly confusion: Confusion;
  readonly pairs: readonly PairHistory[];
  readonly taken: Taken;
}) {
  const wide = useWide();
  const { byCharacter, pairs, calibration } = confusion;
  // One or two looks without a slip say nothing yet.
  const misread = [...byCharacter]
    .filter(([, { times, wrong }]) => wrong > 0 || times >= SAYS)
    .sort(([a, x], [b, y]) => y.mid - x.mid || (a < b ? -1 : 1))
    .slice(0, SHOWN);
  const mistaken = allPairs
    .filter(({ wrong }) => wrong > 0)
    .slice(0, SHOWN)
    .map((one) => ({ ...one, rate: rateOf(one.wrong, one.times) }));
  const most = Math.max(0.2, ...misread.map(([, { high }]) => high));
  const words = [
    ['sure', t.sure],
    ['fairly', t.fairly],
    ['guess', t.aGuess],
  ] as const;
  return (
    <View style={wide ? styles.columns : styles.column}>
      <View style={[styles.column, wide && styles.grow]}>
        <View style={styles.block}>
          <Heading>{t.whenYouSaid}</Heading>
          <View role="list" aria-label={t.howOftenEachWordOf}>
            {words.map(([id, label]) => (
              <RateBar
                key={id}
                name={label}
                rate={calibration[id]}
                usual={PROMISED[id]}
                most={0.6}
                line={calibration[id].times === 0 ? t.notSaidYet : t.wrong(spanWords(calibration[id]))}
              />
            ))}
          </View>
          <BarKey usual={t.whatTheWordPromises} />
        </View>
        {mistaken.length > 0 ? (
          <View style={styles.block}>
            <Heading>{t.pairsNotToldApart}</Heading>
            <View role="list" aria-label={t.pairsNotToldApart}>
              {mistaken.map(({ card, rate }) => (
                <RateBar
                  key={card}
                  name={cardName(card)}
                  rate={rate}
                  most={Math.max(0.4, ...mistaken.map((one) => one.rate.high))}
                  line={spanWords(rate)}
                />
              ))}
            </View>
          </View>
        ) : null}
        <View style={styles.block}>
          <Heading>{t.collectedAndItWasAnother}</Heading>
          {taken.length === 0 ? (
            <Small soft>{t.noneInAllWalksOf}</Small>
          ) : (
            <View role="list" aria-label={t.collectedAndItWasAnother}>
              {taken.slice(0, SHOWN).map(({ was, as, times }) => (
                <View key={`${was} ${as}`} role="listitem">
                  <View style={styles.row}>
                    <View style={styles.grow}>
                      <Strong>{CommonName(was)}</Strong>
                      <Small soft>{t.takenFor(commonName(as))}</Small>
                    </View>
                    <SmallStrong>
                      {GRADE[guide.taxon(was)?.grade ?? 'none']}
                      {t.times(times)}
                    </SmallStrong>
                  </View>
                  <Rule />
                </View>
              ))}
            </View>
          )}
        </View>
      </View>
      <View style={[styles.column, wide && styles.grow]}>
        <View style={styles.block}>
          <Heading>{t.misreadByCharacter}</Heading>
          <View role="list" aria-label={t.misreadByCharacter}>
            {misread.map(([character, rate]) => (
              <RateBar
                key={character}
                name={characterName(character)}
                rate={rate}
                usual={guide.character(character)?.character.misread}
                most={most}
                line={spanWords(rate)}
              />
            ))}
          </View>
          <BarKey usual={t.whatTheGuideReckonsWith} />
        </View>
        {pairs.length > 0 ? (
          <View style={styles.block}>
            <Heading>{t.readAsAnother}</Heading>
            <View role="list" aria-label={t.readAsAnother}>
              {pairs.slice(0, SHOWN).map(({ character, shown, read, times }) => (
                <View key={`${character} ${shown} ${read}`} role="listitem">
                  <View style={styles.row}>
                    <View style={styles.grow}>
                      <Strong>
                        {t.readAs(stateLabel(character, shown), lowerFirst(stateLabel(character, read)))}
                      </Strong>
                      <Small soft>{characterName(character)}</Small>
                    </View>
                    <SmallStrong>{t.timesInAll(times)}</SmallStrong>
                  </View>
                  <Rule />
                </View>
              ))}
            </View>
          </View>
        ) : null}
      </View>
    </View>
  );
}

const SHOWN = 8;
const SAYS = 8;

/** How often whoever uses these words may be wrong, for them to mean anything. */
const PROMISED = { sure: 0.02, fairly: 0.1, guess: 0.4 } as const;
