import { createElement, type MouseEvent, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Body, Button, colour, Question, Small, space, stroke, Stack, Row } from '../../components';
import { SketchPad } from '../../components/photos/late';
import { useObjectUrl } from '../../components/photos/useObjectUrl';
import { usePlates } from '../../components/plates/usePlates';
import { t } from '../../text/en/practice';
import { lowerFirst, characterName, stateLabel } from '../../text/names';
import { Shown } from './Look';

export type Judged = 'right' | 'nearly' | 'wrong';
interface DrawItProps {
  readonly character: string;
  readonly state: string;
  readonly onJudged: (how: Judged) => void;
}

/** Draw it from memory; then the plate is shown over it, and one marks oneself what was wrong. */
export function DrawIt({ character, state, onJudged }: DrawItProps) {
  const [sketch, setSketch] = useState<Blob>();
  const [judged, setJudged] = useState<Judged>();
  const judge = (how: Judged) => {
    setJudged(how);
    onJudged(how);
  };
  return (
    <Stack gap="s">
      <Question>
        {t.drawItFromMemory(lowerFirst(characterName(character)), lowerFirst(stateLabel(character, state)))}
      </Question>
      {sketch ? (
        <>
          <Over sketch={sketch} character={character} state={state} />
          {judged ? null : (
            <Row gap="s">
              <Button label={t.itIsRight} style={styles.way} onPress={() => judge('right')} />
              <Button label={t.nearly} tone="outline" style={styles.way} onPress={() => judge('nearly')} />
              <Button label={t.itIsWrong} tone="outline" style={styles.way} onPress={() => judge('wrong')} />
            </Row>
          )}
        </>
      ) : (
        <>
          <Small soft>{t.onlyWhatDecidesAFew}</Small>
          {judged ? (
            <Shown character={character} state={state} height={140} />
          ) : (
            <Paper onDrawn={setSketch} onForgotten={() => judge('wrong')} />
          )}
        </>
      )}
    </Stack>
  );
}

interface PaperProps {
  readonly onDrawn: (sketch: Blob) => void;
  readonly onForgotten: () => void;
}

function Paper({ onDrawn, onForgotten }: PaperProps) {
  const [sheet, setSheet] = useState(0);
  return (
    <>
      <SketchPad
        key={sheet}
        photos={NO_PHOTOS}
        onSave={onDrawn}
        onCancel={() => setSheet(sheet + 1)}
        done={t.layThePlateOverIt}
      />
      <Button label={t.iDontRemember} tone="plain" style={styles.start} onPress={onForgotten} />
    </>
  );
}
const NO_PHOTOS: readonly Blob[] = [];

/** As large as the paper of the sketch, and the plate in its middle. */
const PAPER = { width: 360, height: 300 } as const;
const PLATE = { width: 120, height: 80, by: 3 } as const;

interface Mark {
  readonly x: number;
  readonly y: number;
}

interface OverProps {
  readonly sketch: Blob;
  readonly character: string;
  readonly state: string;
}

/** The sketch with the plate over it. A tap rings what was drawn wrong; another on the ring takes it away. */
function Over({ sketch, character, state }: OverProps) {
  const url = useObjectUrl(sketch);
  const plate = usePlatePaths(character, state);
  const [marks, setMarks] = useState<readonly Mark[]>([]);
  const tap = ({ currentTarget, clientX, clientY }: MouseEvent<SVGSVGElement>) => {
    const box = currentTarget.getBoundingClientRect();
    const at = {
      x: ((clientX - box.left) * PAPER.width) / box.width,
      y: ((clientY - box.top) * PAPER.height) / box.height,
    };
    const near = marks.find(({ x, y }) => Math.hypot(x - at.x, y - at.y) < RING);
    setMarks(near ? marks.filter((one) => one !== near) : [...marks, at]);
  };
  return (
    <Stack gap="s">
      <View style={styles.paper}>
        {createElement(
          'svg',
          {
            viewBox: `0 0 ${PAPER.width} ${PAPER.height}`,
            role: 'img',
            'aria-label': t.yourSketchWithThePlate,
            style: { display: 'block', width: '100%', cursor: 'pointer' },
            onClick: tap,
          },
          url
            ? createElement('image', { key: 'sketch', href: url, width: PAPER.width, height: PAPER.height })
            : null,
          createElement('g', IN_THE_MIDDLE, ...plate),
          ...marks.map(({ x, y }, index) =>
            createElement('circle', {
              key: `mark-${index}`,
              cx: x,
              cy: y,
              r: RING,
              fill: 'none',
              stroke: '#A3480E',
              strokeWidth: 3,
            }),
          ),
        )}
      </View>
      <Body>{marks.length === 0 ? t.tapWhereYoursIsOtherwise : t.placesAreMarked(marks.length)}</Body>
    </Stack>
  );
}

const IN_THE_MIDDLE = {
  key: 'plate',
  transform:
    `translate(${(PAPER.width - PLATE.width * PLATE.by) / 2} ` +
    `${(PAPER.height - PLATE.height * PLATE.by) / 2}) scale(${PLATE.by})`,
  style: { pointerEvents: 'none' as const },
};

/** The lines of a plate, in blue. */
function usePlatePaths(character: string, state: string) {
  const plates = usePlates();
  return useMemo(
    () =>
      (plates?.answerPlate(character, state)?.marks ?? [])
        .filter(({ ink }) => ink !== 'none')
        .map((mark, index) =>
          createElement('path', {
            key: index,
            d: plates?.pathData(mark) ?? '',
            fill: 'none',
            stroke: '#1E4B8F',
            strokeWidth: mark.ink === 'faint' ? 0.5 : 1,
            opacity: mark.ink === 'faint' ? 0.5 : 0.9,
            strokeLinecap: 'round',
            strokeLinejoin: 'round',
          }),
        ),
    [plates, character, state],
  );
}
const RING = 20;

const styles = StyleSheet.create({
  paper: { borderWidth: stroke.thin, borderColor: colour.ink, backgroundColor: '#ffffff' },
  start: { alignSelf: 'flex-start' },
  way: { flex: 1, paddingHorizontal: space.s },
});
