import { View } from 'react-native';
import type { Case, FindRecord } from '@pause/core';
import { Heading, Body, ChipRow, Small, Chip } from '../../components';
import { changeContext } from '../../notebook/actions';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/around';
import { cautionFor } from '../../text/names';
import { styles } from './aroundStyles';
import { useEatersQuestion } from './useHousehold';

/** Who eats along, and one question. */

export type Context = Case['context'];

interface AskProps {
  readonly title: string;
  readonly hint?: string;
  readonly missing: boolean;
  /** What it costs not to tell. */
  readonly cost: string;
  readonly children: React.ReactNode;
}

export function Ask({ title, hint, missing, cost, children }: AskProps) {
  return (
    <View style={styles.ask}>
      <Heading>{title}</Heading>
      {hint ? <Body soft>{hint}</Body> : null}
      <ChipRow label={title}>{children}</ChipRow>
      {missing ? <Small>{t.stillOpen(cost)}</Small> : null}
    </View>
  );
}

export const NOTHING = new Set<string>();

/** A list with one more, or with one less if it was in it. */
export function toggled<T>(list: readonly T[], one: T): T[] {
  return list.includes(one) ? list.filter((other) => other !== one) : [...list, one];
}

/** Who will eat it. It is above the answer for everything, so that nobody who eats along is passed by. */
export function Eaters({ record, target }: { readonly record: FindRecord; readonly target: string }) {
  const act = useAct();
  const { cautions, home, asks } = useEatersQuestion(record, target);
  const chosen = record.context.eaters;
  const minded = new Set<string>((chosen ?? []).flatMap((e) => e.cautions));
  const save = (eaters: NonNullable<Context['eaters']>) => act(changeContext(record.id, { eaters }));
  const toggle = (caution: (typeof cautions)[number]) => {
    void act(
      changeContext(record.id, ({ eaters = [] }) => {
        const known = new Set(eaters.flatMap((eater) => eater.cautions));
        return { eaters: [{ name: t.oneOfYou, cautions: toggled([...known], caution) }] };
      }),
    );
  };
  const asAtHome =
    home !== undefined &&
    chosen !== undefined &&
    chosen.length === home.length &&
    home.every(({ name }, index) => chosen[index]?.name === name);
  if (!asks) return null;
  return (
    <Ask
      title={t.whoWillEatIt}
      hint={t.ofThoseWhoWillIs}
      missing={chosen === undefined}
      cost={t.forWhomItIsNot}
    >
      {home ? (
        <Chip
          label={t.asAtHome(home.map(({ name }) => name).join(', '))}
          chosen={asAtHome}
          onPress={() => save(home)}
        />
      ) : null}
      <Chip
        label={t.noneOfThese}
        chosen={chosen !== undefined && minded.size === 0}
        onPress={() => save([])}
      />
      {cautions.map((caution) => (
        <Chip
          key={caution}
          kind="checkbox"
          label={cautionFor(caution)}
          chosen={minded.has(caution)}
          onPress={() => toggle(caution)}
        />
      ))}
    </Ask>
  );
}
