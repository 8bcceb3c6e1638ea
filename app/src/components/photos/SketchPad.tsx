import { getStroke } from 'perfect-freehand';
import { createElement, useRef, useState, type PointerEvent } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Chip, colour, space, stroke, Row } from '..';
import { t } from '../../text/en/sketch';
import { useObjectUrl } from './useObjectUrl';

type Point = readonly [x: number, y: number, pressure: number];

interface SketchPadProps {
  /** Photos of this find, of which one can lie faint below. */
  readonly photos: readonly Blob[];
  readonly onSave: (svg: Blob) => void;
  readonly onCancel: () => void;
  /** What the last button says. */
  readonly done?: string;
}

const PAPER = { width: 360, height: 300 } as const;

/** A stroke of the pen as an outline: thicker where it was pressed. */
function outlineOf(points: readonly Point[]): string {
  const edge = getStroke(
    points.map(([x, y, p]) => [x, y, p]),
    {
      size: 5,
      thinning: 0.6,
      smoothing: 0.5,
      streamline: 0.4,
      simulatePressure: points.every(([, , p]) => p === 0.5),
    },
  );
  return edge.length === 0 ? '' : `M${edge.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;
}

/** The sketch as SVG. */
const svgOf = (strokes: readonly (readonly Point[])[]) =>
  new Blob(
    [
      `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${PAPER.width} ${PAPER.height}" fill="#14201B">`,
      '<rect width="100%" height="100%" fill="#ffffff"/>',
      ...strokes.map((stroke) => `<path d="${outlineOf(stroke)}"/>`),
      '</svg>',
    ],
    { type: 'image/svg+xml' },
  );

/** Strokes as they are drawn: those that are done, and the one that is going on. */
function useStrokes() {
  const [strokes, setStrokes] = useState<readonly (readonly Point[])[]>([]);
  const drawing = useRef<Point[] | undefined>(undefined);
  const [now, setNow] = useState<readonly Point[]>([]);
  const at = (event: PointerEvent<SVGSVGElement>): Point => {
    const box = event.currentTarget.getBoundingClientRect();
    const share = PAPER.width / box.width;
    return [(event.clientX - box.left) * share, (event.clientY - box.top) * share, event.pressure || 0.5];
  };
  const lift = () => {
    if (drawing.current) setStrokes([...strokes, drawing.current]);
    drawing.current = undefined;
    setNow([]);
  };
  const pointer = {
    onPointerDown: (event: PointerEvent<SVGSVGElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      drawing.current = [at(event)];
      setNow(drawing.current);
    },
    onPointerMove: (event: PointerEvent<SVGSVGElement>) => {
      if (!drawing.current) return;
      drawing.current.push(at(event));
      setNow([...drawing.current]);
    },
    onPointerUp: lift,
    onPointerCancel: lift,
  };
  return { strokes, now, pointer, undo: () => setStrokes(strokes.slice(0, -1)) };
}

/** Drawing is looking: a page for pen or finger, blank or over a faint photo. */
export function SketchPad({ photos, onSave, onCancel, done = t.keepIt }: SketchPadProps) {
  const { strokes, now, pointer, undo } = useStrokes();
  const [over, setOver] = useState(false);
  const below = photos.at(-1);
  const empty = strokes.length === 0;
  return (
    <View style={styles.pad}>
      {below ? (
        <Chip kind="checkbox" label={t.overTheLastPhoto} chosen={over} onPress={() => setOver(!over)} />
      ) : null}
      <View style={styles.paper}>
        {createElement(
          'svg',
          {
            viewBox: `0 0 ${PAPER.width} ${PAPER.height}`,
            role: 'application',
            'aria-label': t.paperToDrawOn,
            style: { display: 'block', width: '100%', touchAction: 'none', cursor: 'crosshair' },
            ...pointer,
          },
          below && over ? <Faint key="below" photo={below} /> : null,
          ...[...strokes, now].map((s, i) =>
            createElement('path', { key: i, d: outlineOf(s), fill: '#14201B' }),
          ),
        )}
      </View>
      <Row wrap gap="s">
        <Button label={t.undo} tone="outline" disabled={empty} style={styles.way} onPress={undo} />
        <Button label={t.throwAway} tone="outline" style={styles.way} onPress={onCancel} />
        <Button label={done} disabled={empty} style={styles.way} onPress={() => onSave(svgOf(strokes))} />
      </Row>
    </View>
  );
}

function Faint({ photo }: { readonly photo: Blob }) {
  return createElement('image', {
    href: useObjectUrl(photo),
    width: PAPER.width,
    height: PAPER.height,
    opacity: 0.35,
    preserveAspectRatio: 'xMidYMid meet',
  });
}

const styles = StyleSheet.create({
  pad: { gap: space.s, alignItems: 'stretch' },
  paper: { borderWidth: stroke.thin, borderColor: colour.ink, backgroundColor: '#ffffff' },
  way: { flexGrow: 1 },
});
