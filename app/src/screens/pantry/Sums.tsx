import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  acidOf,
  boiledDownAt,
  COOKING_WAYS,
  cookingRefusal,
  FERMENT_SALT,
  KEEPS_FROM_STRENGTH,
  mostWaterFor,
  mustBeCooked,
  PICKLE_ACID,
  saltFor,
  saltShare,
  SUGAR_KEEPS,
  sugarFor,
  sugarShare,
  tincture,
  type Made,
} from '@pause/core/harvest/preparing';
import { readNumber } from '@pause/core/lib/typed';
import type { BatchFields, BatchFigures } from '@pause/core/pantry';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  Field,
  Heading,
  Small,
  SmallStrong,
  space,
  Strong,
} from '../../components';
import { NumberField, QuantityField } from '../../components/NumberField';
import { now } from '../../notebook/actions';
import { useAct } from '../../notebook/store';
import { tellOf } from '../../notebook/tell';
import { amountWords, COOKING, cookingRefusalWords } from '../../text/pantry';

/** The sums of a kitchen, for what is being made: by weight inside, in the units that it is told in. */

interface SumsProps {
  readonly id: string;
  readonly method: BatchFields['method'];
  readonly figures: BatchFigures;
}
const g = (grams: number) => amountWords({ amount: grams, unit: 'g' });
const ml = (millilitres: number) => amountWords({ amount: millilitres, unit: 'ml' });
const percent = (value: number) => `${(Math.round(value * 10) / 10).toLocaleString()}\u00A0%`;

export function Sums({ id, method, figures }: SumsProps) {
  const act = useAct();
  const put = (more: { readonly [F in keyof BatchFigures]?: BatchFigures[F] | undefined }) =>
    void act(
      tellOf(id, 'batch', ({ figures: was = {} }) => ({
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

interface Told {
  readonly figures: BatchFigures;
  readonly put: (more: { readonly [F in keyof BatchFigures]?: BatchFigures[F] | undefined }) => void;
}

function Syrup({ figures: { liquidGrams, sugarGrams, sugarShare: share }, put }: Told) {
  return (
    <View style={styles.block}>
      <Heading>Sugar</Heading>
      <QuantityField
        label="The juice weighs"
        of="mass"
        value={liquidGrams}
        onTell={(value) => put({ liquidGrams: value })}
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
        onTell={(value) => put({ sugarGrams: value })}
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

function Spirit({ figures: { plantGrams, fresh, ratio, strength, spirit }, put }: Told) {
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
        onTell={(value) => put({ plantGrams: value })}
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
            onTell={(value) => put({ spirit: value })}
          />
        </View>
        <View style={styles.grow}>
          <NumberField
            label="It shall have, % vol"
            value={strength}
            right="above 0, and no more than 100"
            check={isStrength}
            onTell={(value) => put({ strength: value })}
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

function Pickle({ figures: { liquidMl, vinegar, waterMl, acid, reused }, put }: Told) {
  const most = liquidMl !== undefined && vinegar !== undefined ? mostWaterFor(liquidMl, vinegar) : undefined;
  return (
    <View style={styles.block}>
      <Heading>Vinegar</Heading>
      <QuantityField
        label="Vinegar"
        of="volume"
        value={liquidMl}
        onTell={(value) => put({ liquidMl: value })}
      />
      <View style={styles.row}>
        <View style={styles.grow}>
          <NumberField
            label="Its acid, in %"
            value={vinegar}
            right="above 0, and no more than 100"
            check={isStrength}
            hint="The bottle says it."
            onTell={(value) => put({ vinegar: value })}
          />
        </View>
        <View style={styles.grow}>
          <QuantityField
            label="Water to it"
            of="volume"
            value={waterMl}
            onTell={(value) => put({ waterMl: value })}
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

function Ferment({ figures: { plantGrams, waterMl, saltGrams, saltShare: share }, put }: Told) {
  return (
    <View style={styles.block}>
      <Heading>Salt</Heading>
      <QuantityField
        label="The plant weighs"
        of="mass"
        value={plantGrams}
        onTell={(value) => put({ plantGrams: value })}
      />
      <QuantityField
        label="Water to it"
        of="volume"
        value={waterMl}
        onTell={(value) => put({ waterMl: value })}
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
        onTell={(value) => put({ saltGrams: value })}
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

function Steeped({ figures: { plantGrams, liquidMl }, put }: Told) {
  return (
    <View style={styles.block}>
      <Heading>How much to how much</Heading>
      <View style={styles.row}>
        <View style={styles.grow}>
          <QuantityField
            label="The plant weighs"
            of="mass"
            value={plantGrams}
            onTell={(value) => put({ plantGrams: value })}
          />
        </View>
        <View style={styles.grow}>
          <QuantityField
            label="Water"
            of="volume"
            value={liquidMl}
            onTell={(value) => put({ liquidMl: value })}
          />
        </View>
      </View>
      {plantGrams !== undefined && liquidMl !== undefined ? (
        <Strong>{g((plantGrams / liquidMl) * 1000)} to a litre</Strong>
      ) : null}
      <Small soft>Written down so that it can be made again; no dose.</Small>
    </View>
  );
}

function Oil({ figures: { plantGrams, liquidMl, fresh }, put }: Told) {
  return (
    <View style={styles.block}>
      <Heading>How it goes in</Heading>
      <ChipRow label="How the plant is">
        <Chip label="Wilted or dried" chosen={fresh === false} onPress={() => put({ fresh: false })} />
        <Chip label="As it was picked" chosen={fresh === true} onPress={() => put({ fresh: true })} />
      </ChipRow>
      <View style={styles.row}>
        <View style={styles.grow}>
          <QuantityField
            label="The plant weighs"
            of="mass"
            value={plantGrams}
            onTell={(value) => put({ plantGrams: value })}
          />
        </View>
        <View style={styles.grow}>
          <QuantityField
            label="Oil or fat"
            of="volume"
            value={liquidMl}
            onTell={(value) => put({ liquidMl: value })}
          />
        </View>
      </View>
    </View>
  );
}

/** A pot that boils down: two levels, and when it will be at the third. */
export function BoilingDown({
  id,
  levels,
  target,
}: {
  readonly id: string;
  readonly levels: BatchFields['levels'];
  readonly target: number | undefined;
}) {
  const act = useAct();
  const [text, setText] = useState('');
  const level = readNumber(text) ?? 0;
  const minutes = levels.map(({ at }) => Date.parse(at) / 60_000);
  const [first, last] = [levels[0], levels.at(-1)];
  const [t0, t1] = [minutes[0] ?? 0, minutes.at(-1) ?? 0];
  const wrong =
    text.trim() === ''
      ? undefined
      : !(Number.isFinite(level) && level > 0)
        ? 'above nothing'
        : last && level >= last.level
          ? 'lower than the last one'
          : undefined;
  const said = (): string | undefined => {
    if (!first || !last || first === last || target === undefined) return undefined;
    try {
      const { minute } = boiledDownAt({
        first: { level: first.level, minute: 0 },
        second: { level: last.level, minute: t1 - t0 },
        target,
      });
      const more = minute - (t1 - t0);
      return more <= 0
        ? 'It is down as far as it should be.'
        : `Another ${more < 1.5 ? 'minute' : `${Math.round(more)} minutes`} after the last level, over the same flame.`;
    } catch (error) {
      return error instanceof RangeError ? `${error.message}.` : undefined;
    }
  };
  return (
    <View style={styles.block}>
      <Heading>Boiling it down</Heading>
      <View style={styles.row}>
        <View style={styles.grow}>
          <Field
            label="It stands at"
            inputMode="decimal"
            value={text}
            onChangeText={setText}
            {...(wrong ? { wrong } : {})}
          />
        </View>
        <View style={styles.grow}>
          <NumberField
            label="It shall go down to"
            value={target}
            right="above nothing"
            check={(one) => one > 0}
            hint="By a ruler or a jug, both the same."
            onTell={(value) => void act(tellOf(id, 'batch', () => ({ target: value ?? null })))}
          />
        </View>
      </View>
      <Button
        label="So it stands now"
        tone="outline"
        disabled={wrong !== undefined || text.trim() === ''}
        style={styles.start}
        onPress={() => {
          void act(
            tellOf(id, 'batch', ({ levels: all = [] }) => ({ levels: [...all, { at: act(now()), level }] })),
          );
          setText('');
        }}
      />
      {levels.length > 0 ? <Small soft>{levels.map((one) => one.level).join(' → ')}</Small> : null}
      {said() === undefined ? null : (
        <Strong role="status" aria-label="Boiling down">
          {said()}
        </Strong>
      )}
    </View>
  );
}
/** How it is cooked; what must not be so is said, and is not ready. */
export function Cooked({
  cooked,
  made,
  onTell,
}: {
  readonly cooked: BatchFields['cooked'] | undefined;
  readonly made: readonly Made[];
  readonly onTell: (cooked: BatchFields['cooked']) => void;
}) {
  const refusals = cooked ? made.flatMap((one) => cookingRefusal(one, cooked) ?? []) : [];
  return (
    <View style={styles.block}>
      <SmallStrong>How it was made ready</SmallStrong>
      <ChipRow label="How it was made ready">
        {COOKING_WAYS.map((how) => (
          <Chip
            key={how}
            label={COOKING[how]}
            chosen={cooked?.how === how}
            onPress={() => onTell({ ...cooked, how })}
          />
        ))}
      </ChipRow>
      {cooked && cooked.how !== 'raw' ? (
        <View style={styles.row}>
          <View style={styles.grow}>
            <NumberField
              label="Minutes of heat"
              value={cooked.minutes}
              right="nothing or more"
              check={(one) => one >= 0 && one <= 2000}
              onTell={(minutes) =>
                onTell({
                  how: cooked.how,
                  ...(minutes === undefined ? {} : { minutes }),
                  ...(cooked.poured === undefined ? {} : { poured: cooked.poured }),
                })
              }
            />
          </View>
          <View style={styles.grow}>
            <NumberField
              label="Water poured away, times"
              value={cooked.poured}
              right="a whole number from 0"
              check={(one) => Number.isInteger(one) && one >= 0 && one <= 20}
              onTell={(poured) =>
                onTell({
                  how: cooked.how,
                  ...(cooked.minutes === undefined ? {} : { minutes: cooked.minutes }),
                  ...(poured === undefined ? {} : { poured }),
                })
              }
            />
          </View>
        </View>
      ) : null}
      {[...new Set(refusals.map(cookingRefusalWords))].map((one) => (
        <Strong key={one} role="alert">
          {one}
        </Strong>
      ))}
      {!cooked && made.some(mustBeCooked) ? <Small>It has to be cooked before anybody eats it.</Small> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.s },
  row: { flexDirection: 'row', gap: space.m, alignItems: 'flex-start' },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
});
