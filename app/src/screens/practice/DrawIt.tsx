import { createElement, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Body, Button, colour, Question, Small, space, stroke } from '../../components';
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

/** Draw it from memory; then the plate is laid over it, and one marks oneself what was wrong. */
export function DrawIt({ character, state, onJudged }: DrawItProps) {
  const [sketch, setSketch] = useState<Blob>();
  const [judged, setJudged] = useState<Judged>();
  const [paper, setPaper] = useState(0);
  return (
    <View style={styles.block}>
      <Question>
        {t.drawItFromMemory(lowerFirst(characterName(character)), lowerFirst(stateLabel(character, state)))}
      </Question>
      {sketch ? (
        <>
          <Over sketch={sketch} character={character} state={state} />
          {judged ? null : (
            <View style={styles.ways}>
              <Button
                label={t.itIsRight}
                style={styles.way}
                onPress={() => {
                  setJudged('right');
                  onJudged('right');
                }}
              />
              <Button
                label={t.nearly}
                tone="outline"
                style={styles.way}
                onPress={() => {
                  setJudged('nearly');
                  onJudged('nearly');
                }}
              />
              <Button
                label={t.itIsWrong}
                tone="outline"
                style={styles.way}
                onPress={() => {
                  setJudged('wrong');
                  onJudged('wrong');
                }}
              />
            </View>
          )}
        </>
      ) : (
        <>
          <Small soft>{t.onlyWhatDecidesAFew}</Small>
          {judged ? null : (
            <SketchPad
              key={paper}
              photos={NO_PHOTOS}
              onSave={setSketch}
              onCancel={() => setPaper(paper + 1)}
              done={t.layThePlateOverIt}
            />
          )}
          {judged ? (
            <Shown character={character} state={state} height={140} />
          ) : (
            <Button
              label={t.iDontRemember}
              tone="plain"
              style={styles.start}
              onPress={() => {
                setJudged('wrong');
                onJudged('wrong');
              }}
            />
          )}
        </>
      )}
    </View>
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

/** The sketch with the plate over it. A tap rings what was drawn wrong; another on the ring takes it away. */
function Over({
  sketch,
  character,
  state,
}: {
  readonly sketch: Blob;
  readonly character: string;
  readonly state: string;
}) {
  const plates = usePlates();
  const url = useObjectUrl(sketch);
  const [marks, setMarks] = useState<readonly Mark[]>([]);
  const paths = useMemo(
    () =>
      (plates?.answerPlate(character, state)?.marks ?? [])
        .filter(({ ink }) => ink !== 'none')
        .map((mark) => ({ d: plates?.pathData(mark) ?? '', faint: mark.ink === 'faint' })),
    [plates, character, state],
  );
  const tap = ({
    currentTarget,
    clientX,
    clientY,
  }: {
    readonly currentTarget: SVGSVGElement;
    readonly clientX: number;
    readonly clientY: number;
  }) => {
    const box = currentTarget.getBoundingClientRect();
    const at = {
      x: ((clientX - box.left) * PAPER.width) / box.width,
      y: ((clientY - box.top) * PAPER.height) / box.height,
    };
    const near = marks.find(({ x, y }) => Math.hypot(x - at.x, y - at.y) < RING);
    setMarks(near ? marks.filter((one) => one !== near) : [...marks, at]);
  };
  return (
    <View style={styles.block}>
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
          createElement(
            'g',
            {
              key: 'plate',
              transform: `translate(${(PAPER.width - PLATE.width * PLATE.by) / 2} ${(PAPER.height - PLATE.height * PLATE.by) / 2}) scale(${PLATE.by})`,
              style: { pointerEvents: 'none' },
            },
            ...paths.map(({ d, faint }, index) =>
              createElement('path', {
                key: index,
                d,
                fill: 'none',
                stroke: '#1E4B8F',
                strokeWidth: faint ? 0.5 : 1,
                opacity: faint ? 0.5 : 0.9,
                strokeLinecap: 'round',
                strokeLinejoin: 'round',
              }),
            ),
          ),
          ...marks.map(({ x, y }, index) =>
            createElement('circle', {
              key: t.mark(index),
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
    </View>
  );
}
const RING = 20;

const styles = StyleSheet.create({
  block: { gap: space.s },
  paper: { borderWidth: stroke.thin, borderColor: colour.ink, backgroundColor: '#ffffff' },
  ways: { flexDirection: 'row', gap: space.s },
  start: { alignSelf: 'flex-start' },
  way: { flex: 1, paddingHorizontal: space.s },
});
