import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import type { FindRecord, Reading } from '@pause/core';
import { Body, Button, colour, OrganGlyph, Rule, Small, space, Strong, Grow } from '../../components';
import { putForwardAgain, takeBack } from '../../notebook/actions';
import { useAct, useApp } from '../../notebook/store';
import { t } from '../../text/en/seen';
import { listed, factLine } from '../../text/messages';
import { characterName, characterOf, readingWords, SURENESS } from '../../text/names';

const newestFirst = (a: Reading, b: Reading) => (a.at < b.at ? 1 : a.at > b.at ? -1 : 0);

/**
 * Whether it is the newest look at its character on its piece: only such a one can be a slip of the finger.
 */
function canBeTakenBack(reading: Reading, record: FindRecord): boolean {
  const withdrawn = new Set<string>(record.withdrawals.map((w) => w.reading));
  return (
    !withdrawn.has(reading.id) &&
    !record.readings.some(
      (other) =>
        other.character === reading.character &&
        other.piece === reading.piece &&
        other.at > reading.at &&
        !withdrawn.has(other.id),
    )
  );
}

/** Whether what was taken back has been looked at again since. */
function readAgain(reading: Reading, record: FindRecord): boolean {
  return record.readings.some(
    (other) =>
      other.character === reading.character && other.piece === reading.piece && other.at > reading.at,
  );
}

/**
 * Every reading of the find, newest first; with `slips`, the way to take one's own slip back. Taken-back ones
 * stay visible.
 */
export const Seen = memo(function Seen({
  record,
  slips,
  names,
}: {
  readonly record: FindRecord;
  readonly slips: boolean;
  /** Who read what, where several did. */
  readonly names?: ((by: string) => string) | undefined;
}) {
  const me = useApp((state) => state.me.person?.id ?? '');
  const withdrawn = new Set<string>(record.withdrawals.map((w) => w.reading));
  const readings = [...record.readings].sort(newestFirst);
  if (readings.length === 0) return <Body soft>{t.nothingHasBeenReadYet}</Body>;
  return (
    <View role="list" aria-label={t.whatWasSeen}>
      {readings.map((reading) => {
        const back = withdrawn.has(reading.id);
        return (
          <SeenReading
            key={reading.id}
            find={record.id}
            reading={reading}
            back={back}
            by={
              names
                ? t.seenBy(
                    listed([reading.by, ...(reading.together ?? [])].map(names)),
                    reading.blind === true,
                  )
                : reading.blind
                  ? t.seenBlind
                  : undefined
            }
            piece={
              record.pieces.length > 1
                ? record.pieces.findIndex((p) => p.id === reading.piece) + 1
                : undefined
            }
            way={
              !slips || reading.by !== me
                ? undefined
                : canBeTakenBack(reading, record)
                  ? 'take-back'
                  : back && !readAgain(reading, record)
                    ? 'put-forward'
                    : undefined
            }
          />
        );
      })}
    </View>
  );
});

interface SeenReadingProps {
  readonly find: string;
  readonly reading: Reading;
  readonly back: boolean;
  /** Who read it, and whether blind. */
  readonly by: string | undefined;
  /** Its number, where there are several. */
  readonly piece: number | undefined;
  /** What can be done about a slip. */
  readonly way: 'take-back' | 'put-forward' | undefined;
}

/** One reading. Drawn anew only where something about itself changed: there may be thirty of them. */
const SeenReading = memo(function SeenReading({ find, reading, back, by, piece, way }: SeenReadingProps) {
  const act = useAct();
  return (
    <View role="listitem">
      <View style={styles.row}>
        <OrganGlyph
          organ={characterOf(reading.character)?.organ ?? 'flesh'}
          size={22}
          colour={back ? colour.inkSoft : colour.ink}
        />
        <Grow>
          <Strong soft={back} style={back ? styles.struck : undefined}>
            {readingWords(reading)}
          </Strong>
          <Small soft>
            {factLine(
              characterName(reading.character),
              back
                ? t.takenBack
                : reading.value.kind === 'cant-tell'
                  ? t.noGround
                  : SURENESS[reading.sureness],
              piece !== undefined && t.onPiece(piece),
              by,
            )}
          </Small>
          {reading.note ? <Small>{reading.note}</Small> : null}
        </Grow>
        {way === 'take-back' ? (
          <Button
            label={t.takeBack}
            tone="plain"
            aria-label={t.takeBackReading(characterName(reading.character), readingWords(reading))}
            onPress={() => act(takeBack(find, reading.id))}
          />
        ) : way === 'put-forward' ? (
          <Button
            label={t.putForwardAgain}
            tone="plain"
            aria-label={t.putReadingForwardAgain(characterName(reading.character), readingWords(reading))}
            onPress={() => act(putForwardAgain(find, reading))}
          />
        ) : null}
      </View>
      <Rule />
    </View>
  );
});

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: space.m, paddingVertical: space.s },
  struck: { textDecorationLine: 'line-through' },
});
