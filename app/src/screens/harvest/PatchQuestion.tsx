import { useState } from 'react';
import { View } from 'react-native';
import { type LifeForm, type Count, estimateOf, COUNTED_BY_STAGE } from '@pause/core/harvest/taking';
import { readNumber } from '@pause/core/lib/typed';
import { Heading, ChipRow, Chip, Body, Small, Field } from '../../components';
import { NumberField } from '../../components/NumberField';
import type { SaveHarvest } from '../../notebook/useOwnHarvest';
import { t } from '../../text/en/harvest';
import { styles } from './questionStyles';

/** How many stand there. */

export interface Part {
  readonly id: string;
  readonly name: string;
}

const HOW = { counted: t.counted, stages: t.byStage, squares: t.inSquares, about: t.aboutSoMany } as const;

const STAGES = [
  ['young', t.young],
  ['grown', t.grown],
  ['bearing', t.bearing],
] as const;

const ORDER = { few: t.aFew, tens: t.tens, hundreds: t.hundreds, thousands: t.thousands } as const;

/** Numbers of squares as they are typed: 4, 6, 0, 8. */
export function countsOf(text: string): number[] | undefined {
  const all = text
    .split(/[\s,;]+/)
    .filter((one) => one !== '')
    .map(Number);
  return all.length >= 2 &&
    all.length <= 200 &&
    all.every((one) => Number.isInteger(one) && one >= 0 && one <= 1e6)
    ? all
    : undefined;
}

interface PatchProps {
  readonly part: Part;
  readonly lifeForm: LifeForm | undefined;
  readonly count: Count | undefined;
  readonly invader: boolean;
  readonly save: SaveHarvest;
}

export function PatchQuestion({ part, lifeForm, count, invader, save }: PatchProps) {
  const [how, setHow] = useState<Count['how']>(count?.how ?? 'counted');
  const estimate = count && estimateOf(count, part.id);
  const ways = (Object.keys(HOW) as Count['how'][]).filter(
    (one) => one !== 'stages' || (lifeForm !== undefined && COUNTED_BY_STAGE.includes(lifeForm)),
  );
  return (
    <View style={styles.block}>
      <Heading>{t.whatStandsThere}</Heading>
      <ChipRow label={t.howYouKnow}>
        {ways.map((one) => (
          <Chip key={one} label={HOW[one]} chosen={how === one} onPress={() => setHow(one)} />
        ))}
      </ChipRow>
      <HowMany how={how} part={part} count={count} save={save} />
      {estimate && estimate.low !== estimate.high ? (
        <Body>
          {t.aboutInEightOfTen(
            estimate.mid.toLocaleString(),
            estimate.low.toLocaleString(),
            estimate.high.toLocaleString(),
          )}
        </Body>
      ) : null}
      <ChipRow label={t.whereItBelongs}>
        <Chip
          kind="checkbox"
          label={t.itSpreadsWhereItDoesNot}
          chosen={invader}
          onPress={() => save(({ invader: now }) => ({ invader: now !== true }))}
        />
      </ChipRow>
    </View>
  );
}

/** The number, by the way one knows it. */
function HowMany({
  how,
  part,
  count,
  save,
}: Pick<PatchProps, 'part' | 'count' | 'save'> & { readonly how: Count['how'] }) {
  switch (how) {
    case 'counted':
      return (
        <NumberField
          label={t.howManyCountedOneBy(part.name)}
          value={count?.how === 'counted' ? count.number : undefined}
          whole
          check={(one) => one >= 0}
          right={t.aWholeNumberFrom0}
          onChange={(number) =>
            save(() => ({ count: number === undefined ? null : { how: 'counted', number } }))
          }
        />
      );
    case 'stages':
      return <Stages count={count?.how === 'stages' ? count : undefined} save={save} />;
    case 'squares':
      return <Squares count={count?.how === 'squares' ? count : undefined} save={save} />;
    case 'about':
      return (
        <ChipRow label={t.aboutHowMany}>
          {(Object.keys(ORDER) as (keyof typeof ORDER)[]).map((order) => (
            <Chip
              key={order}
              label={ORDER[order]}
              chosen={count?.how === 'about' && count.order === order}
              onPress={() => save(() => ({ count: { how: 'about', order } }))}
            />
          ))}
        </ChipRow>
      );
  }
}

/**
 * Each plant once, by how far it is. Whoever counts one of the three counts the others as none until they are
 * told.
 */
function Stages({
  count,
  save,
}: {
  readonly count: Extract<Count, { how: 'stages' }> | undefined;
  readonly save: SaveHarvest;
}) {
  const put = (stage: (typeof STAGES)[number][0], number: number | undefined) =>
    save(({ count: now }) => ({
      count: {
        ...(now?.how === 'stages' ? now : { how: 'stages' as const, young: 0, grown: 0, bearing: 0 }),
        [stage]: number ?? 0,
      },
    }));
  return (
    <>
      <View style={styles.row}>
        {STAGES.map(([stage, label]) => (
          <View key={stage} style={styles.grow}>
            <NumberField
              label={label}
              value={count?.[stage]}
              whole
              check={(one) => one >= 0}
              right={t.aWholeNumberFrom0}
              onChange={(number) => put(stage, number)}
            />
          </View>
        ))}
      </View>
      <Small soft>{t.eachPlantOnceByHow}</Small>
    </>
  );
}

function Squares({
  count,
  save,
}: {
  readonly count: Extract<Count, { how: 'squares' }> | undefined;
  readonly save: SaveHarvest;
}) {
  const [text, setText] = useState(count?.counts.join(', ') ?? '');
  const [of, setOf] = useState(count ? String(count.squares) : '');
  const counts = countsOf(text);
  const squares = readNumber(of);
  const few =
    counts !== undefined && squares !== undefined && !(Number.isInteger(squares) && squares >= counts.length);
  const put = () => {
    if (counts && squares !== undefined && !few) save(() => ({ count: { how: 'squares', counts, squares } }));
  };
  return (
    <>
      <Field
        label={t.howManyInEachSquare}
        value={text}
        onChangeText={setText}
        placeholder="4, 6, 0, 8"
        {...(text.trim() !== '' && !counts ? { wrong: t.wholeNumbersWithCommasOf } : {})}
        onBlur={put}
      />
      <Field
        label={t.howManySuchSquaresThe}
        inputMode="numeric"
        value={of}
        onChangeText={setOf}
        {...(few ? { wrong: t.aWholeNumberNoFewerThan } : {})}
        onBlur={put}
      />
      <Small soft>{t.layThemOutBeforeYou}</Small>
    </>
  );
}
