import { View } from 'react-native';
import {
  sugarFor,
  SUGAR_KEEPS,
  tincture,
  KEEPS_FROM_STRENGTH,
  mostWaterFor,
  PICKLE_ACID,
  saltFor,
  FERMENT_SALT,
} from '@pause/core/harvest/preparing';
import type { BatchFigures } from '@pause/core/pantry';
import { Heading, Body, Strong, ChipRow, Chip, Small } from '../../components';
import { QuantityField, NumberField } from '../../components/NumberField';
import { amountWords } from '../../text/pantry';
import { styles } from './sumsStyles';

/** Sums of syrup, spirit, pickle and ferment. */

export const g = (grams: number) => amountWords({ amount: grams, unit: 'g' });
const ml = (millilitres: number) => amountWords({ amount: millilitres, unit: 'ml' });
const percent = (value: number) => `${(Math.round(value * 10) / 10).toLocaleString()}\u00A0%`;

export interface Figures {
  readonly figures: BatchFigures;
  readonly put: (more: { readonly [F in keyof BatchFigures]?: BatchFigures[F] | undefined }) => void;
}

export function Syrup({ figures: { liquidGrams, sugarGrams, sugarShare: share }, put }: Figures) {
  return (
    <View style={styles.block}>
      <Heading>Sugar</Heading>
      <QuantityField
        label="The juice weighs"
        of="mass"
        value={liquidGrams}
        onChange={(value) => put({ liquidGrams: value })}
      />
      {liquidGrams === undefined ? null : (
        <Body>
          To keep closed and cool it wants {g(sugarFor(liquidGrams))} of sugar: {percent(SUGAR_KEEPS * 100)}{' '}
          of the whole.
        </Body>
      )}
      <QuantityField
        label="Sugar that goes in"
        of="mass"
        value={sugarGrams}
        onChange={(value) => put({ sugarGrams: value })}
      />
      {share === undefined ? null : (
        <Strong>
          {percent(share * 100)} sugar{share < SUGAR_KEEPS ? ': for the fridge' : ''}
        </Strong>
      )}
    </View>
  );
}

const RATIOS = [2, 3, 5, 10] as const;
const isStrength = (value: number) => value > 0 && value <= 100;

export function Spirit({ figures: { plantGrams, fresh, ratio, strength, spirit }, put }: Figures) {
  const answer =
    plantGrams !== undefined &&
    ratio !== undefined &&
    strength !== undefined &&
    spirit !== undefined &&
    fresh !== undefined
      ? tincture({ plantGrams, waterShare: fresh ? 0.8 : 0.1, ratio, strength, spirit })
      : undefined;
  return (
    <View style={styles.block}>
      <Heading>Spirit and water</Heading>
      <QuantityField
        label="The plant weighs"
        of="mass"
        value={plantGrams}
        onChange={(value) => put({ plantGrams: value })}
      />
      <ChipRow label="How the plant is">
        <Chip label="Fresh" chosen={fresh === true} onPress={() => put({ fresh: true })} />
        <Chip label="Dried" chosen={fresh === false} onPress={() => put({ fresh: false })} />
      </ChipRow>
      <ChipRow label="How much liquid to one of plant">
        {RATIOS.map((one) => (
          <Chip key={one} label={`1 : ${one}`} chosen={ratio === one} onPress={() => put({ ratio: one })} />
        ))}
      </ChipRow>
      <View style={styles.row}>
        <View style={styles.grow}>
          <NumberField
            label="The spirit has, % vol"
            value={spirit}
            right="above 0, and no more than 100"
            check={isStrength}
            onChange={(value) => put({ spirit: value })}
          />
        </View>
        <View style={styles.grow}>
          <NumberField
            label="It shall have, % vol"
            value={strength}
            right="above 0, and no more than 100"
            check={isStrength}
            onChange={(value) => put({ strength: value })}
          />
        </View>
      </View>
      {answer === undefined ? null : answer.possible ? (
        <View role="status" aria-label="Spirit and water">
          <Strong>
            {ml(answer.spiritMl)} of spirit ({g(answer.spiritGrams)}) and {ml(answer.waterMl)} of water
          </Strong>
          <Body>
            The plant brings {g(answer.plantWaterGrams)} of water of its own; in the end it is{' '}
            {ml(answer.millilitres)}.
          </Body>
        </View>
      ) : (
        <View role="status" aria-label="Spirit and water">
          <Strong>So strong it does not get</Strong>
          <Body>
            The plant brings {g(answer.plantWaterGrams)} of water of its own. At this ratio it comes to{' '}
            {percent(answer.strongest)} at most: take more spirit to it, a stronger one, or dry it first.
          </Body>
        </View>
      )}
      {strength !== undefined && strength < KEEPS_FROM_STRENGTH ? (
        <Small>Below {KEEPS_FROM_STRENGTH} % it does not keep by alcohol alone.</Small>
      ) : null}
    </View>
  );
}

export function Pickle({ figures: { liquidMl, vinegar, waterMl, acid, reused }, put }: Figures) {
  const most = liquidMl !== undefined && vinegar !== undefined ? mostWaterFor(liquidMl, vinegar) : undefined;
  return (
    <View style={styles.block}>
      <Heading>Vinegar</Heading>
      <QuantityField
        label="Vinegar"
        of="volume"
        value={liquidMl}
        onChange={(value) => put({ liquidMl: value })}
      />
      <View style={styles.row}>
        <View style={styles.grow}>
          <NumberField
            label="Its acid, in %"
            value={vinegar}
            right="above 0, and no more than 100"
            check={isStrength}
            hint="The bottle says it."
            onChange={(value) => put({ vinegar: value })}
          />
        </View>
        <View style={styles.grow}>
          <QuantityField
            label="Water to it"
            of="volume"
            value={waterMl}
            onChange={(value) => put({ waterMl: value })}
          />
        </View>
      </View>
      {acid === undefined ? null : (
        <Strong role="status" aria-label="Acid">
          {percent(acid)} acid{acid < PICKLE_ACID ? ': too little to keep' : ''}
        </Strong>
      )}
      {most === undefined ? (
        vinegar !== undefined && vinegar < PICKLE_ACID ? (
          <Body>Vinegar so weak keeps nothing.</Body>
        ) : null
      ) : (
        <Body>No more than {ml(most)} of water to it.</Body>
      )}
      <ChipRow label="The brine">
        <Chip
          kind="checkbox"
          label="It was used before"
          chosen={reused === true}
          onPress={() => put({ reused: reused !== true })}
        />
      </ChipRow>
    </View>
  );
}

export function Ferment({ figures: { plantGrams, waterMl, saltGrams, saltShare: share }, put }: Figures) {
  return (
    <View style={styles.block}>
      <Heading>Salt</Heading>
      <QuantityField
        label="The plant weighs"
        of="mass"
        value={plantGrams}
        onChange={(value) => put({ plantGrams: value })}
      />
      <QuantityField
        label="Water to it"
        of="volume"
        value={waterMl}
        onChange={(value) => put({ waterMl: value })}
      />
      {plantGrams === undefined ? null : (
        <Body>
          Salt for it: {g(saltFor(plantGrams, waterMl ?? 0))}, {percent(2.5)} of both together.
        </Body>
      )}
      <QuantityField
        label="Salt that goes in"
        of="mass"
        value={saltGrams}
        onChange={(value) => put({ saltGrams: value })}
      />
      {share === undefined ? null : (
        <Strong role="status" aria-label="Salt">
          {percent(share * 100)} salt
          {share < FERMENT_SALT.least
            ? ': too little'
            : share > FERMENT_SALT.most
              ? ': too much to ferment'
              : ''}
        </Strong>
      )}
    </View>
  );
}
