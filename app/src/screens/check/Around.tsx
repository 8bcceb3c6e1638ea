import { View, Pressable } from 'react-native';
import { type FindRecord, type StageId, asksForTracing, type Case } from '@pause/core';
import { Small, SmallStrong, Body, Button, Chip } from '../../components';
import { TaxonDrawing } from '../../components/plates/TaxonDrawing';
import { guide } from '../../deciding/guide';
import { changeContext } from '../../notebook/actions';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/around';
import { stageName, CommonName, CONTAMINATION, CONDITION, partName, upper } from '../../text/names';
import { type Context, Ask, NOTHING, Eaters, toggled } from './AroundEaters';
import { Height } from './AroundHeight';
import { styles } from './aroundStyles';
import { MAY_DIG, MAY_DIG_HINT } from './digging';

/** Place and condition: the place first, then the plant, then what it is wanted for. */
export function Around({ record, target }: { readonly record: FindRecord; readonly target: string }) {
  const act = useAct();
  const taxon = guide.taxon(target);
  const { context } = record;
  if (!taxon) return null;
  const save = (change: Partial<Context>) => act(changeContext(record.id, change));
  const stages = guide.guide.stages.filter((s) => s.kingdom === record.kingdom);
  const toggleStage = (stage: StageId) => {
    void act(
      changeContext(record.id, ({ stages = [] }) => {
        const next = toggled(stages, stage);
        return { stages: next.length > 0 ? next : undefined };
      }),
    );
  };
  const parts = taxon.taxon.parts;
  const traced = asksForTracing({ context } as Case, taxon);
  const asItShould =
    context.permission === undefined &&
    context.contamination === undefined &&
    context.condition === undefined;
  return (
    <View style={styles.around}>
      <Ask
        title={t.atWhichStageIsIt}
        hint={t.moreThanOneIfOne}
        missing={context.stages === undefined}
        cost={t.everyStageHasToBe}
      >
        {stages.map((stage) => (
          <Pressable
            key={stage.id}
            role="checkbox"
            aria-checked={context.stages?.includes(stage.id) ?? false}
            aria-label={stageName(stage.id)}
            onPress={() => toggleStage(stage.id)}
            style={[styles.stage, context.stages?.includes(stage.id) && styles.stageChosen]}
          >
            {taxon.taxon.stages.includes(stage.id) ? (
              <TaxonDrawing taxon={taxon} stage={stage.id} height={104} accent={NOTHING} scale={false} />
            ) : (
              <View style={styles.unknown}>
                <Small soft>{t.theGuideDoesNotKnow}</Small>
              </View>
            )}
            <SmallStrong style={styles.centred}>{stageName(stage.id)}</SmallStrong>
          </Pressable>
        ))}
      </Ask>
      <Eaters record={record} target={target} />
      {asItShould ? (
        <View style={styles.ask}>
          <Body>{t.ifItIsSoSay}</Body>
          <Button
            label={t.iMayPickHereNothing}
            tone="outline"
            onPress={() => save({ permission: 'allowed', contamination: 'none-seen', condition: 'fresh' })}
          />
        </View>
      ) : null}
      <Ask
        title={t.mayYouPickHere}
        hint={t.theOwnersWordOrThe}
        missing={context.permission === undefined || context.permission === 'unknown'}
        cost={t.itStaysAtPause}
      >
        <Chip
          label={t.yes}
          chosen={context.permission === 'allowed'}
          onPress={() => save({ permission: 'allowed' })}
        />
        <Chip
          label={t.no}
          chosen={context.permission === 'forbidden'}
          onPress={() => save({ permission: 'forbidden' })}
        />
        <Chip
          label={t.mustAsk}
          chosen={context.permission === 'unknown'}
          onPress={() => save({ permission: 'unknown' })}
        />
      </Ask>
      {taxon.taxon.protection === 'often' ? (
        <Ask
          title={t.isItProtectedHere}
          hint={t.isOftenProtectedLookUp(CommonName(target))}
          missing={context.protection === undefined || context.protection === 'unknown'}
          cost={t.itStaysAtPause}
        >
          <Chip
            label={t.noLookedUp}
            chosen={context.protection === 'allowed'}
            onPress={() => save({ protection: 'allowed' })}
          />
          <Chip
            label={t.yes}
            chosen={context.protection === 'protected'}
            onPress={() => save({ protection: 'protected' })}
          />
          <Chip
            label={t.dontKnow}
            chosen={context.protection === 'unknown'}
            onPress={() => save({ protection: 'unknown' })}
          />
        </Ask>
      ) : null}
      <Ask
        title={t.doesAnythingSpoilThePlace}
        missing={context.contamination === undefined || context.contamination === 'unknown'}
        cost={t.itStaysAtPause}
      >
        {(Object.keys(CONTAMINATION) as (keyof typeof CONTAMINATION)[]).map((id) => (
          <Chip
            key={id}
            label={CONTAMINATION[id]}
            chosen={context.contamination === id}
            onPress={() => save({ contamination: id })}
          />
        ))}
      </Ask>
      <Ask title={t.inWhatCondition} missing={context.condition === undefined} cost={t.itStaysAtPauseA}>
        {conditionsOf(context.part).map((id) => (
          <Chip
            key={id}
            label={CONDITION[id]}
            chosen={context.condition === id}
            onPress={() => save({ condition: id })}
          />
        ))}
      </Ask>
      {parts.length > 0 ? (
        <Ask
          title={t.whatDoYouWantOf}
          missing={context.part === undefined || context.use === undefined}
          cost={t.harmIsReckonedAsIf}
        >
          {parts.map(({ part, use }) => (
            <Chip
              key={`${part}-${use}`}
              label={partName(target, part)}
              chosen={context.part === part && context.use === use}
              onPress={() => save({ part, use })}
            />
          ))}
        </Ask>
      ) : null}
      {traced ? (
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
      ) : (
        <Ask title={t.isAnythingTwinedIn} missing={false} cost="">
          <Chip
            label={t.itGrowsAlone}
            chosen={context.growsMixed === false}
            onPress={() => save({ growsMixed: false })}
          />
          <Chip
            label={t.othersGrowThroughIt}
            chosen={context.growsMixed === true}
            onPress={() => save({ growsMixed: true })}
          />
        </Ask>
      )}
      <Ask title={t.whatHaveYouWithYou} hint={t.onlyChecksThatYouCan} missing={false} cost="">
        {GEAR.map((gear) => (
          <Chip
            key={gear}
            kind="checkbox"
            label={upper(gear)}
            chosen={context.gear?.includes(gear) ?? true}
            onPress={() =>
              void act(changeContext(record.id, ({ gear: now = GEAR }) => ({ gear: toggled(now, gear) })))
            }
          />
        ))}
        <Chip
          kind="checkbox"
          label={t.aNoseThatSmells}
          chosen={context.cannotSmell !== true}
          onPress={() => save({ cannotSmell: context.cannotSmell !== true })}
        />
      </Ask>
      {record.kingdom === 'Plantae' ? (
        <Ask title={MAY_DIG} hint={MAY_DIG_HINT} missing={false} cost="">
          <Chip label={t.no} chosen={context.mayDig !== true} onPress={() => save({ mayDig: false })} />
          <Chip label={t.yes} chosen={context.mayDig === true} onPress={() => save({ mayDig: true })} />
        </Ask>
      ) : null}
      <Height
        elevation={context.elevation}
        onChange={(elevation) => void act(changeContext(record.id, { elevation }))}
      />
    </View>
  );
}

/** All that a check can want. */
const GEAR: readonly string[] = ['gloves', 'knife', 'lens', 'paper', 'ruler', 'trowel'];

/** Ripeness is asked of what ripens. */
function conditionsOf(part: string | undefined): (keyof typeof CONDITION)[] {
  const ripens = part === 'fruit' || part === 'cone';
  return (Object.keys(CONDITION) as (keyof typeof CONDITION)[]).filter(
    (id) => ripens || (id !== 'ripe' && id !== 'unripe'),
  );
}
