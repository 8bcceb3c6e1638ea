import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { useRef, useState } from 'react';
import {
  Pressable,
  ScrollView,
  StyleSheet,
  View,
  type LayoutChangeEvent,
  type NativeScrollEvent,
  type NativeSyntheticEvent,
} from 'react-native';
import type { StageId } from '@pause/core';
import {
  colour,
  corner,
  Row,
  Small,
  SmallStrong,
  space,
  Stack,
  Strong,
  stroke,
  TARGET,
} from '../../components';
import { LensedDrawing } from '../../components/plates/LensedDrawing';
import type { Pointed } from '../../deciding/plates/draw';
import { t } from '../../text/en/taxon';
import { characterName, stageName, upper } from '../../text/names';
import { Months } from './Months';
import { statedAt } from './stated';
import type { TaxonProps } from './TaxonUses';

const WIDEST = 640;

/** The pages of a row that is swiped, one for each stage. */
function usePages(count: number, onShown: () => void) {
  const [width, setWidth] = useState(0);
  const [at, setAt] = useState(() => Math.min(1, count - 1));
  const pages = useRef<ScrollView>(null);
  const shown = (index: number) => {
    setAt(index);
    onShown();
  };
  return {
    width,
    at,
    pages,
    onFrame: ({ nativeEvent: { layout } }: LayoutChangeEvent) =>
      setWidth(Math.min(WIDEST, Math.round(layout.width))),
    settle: () => pages.current?.scrollTo({ x: at * width, animated: false }),
    show: (index: number) => {
      shown(index);
      pages.current?.scrollTo({ x: index * width, animated: true });
    },
    onScroll: ({ nativeEvent: { contentOffset } }: NativeSyntheticEvent<NativeScrollEvent>) => {
      const index = Math.round(contentOffset.x / width);
      if (index !== at && Math.abs(contentOffset.x / width - index) < SETTLED) shown(index);
    },
  };
}
/** So near to a page, as a share of it, it is the one that is shown. */
const SETTLED = 0.05;

/** One large plate for each stage, to be swiped, with what its numbers say. */
export function Plates({ taxon }: TaxonProps) {
  const { stages } = taxon.taxon;
  const [chosen, setChosen] = useState<Pointed>();
  const { width, at, pages, onFrame, settle, show, onScroll } = usePages(stages.length, () =>
    setChosen(undefined),
  );
  const stage = stages[at];
  return (
    <Stack gap="s">
      <StageSwitch stages={stages} at={at} onShow={show} />
      <View style={styles.frame} onLayout={onFrame}>
        {width > 0 ? (
          <ScrollView
            ref={pages}
            horizontal
            pagingEnabled
            tabIndex={0}
            showsHorizontalScrollIndicator={false}
            onLayout={settle}
            scrollEventThrottle={50}
            onScroll={onScroll}
            style={{ width }}
          >
            {stages.map((one, index) => (
              <View key={one} style={{ width }} role="group" aria-label={stageName(one)}>
                {Math.abs(index - at) <= 1 ? (
                  <LensedDrawing
                    taxon={taxon}
                    stage={one}
                    width={width}
                    chosen={index === at ? chosen?.character : undefined}
                    onChoose={index === at ? setChosen : undefined}
                    words={(id) => t.named(characterName(id), statedAt(taxon, id, one))}
                  />
                ) : null}
              </View>
            ))}
          </ScrollView>
        ) : null}
      </View>
      {stage ? <Statement taxon={taxon} stage={stage} chosen={chosen} /> : null}
      {stage ? <Months taxon={taxon.taxon} stage={stage} /> : null}
    </Stack>
  );
}

interface StageSwitchProps {
  readonly stages: readonly StageId[];
  readonly at: number;
  readonly onShow: (index: number) => void;
}

/** The stage that is shown, and the ones before and after it. */
function StageSwitch({ stages, at, onShow }: StageSwitchProps) {
  const to = (index: number, label: (stage: string) => string, Icon: typeof ChevronLeft) => {
    const stage = stages[index];
    return (
      <Pressable
        role="button"
        disabled={!stage}
        aria-label={stage ? label(stageName(stage)) : undefined}
        aria-hidden={!stage}
        onPress={() => onShow(index)}
        style={styles.step}
      >
        {stage ? <Icon size={24} color={colour.ink} /> : null}
      </Pressable>
    );
  };
  const stage = stages[at];
  return (
    <Row align="centre" role="group" aria-label={t.stage}>
      {to(at - 1, t.stageBefore, ChevronLeft)}
      <View style={styles.grow}>
        <Strong style={styles.stage}>{stage ? stageName(stage) : ''}</Strong>
        <Row gap="s" style={styles.dots} aria-hidden>
          {stages.map((one, index) => (
            <View key={one} style={[styles.dot, index === at && styles.dotAt]} />
          ))}
        </Row>
      </View>
      {to(at + 1, t.stageAfter, ChevronRight)}
    </Row>
  );
}

interface StatementProps extends TaxonProps {
  readonly stage: StageId;
  readonly chosen: Pointed | undefined;
}

/** What the touched number says; before that, that numbers can be touched. */
function Statement({ taxon, stage, chosen }: StatementProps) {
  return (
    <View role="status" style={styles.statement}>
      {chosen ? (
        <Row gap="m" align="centre">
          <View style={styles.number}>
            <SmallStrong on="dark">{chosen.number}</SmallStrong>
          </View>
          <View style={styles.grow}>
            <Small soft>
              {characterName(chosen.character)}
              {taxon.taxon.signature.some((id) => id === chosen.character) ? ` ${t.oneOfItsOwn}` : ''}
            </Small>
            <Strong>{upper(statedAt(taxon, chosen.character, stage))}</Strong>
          </View>
        </Row>
      ) : (
        <Small soft>{t.touchANumber}</Small>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  frame: { width: '100%', maxWidth: WIDEST, alignSelf: 'center', minHeight: 200 },
  statement: {
    minHeight: 60,
    justifyContent: 'center',
    padding: space.s,
    paddingHorizontal: space.m,
    backgroundColor: colour.card,
    borderWidth: stroke.thin,
    borderColor: colour.line,
    borderRadius: corner,
  },
  number: {
    width: 26,
    height: 26,
    borderRadius: 13,
    backgroundColor: colour.collect,
    alignItems: 'center',
    justifyContent: 'center',
  },
  grow: { flex: 1 },
  step: { width: TARGET, height: TARGET, alignItems: 'center', justifyContent: 'center' },
  stage: { textAlign: 'center' },
  dots: { justifyContent: 'center', paddingTop: space.xs },
  dot: { width: 7, height: 7, borderRadius: 4, borderWidth: 1, borderColor: colour.ink },
  dotAt: { backgroundColor: colour.ink },
});
