import { startTransition, useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { PlateView } from '..';
import { usePlates, type Plates } from './usePlates';

interface AnswerDrawingProps {
  readonly character: string;
  readonly state: string;
  readonly height: number;
}

/**
 * One answer as a drawing. Keeps its room while the drawing is on its way; takes none where nobody has drawn
 * it.
 */
export function AnswerDrawing({ character, state, height }: AnswerDrawingProps) {
  const plates = usePlates();
  const plate = useMemo(() => plates && drawn(plates, character, state), [plates, character, state]);
  const shown = useNextFrame();
  if (!plates || !shown) return <View style={{ height }} />;
  return plate ? <PlateView plate={plate} pathOf={plates.pathData} height={height} /> : null;
}

/**
 * Bars and question stand first; the drawings come a frame later, and give way to whatever is tapped
 * meanwhile.
 */
function useNextFrame(): boolean {
  const [shown, setShown] = useState(false);
  useEffect(() => {
    const frame = requestAnimationFrame(() => startTransition(() => setShown(true)));
    return () => cancelAnimationFrame(frame);
  }, []);
  return shown;
}

/** Each answer is worked out once; the next card often shows it again. */
const known = new Map<string, ReturnType<Plates['answerPlate']>>();
function drawn(plates: Plates, character: string, state: string): ReturnType<Plates['answerPlate']> {
  const name = `${character} ${state}`;
  if (!known.has(name)) known.set(name, plates.answerPlate(character, state));
  return known.get(name);
}
