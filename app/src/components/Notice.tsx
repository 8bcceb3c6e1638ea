import { ActivityIndicator, StyleSheet, View } from 'react-native';
import { Button } from './Button';
import { colour, space } from './tokens';
import { Body, Heading } from './Words';

/** Something is being fetched. */
export function Loading({ what }: { readonly what: string }) {
  return (
    <View style={styles.notice} role="status" aria-live="polite">
      <ActivityIndicator color={colour.ink} accessibilityLabel={what} />
      <Body soft>{what}</Body>
    </View>
  );
}

interface NoticeProps {
  readonly title: string;
  readonly text: string;
  readonly action?: string;
  readonly onAction?: () => void;
  /** It is all that the screen shows: its title is that of the page. */
  readonly whole?: boolean;
}

/** Nothing is there, or something did not work: what it is, and what can be done. */
export function Notice({ title, text, action, onAction, whole = false }: NoticeProps) {
  return (
    <View style={styles.notice} role="status">
      <Heading {...(whole ? { 'aria-level': 1 } : {})}>{title}</Heading>
      <Body soft>{text}</Body>
      {action && onAction ? (
        <Button label={action} tone="outline" onPress={onAction} style={styles.action} />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  notice: { paddingVertical: space.xl, gap: space.s, alignItems: 'flex-start' },
  action: { marginTop: space.s },
});
