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
export function PhotoBoard({ photo, marks, onPoint, onMove, onStroke }: PhotoBoardProps) {
  const [wide, setWide] = useState(0);
  const url = useObjectUrl(photo.image);
  const held = useRef<readonly [mark: number, point: number] | undefined>(undefined);
  const drawn = useRef<Pixel[] | undefined>(undefined);
  const [line, setLine] = useState<readonly Pixel[]>([]);
  const unit = wide > 0 ? photo.width / wide : 1;
  const at = (event: PointerEvent<SVGSVGElement>): Pixel => {
    const box = event.currentTarget.getBoundingClientRect();
    return [(event.clientX - box.left) * unit, (event.clientY - box.top) * unit];
  };
  const down = (event: PointerEvent<SVGSVGElement>) => {
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
  const move = (event: PointerEvent<SVGSVGElement>) => {
    if (held.current) onMove(...held.current, at(event));
    else if (drawn.current) {
      drawn.current.push(at(event));
      setLine([...drawn.current]);
    }
  };
  const up = () => {
    held.current = undefined;
    if (drawn.current) onStroke?.(drawn.current);
    drawn.current = undefined;
    setLine([]);
  };
  const byKey = (m: number, i: number, from: Pixel) => (event: KeyboardEvent) => {
    const step = (event.shiftKey ? 10 : 1) * unit;
    const to = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[
      event.key
    ];
    if (!to) return;
    event.preventDefault();
    onMove(m, i, [from[0] + (to[0] ?? 0), from[1] + (to[1] ?? 0)]);
  };
  const path = (points: readonly Pixel[], closed = false) =>
    `M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}${closed ? 'Z' : ''}`;
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
          onPointerDown: down,
          onPointerMove: move,
          onPointerUp: up,
          onPointerCancel: up,
        },
        url
          ? createElement('image', { key: 'photo', href: url, width: photo.width, height: photo.height })
          : null,
        ...marks.flatMap(({ points, name, tone, closed }, m) => [
          ...(points.length > 1
            ? ['#ffffff', tone === 'thing' ? '#1E4B8F' : '#14201B'].map((ink, k) =>
                createElement('path', {
                  key: t.line(m, k),
                  d: path(points, closed ?? points.length === 4),
                  fill: 'none',
                  stroke: ink,
                  strokeWidth: (k === 0 ? 5 : 2.5) * unit,
                  strokeLinejoin: 'round',
                }),
              )
            : []),
          ...(closed
            ? []
            : points.map((p, i) =>
                createElement('circle', {
                  key: t.point(m, i),
                  cx: p[0],
                  cy: p[1],
                  r: 9 * unit,
                  fill: 'rgba(255,255,255,0.35)',
                  stroke: tone === 'thing' ? '#1E4B8F' : '#14201B',
                  strokeWidth: 3 * unit,
                  tabIndex: 0,
                  role: 'img',
                  'aria-label': t.pointArrowKeysMoveIt(name, i + 1),
                  onKeyDown: byKey(m, i, p),
                }),
              )),
        ]),
        line.length > 1
          ? createElement('path', {
              key: 'drawing',
              d: path(line),
              fill: 'none',
              stroke: '#1E4B8F',
              strokeWidth: 3 * unit,
            })
          : null,
      )}
    </View>
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
