import { createElement } from 'react';
import { StyleSheet } from 'react-native';
import { t } from '../text/en/components';
import { Button } from './Button';
import { Stack, Row } from './layout';
import { colour, TARGET } from './tokens';
import { Small } from './Words';

interface SlideProps {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly step?: number;
  readonly onChange: (value: number) => void;
}

/**
 * A value set by sliding, and by one step at a time for whoever wants it to the hair. The slider is the
 * browser's own.
 */
export function Slide({ label, value, least, most, step = 1, onChange }: SlideProps) {
  const set = (to: number) => onChange(Math.min(most, Math.max(least, to)));
  return (
    <Stack gap="xs">
      <Small soft>{label}</Small>
      <Row gap="m" align="centre">
        <Button
          label="−"
          aria-label={t.lessOf(label)}
          tone="outline"
          style={styles.step}
          onPress={() => set(value - step)}
        />
        {createElement('input', {
          type: 'range',
          'aria-label': label,
          min: least,
          max: most,
          step,
          value,
          onChange: (event: { target: { value: string } }) => set(Number(event.target.value)),
          style: { flex: 1, minWidth: 0, height: TARGET, accentColor: colour.ink },
        })}
        <Button
          label="+"
          aria-label={t.moreOf(label)}
          tone="outline"
          style={styles.step}
          onPress={() => set(value + step)}
        />
      </Row>
    </Stack>
  );
}

const styles = StyleSheet.create({
  step: { width: 56 },
});
