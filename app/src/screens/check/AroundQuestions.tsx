import { asksForTracing, type Case, type CompiledTaxon, type FindRecord } from '@pause/core';
import { Chip } from '../../components';
import { t } from '../../text/en/around';
import { CommonName, CONDITION, CONTAMINATION, partName } from '../../text/names';
import { Ask, type Context } from './AroundEaters';
import type { useSaveContext } from './useSaveContext';

/** Questions about the place, the condition, the part that is wanted, and what grows through it. */

export interface SectionProps {
  readonly record: FindRecord;
  readonly taxon: CompiledTaxon;
  readonly save: ReturnType<typeof useSaveContext>;
}

interface OneOfProps<T> {
  readonly title: string;
  readonly hint?: string;
  readonly missing?: boolean;
  /** What it costs to leave it open. */
  readonly cost?: string;
  readonly options: readonly (readonly [T, string])[];
  readonly chosen: T | undefined;
  readonly onChoose: (value: T) => void;
}

/** A question with one answer out of a few. */
export function OneOf<T extends string | boolean>({
  options,
  chosen,
  onChoose,
  missing = false,
  cost = '',
  ...asked
}: OneOfProps<T>) {
  return (
    <Ask {...asked} missing={missing} cost={cost}>
      {options.map(([value, label]) => (
        <Chip key={String(value)} label={label} chosen={chosen === value} onPress={() => onChoose(value)} />
      ))}
    </Ask>
  );
}

interface PermissionProps {
  readonly context: Context;
  readonly save: SectionProps['save'];
}

/** Whether one may pick here. */
export function Permission({ context, save }: PermissionProps) {
  return (
    <OneOf
      title={t.mayYouPickHere}
      hint={t.theOwnersWordOrThe}
      missing={context.permission === undefined || context.permission === 'unknown'}
      cost={t.itStaysAtPause}
      options={[
        ['allowed', t.yes],
        ['forbidden', t.no],
        ['unknown', t.mustAsk],
      ]}
      chosen={context.permission}
      onChoose={(permission) => save({ permission })}
    />
  );
}

interface ProtectionProps extends PermissionProps {
  /** Nothing while there is no name. */
  readonly taxon: CompiledTaxon | undefined;
}

/** Whether the law protects it here. */
export function Protection({ context, taxon, save }: ProtectionProps) {
  return (
    <OneOf
      title={t.isItProtectedHere}
      hint={taxon ? t.isOftenProtectedLookUp(CommonName(taxon.id)) : t.lookUpYourOwnLaw}
      missing={context.protection === undefined || context.protection === 'unknown'}
      cost={t.itStaysAtPause}
      options={[
        ['allowed', t.noLookedUp],
        ['protected', t.yes],
        ['unknown', t.dontKnow],
      ]}
      chosen={context.protection}
      onChoose={(protection) => save({ protection })}
    />
  );
}

/** Whether one may pick here, whether it is protected, whether anything spoils it, and in what condition it is. */
export function PlaceQuestions({ record: { context }, taxon, save }: SectionProps) {
  return (
    <>
      <Permission context={context} save={save} />
      {taxon.taxon.protection === 'often' ? <Protection context={context} taxon={taxon} save={save} /> : null}
      <OneOf
        title={t.doesAnythingSpoilThePlace}
        missing={context.contamination === undefined || context.contamination === 'unknown'}
        cost={t.itStaysAtPause}
        options={(Object.keys(CONTAMINATION) as (keyof typeof CONTAMINATION)[]).map((id) => [
          id,
          CONTAMINATION[id],
        ])}
        chosen={context.contamination}
        onChoose={(contamination) => save({ contamination })}
      />
      <OneOf
        title={t.inWhatCondition}
        missing={context.condition === undefined}
        cost={t.itStaysAtPauseA}
        options={conditionsOf(context.part).map((id) => [id, CONDITION[id]])}
        chosen={context.condition}
        onChoose={(condition) => save({ condition })}
      />
    </>
  );
}

export function Wanted({ record: { context }, taxon, save }: SectionProps) {
  const { parts } = taxon.taxon;
  if (parts.length === 0) return null;
  return (
    <Ask
      title={t.whatDoYouWantOf}
      missing={context.part === undefined || context.use === undefined}
      cost={t.harmIsReckonedAsIf}
    >
      {parts.map(({ part, use }) => (
        <Chip
          key={`${part}-${use}`}
          label={partName(taxon.id, part)}
          chosen={context.part === part && context.use === use}
          onPress={() => save({ part, use })}
        />
      ))}
    </Ask>
  );
}

/** Whether it was traced to its base, or whether anything grows through it. */
export function GrowsMixed({ record: { context }, taxon, save }: SectionProps) {
  if (!asksForTracing({ context } as Case, taxon))
    return (
      <OneOf
        title={t.isAnythingTwinedIn}
        options={[
          [false, t.itGrowsAlone],
          [true, t.othersGrowThroughIt],
        ]}
        chosen={context.growsMixed}
        onChoose={(growsMixed) => save({ growsMixed })}
      />
    );
  return (
    <Ask
      title={t.tracedToOneBase}
      hint={t.itGrowsAmongOthersFollow}
      missing={context.tracedToBase === undefined}
      cost={t.whatYouReadMayBe}
    >
      <Chip
        label={t.yesAllOfIt}
        chosen={context.tracedToBase === true}
        onPress={() => save({ tracedToBase: true })}
      />
      <Chip
        label={t.no}
        chosen={context.tracedToBase === false}
        onPress={() => save({ tracedToBase: false })}
      />
      {taxon.taxon.growsMixed ? null : (
        <Chip label={t.itGrowsAlone} chosen={false} onPress={() => save({ growsMixed: false })} />
      )}
    </Ask>
  );
}

/** Ripeness is asked of what ripens. */
function conditionsOf(part: string | undefined): (keyof typeof CONDITION)[] {
  const ripens = part === 'fruit' || part === 'cone';
  return (Object.keys(CONDITION) as (keyof typeof CONDITION)[]).filter(
    (id) => ripens || (id !== 'ripe' && id !== 'unripe'),
  );
}
