import { useState } from 'react';
import { View, Pressable } from 'react-native';
import { mayBeDug, type FindRecord, type StageId } from '@pause/core';
import { Small, SmallStrong, Body, Button, Chip } from '../../components';
import { TaxonDrawing } from '../../components/plates/TaxonDrawing';
import { guide } from '../../deciding/guide';
import { changeContext } from '../../notebook/actions';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/around';
import { t as digging } from '../../text/en/digging';
import { stageName, upper } from '../../text/names';
import { Ask, NOTHING, Eaters, toggled } from './AroundEaters';
import { Height } from './AroundHeight';
import { GrowsMixed, OneOf, PlaceQuestions, type SectionProps, Wanted } from './AroundQuestions';
import { styles } from './aroundStyles';
import { DigFirst } from './DigFirst';
import { useSaveContext } from './useSaveContext';

/** Place and condition: the place first, then the plant, then what it is wanted for. */
export function Around({ record, target }: { readonly record: FindRecord; readonly target: string }) {
  const save = useSaveContext(record.id);
  const taxon = guide.taxon(target);
  const { context } = record;
  if (!taxon) return null;
  const section = { record, taxon, save };
  // Of what nobody collects only the stage matters, and what one has at hand to look at it.
  const isWanted = taxon.taxon.parts.length > 0;
  return (
    <View style={styles.around}>
      <Stages record={record} taxon={taxon} />
      {isWanted ? (
        <>
          <Eaters record={record} target={target} />
          <AsItShould {...section} />
          <PlaceQuestions {...section} />
          <Wanted {...section} />
          <GrowsMixed {...section} />
        </>
      ) : null}
      <GearAtHand {...section} />
      {isWanted && record.kingdom === 'Plantae' ? <MayDig {...section} /> : null}
      <Height elevation={context.elevation} onChange={(elevation) => save({ elevation })} />
    </View>
  );
}

/** The usual answers about the place in one, while none of them is given. */
function AsItShould({ record: { context }, save }: SectionProps) {
  const { permission, contamination, condition } = context;
  if (permission !== undefined || contamination !== undefined || condition !== undefined) return null;
  return (
    <View style={styles.ask}>
      <Body>{t.ifItIsSoSay}</Body>
      <Button
        label={t.iMayPickHereNothing}
        tone="outline"
        onPress={() => save({ permission: 'allowed', contamination: 'none-seen', condition: 'fresh' })}
      />
    </View>
  );
}

/** What the verdict waits for besides looks, to be answered where the looks are done. */
export function StillOpen({ record, target }: { readonly record: FindRecord; readonly target: string }) {
  const save = useSaveContext(record.id);
  const taxon = guide.taxon(target);
  if (!taxon) return null;
  const { context } = record;
  const section = { record, taxon, save };
  return (
    <View style={styles.around}>
      <Eaters record={record} target={target} />
      {context.stages === undefined ? <Stages record={record} taxon={taxon} /> : null}
      {context.part === undefined || context.use === undefined ? <Wanted {...section} /> : null}
      {isPlaceTold(section) ? null : (
        <>
          <AsItShould {...section} />
          <PlaceQuestions {...section} />
        </>
      )}
      <GrowsMixed {...section} />
    </View>
  );
}

/** Whether all is answered that is asked of every place, of the law and of the condition. */
function isPlaceTold({ record: { context }, taxon }: SectionProps): boolean {
  const { permission, contamination, condition, protection } = context;
  const asked = [
    permission,
    contamination,
    condition,
    ...(taxon.taxon.protection === 'often' ? [protection] : []),
  ];
  return asked.every((answer) => answer !== undefined && answer !== 'unknown');
}

function Stages({ record, taxon }: Pick<SectionProps, 'record' | 'taxon'>) {
  const act = useAct();
  const chosen = record.context.stages;
  const toggle = (stage: StageId) => {
    void act(
      changeContext(record.id, ({ stages = [] }) => {
        const next = toggled(stages, stage);
        return { stages: next.length > 0 ? next : undefined };
      }),
    );
  };
  return (
    <Ask
      title={t.atWhichStageIsIt}
      hint={t.moreThanOneIfOne}
      missing={chosen === undefined}
      cost={t.everyStageHasToBe}
    >
      {guide.guide.stages
        .filter((stage) => stage.kingdom === record.kingdom)
        .map(({ id }) => (
          <Pressable
            key={id}
            role="checkbox"
            aria-checked={chosen?.includes(id) ?? false}
            aria-label={stageName(id)}
            onPress={() => toggle(id)}
            style={[styles.stage, chosen?.includes(id) && styles.stageChosen]}
          >
            {taxon.taxon.stages.includes(id) ? (
              <TaxonDrawing taxon={taxon} stage={id} height={104} accent={NOTHING} scale={false} />
            ) : (
              <View style={styles.unknown}>
                <Small soft>{t.theGuideDoesNotKnow}</Small>
              </View>
            )}
            <SmallStrong style={styles.centred}>{stageName(id)}</SmallStrong>
          </Pressable>
        ))}
    </Ask>
  );
}

/** Whether one may be dug up for looking. Whoever says so is asked first what comes before that. */
function MayDig({ record, taxon, save }: SectionProps) {
  const [asking, setAsking] = useState(false);
  const may = mayBeDug(record, taxon);
  if (asking && !may) return <DigFirst record={record} onDone={() => setAsking(false)} />;
  return (
    <OneOf
      title={digging.mayOneBeDugUp}
      options={[
        [false, t.no],
        [true, t.yes],
      ]}
      chosen={may}
      onChoose={(yes) => (yes && !may ? setAsking(true) : save({ mayDig: yes }))}
    />
  );
}

function GearAtHand({ record: { id, context }, save }: SectionProps) {
  const act = useAct();
  return (
    <Ask title={t.whatHaveYouWithYou} hint={t.onlyChecksThatYouCan} missing={false} cost="">
      {GEAR.map((gear) => (
        <Chip
          key={gear}
          kind="checkbox"
          label={upper(gear)}
          chosen={context.gear?.includes(gear) ?? true}
          onPress={() =>
            void act(changeContext(id, ({ gear: now = GEAR }) => ({ gear: toggled(now, gear) })))
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
  );
}

/** All that a check can want. */
const GEAR: readonly string[] = ['gloves', 'knife', 'lens', 'paper', 'ruler', 'trowel'];
