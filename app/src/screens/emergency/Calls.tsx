import { useState } from 'react';
import { StyleSheet, TextInput } from 'react-native';
import {
  Button,
  Chip,
  colour,
  corner,
  font,
  Small,
  space,
  Strong,
  stroke,
  typeSize,
  Stack,
  Row,
} from '../../components';
import { LONGEST_NUMBER, look } from '../../notebook/look';
import { useAct, useApp } from '../../notebook/store';
import { t } from '../../text/en/calls';
import { call, EMERGENCY, emergencyWhere } from './numbers';

interface CallsProps {
  /** Whether somebody needs them now; otherwise the numbers are only put in. */
  readonly needed?: boolean;
}

/**
 * Whom to call, one tap away: the emergency number, by where the clock of this device is set until somebody
 * chooses one; and the poison service, as soon as its number was put in.
 */
export function Calls({ needed = true }: CallsProps) {
  const { emergencyLine, poisonLine } = useApp((state) => state.look);
  const emergency = emergencyLine ?? emergencyWhere(new Intl.DateTimeFormat().resolvedOptions().timeZone);
  const [changing, setChanging] = useState(false);
  return (
    <Stack gap="s">
      {needed && emergency ? <Button label={t.call(emergency)} onPress={() => call(emergency)} /> : null}
      {needed && poisonLine ? (
        <Button label={t.poisonService(poisonLine)} tone="outline" onPress={() => call(poisonLine)} />
      ) : null}
      {emergency && !changing ? (
        <Row gap="m" align="centre">
          <Small soft style={styles.grow}>
            {emergencyLine ? t.isTheEmergencyNumberYou(emergency) : t.isTheEmergencyNumberWhere(emergency)}
          </Small>
          <Button
            label={t.change}
            tone="plain"
            aria-label={t.changeTheNumbers}
            onPress={() => setChanging(true)}
          />
        </Row>
      ) : (
        <Emergency chosen={emergency} />
      )}
      {needed && poisonLine && !changing ? null : (
        <Line label={t.numberOfThePoisonService} setting="poisonLine" />
      )}
    </Stack>
  );
}

function Emergency({ chosen }: { readonly chosen: string | undefined }) {
  const act = useAct();
  return (
    <Stack gap="s">
      <Strong>{t.whichNumberCallsHelpWhere}</Strong>
      <Row wrap gap="s" role="radiogroup" aria-label={t.emergencyNumber}>
        {EMERGENCY.map((number) => (
          <Chip
            key={number}
            label={number}
            chosen={number === chosen}
            onPress={() => act(look.actions.lookSet({ emergencyLine: number }))}
          />
        ))}
      </Row>
      <Line label={t.anotherEmergencyNumber} setting="emergencyLine" />
    </Stack>
  );
}

/** A number to put in; it is kept on this device when the field is left. */
function Line({
  label,
  setting,
}: {
  readonly label: string;
  readonly setting: 'poisonLine' | 'emergencyLine';
}) {
  const act = useAct();
  const kept = useApp((state) => state.look[setting]);
  const [text, setText] = useState(
    setting === 'emergencyLine' && EMERGENCY.some((number) => number === kept) ? '' : (kept ?? ''),
  );
  const number = text.trim();
  return (
    <TextInput
      aria-label={label}
      inputMode="tel"
      value={text}
      maxLength={LONGEST_NUMBER}
      onChangeText={setText}
      // An emergency number is changed for another one, and never taken away.
      onBlur={() => {
        if (number !== '' || setting === 'poisonLine')
          act(look.actions.lookSet({ [setting]: number || undefined }));
      }}
      placeholder={label}
      placeholderTextColor={colour.inkSoft}
      style={styles.input}
    />
  );
}

const styles = StyleSheet.create({
  grow: { flex: 1 },
  input: {
    minHeight: 52,
    borderWidth: stroke.medium,
    borderColor: colour.ink,
    borderRadius: corner,
    backgroundColor: colour.card,
    fontFamily: font.readBold,
    fontSize: typeSize(19),
    color: colour.ink,
    paddingHorizontal: space.m,
  },
});
