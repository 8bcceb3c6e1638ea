import { memo, useMemo } from 'react';
import Svg, { G, Path } from 'react-native-svg';
import type { Fill, Ink } from '@pause/core/drawing';
import { colour, washed } from './tokens';

const WIDTH: Readonly<Record<Ink, number>> = { none: 0, faint: 1.2, fine: 1.2, line: 2, bold: 3 };
const FILL: Readonly<Record<string, string>> = {
  none: 'none',
  paper: colour.card,
  shade: colour.shade,
  ink: colour.ink,
};
const filled = (fill: Fill, wash: boolean): string => FILL[fill] ?? (wash ? washed(fill) : fill);

/** What is known of a mark beside where it lies. */
interface Drawn {
  readonly ink: Ink;
  readonly fill: Fill;
}
interface PlateViewProps<Mark extends Drawn> {
  readonly plate: { readonly width: number; readonly height: number; readonly marks: readonly Mark[] };
  readonly pathOf: (mark: Mark) => string;
  readonly height: number;
  /** Whether its colours are a wash under the ink, and not an answer that has to be seen as it is. */
  readonly wash?: boolean;
  /** Marks that are pointed at, drawn in the accent. */
  readonly accent?: ReadonlySet<Mark>;
  /** Whether what is not pointed at is held back: pale behind what is. */
  readonly holdBack?: boolean;
  /** Drawn over it, in units of its sheet. */
  readonly children?: React.ReactNode;
}

/** What a line is wide at least where a plate is small, px. */
const LEAST = 0.75;
/** How strongly is drawn what is held back. */
const HELD_BACK = 0.42;

/** A plate in ink. Hidden from readers that speak: what it shows is always beside it in words. */
export const PlateView = memo(function PlateView<Mark extends Drawn>({
  plate,
  pathOf,
  height,
  wash = false,
  accent,
  holdBack = false,
  children,
}: PlateViewProps<Mark>) {
  const paths = useMemo(() => plate.marks.map(pathOf), [plate, pathOf]);
  const thick = Math.max(1, (LEAST * plate.height) / height / WIDTH.line);
  const drawn = (isWanted: (mark: Mark) => boolean) =>
    plate.marks.map((mark, i) =>
      isWanted(mark) ? (
        <Path
          key={i}
          d={paths[i] as string}
          fill={mark.fill === 'ink' && accent?.has(mark) ? colour.collect : filled(mark.fill, wash)}
          stroke={
            mark.ink === 'none'
              ? 'none'
              : accent?.has(mark)
                ? colour.collect
                : mark.ink === 'faint'
                  ? colour.faint
                  : colour.ink
          }
          strokeWidth={WIDTH[mark.ink] * thick}
          strokeLinejoin="round"
          strokeLinecap="round"
        />
      ) : null,
    );
  return (
    <Svg
      width={(height * plate.width) / plate.height}
      height={height}
      viewBox={`0 0 ${plate.width} ${plate.height}`}
      aria-hidden
    >
      {holdBack && accent?.size ? (
        <>
          <G opacity={HELD_BACK}>{drawn(() => true)}</G>
          {drawn((mark) => accent.has(mark))}
        </>
      ) : (
        drawn(() => true)
      )}
      {children}
    </Svg>
  );
}) as <Mark extends Drawn>(props: PlateViewProps<Mark>) => React.ReactElement;
