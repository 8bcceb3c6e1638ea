import { Link, type Href } from 'expo-router';
import { Pressable, StyleSheet, View } from 'react-native';
import { t } from '../text/en/components';
import { EATEN, useWide } from './Screen';
import { space, TARGET } from './tokens';
import { SmallStrong } from './Words';

interface WaysOutProps {
  /**
   * Where the screen belongs, and what else is next to it; nothing where whoever looks should not wander off.
   */
  readonly ways?: readonly { readonly href: Href; readonly label: string }[];
}

/**
 * The ways out of a screen that has no rooms below it. What to do when someone ate something is never further
 * than this.
 */
export function WaysOut({ ways = [] }: WaysOutProps) {
  // There the rooms stand at the side.
  if (useWide()) return null;
  return (
    <View role="navigation" aria-label={t.waysOut} style={styles.row}>
      {[...ways, EATEN].map(({ href, label }) => (
        <Link key={label} href={href} asChild>
          <Pressable role="link" style={styles.way}>
            <SmallStrong>{label}</SmallStrong>
          </Pressable>
        </Link>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  // In large letters the ways take a second line.
  row: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.l, justifyContent: 'space-between' },
  way: { minHeight: TARGET, minWidth: TARGET, maxWidth: '100%', justifyContent: 'center' },
});
