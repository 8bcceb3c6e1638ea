import { scaleLinear } from 'd3-scale';
import { StyleSheet, View } from 'react-native';
import type { Take } from '@pause/core/harvest/taking';
import { Body, colour, Small, SmallStrong, stroke, Stack, Row } from '../../components';
import { t } from '../../text/en/harvest';
import { CEILING, valueOf } from '../../text/harvest';

/** Beyond so many times the least, how much more is no matter. */
const MOST_TIMES = 3;

/**
 * The four as one picture: bars of one length for one weight, and a line through all of them where the least
 * ends.
 */
export function Ceilings({ take: { ceilings, grams, binds } }: { readonly take: Take }) {
  const known = ceilings.flatMap((one) =>
    one.grams !== undefined && Number.isFinite(one.grams) ? [one.grams] : [],
  );
  const least = grams ?? Math.min(...known, 1);
  const scale = scaleLinear(
    [0, Math.max(1, Math.min(Math.max(...known, 1), Math.max(least, 1) * MOST_TIMES))],
    [0, 100],
  ).clamp(true);
  return (
    <Stack gap="m" role="list" aria-label={t.theFourCeilings}>
      {ceilings.map((one) => {
        const share = one.grams === undefined ? undefined : one.grams === Infinity ? 100 : scale(one.grams);
        const isLeast = one.name === binds;
        return (
          <Stack gap="xs" key={one.name} role="listitem">
            <Row gap="m" align="baseline">
              {isLeast ? (
                <SmallStrong style={styles.grow}>{CEILING[one.name]}</SmallStrong>
              ) : (
                <Small style={styles.grow}>{CEILING[one.name]}</Small>
              )}
              {isLeast ? (
                <SmallStrong>{valueOf(one)}</SmallStrong>
              ) : (
                <Small soft={one.missing.length > 0}>{valueOf(one)}</Small>
              )}
            </Row>
            <View style={[styles.track, share === undefined && styles.unknown]}>
              {share === undefined ? null : (
                <View style={[styles.bar, { width: `${share}%` }, isLeast && styles.least]} />
              )}
              {grams === undefined ? null : <View style={[styles.line, { left: `${scale(grams)}%` }]} />}
            </View>
          </Stack>
        );
      })}
      {grams === undefined ? <Body soft>{known.length === 0 ? '' : t.theShortestOfTheseWill}</Body> : null}
    </Stack>
  );
}

const HEIGHT = 22;
const styles = StyleSheet.create({
  grow: { flex: 1 },
  track: { height: HEIGHT, borderBottomWidth: stroke.thin, borderBottomColor: colour.line },
  unknown: { borderStyle: 'dashed', borderWidth: stroke.thin, borderColor: colour.faint },
  bar: { height: HEIGHT, backgroundColor: colour.shade, borderWidth: stroke.thin, borderColor: colour.ink },
  least: { backgroundColor: colour.pause, borderWidth: stroke.medium },
  line: { position: 'absolute', top: -4, bottom: -4, width: 2, marginLeft: -1, backgroundColor: colour.ink },
});
