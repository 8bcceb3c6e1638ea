import { createElement, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { StyleSheet, View, type LayoutChangeEvent } from 'react-native';
import type { Pixel } from '@pause/core/measuring';
import { colour, stroke } from '../../../components';
import type { Prepared } from '../../../components/photos/preparePhoto';
import { useObjectUrl } from '../../../components/photos/useObjectUrl';
import { t } from '../../../text/en/measuring';

export interface Mark {
  readonly points: readonly Pixel[];
  /** What each point is, for whoever cannot see it. */
  readonly name: string;
  readonly tone: 'reference' | 'thing';
  readonly closed?: boolean;
}

interface PhotoBoardProps {
  readonly photo: Prepared;
  readonly marks: readonly Mark[];
  /** A point was put down; in pixels of the photo. */
  readonly onPoint?: (at: Pixel) => void;
  readonly onMove: (mark: number, point: number, to: Pixel) => void;
  /** A line is drawn with the finger instead of points. */
  readonly onStroke?: (points: readonly Pixel[]) => void;
}

/** A finger takes hold of a point from so far away, in pixels of the screen. */
const GRIP = 22;

/**
 * A photo on which points are put, dragged, or moved with the arrow keys. Points are in pixels of the photo,
 * whatever its size on the screen.
 */
export function PhotoBoard(props: PhotoBoardProps) {
  const { photo, marks, onMove } = props;
  const [wide, setWide] = useState(0);
  const url = useObjectUrl(photo.image);
  const unit = wide > 0 ? photo.width / wide : 1;
  const { line, ...pointer } = usePointer(props, unit);
  return (
    <View
      style={styles.board}
      onLayout={(event: LayoutChangeEvent) => setWide(event.nativeEvent.layout.width)}
    >
      {createElement(
        'svg',
        {
          viewBox: `0 0 ${photo.width} ${photo.height}`,
          role: 'application',
          'aria-label': t.thePhotoToPutPoints,
          style: { display: 'block', width: '100%', touchAction: 'none', cursor: 'crosshair' },
          ...pointer,
        },
        url
          ? createElement('image', { key: 'photo', href: url, width: photo.width, height: photo.height })
          : null,
        ...marks.flatMap((mark, m) => [
          ...markLines(mark, m, unit),
          ...markPoints(mark, m, unit, (point, to) => onMove(m, point, to)),
        ]),
        line.length > 1
          ? createElement('path', {
              key: 'drawing',
              d: pathOf(line),
              fill: 'none',
              stroke: THING,
              strokeWidth: 3 * unit,
            })
          : null,
      )}
    </View>
  );
}

const [REFERENCE, THING, UNDER] = ['#14201B', '#1E4B8F', '#ffffff'];
const inkOf = ({ tone }: Mark) => (tone === 'thing' ? THING : REFERENCE);

const pathOf = (points: readonly Pixel[], closed = false) =>
  `M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}${closed ? 'Z' : ''}`;

/** What a finger does: takes hold of a point and moves it, puts down a new one, or draws a line. */
function usePointer({ marks, onPoint, onMove, onStroke }: PhotoBoardProps, unit: number) {
  const held = useRef<readonly [mark: number, point: number] | undefined>(undefined);
  const drawn = useRef<Pixel[] | undefined>(undefined);
  const [line, setLine] = useState<readonly Pixel[]>([]);
  const at = (event: PointerEvent<SVGSVGElement>): Pixel => {
    const box = event.currentTarget.getBoundingClientRect();
    return [(event.clientX - box.left) * unit, (event.clientY - box.top) * unit];
  };
  const onPointerDown = (event: PointerEvent<SVGSVGElement>) => {
    const p = at(event);
    event.currentTarget.setPointerCapture(event.pointerId);
    marks.forEach(({ points, closed }, m) =>
      points.forEach((q, i) => {
        if (!closed && Math.hypot(p[0] - q[0], p[1] - q[1]) <= GRIP * unit) held.current = [m, i];
      }),
    );
    if (held.current) return;
    if (onStroke) {
      drawn.current = [p];
      setLine([p]);
    } else onPoint?.(p);
  };
  const onPointerMove = (event: PointerEvent<SVGSVGElement>) => {
    if (held.current) onMove(...held.current, at(event));
    else if (drawn.current) {
      drawn.current.push(at(event));
      setLine([...drawn.current]);
    }
  };
  const end = () => {
    held.current = undefined;
    if (drawn.current) onStroke?.(drawn.current);
    drawn.current = undefined;
    setLine([]);
  };
  return { line, onPointerDown, onPointerMove, onPointerUp: end, onPointerCancel: end };
}

/** The line through the points of a mark, light under dark, so that it shows on any photo. */
function markLines(mark: Mark, m: number, unit: number) {
  const { points, closed } = mark;
  if (points.length < 2) return [];
  return [UNDER, inkOf(mark)].map((ink, k) =>
    createElement('path', {
      key: `line-${m}-${k}`,
      d: pathOf(points, closed ?? points.length === 4),
      fill: 'none',
      stroke: ink,
      strokeWidth: (k === 0 ? 5 : 2.5) * unit,
      strokeLinejoin: 'round',
    }),
  );
}

const STEPS: Readonly<Record<string, Pixel>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The points of a mark; the arrow keys move the one that is focused. */
function markPoints(mark: Mark, m: number, unit: number, onMove: (point: number, to: Pixel) => void) {
  if (mark.closed) return [];
  const byKey =
    (i: number, [x, y]: Pixel) =>
    (event: KeyboardEvent) => {
      const way = STEPS[event.key];
      if (!way) return;
      event.preventDefault();
      const step = (event.shiftKey ? 10 : 1) * unit;
      onMove(i, [x + way[0] * step, y + way[1] * step]);
    };
  return mark.points.map((p, i) =>
    createElement('circle', {
      key: `point-${m}-${i}`,
      cx: p[0],
      cy: p[1],
      r: 9 * unit,
      fill: 'rgba(255,255,255,0.35)',
      stroke: inkOf(mark),
      strokeWidth: 3 * unit,
      tabIndex: 0,
      role: 'img',
      'aria-label': t.pointArrowKeysMoveIt(mark.name, i + 1),
      onKeyDown: byKey(i, p),
    }),
  );
}

const styles = StyleSheet.create({
  board: {
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    backgroundColor: colour.shade,
    overflow: 'hidden',
  },
});
