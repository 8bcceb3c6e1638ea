import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior, type ZoomTransform } from 'd3-zoom';
import { useEffect, useRef, useState } from 'react';
import type { View } from 'react-native';
import { elementOf } from '../../lib/element';

const NEAREST = 60;
const STEP = 2;

export interface Zoom {
  readonly sheet: React.RefObject<View | null>;
  readonly transform: ZoomTransform;
  /** Nearer, around a point of the sheet. */
  readonly nearer: (at: readonly [number, number]) => void;
  readonly farther: () => void;
  readonly whole: () => void;
}

/**
 * Two fingers move the sheet, one only once it is drawn larger: until then it scrolls the page. The wheel
 * belongs to the page too, but with the control key.
 */
function wanted(event: Event, scale: number): boolean {
  if (event.type === 'wheel') return (event as WheelEvent).ctrlKey || (event as WheelEvent).metaKey;
  if ('touches' in event) return (event as TouchEvent).touches.length > 1 || scale > 1;
  return (event as MouseEvent).button === 0 && scale > 1;
}

/** A sheet that can be drawn larger and moved about. */
export function useZoom(width: number, height: number): Zoom {
  const sheet = useRef<View>(null);
  const behaviour = useRef<ZoomBehavior<HTMLElement, unknown> | undefined>(undefined);
  const scale = useRef(1);
  const [transform, setTransform] = useState<ZoomTransform>(zoomIdentity);
  useEffect(() => {
    const node = elementOf(sheet.current);
    if (!node || width === 0) return undefined;
    const made = zoom<HTMLElement, unknown>()
      .scaleExtent([1, NEAREST])
      .extent([
        [0, 0],
        [width, height],
      ])
      .translateExtent([
        [0, 0],
        [width, height],
      ])
      .filter((event: Event) => wanted(event, scale.current))
      .on('zoom', ({ transform: now }: { transform: ZoomTransform }) => {
        scale.current = now.k;
        setTransform(now);
      });
    behaviour.current = made;
    select(node).call(made).on('dblclick.zoom', null);
    return () => {
      select(node).on('.zoom', null);
    };
  }, [height, width]);
  const on = (
    act: (
      made: ZoomBehavior<HTMLElement, unknown>,
      selection: ReturnType<typeof select<HTMLElement, unknown>>,
    ) => void,
  ) => {
    const node = elementOf(sheet.current);
    if (node && behaviour.current) act(behaviour.current, select<HTMLElement, unknown>(node));
  };
  return {
    sheet,
    transform,
    nearer: (at) =>
      on((made, selection) => {
        // What one looks at comes to the middle.
        const k = Math.min(scale.current * STEP, NEAREST);
        const [x, y] = transform.invert([at[0], at[1]]);
        made.transform(
          selection,
          zoomIdentity
            .translate(width / 2, height / 2)
            .scale(k)
            .translate(-x, -y),
        );
        made.translateBy(selection, 0, 0);
      }),
    farther: () => on((made, selection) => made.scaleBy(selection, 1 / STEP)),
    whole: () => on((made, selection) => made.transform(selection, zoomIdentity)),
  };
}
