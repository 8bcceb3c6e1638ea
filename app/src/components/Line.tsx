import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { space, TARGET } from './tokens';

interface LineProps {
  /** What the line says. */
  readonly children: ReactNode;
  /** What can be done with it, at its end; below the words where the letters are large. */
  readonly end: ReactNode;
}

/** A line of a list, with a button at its end. */
export function Line({ children, end }: LineProps) {
  return (
    <View style={styles.line}>
      <View style={styles.words}>{children}</View>
      {end}
    </View>
  );
}

const styles = StyleSheet.create({
  line: {
    minHeight: TARGET + 8,
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: space.m,
    rowGap: space.xs,
    paddingVertical: space.s,
  },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 160 },
});
