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

interface PictureProps {
  readonly confusion: Confusion;
  readonly pairs: readonly PairHistory[];
  readonly taken: Taken;
}

export function Picture({ confusion, pairs, taken }: PictureProps) {
  const wide = useWide();
  return (
    <View style={wide ? styles.columns : styles.column}>
      <View style={[styles.column, wide && styles.grow]}>
        <Promises calibration={confusion.calibration} />
        <Mistaken pairs={pairs} />
        <TakenForAnother taken={taken} />
      </View>
      <View style={[styles.column, wide && styles.grow]}>
        <Misread byCharacter={confusion.byCharacter} />
        <ReadAsAnother pairs={confusion.pairs} />
      </View>
    </View>
  );
}

const WORDS = [
  ['sure', t.sure],
  ['fairly', t.fairly],
  ['guess', t.aGuess],
] as const;

/** How often each word of sureness was wrong. */
function Promises({ calibration }: Pick<Confusion, 'calibration'>) {
  return (
    <View style={styles.block}>
      <Heading>{t.whenYouSaid}</Heading>
      <View role="list" aria-label={t.howOftenEachWordOf}>
        {WORDS.map(([id, label]) => (
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
  );
}

/** Pairs that were not told apart. */
function Mistaken({ pairs }: Pick<PictureProps, 'pairs'>) {
  const mistaken = pairs
    .filter(({ wrong }) => wrong > 0)
    .slice(0, SHOWN)
    .map((one) => ({ ...one, rate: rateOf(one.wrong, one.times) }));
  if (mistaken.length === 0) return null;
  return (
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
  );
}

/** What was collected on walks of practice, and was another. */
function TakenForAnother({ taken }: Pick<PictureProps, 'taken'>) {
  return (
    <View style={styles.block}>
      <Heading>{t.collectedAndItWasAnother}</Heading>
      {taken.length === 0 ? (
        <Small soft>{t.noneInAllWalksOf}</Small>
      ) : (
        <View role="list" aria-label={t.collectedAndItWasAnother}>
          {taken.slice(0, SHOWN).map(({ was, as, times }) => (
            <Counted
              key={`${was} ${as}`}
              name={CommonName(was)}
              line={t.takenFor(commonName(as))}
              count={t.harmTimes(GRADE[guide.taxon(was)?.grade ?? 'none'], times)}
            />
          ))}
        </View>
      )}
    </View>
  );
}

/** How often each character is misread. */
function Misread({ byCharacter }: Pick<Confusion, 'byCharacter'>) {
  // One or two looks without a slip say nothing yet.
  const misread = [...byCharacter]
    .filter(([, { times, wrong }]) => wrong > 0 || times >= SAYS)
    .sort(([a, x], [b, y]) => y.mid - x.mid || (a < b ? -1 : 1))
    .slice(0, SHOWN);
  const most = Math.max(0.2, ...misread.map(([, { high }]) => high));
  return (
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
  );
}

/** Which state was read as which other. */
function ReadAsAnother({ pairs }: Pick<Confusion, 'pairs'>) {
  if (pairs.length === 0) return null;
  return (
    <View style={styles.block}>
      <Heading>{t.readAsAnother}</Heading>
      <View role="list" aria-label={t.readAsAnother}>
        {pairs.slice(0, SHOWN).map(({ character, shown, read, times }) => (
          <Counted
            key={`${character} ${shown} ${read}`}
            name={t.readAs(stateLabel(character, shown), lowerFirst(stateLabel(character, read)))}
            line={characterName(character)}
            count={t.timesInAll(times)}
          />
        ))}
      </View>
    </View>
  );
}

interface CountedProps {
  readonly name: string;
  readonly line: string;
  readonly count: string;
}

function Counted({ name, line, count }: CountedProps) {
  return (
    <View role="listitem">
      <View style={styles.row}>
        <View style={styles.grow}>
          <Strong>{name}</Strong>
          <Small soft>{line}</Small>
        </View>
        <SmallStrong>{count}</SmallStrong>
      </View>
      <Rule />
    </View>
  );
}

const SHOWN = 8;
const SAYS = 8;

/** How often whoever uses these words may be wrong, for them to mean anything. */
const PROMISED = { sure: 0.02, fairly: 0.1, guess: 0.4 } as const;
