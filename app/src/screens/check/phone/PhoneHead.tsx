import { Link } from 'expo-router';
import { Pressable, StyleSheet, View } from 'react-native';
import { font, SmallStrong, space, TARGET, Title, typeSize } from '../../../components';
import { EATEN } from '../../../components/Screen';
import { t } from '../../../text/en/check';

/** One line: out to the finds, what is asked, and what to do when someone ate something. */
export function PhoneHead({ title }: { readonly title: string }) {
  return (
    <View style={styles.head}>
      <View role="navigation" aria-label={t.waysOut} style={styles.ways}>
        <Link href="/finds" asChild>
          <Pressable role="link" style={styles.way}>
            <SmallStrong>{t.finds}</SmallStrong>
          </Pressable>
        </Link>
        <Link href={EATEN.href} asChild>
          <Pressable role="link" style={styles.way}>
            <SmallStrong>{EATEN.label}</SmallStrong>
          </Pressable>
        </Link>
      </View>
      <View style={styles.middle}>
        <Title numberOfLines={2} style={styles.title}>
          {title}
        </Title>
      </View>
    </View>
  );
}

/** So much at each side belongs to the ways out. */
const SIDE = 76;

const styles = StyleSheet.create({
  head: { minHeight: TARGET, justifyContent: 'center' },
  ways: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' },
  way: { minHeight: TARGET, minWidth: SIDE, justifyContent: 'center', paddingHorizontal: space.m },
  middle: {
    position: 'absolute',
    left: SIDE,
    right: SIDE,
    top: 0,
    bottom: 0,
    alignItems: 'center',
    justifyContent: 'center',
    pointerEvents: 'none',
  },
  title: {
    fontFamily: font.word,
    fontSize: typeSize(18),
    lineHeight: typeSize(21),
    textAlign: 'center',
  },
});
