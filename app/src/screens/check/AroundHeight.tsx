import { useState } from 'react';
import { View, TextInput } from 'react-native';
import { Heading, Body, SmallStrong } from '../../components';
import { t } from '../../text/en/around';
import { styles } from './aroundStyles';

/** How high the place is. */

/** Height above the sea: with the month it orders and raises doubts, and never settles anything. */
export function Height({
  elevation,
  onChange,
}: {
  readonly elevation: number | undefined;
  readonly onChange: (elevation: number | undefined) => void;
}) {
  const [text, setText] = useState(elevation === undefined ? '' : String(elevation));
  const number = Number(text.replace(',', '.'));
  const wrong = text.trim() !== '' && !(Number.isFinite(number) && number >= -500 && number <= 9000);
  return (
    <View style={styles.ask}>
      <Heading>{t.howHighIsItHere}</Heading>
      <Body soft>{t.withTheMonthItOnly}</Body>
      <View style={styles.height}>
        <TextInput
          aria-label={t.heightAboveTheSeaIn}
          aria-invalid={wrong}
          inputMode="decimal"
          value={text}
          onChangeText={setText}
          onBlur={() => {
            if (!wrong && number !== elevation) onChange(text.trim() === '' ? undefined : number);
          }}
          style={styles.input}
        />
        <Body>{t.mAboveTheSea}</Body>
      </View>
      {wrong ? <SmallStrong role="alert">{t.heightGiveMetresAboveThe}</SmallStrong> : null}
    </View>
  );
}
