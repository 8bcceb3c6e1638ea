import { StyleSheet, View } from 'react-native';
import { asksForTracing, type Case, type FindRecord, type StageId } from '@pause/core';
import { guide } from '../../evaluate/guide';
import { tellContext } from '../../store/actions';
import { useAct } from '../../store/store';
import { CommonName, CONDITION, CONTAMINATION, partName, stageName } from '../../words/names';
import { Body, Chip, ChipRow, Heading, Small, space } from '../../ui';

type Context = Case['context'];

interface AskProps {
  readonly title: string;
  readonly hint?: string;
  readonly missing: boolean;
  readonly children: React.ReactNode;
}

function Ask({ title, hint, missing, children }: AskProps) {
  return (
    <View style={styles.ask}>
      <Heading>{title}</Heading>
      {hint ? <Body soft>{hint}</Body> : null}
      <ChipRow label={title}>{children}</ChipRow>
      {missing ? <Small soft>Not told yet: it stays at pause without it.</Small> : null}
    </View>
  );
}

/** What stands around the specimen: the place first, then the plant, then what it is wanted for. */
export function Around({ record, target }: { readonly record: FindRecord; readonly target: string }) {
  const act = useAct();
  const taxon = guide.taxon(target);
  const { context } = record;
  if (!taxon) return null;
  const tell = (change: Partial<Context>) => act(tellContext(record.id, { ...context, ...change }));
  const stages = guide.guide.stages.filter((s) => s.kingdom === record.kingdom);
  const toggleStage = (stage: StageId) => {
    const now = context.stages ?? [];
    const next = now.includes(stage) ? now.filter((s) => s !== stage) : [...now, stage];
    const { stages: _, ...rest } = context;
    act(tellContext(record.id, next.length > 0 ? { ...rest, stages: next } : rest));
  };
  const parts = taxon.taxon.parts;
  const traced = asksForTracing({ context } as Case, taxon);
  return (
    <View style={styles.around}>
      <Ask title="May you pick here?" hint="The owner’s word, or the rule of the place." missing={context.permission === undefined || context.permission === 'unknown'}>
        <Chip label="Yes" chosen={context.permission === 'allowed'} onPress={() => tell({ permission: 'allowed' })} />
        <Chip label="No" chosen={context.permission === 'forbidden'} onPress={() => tell({ permission: 'forbidden' })} />
        <Chip label="Must ask" chosen={context.permission === 'unknown'} onPress={() => tell({ permission: 'unknown' })} />
      </Ask>
      {taxon.taxon.protection === 'often' ? (
        <Ask title="Is it protected here?" hint={`${CommonName(target)} is often protected. Look up your own law.`} missing={context.protection === undefined || context.protection === 'unknown'}>
          <Chip label="No, looked up" chosen={context.protection === 'allowed'} onPress={() => tell({ protection: 'allowed' })} />
          <Chip label="Yes" chosen={context.protection === 'protected'} onPress={() => tell({ protection: 'protected' })} />
          <Chip label="Don’t know" chosen={context.protection === 'unknown'} onPress={() => tell({ protection: 'unknown' })} />
        </Ask>
      ) : null}
      <Ask title="Does anything spoil the place?" missing={context.contamination === undefined || context.contamination === 'unknown'}>
        {(Object.keys(CONTAMINATION) as (keyof typeof CONTAMINATION)[]).map((id) => (
          <Chip key={id} label={CONTAMINATION[id]} chosen={context.contamination === id} onPress={() => tell({ contamination: id })} />
        ))}
      </Ask>
      <Ask title="At which stage is it?" hint="More than one, if one plant shows more than one." missing={context.stages === undefined}>
        {stages.map((stage) => (
          <Chip key={stage.id} kind="checkbox" label={stageName(stage.id)} chosen={context.stages?.includes(stage.id) ?? false} onPress={() => toggleStage(stage.id)} />
        ))}
      </Ask>
      <Ask title="In what condition?" missing={context.condition === undefined}>
        {conditionsOf(context.part).map((id) => (
          <Chip key={id} label={CONDITION[id]} chosen={context.condition === id} onPress={() => tell({ condition: id })} />
        ))}
      </Ask>
      {parts.length > 0 ? (
        <Ask title="What do you want of it?" missing={context.part === undefined || context.use === undefined}>
          {parts.map(({ part, use }) => (
            <Chip key={`${part}-${use}`} label={partName(target, part)} chosen={context.part === part && context.use === use} onPress={() => tell({ part, use })} />
          ))}
        </Ask>
      ) : null}
      {traced ? (
        <Ask title="Traced to one base?" hint="It grows among others. Follow what you read, and what you want, down to one root." missing={context.tracedToBase === undefined}>
          <Chip label="Yes, all of it" chosen={context.tracedToBase === true} onPress={() => tell({ tracedToBase: true })} />
          <Chip label="No" chosen={context.tracedToBase === false} onPress={() => tell({ tracedToBase: false })} />
          {taxon.taxon.growsMixed ? null : <Chip label="It stands alone" chosen={false} onPress={() => tell({ growsMixed: false })} />}
        </Ask>
      ) : (
        <Ask title="Is anything twined in?" missing={false}>
          <Chip label="It stands alone" chosen={context.growsMixed === false} onPress={() => tell({ growsMixed: false })} />
          <Chip label="Others grow through it" chosen={context.growsMixed === true} onPress={() => tell({ growsMixed: true })} />
        </Ask>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  around: { gap: space.xl },
  ask: { gap: space.s },
});

/** Ripeness is asked of what ripens. */
function conditionsOf(part: string | undefined): (keyof typeof CONDITION)[] {
  const ripens = part === 'fruit' || part === 'cone';
  return (Object.keys(CONDITION) as (keyof typeof CONDITION)[]).filter((id) => ripens || (id !== 'ripe' && id !== 'unripe'));
}
