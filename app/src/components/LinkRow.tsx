import { Link, type Href } from 'expo-router';
import { Pressable, StyleSheet, View } from 'react-native';
import { Grow } from './layout';
import { Rule, Small, SmallStrong, space, Strong, TARGET } from '.';

interface LinkRowProps {
  readonly href: Href;
  readonly name: string;
  readonly line?: string | undefined;
  /** Before its name, as a small plate. */
  readonly before?: React.ReactNode;
  /** At its end: how much, or how far it is. */
  readonly end?: string | undefined;
}

/** A line of a list that leads to its page. */
export function LinkRow({ href, name, line, before, end }: LinkRowProps) {
  return (
    <View role="listitem">
      <Link href={href} asChild>
        <Pressable role="link" style={styles.row}>
          {before}
          <Grow>
            <Strong>{name}</Strong>
            {line ? <Small soft>{line}</Small> : null}
          </Grow>
          {end ? <SmallStrong style={styles.end}>{end}</SmallStrong> : null}
        </Pressable>
      </Link>
      <Rule />
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    minHeight: TARGET + 8,
    paddingVertical: space.s,
  },
  end: { textAlign: 'right', maxWidth: '45%' },
});
