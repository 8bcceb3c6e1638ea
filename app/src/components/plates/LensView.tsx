import { useEffect, useMemo, useState } from 'react';
import { Animated, Easing } from 'react-native';
import type { Individual } from '@pause/core/drawing';
import { guide } from '../../deciding/guide';
import { PlateView } from '../PlateView';
import { usePlates } from './usePlates';

interface LensViewProps {
  readonly one: Individual;
  readonly character: string;
  readonly size: number;
  /** Whether it opens in front of one's eyes. */
  readonly opening?: boolean;
}

/** What one individual shows of a character, through a lens; nothing where nobody has drawn it. */
export function LensView({ one, character, size, opening = false }: LensViewProps) {
  const plates = usePlates();
  const scale = useOpening(opening);
  const plate = useMemo(() => {
    const marks = plates?.lensMarks(guide, one, character, { at: [MIDDLE, MIDDLE], radius: MIDDLE - 1 });
    return marks && { width: 2 * MIDDLE, height: 2 * MIDDLE, marks };
  }, [plates, one, character]);
  if (!plates || !plate) return null;
  return (
    <Animated.View style={{ transform: [{ scale }] }}>
      <PlateView plate={plate} pathOf={plates.pathData} height={size} wash />
    </Animated.View>
  );
}
/** Half the sheet of a lens, in units. */
const MIDDLE = 26;
const OPENING_MS = 180;

/** Grows to its size once; has it at once where less motion is wished for. */
function useOpening(opening: boolean): Animated.Value {
  const [scale] = useState(() => new Animated.Value(opening && !wantsLessMotion() ? 0.5 : 1));
  useEffect(() => {
    const growing = Animated.timing(scale, {
      toValue: 1,
      duration: OPENING_MS,
      easing: Easing.out(Easing.quad),
      useNativeDriver: false,
    });
    growing.start();
    return () => growing.stop();
  }, [scale]);
  return scale;
}

const wantsLessMotion = () =>
  typeof window.matchMedia === 'function' &&
  // A media query, and no words on screen.
  // eslint-disable-next-line no-restricted-syntax
  window.matchMedia('(prefers-reduced-motion: reduce)').matches;
