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
import { t } from '../../text/en/making';
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
      <Heading>{t.sugar}</Heading>
      <QuantityField
        label={t.theJuiceWeighs}
        of="mass"
        value={liquidGrams}
        onChange={(value) => put({ liquidGrams: value })}
      />
      {liquidGrams === undefined ? null : (
        <Body>{t.toKeepClosedAndCool(g(sugarFor(liquidGrams)), percent(SUGAR_KEEPS * 100))}</Body>
      )}
      <QuantityField
        label={t.sugarThatGoesIn}
        of="mass"
        value={sugarGrams}
        onChange={(value) => put({ sugarGrams: value })}
      />
      {share === undefined ? null : (
        <Strong>
          {(share < SUGAR_KEEPS ? t.shareOfSugarForTheFridge : t.shareOfSugar)(percent(share * 100))}
        </Strong>
      )}
    </View>
  );
}

const RATIOS = [2, 3, 5, 10] as const;
const isStrength = (value: number) => value > 0 && value <= 100;

export function Spirit({ figures, put }: Figures) {
  const { plantGrams, fresh, ratio, strength, spirit } = figures;
  return (
    <View style={styles.block}>
      <Heading>{t.spiritAndWater}</Heading>
      <QuantityField
        label={t.thePlantWeighs}
        of="mass"
        value={plantGrams}
        onChange={(value) => put({ plantGrams: value })}
      />
      <ChipRow label={t.howThePlantIs}>
        <Chip label={t.freshPlant} chosen={fresh === true} onPress={() => put({ fresh: true })} />
        <Chip label={t.driedPlant} chosen={fresh === false} onPress={() => put({ fresh: false })} />
      </ChipRow>
      <ChipRow label={t.howMuchLiquidToOne}>
        {RATIOS.map((one) => (
          <Chip key={one} label={`1 : ${one}`} chosen={ratio === one} onPress={() => put({ ratio: one })} />
        ))}
      </ChipRow>
      <View style={styles.row}>
        <View style={styles.grow}>
          <NumberField
            label={t.theSpiritHasPercentVol}
            value={spirit}
            right={t.above0AndNoMore}
            check={isStrength}
            onChange={(value) => put({ spirit: value })}
          />
        </View>
        <View style={styles.grow}>
          <NumberField
            label={t.itShallHavePercentVol}
            value={strength}
            right={t.above0AndNoMore}
            check={isStrength}
            onChange={(value) => put({ strength: value })}
          />
        </View>
      </View>
      <SpiritAnswer figures={figures} />
      {strength !== undefined && strength < KEEPS_FROM_STRENGTH ? (
        <Small>{t.belowPercentItDoesNot(KEEPS_FROM_STRENGTH)}</Small>
      ) : null}
    </View>
  );
}

/** How much spirit and water, once all is known. */
function SpiritAnswer({ figures: { plantGrams, fresh, ratio, strength, spirit } }: Pick<Figures, 'figures'>) {
  if (
    plantGrams === undefined ||
    ratio === undefined ||
    strength === undefined ||
    spirit === undefined ||
    fresh === undefined
  )
    return null;
  const answer = tincture({ plantGrams, waterShare: fresh ? 0.8 : 0.1, ratio, strength, spirit });
  return (
    <View role="status" aria-label={t.spiritAndWater}>
      {answer.possible ? (
        <>
          <Strong>
            {t.ofSpiritAndOfWater(ml(answer.spiritMl), g(answer.spiritGrams), ml(answer.waterMl))}
          </Strong>
          <Body>{t.thePlantBringsOfWater(g(answer.plantWaterGrams), ml(answer.millilitres))}</Body>
        </>
      ) : (
        <>
          <Strong>{t.soStrongItDoesNot}</Strong>
          <Body>{t.thePlantBringsOfWaterOf(g(answer.plantWaterGrams), percent(answer.strongest))}</Body>
        </>
      )}
    </View>
  );
}

export function Pickle({ figures: { liquidMl, vinegar, waterMl, acid, reused }, put }: Figures) {
  const most = liquidMl !== undefined && vinegar !== undefined ? mostWaterFor(liquidMl, vinegar) : undefined;
  return (
    <View style={styles.block}>
      <Heading>{t.vinegar}</Heading>
      <QuantityField
        label={t.vinegar}
        of="volume"
        value={liquidMl}
        onChange={(value) => put({ liquidMl: value })}
      />
      <View style={styles.row}>
        <View style={styles.grow}>
          <NumberField
            label={t.itsAcidInPercent}
            value={vinegar}
            right={t.above0AndNoMore}
            check={isStrength}
            hint={t.theBottleSaysIt}
            onChange={(value) => put({ vinegar: value })}
          />
        </View>
        <View style={styles.grow}>
          <QuantityField
            label={t.waterToIt}
            of="volume"
            value={waterMl}
            onChange={(value) => put({ waterMl: value })}
          />
        </View>
      </View>
      {acid === undefined ? null : (
        <Strong role="status" aria-label={t.acid}>
          {(acid < PICKLE_ACID ? t.shareOfAcidTooLittle : t.shareOfAcid)(percent(acid))}
        </Strong>
      )}
      {most === undefined ? (
        vinegar !== undefined && vinegar < PICKLE_ACID ? (
          <Body>{t.vinegarSoWeakKeepsNothing}</Body>
        ) : null
      ) : (
        <Body>{t.noMoreThanOfWater(ml(most))}</Body>
      )}
      <ChipRow label={t.theBrine}>
        <Chip
          kind="checkbox"
          label={t.itWasUsedBefore}
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
      <Heading>{t.salt}</Heading>
      <QuantityField
        label={t.thePlantWeighs}
        of="mass"
        value={plantGrams}
        onChange={(value) => put({ plantGrams: value })}
      />
      <QuantityField
        label={t.waterToIt}
        of="volume"
        value={waterMl}
        onChange={(value) => put({ waterMl: value })}
      />
      {plantGrams === undefined ? null : (
        <Body>{t.saltForItOfBoth(g(saltFor(plantGrams, waterMl ?? 0)), percent(2.5))}</Body>
      )}
      <QuantityField
        label={t.saltThatGoesIn}
        of="mass"
        value={saltGrams}
        onChange={(value) => put({ saltGrams: value })}
      />
      {share === undefined ? null : (
        <Strong role="status" aria-label={t.salt}>
          {saltWords(share)}
        </Strong>
      )}
    </View>
  );
}

function saltWords(share: number): string {
  const shown = percent(share * 100);
  if (share < FERMENT_SALT.least) return t.shareOfSaltTooLittle(shown);
  return share > FERMENT_SALT.most ? t.shareOfSaltTooMuch(shown) : t.shareOfSalt(shown);
}
