import { ScrollView } from 'react-native';
import { Screen } from '../../../components';
import { styles } from '../checkStyles';
import type { Follow } from '../useToCard';
import { PhoneHead } from './PhoneHead';
import { SurenessBar } from './SurenessBar';
import type { Phone } from './usePhone';

interface PhoneScreenProps {
  readonly title: string;
  /** Below the head, always in view. */
  readonly band: React.ReactNode;
  /** At the foot, always in view. */
  readonly strip: React.ReactNode;
  readonly phone: Pick<Phone, 'bar' | 'onRoom'>;
  readonly follow: Follow;
  /** What scrolls between them; the question first. */
  readonly children: React.ReactNode;
}

/** A question on one screen of a phone: head and band above it, sureness and verdict below it. */
export function PhoneScreen({ title, band, strip, phone, follow, children }: PhoneScreenProps) {
  const { bar, onRoom } = phone;
  return (
    <Screen
      panes
      rooms={false}
      strip={
        <>
          {bar ? <SurenessBar {...bar} /> : null}
          {strip}
        </>
      }
    >
      <PhoneHead title={title} />
      {band}
      <ScrollView
        {...follow}
        style={styles.fill}
        contentContainerStyle={styles.fitted}
        onLayout={({ nativeEvent: { layout } }) => onRoom(layout)}
      >
        {children}
      </ScrollView>
    </Screen>
  );
}
