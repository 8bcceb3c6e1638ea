import { View, Pressable } from 'react-native';
import { type FindRecord, type StageId, asksForTracing, type Case } from '@pause/core';
import { Small, SmallStrong, Body, Button, Chip } from '../../components';
import { TaxonDrawing } from '../../components/plates/TaxonDrawing';
import { guide } from '../../deciding/guide';
import { changeContext } from '../../notebook/actions';
import { useAct } from '../../notebook/store';
import { stageName, CommonName, CONTAMINATION, CONDITION, partName, upper } from '../../text/names';
import { type Context, Ask, NOTHING, Eaters, toggled } from './AroundEaters';
import { Height } from './AroundHeight';
import { styles } from './aroundStyles';
import { MAY_DIG, MAY_DIG_HINT } from './digging';

/** What stands around the specimen: the place first, then the plant, then what it is wanted for. */
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
        title="At which stage is it?"
        hint="More than one, if one plant shows more than one."
        missing={context.stages === undefined}
        cost="every stage has to be thought of, so the checks tell less, and it stays at pause."
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
                <Small soft>The guide does not know it so</Small>
              </View>
            )}
            <SmallStrong style={styles.centred}>{stageName(stage.id)}</SmallStrong>
          </Pressable>
        ))}
      </Ask>
      <Eaters record={record} target={target} />
      {asItShould ? (
        <View style={styles.ask}>
          <Body>If it is so, say it in one:</Body>
          <Button
            label="I may pick here, nothing spoils the place, and it is fresh and sound"
            tone="outline"
            onPress={() => save({ permission: 'allowed', contamination: 'none-seen', condition: 'fresh' })}
          />
        </View>
      ) : null}
      <Ask
        title="May you pick here?"
        hint="The owner’s word, or the rule of the place."
        missing={context.permission === undefined || context.permission === 'unknown'}
        cost="it stays at pause."
      >
        <Chip
          label="Yes"
          chosen={context.permission === 'allowed'}
          onPress={() => save({ permission: 'allowed' })}
        />
        <Chip
          label="No"
          chosen={context.permission === 'forbidden'}
          onPress={() => save({ permission: 'forbidden' })}
        />
        <Chip
          label="Must ask"
          chosen={context.permission === 'unknown'}
          onPress={() => save({ permission: 'unknown' })}
        />
      </Ask>
      {taxon.taxon.protection === 'often' ? (
        <Ask
          title="Is it protected here?"
          hint={`${CommonName(target)} is often protected. Look up your own law.`}
          missing={context.protection === undefined || context.protection === 'unknown'}
          cost="it stays at pause."
        >
          <Chip
            label="No, looked up"
            chosen={context.protection === 'allowed'}
            onPress={() => save({ protection: 'allowed' })}
          />
          <Chip
            label="Yes"
            chosen={context.protection === 'protected'}
            onPress={() => save({ protection: 'protected' })}
          />
          <Chip
            label="Don’t know"
            chosen={context.protection === 'unknown'}
            onPress={() => save({ protection: 'unknown' })}
          />
        </Ask>
      ) : null}
      <Ask
        title="Does anything spoil the place?"
        missing={context.contamination === undefined || context.contamination === 'unknown'}
        cost="it stays at pause."
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
      <Ask
        title="In what condition?"
        missing={context.condition === undefined}
        cost="it stays at pause; a wilted or rotten one can harm although it is the right one."
      >
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
          title="What do you want of it?"
          missing={context.part === undefined || context.use === undefined}
          cost="harm is reckoned as if eaten, and it stays at pause."
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
          title="Traced to one base?"
          hint="It grows among others. Follow what you read, and what you want, down to one root."
          missing={context.tracedToBase === undefined}
          cost="what you read may be another plant’s, and it stays at pause."
        >
          <Chip
            label="Yes, all of it"
            chosen={context.tracedToBase === true}
            onPress={() => save({ tracedToBase: true })}
          />
          <Chip
            label="No"
            chosen={context.tracedToBase === false}
            onPress={() => save({ tracedToBase: false })}
          />
          {taxon.taxon.growsMixed ? null : (
            <Chip label="It grows alone" chosen={false} onPress={() => save({ growsMixed: false })} />
          )}
        </Ask>
      ) : (
        <Ask title="Is anything twined in?" missing={false} cost="">
          <Chip
            label="It grows alone"
            chosen={context.growsMixed === false}
            onPress={() => save({ growsMixed: false })}
          />
          <Chip
            label="Others grow through it"
            chosen={context.growsMixed === true}
            onPress={() => save({ growsMixed: true })}
          />
        </Ask>
      )}
      <Ask
        title="What have you with you?"
        hint="Only checks that you can make are asked for."
        missing={false}
        cost=""
      >
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
          label="A nose that smells"
          chosen={context.cannotSmell !== true}
          onPress={() => save({ cannotSmell: context.cannotSmell !== true })}
        />
      </Ask>
      {record.kingdom === 'Plantae' ? (
        <Ask title={MAY_DIG} hint={MAY_DIG_HINT} missing={false} cost="">
          <Chip label="No" chosen={context.mayDig !== true} onPress={() => save({ mayDig: false })} />
          <Chip label="Yes" chosen={context.mayDig === true} onPress={() => save({ mayDig: true })} />
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
