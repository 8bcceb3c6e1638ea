import { useState } from 'react';
import { View, TextInput } from 'react-native';
import { Heading, Body, SmallStrong } from '../../components';
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
      <Heading>How high is it here?</Heading>
      <Body soft>With the month it only raises doubts; it settles nothing.</Body>
      <View style={styles.height}>
        <TextInput
          aria-label="Height above the sea in metres"
          aria-invalid={wrong}
          inputMode="decimal"
          value={text}
          onChangeText={setText}
          onBlur={() => {
            if (!wrong && number !== elevation) onChange(text.trim() === '' ? undefined : number);
          }}
          style={styles.input}
        />
        <Body>m above the sea</Body>
      </View>
      {wrong ? (
        <SmallStrong role="alert">Height: give metres above the sea, from -500 to 9000.</SmallStrong>
      ) : null}
    </View>
  );
}
