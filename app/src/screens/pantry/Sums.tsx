import { View } from 'react-native';
import { sugarShare, acidOf, saltShare } from '@pause/core/harvest/preparing';
import type { BatchFields, BatchFigures } from '@pause/core/pantry';
import { Heading, Strong, Small, ChipRow, Chip } from '../../components';
import { QuantityField } from '../../components/NumberField';
import { changeFields } from '../../notebook/changeFields';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/making';
import { Syrup, Spirit, Pickle, Ferment, type Figures, g } from './SumsKinds';
import { styles } from './sumsStyles';

/** The sums of a kitchen, for what is being made: by weight inside, in the units that it is shown in. */

interface SumsProps {
  readonly id: string;
  readonly method: BatchFields['method'];
  readonly figures: BatchFigures;
}

export function Sums({ id, method, figures }: SumsProps) {
  const act = useAct();
  const put = (more: { readonly [F in keyof BatchFigures]?: BatchFigures[F] | undefined }) =>
    void act(
      changeFields(id, 'batch', ({ figures: was = {} }) => ({
        figures: settled(
          method,
          Object.fromEntries(Object.entries({ ...was, ...more }).filter(([, value]) => value !== undefined)),
        ),
      })),
    );
  const props = { figures, put };
  switch (method) {
    case 'syrup':
      return <Syrup {...props} />;
    case 'tincture':
      return <Spirit {...props} />;
    case 'pickle':
      return <Pickle {...props} />;
    case 'ferment':
      return <Ferment {...props} />;
    case 'infuse':
    case 'decoct':
      return <Steeped {...props} />;
    case 'infused-oil':
    case 'salve':
      return <Oil {...props} />;
    default:
      return null;
  }
}

/** What decides whether it keeps, worked out of what was weighed. */
export function settled(method: BatchFields['method'], figures: BatchFigures): BatchFigures {
  const { liquidGrams, sugarGrams, plantGrams, saltGrams, liquidMl, waterMl = 0, vinegar } = figures;
  if (method === 'syrup') {
    const { sugarShare: _, ...rest } = figures;
    return liquidGrams === undefined || sugarGrams === undefined
      ? rest
      : { ...rest, sugarShare: sugarShare(sugarGrams, liquidGrams) };
  }
  if (method === 'pickle') {
    const { acid: _, ...rest } = figures;
    return liquidMl === undefined || vinegar === undefined
      ? rest
      : { ...rest, acid: acidOf(liquidMl, vinegar, waterMl) };
  }
  if (method === 'ferment') {
    const { saltShare: _, ...rest } = figures;
    return plantGrams === undefined || saltGrams === undefined
      ? rest
      : { ...rest, saltShare: Math.min(1, saltShare(saltGrams, plantGrams, waterMl)) };
  }
  return figures;
}

function Steeped({ figures: { plantGrams, liquidMl }, put }: Figures) {
  return (
    <View style={styles.block}>
      <Heading>{t.howMuchToHowMuch}</Heading>
      <View style={styles.row}>
        <View style={styles.grow}>
          <QuantityField
            label={t.thePlantWeighs}
            of="mass"
            value={plantGrams}
            onChange={(value) => put({ plantGrams: value })}
          />
        </View>
        <View style={styles.grow}>
          <QuantityField
            label={t.water}
            of="volume"
            value={liquidMl}
            onChange={(value) => put({ liquidMl: value })}
          />
        </View>
      </View>
      {plantGrams !== undefined && liquidMl !== undefined ? (
        <Strong>{t.toALitre(g((plantGrams / liquidMl) * 1000))}</Strong>
      ) : null}
      <Small soft>{t.writtenDownSoThatIt}</Small>
    </View>
  );
}

function Oil({ figures: { plantGrams, liquidMl, fresh }, put }: Figures) {
  return (
    <View style={styles.block}>
      <Heading>{t.howItGoesIn}</Heading>
      <ChipRow label={t.howThePlantIs}>
        <Chip label={t.wiltedOrDried} chosen={fresh === false} onPress={() => put({ fresh: false })} />
        <Chip label={t.asItWasPicked} chosen={fresh === true} onPress={() => put({ fresh: true })} />
      </ChipRow>
      <View style={styles.row}>
        <View style={styles.grow}>
          <QuantityField
            label={t.thePlantWeighs}
            of="mass"
            value={plantGrams}
            onChange={(value) => put({ plantGrams: value })}
          />
        </View>
        <View style={styles.grow}>
          <QuantityField
            label={t.oilOrFat}
            of="volume"
            value={liquidMl}
            onChange={(value) => put({ liquidMl: value })}
          />
        </View>
      </View>
    </View>
  );
}
