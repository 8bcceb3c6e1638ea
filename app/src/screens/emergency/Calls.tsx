import { useState } from 'react';
import { StyleSheet, TextInput, View } from 'react-native';
import { Button, Chip, colour, corner, font, Small, space, Strong, stroke, typeSize } from '../../components';
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
    <View style={styles.calls}>
      {needed && emergency ? <Button label={t.call(emergency)} onPress={() => call(emergency)} /> : null}
      {needed && poisonLine ? (
        <Button label={t.poisonService(poisonLine)} tone="outline" onPress={() => call(poisonLine)} />
      ) : null}
      {emergency && !changing ? (
        <View style={styles.row}>
          <Small soft style={styles.grow}>
            {emergencyLine ? t.isTheEmergencyNumberYou(emergency) : t.isTheEmergencyNumberWhere(emergency)}
          </Small>
          <Button
            label={t.change}
            tone="plain"
            aria-label={t.changeTheNumbers}
            onPress={() => setChanging(true)}
          />
        </View>
      ) : (
        <Emergency chosen={emergency} />
      )}
      {needed && poisonLine && !changing ? null : (
        <Line label={t.numberOfThePoisonService} setting="poisonLine" />
      )}
    </View>
  );
}

function Emergency({ chosen }: { readonly chosen: string | undefined }) {
  const act = useAct();
  return (
    <View style={styles.calls}>
      <Strong>{t.whichNumberCallsHelpWhere}</Strong>
      <View role="radiogroup" aria-label={t.emergencyNumber} style={styles.chips}>
        {EMERGENCY.map((number) => (
          <Chip
            key={number}
            label={number}
            chosen={number === chosen}
            onPress={() => act(look.actions.lookSet({ emergencyLine: number }))}
          />
        ))}
      </View>
      <Line label={t.anotherEmergencyNumber} setting="emergencyLine" />
    </View>
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
  calls: { gap: space.s },
  row: { flexDirection: 'row', gap: space.m, alignItems: 'center' },
  grow: { flex: 1 },
  chips: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
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
