import { StyleSheet, View } from 'react-native';
import { colour, space } from '../../../components';
import { t } from '../../../text/en/naming';

export const percent = (p: number) => (p < 0.01 ? t.under1Percent : `${Math.round(p * 100)} %`);

/** How likely something is, as the length of a bar. */
export function Chance({ probability }: { readonly probability: number }) {
  return (
    <View style={styles.chance} role="img" aria-label={t.likely(percent(probability))}>
      <View style={[styles.length, { width: `${Math.max(1, probability * 100)}%` }]} />
    </View>
  );
}

const styles = StyleSheet.create({
  chance: { height: 8, borderWidth: 1, borderColor: colour.ink, marginTop: space.xs },
  length: { height: '100%', backgroundColor: colour.ink },
});
