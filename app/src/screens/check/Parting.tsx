import { StyleSheet, View } from 'react-native';
import { partings, type Case, type StateId } from '@pause/core';
import { colour, OrganGlyph, Rule, Small, SmallStrong, space } from '../../components';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/check';
import { stateLabel, characterName, characterOf, CommonName, lowerFirst } from '../../text/names';

function labels(character: string, states: readonly StateId[]): string {
  const words = states.map((state) => stateLabel(character, state));
  return words.map((word, index) => (index === 0 ? word : lowerFirst(word))).join('; ') || '–';
}

/** Where the target and one lookalike part, side by side. What this find has been read for comes last. */
export function Parting({
  find,
  other,
  most,
}: {
  readonly find: Case;
  readonly other: string;
  readonly most: number;
}) {
  const target = guide.taxon(find.target);
  const against = guide.taxon(other);
  if (!target || !against) return null;
  const read = new Set<string>(find.readings.map((r) => r.character));
  const parts = partings(guide, target, against, find.context.stages);
  const shown = [
    ...parts.filter((p) => !read.has(p.character)),
    ...parts.filter((p) => read.has(p.character)),
  ].slice(0, most);
  if (shown.length === 0) return <Small soft>{t.atThisStageTheGuide}</Small>;
  return (
    <View role="table" aria-label={t.whereAndPart(CommonName(find.target), CommonName(other))}>
      <View role="row" style={styles.row}>
        <View style={styles.glyph} />
        <SmallStrong role="columnheader" style={styles.side}>
          {CommonName(find.target)}
        </SmallStrong>
        <SmallStrong role="columnheader" style={styles.side}>
          {CommonName(other)}
        </SmallStrong>
      </View>
      <Rule />
      {shown.map((parting) => (
        <View key={parting.character}>
          <View role="row" style={styles.row} aria-label={characterName(parting.character)}>
            <View style={styles.glyph}>
              <OrganGlyph
                organ={characterOf(parting.character)?.organ ?? ''}
                size={18}
                colour={read.has(parting.character) ? colour.inkSoft : colour.ink}
              />
            </View>
            <Small role="cell" soft={read.has(parting.character)} style={styles.side}>
              {labels(parting.character, parting.target)}
            </Small>
            <Small role="cell" soft={read.has(parting.character)} style={styles.side}>
              {labels(parting.character, parting.other)}
            </Small>
          </View>
          <Rule />
        </View>
      ))}
      {parts.length > shown.length ? (
        <Small soft style={styles.more}>
          {t.andMore(parts.length - shown.length)}
        </Small>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: space.m, paddingVertical: space.s - 2 },
  glyph: { width: 20, paddingTop: 1 },
  side: { flex: 1 },
  more: { paddingTop: space.xs },
});
