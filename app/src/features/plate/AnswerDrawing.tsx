import { useMemo } from 'react';
import { View } from 'react-native';
import { PlateView } from '../../ui';
import { usePlates } from './usePlates';

interface AnswerDrawingProps {
  readonly character: string;
  readonly state: string;
  readonly height: number;
}

/** One answer as a drawing. Keeps its room while the drawing is on its way; takes none where nobody has drawn it. */
export function AnswerDrawing({ character, state, height }: AnswerDrawingProps) {
  const plates = usePlates();
  const plate = useMemo(() => plates?.answerPlate(character, state), [plates, character, state]);
  if (!plates) return <View style={{ height }} />;
  return plate ? <PlateView plate={plate} pathOf={plates.pathData} height={height} /> : null;
}
