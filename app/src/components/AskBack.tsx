import { StyleSheet, View } from 'react-native';
import { Button } from './Button';
import { colour, space, stroke } from './tokens';
import { Strong } from './Words';

interface AskBackProps {
  readonly question: string;
  readonly yes: string;
  readonly onYes: () => void;
}

/** Something improbable was typed: it is kept only when the person says that it is so. */
export function AskBack({ question, yes, onYes }: AskBackProps) {
  return (
    <View role="alert" style={styles.question}>
      <Strong>{question}</Strong>
      <Button label={yes} tone="outline" style={styles.start} onPress={onYes} />
    </View>
  );
}

const styles = StyleSheet.create({
  question: {
    gap: space.s,
    paddingLeft: space.m,
    borderLeftWidth: stroke.thick * 2,
    borderLeftColor: colour.ink,
  },
  start: { alignSelf: 'flex-start' },
});
