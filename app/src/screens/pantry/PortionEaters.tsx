import { useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Chip, ChipRow, Field, Heading, Strong } from '../../components';
import { t } from '../../text/en/eating';
import { cautionFor, lowerFirst } from '../../text/names';
import { mealReminderWords } from '../../text/pantry';
import { styles } from './portionKinds';
import type { PortionForm } from './usePortion';

/** Who ate it, or on whom it was used, and what each of them has to mind. */
export function PortionEaters({ form }: { readonly form: PortionForm }) {
  const { what, who, setWho, names, warnings, reminders } = form;
  const asks = what === 'meal' ? t.whoAte : t.onWhom;
  const toggle = (name: string) =>
    setWho(who.includes(name) ? who.filter((one) => one !== name) : [...who, name]);
  return (
    <>
      <Heading>{asks}</Heading>
      <ChipRow label={asks}>
        {[...new Set([...names, ...who])].map((name) => (
          <Chip
            key={name}
            kind="checkbox"
            label={name}
            chosen={who.includes(name)}
            onPress={() => toggle(name)}
          />
        ))}
      </ChipRow>
      <SomebodyElse onAdd={(name) => setWho([...new Set([...who, name])])} />
      {warnings.map(({ name, caution, taxon }) => (
        <View key={`${name} ${taxon} ${caution.for}`} style={styles.warning} role="alert">
          <Strong>
            {name}: {caution.level === 'rules-out' ? t.notForThem : t.askAPharmacistOrDoctor}
          </Strong>
          <Body>
            {cautionFor(caution.for)}: {lowerFirst(caution.text)}
          </Body>
        </View>
      ))}
      {reminders.length > 0 ? (
        <View role="list" aria-label={t.toBeMindedAtThe} style={styles.block}>
          {reminders.map((one) => (
            <View key={`${one.name} ${one.code}`} role="listitem" style={styles.reminder}>
              <Body>{mealReminderWords(one)}</Body>
            </View>
          ))}
        </View>
      ) : null}
    </>
  );
}

function SomebodyElse({ onAdd }: { readonly onAdd: (name: string) => void }) {
  const [name, setName] = useState('');
  return (
    <View style={styles.row}>
      <View style={styles.grow}>
        <Field label={t.somebodyElse} value={name} onChangeText={setName} maxLength={80} />
      </View>
      <Button
        label={t.add}
        tone="outline"
        disabled={name.trim() === ''}
        style={styles.low}
        onPress={() => {
          onAdd(name.trim());
          setName('');
        }}
      />
    </View>
  );
}
