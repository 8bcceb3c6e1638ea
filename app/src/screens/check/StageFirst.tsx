import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { CompiledTaxon, FindRecord, StageId } from '@pause/core';
import { colour, corner, OrganGlyph, Question, Small, space, stroke, Strong, TARGET } from '../../components';
import { TaxonDrawing } from '../../components/plates/TaxonDrawing';
import { guide } from '../../deciding/guide';
import { changeContext } from '../../notebook/actions';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/check';
import { stageName } from '../../text/names';

const DRAWING = 132;
const NOTHING = new Set<string>();

/** What a stage of a plant looks like at first sight. */
const GLYPHS: Readonly<Record<string, string>> = {
  vegetative: 'leaf',
  flowering: 'flower',
  fruiting: 'fruit',
};

/** Whether the stage is asked before anything else: what cannot be there is then not asked for. */
export function useStageFirst({ context, readings, skips }: FindRecord): {
  readonly asked: boolean;
  readonly skip: () => void;
} {
  const [skipped, setSkipped] = useState(false);
  const begun = readings.length > 0 || skips.length > 0;
  return { asked: context.stages === undefined && !begun && !skipped, skip: () => setSkipped(true) };
}

interface StageFirstProps {
  readonly record: FindRecord;
  /** What it is taken for, drawn at each stage; nothing while there is no name. */
  readonly taxon?: CompiledTaxon | undefined;
  readonly onSkip: () => void;
}

/** What is there of it: leaves only, flowers or fruit; young, open or old. */
export function StageFirst({ record, taxon, onSkip }: StageFirstProps) {
  const act = useAct();
  const choose = (stage: StageId) => void act(changeContext(record.id, { stages: [stage] }));
  const stages = guide.guide.stages.filter(({ kingdom }) => kingdom === record.kingdom);
  return (
    <View style={styles.block}>
      <Question>{record.kingdom === 'Plantae' ? t.whatIsThereOfIt : t.howOldIsIt}</Question>
      <View role="group" aria-label={t.stages} style={styles.block}>
        <View style={taxon ? styles.across : styles.block}>
          {stages.map(({ id }) => (
            <Pressable
              key={id}
              role="button"
              onPress={() => choose(id)}
              style={({ pressed }) => [styles.stage, taxon && styles.drawn, pressed && styles.pressed]}
            >
              {taxon ? (
                <View style={styles.drawing}>
                  {taxon.taxon.stages.includes(id) ? (
                    <TaxonDrawing taxon={taxon} stage={id} height={DRAWING} accent={NOTHING} scale={false} />
                  ) : null}
                </View>
              ) : GLYPHS[id] ? (
                <OrganGlyph organ={GLYPHS[id]} size={32} colour={colour.ink} />
              ) : null}
              <Strong style={taxon && styles.centred}>{stageName(id)}</Strong>
            </Pressable>
          ))}
        </View>
        <Pressable
          role="button"
          onPress={onSkip}
          style={({ pressed }) => [styles.stage, styles.none, pressed && styles.pressed]}
        >
          <Strong>{t.cantTellTheStage}</Strong>
        </Pressable>
      </View>
      <Small soft>{t.whatCantBeThereIsNotAsked}</Small>
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.s },
  stage: {
    minHeight: TARGET + 16,
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    paddingHorizontal: space.m,
    borderWidth: stroke.thin,
    borderColor: colour.line,
    borderRadius: corner,
    backgroundColor: colour.card,
  },
  across: { flexDirection: 'row', gap: space.s },
  drawn: {
    flex: 1,
    minWidth: 0,
    flexDirection: 'column',
    justifyContent: 'flex-start',
    paddingHorizontal: space.xs,
    paddingVertical: space.s,
    gap: space.s,
  },
  drawing: { height: DRAWING, alignItems: 'center', justifyContent: 'center' },
  centred: { textAlign: 'center' },
  none: { backgroundColor: colour.ground, borderStyle: 'dashed', borderColor: colour.inkSoft },
  pressed: { borderColor: colour.ink, backgroundColor: colour.shade },
});
