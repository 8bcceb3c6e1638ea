import { useState } from 'react';
import { View } from 'react-native';
import type { TaxonId } from '@pause/core';
import { Strong, Small, ChipRow, Chip, Body, Button } from '../../components';
import { t } from '../../text/en/people';
import { commonName, CommonName } from '../../text/names';
import { styles } from './groupStyles';

/** Choosing taxa and schools for the rules of a group. */

export function School({
  title,
  why,
  children,
}: {
  readonly title: string;
  readonly why: string;
  readonly children: React.ReactNode;
}) {
  return (
    <View style={styles.rule}>
      <Strong>{title}</Strong>
      <Small soft>{why}</Small>
      <ChipRow label={title}>{children}</ChipRow>
    </View>
  );
}

/** Taxa chosen one by one out of those of the guide that are wanted. */
export function Chosen({
  title,
  why,
  chosen,
  taxa,
  may,
  onChange,
}: {
  readonly title: string;
  readonly why: string;
  readonly chosen: readonly TaxonId[];
  readonly taxa: readonly TaxonId[];
  readonly may: boolean;
  readonly onChange: (taxa: TaxonId[] | undefined) => void;
}) {
  const [all, setAll] = useState(false);
  const sorted = [...taxa].sort((a, b) => commonName(a).localeCompare(commonName(b)));
  const shown = all ? sorted : sorted.filter((id) => chosen.includes(id));
  const toggled = (id: TaxonId) =>
    chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id];
  return (
    <View style={styles.rule}>
      <Strong>{title}</Strong>
      <Small soft>{why}</Small>
      {shown.length > 0 ? (
        <ChipRow label={title}>
          {shown.map((id) => (
            <Chip
              key={id}
              kind="checkbox"
              label={CommonName(id)}
              chosen={chosen.includes(id)}
              disabled={!may}
              onPress={() => {
                const next = toggled(id);
                onChange(next.length > 0 ? next : undefined);
              }}
            />
          ))}
        </ChipRow>
      ) : (
        <Body>{t.none}</Body>
      )}
      {may ? (
        <Button
          label={all ? t.showOnlyWhatIsChosen : t.choose}
          aria-label={`${all ? t.showOnlyWhatIsChosen : t.choose}: ${title}`}
          tone="plain"
          style={styles.start}
          onPress={() => setAll(!all)}
        />
      ) : null}
    </View>
  );
}
