import { StyleSheet, View } from 'react-native';
import { colour, Question, space } from '../../components';

interface BeforeCheckProps {
  readonly title: string;
  /** Why. */
  readonly children: React.ReactNode;
  /** Buttons: how it goes on. */
  readonly ways: React.ReactNode;
}

/** What has to be done before the next check can be made, in the question's place. */
export function BeforeCheck({ title, children, ways }: BeforeCheckProps) {
  return (
    <View style={styles.card} role="group" aria-label={title}>
      <Question>{title}</Question>
      {children}
      <View style={styles.ways}>{ways}</View>
    </View>
  );
}

const styles = StyleSheet.create({
  card: { gap: space.m, borderLeftWidth: 5, borderLeftColor: colour.ink, paddingLeft: space.m },
  ways: { flexDirection: 'row', gap: space.s + 2, flexWrap: 'wrap' },
});
