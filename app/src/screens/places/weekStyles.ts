import { StyleSheet } from 'react-native';
import { space } from '../../components';

/** How a week looks. */

export const styles = StyleSheet.create({
  block: { gap: space.xs },
  start: { alignSelf: 'flex-start' },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m },
});
